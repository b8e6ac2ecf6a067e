import { Adaptation, Breath, Consideration, Joint, Strain, VariantReason } from '../../api/enums';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import { Select } from '../../kit/Select';
import { Tick } from '../../kit/Tick';
import type { Edit, Raw, Row } from './edits';
import { type Field, Records } from './Records';
import type { Refused } from './useScore';
import { CloseArea, CloseText } from '../../kit/closeFields';

const cautions: readonly Field[] = [
  { key: 'for', kind: 'choice', options: Consideration, isRequired: true },
  { key: 'do', kind: 'choice', options: Adaptation, isRequired: true },
  { key: 'text', kind: 'long' },
];
const states: readonly Field[] = [
  { key: 'part', kind: 'text', isRequired: true },
  { key: 'state', kind: 'text', isRequired: true },
  { key: 'principle', kind: 'text' },
];
const lists = {
  numbers: [
    { key: 'scheme', kind: 'text', isRequired: true },
    { key: 'number', kind: 'text', isRequired: true },
  ],
  differs: [
    { key: 'nth', kind: 'number', isRequired: true },
    { key: 'of', kind: 'choice', options: ['repetitions', 'sides'] },
    { key: 'how', kind: 'long' },
  ],
  phases: [
    { key: 'title', label: 'phaseTitle', kind: 'text' },
    { key: 'breath', kind: 'choice', options: Breath },
    { key: 'weight', kind: 'weight' },
    { key: 'gaze', kind: 'text' },
    { key: 'hand', kind: 'text' },
    { key: 'cue', kind: 'long' },
    { key: 'states', kind: 'list', fields: states },
  ],
  states,
  variants: [
    { key: 'title', kind: 'text', isRequired: true },
    { key: 'reason', kind: 'choice', options: VariantReason },
    { key: 'depth', kind: 'choice', options: ['high', 'middle', 'low'] },
    { key: 'shown_only', kind: 'yes' },
    { key: 'text', kind: 'long' },
    { key: 'cautions', kind: 'list', fields: cautions },
  ],
  cautions,
  errors: [
    { key: 'wrong', kind: 'text', isRequired: true },
    { key: 'right', kind: 'text', isRequired: true },
  ],
  same_in: [
    { key: 'form', kind: 'text', isRequired: true },
    { key: 'entry', kind: 'text' },
  ],
} satisfies Record<string, readonly Field[]>;
type ListName = keyof typeof lists;

interface Props {
  row: Row;
  position: number;
  refused: Refused;
  /** Every row, for what it returns to or mirrors. */
  rows: Row[];
  onEdit: (edits: Edit[]) => void;
  /** What would be saved if the page were left now. */
  onTyping: (edits: Edit[] | null) => void;
}

