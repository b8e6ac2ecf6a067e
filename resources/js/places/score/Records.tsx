import { useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { Select } from '../../kit/Select';
import { CloseText } from '../../kit/closeFields';
import { Button, CrossButton } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import type { Raw } from './edits';

export interface Field {
  key: string;
  /** Which word of the messages names it, where that is not the key. */
  label?: string;
  kind: 'text' | 'long' | 'choice' | 'number' | 'weight' | 'yes' | 'list';
  options?: readonly string[];
  isRequired?: boolean;
  /** The fields of a list in a list. */
  fields?: readonly Field[];
}

/** Per cent on the left foot as it is typed: 80, or 40-60. */
export function weightOf(text: string): unknown {
  const range = /^(\d+(?:\.\d+)?)\s*[-–]\s*(\d+(?:\.\d+)?)$/.exec(text.trim());
  if (range) return [Number(range[1]), Number(range[2])];
  return text.trim() === '' ? undefined : Number.isNaN(Number(text)) ? text : Number(text);
}

function textOf(value: unknown): string {
  if (Array.isArray(value)) return value.join('-');
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

/** A record without what is empty; null while something it needs is, and for one that says nothing at all. */
export function cleaned(record: Raw, fields: readonly Field[]): Raw | null {
  const out: Raw = { ...record };
  for (const field of fields) {
    const value = out[field.key];
    if (field.kind === 'list' && Array.isArray(value)) {
      const inner = (value as Raw[]).map((one) => cleaned(one, field.fields ?? [])).filter((one) => one !== null);
      out[field.key] = inner.length > 0 ? inner : undefined;
    }
    if (value === '' || value === false || value === null) out[field.key] = undefined;
    else if (field.kind === 'weight' && typeof value === 'string') out[field.key] = weightOf(value);
    else if (field.kind === 'number' && typeof value === 'string')
      out[field.key] = Number.isNaN(Number(value)) ? value : Number(value);
    if (field.isRequired && out[field.key] === undefined) return null;
  }
  const said = Object.entries(out).filter(([, value]) => value !== undefined);
  return said.length > 0 ? Object.fromEntries(said) : null;
}

const PAUSE_MS = 1200;

interface Props {
  title: string;
  fields: readonly Field[];
  value: Raw[];
  /** What a new record begins as. */
  fresh?: Raw;
  onSave: (value: Raw[]) => void;
  /** What would be saved if the page were left now. */
  onTyping?: (value: Raw[]) => void;
}

/** A list of small records, saved as one leaves a field or pauses; what lacks something it needs waits here until it has it. */
export function Records({ title, fields, value, fresh = {}, onSave, onTyping }: Props) {
  const { t } = useTranslation();
  const [rows, setRows] = useState<Raw[]>(value);
  const saved = useRef(JSON.stringify(value));
  const arrived = JSON.stringify(value);
  useEffect(() => {
    // Another state came from the server, and nothing half-written stands here: show it.
    if (arrived !== saved.current) {
      saved.current = arrived;
      setRows(JSON.parse(arrived) as Raw[]);
    }
  }, [arrived]);

  const cleanOf = (all: Raw[]) => all.map((one) => cleaned(one, fields)).filter((one) => one !== null);
  const save = (all: Raw[]) => {
    const clean = cleanOf(all);
    if (JSON.stringify(clean) === saved.current) return;
    saved.current = JSON.stringify(clean);
    onSave(clean);
  };
  // Choosing, ticking and removing leave no field, so what stands here is saved after a while too.
  const latest = useRef<() => void>(() => undefined);
  useEffect(() => {
    latest.current = () => {
      save(rows);
    };
  });
  // Who leaves the entry, or the page, within that while has said it all the same.
  useEffect(
    () => () => {
      latest.current();
    },
    [],
  );
  useEffect(() => {
    const timer = setTimeout(() => {
      latest.current();
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [rows]);
  return (
    <RecordList
      title={title}
      fields={fields}
      rows={rows}
      onChange={(all) => {
        setRows(all);
        onTyping?.(cleanOf(all));
      }}
      onLeave={() => {
        save(rows);
      }}
      onRemove={(at) => {
        const rest = rows.filter((_, n) => n !== at);
        setRows(rest);
        save(rest);
      }}
      onAdd={() => {
        const more = [...rows, { ...fresh }];
        setRows(more);
        save(more);
      }}
      addWord={t('score.add')}
    />
  );
}

interface ListProps {
  title: string;
  fields: readonly Field[];
  rows: Raw[];
  onChange: (rows: Raw[]) => void;
  onLeave: () => void;
  onRemove: (at: number) => void;
  onAdd: () => void;
  addWord: string;
}

function RecordList({ title, fields, rows, onChange, onLeave, onRemove, onAdd, addWord }: ListProps) {
  const { t } = useTranslation();
  return (
    <fieldset className="mt-3">
      <legend className="text-sm font-medium">{title}</legend>
      {rows.map((row, at) => (
        <div key={at} className="mt-1 border-l-2 border-line pl-2" onBlur={onLeave}>
          <div className="flex flex-wrap items-end gap-x-2 gap-y-1">
            {fields.map((field) => (
              <RecordField
                key={field.key}
                field={field}
                which={`${title} ${String(at + 1)}`}
                value={row[field.key]}
                onChange={(to) => {
                  onChange(rows.map((one, n) => (n === at ? { ...one, [field.key]: to } : one)));
                }}
                onLeave={onLeave}
              />
            ))}
            <CrossButton
              aria-label={t('score.remove', { what: `${title} ${String(at + 1)}` })}

              onClick={() => {
                onRemove(at);
              }}
            />
          </div>
        </div>
      ))}
      <Button look="quiet" className="text-sm" onClick={onAdd}>
        {addWord}
      </Button>
    </fieldset>
  );
}

interface FieldProps {
  field: Field;
  which: string;
  value: unknown;
  onChange: (value: unknown) => void;
  onLeave: () => void;
}

function RecordField({ field, which, value, onChange, onLeave }: FieldProps) {
  const { t, table } = useTranslation();
  const names = table('score.fields');
  const words = table('score.options');
  const name = names[field.label ?? field.key] ?? field.key;
  const label = `${which}, ${name}`;
  if (field.kind === 'list') {
    const inner = (Array.isArray(value) ? value : []) as Raw[];
    return (
      <div className="basis-full">
        <RecordList
          title={name}
          fields={field.fields ?? []}
          rows={inner}
          onChange={onChange}
          onLeave={onLeave}
          onRemove={(at) => {
            onChange(inner.filter((_, n) => n !== at));
          }}
          onAdd={() => {
            onChange([...inner, {}]);
          }}
          addWord={t('score.add')}
        />
      </div>
    );
  }
  if (field.kind === 'yes') {
    return (
      <Tick className="basis-full text-sm" checked={value === true} onTick={onChange}>
        {name}
      </Tick>
    );
  }
  if (field.kind === 'choice')
    return (
      <div className="w-28">
        <Select
          isSmall
          label={name}
          name={label}
          value={textOf(value)}
          onValue={onChange}
          of={[
            { value: '', text: t('score.none') },
            ...(field.options ?? []).map((option) => ({ value: option, text: words[option] ?? option })),
          ]}
        />
      </div>
    );
  return (
    <label
      className={`flex flex-col text-xs text-soft ${field.kind === 'number' || field.kind === 'weight' ? 'w-16' : field.kind === 'long' ? 'basis-full' : 'min-w-28 grow basis-28'}`}
    >
      {name}
      <CloseText
        aria-label={label}
        inputMode={field.kind === 'number' ? 'decimal' : undefined}
        value={textOf(value)}
        onChange={(event) => {
          onChange(event.target.value);
        }}
      />
    </label>
  );
}