/** Everything one entry says, in shares that open; what is written here is saved as one leaves it. */
export function Depth({ row, position, refused, rows, onEdit, onTyping }: Props) {
  const { t, table } = useTranslation();
  const names = table('score.fields');
  const words = table('score.options');
  const name = (key: string) => names[key] ?? key;
  const set = (fields: Raw) => {
    onEdit([{ op: 'set', id: row.key, fields }]);
  };
  const cell = (column: string, text: string) => {
    onEdit([{ op: 'set', id: row.key, cells: { [column]: text } }]);
  };
  const text = (column: string, isLong = false, hint?: string) => (
    <Cell
      key={`${row.key}.${column}`}
      label={name(column)}
      isLong={isLong}
      hint={hint}
      value={refused.get(`${row.key}.${column}`)?.typed ?? row.cells[column] ?? ''}
      error={refused.get(`${row.key}.${column}`)?.message}
      onSave={(to) => {
        cell(column, to);
      }}
      onTyping={(to) => {
        onTyping([{ op: 'set', id: row.key, cells: { [column]: to } }]);
      }}
    />
  );
  const select = (column: string, options: readonly (readonly [string, string])[]) => (
    <Select
      isSmall
      label={name(column)}
      value={row.cells[column] ?? ''}
      onValue={(value) => {
        cell(column, value);
      }}
      of={[{ value: '', text: t('score.none') }, ...options.map(([value, text]) => ({ value, text }))]}
    />
  );
  const choice = (column: string, options: readonly string[]) =>
    select(
      column,
      options.map((option) => [option, words[option] ?? option] as const),
    );
  const tie = (column: 'returns' | 'mirrors') => {
    const earlier = rows
      .slice(0, position - 1)
      .map((one, at) => [one.key, `${String(at + 1)} · ${one.cells.title ?? ''}`] as const);
    const said = row.cells[column] ?? '';
    // A relation to what is no earlier entry is shown as it stands, for the audit tells of it.
    return select(column, said === '' || earlier.some(([key]) => key === said) ? earlier : [...earlier, [said, said]]);
  };
  const list = (key: ListName, fresh?: Raw) => (
    <Records
      key={`${row.key}.${key}`}
      title={name(key)}
      fields={lists[key]}
      value={(row.entry[key] ?? []) as Raw[]}
      fresh={fresh ?? {}}
      onSave={(value) => {
        set({ [key]: value.length > 0 ? value : null });
      }}
      onTyping={(value) => {
        onTyping([{ op: 'set', id: row.key, fields: { [key]: value.length > 0 ? value : null } }]);
      }}
    />
  );
  const ticks = (key: 'strains' | 'joints', all: readonly string[], hint?: string) => {
    const ticked = (row.entry[key] ?? []) as string[];
    return (
      <fieldset className="mt-1">
        <legend className="text-sm font-medium">{name(key)}</legend>
        {hint === undefined ? null : <p className="text-xs text-soft">{hint}</p>}
        {all.map((one) => (
          <Tick
            key={one}
            className="text-sm"
            checked={ticked.includes(one)}
            onTick={(isTicked) => {
              const next = isTicked ? [...ticked, one] : ticked.filter((other) => other !== one);
              set({ [key]: next.length > 0 ? next : null });
            }}
          >
            {words[one]}
          </Tick>
        ))}
      </fieldset>
    );
  };
  const has = (...keys: string[]) => keys.some((key) => row.entry[key] !== undefined);

  return (
    <section aria-label={t('score.chosen', { position })} className="pb-4">
      <h2 className="text-lg">
        <span className="text-soft">{position} · </span>
        {row.cells.title}
      </h2>
      <Share title={t('score.shares.phases')} isOpen={has('phases', 'states')}>
        {list('phases')}
        {list('states')}
      </Share>
      <Share title={t('score.shares.teaching')} isOpen={has('cues', 'checks', 'errors', 'drills')}>
        {text('cues', true, `${t('score.aLine')}. ${t('score.tokens')}`)}
        {text('checks', true, t('score.aLine'))}
        {list('errors')}
        {text('drills', true, t('score.aLine'))}
      </Share>
      <Share title={t('score.shares.care')} isOpen={has('cautions', 'variants', 'strains', 'joints')}>
        {ticks('strains', Strain)}
        {list('cautions')}
        {list('variants')}
        {ticks('joints', Joint, t('score.jointsHint'))}
        <p className="mt-2 text-xs text-soft">{t('plan.care')}</p>
      </Share>
      <Share title={t('score.shares.sides')} isOpen={has('differs')}>
        <div className="grid grid-cols-2 gap-2">
          {choice('side', ['left', 'right', 'both', 'centre'])}
          {choice('start_side', ['left', 'right'])}
          {text('repetition')}
          {text('breaths')}
          {choice('one_sided', ['yes', 'no'])}
          {choice('repetition_inferred', ['yes', 'no'])}
        </div>
        {list('differs', { of: 'repetitions' })}
      </Share>
      <Share title={t('score.shares.body')}>
        <div className="grid grid-cols-2 gap-2">
          {choice('first_step', ['left', 'right', 'none'])}
          {text('steps')}
          {choice('footfall', ['heel', 'toe', 'flat', 'none'])}
          {text('weight_end')}
          {text('turn')}
          {text('travel')}
          {text('stance')}
          {choice('one_leg', ['yes', 'no'])}
        </div>
      </Share>
      <Share title={t('score.shares.names')} isOpen={has('aliases', 'booklet', 'numbers')}>
        {text('aliases', true, name('aliasesHint'))}
        <div className="grid grid-cols-2 gap-2">
          {text('booklet_number')}
          {text('booklet_page')}
        </div>
        {list('numbers')}
      </Share>
      <Share title={t('score.shares.ties')} isOpen={has('same_in')}>
        <div className="grid gap-2">
          {tie('returns')}
          {tie('mirrors')}
        </div>
        {list('same_in')}
      </Share>
      <Share title={t('score.shares.lessons')}>
        <div className="grid grid-cols-2 gap-2">
          {text('demand')}
          {text('rest')}
          {choice('cut', ['always', 'never'])}
        </div>
      </Share>
    </section>
  );
}

function Share({ title, isOpen = false, children }: { title: string; isOpen?: boolean; children: ReactNode }) {
  return (
    <Fold className="border-t border-line" title={title} isOpen={isOpen}>
      <div className="flex flex-col gap-2 pb-3">{children}</div>
    </Fold>
  );
}

interface CellProps {
  label: string;
  value: string;
  isLong?: boolean;
  hint?: string | undefined;
  error?: string | undefined;
  onSave: (text: string) => void;
  /** What stands in it, for a page that is reloaded in the middle. */
  onTyping?: (text: string) => void;
}

/** One field, saved when it is left; what the server refuses stays as typed, with the reason under it. */
export function Cell({ label, value, isLong = false, hint, error, onSave, onTyping }: CellProps) {
  const [typed, setTyped] = useState(value);
  useEffect(() => {
    setTyped(value);
    saved.current = value;
  }, [value]);
  const saved = useRef(value);
  const save = () => {
    if (typed === saved.current) return;
    saved.current = typed;
    onSave(typed);
  };
  // Whoever goes to another entry or page without leaving the field has typed it all the same.
  const latest = useRef(save);
  useEffect(() => {
    latest.current = save;
  });
  useEffect(
    () => () => {
      latest.current();
    },
    [],
  );
  const type = (text: string) => {
    setTyped(text);
    onTyping?.(text);
  };
  const shared = {
    value: typed,
    'aria-invalid': error ? true : undefined,
    onBlur: save,
  };
  return (
    <label className="flex flex-col text-xs text-soft">
      {label}
      {isLong ? (
        <CloseArea
          {...shared}
          rows={Math.min(Math.max(2, typed.split('\n').length), 8)}
          onChange={(event) => {
            type(event.target.value);
          }}
        />
      ) : (
        <CloseText
          {...shared}
          onChange={(event) => {
            type(event.target.value);
          }}
        />
      )}
      {error ? <span className="font-medium text-persimmon">{error}</span> : hint ? <span>{hint}</span> : null}
    </label>
  );
}
