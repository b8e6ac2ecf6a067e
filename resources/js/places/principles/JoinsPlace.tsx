import { useMutation, useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams, useSearchParams } from '../../kit/router';
import { api, ask, type Bites, type Form, type PrincipleSet, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { bitesQuery, formQuery, principleSetQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { queryClient } from '../../api/queryClient';
import { Button, RefusalLine, TextField } from '../../kit/controls';
import { entryName } from '../../kit/entryName';
import { Asked, Empty } from '../../kit/page';
import { Segmented } from '../../kit/Segmented';
import { Select } from '../../kit/Select';
import { useTell } from '../../kit/toasts';
import { useProblem } from '../../kit/useProblem';
import { BiteMark } from './BiteMark';
import { SetPages } from './SetPages';
import { tip } from '../../kit/tip';

/** Where the principles of a set show in a form: principles down, entries across. */
export function JoinsPlace() {
  const { set = '' } = useParams();
  const query = useQuery(principleSetQuery(set));
  return <Asked query={query}>{(data) => <WithForm key={data.id} set={data} />}</Asked>;
}

function WithForm({ set }: { set: PrincipleSet }) {
  const { t } = useTranslation();
  const [search, setSearch] = useSearchParams();
  const most = [...set.forms].sort((a, b) => b.bites - a.bites)[0];
  const chosen = set.forms.find((one) => one.id === search.get('form')) ?? most;
  return (
    <SetPages set={set}>
      {chosen === undefined ? (
        <Empty title={t('principles.join.noForms')} />
      ) : (
        <>
          {set.forms.length > 1 ? (
            <div className="mb-3 max-w-sm">
              <Select
                label={t('principles.join.form')}
                value={chosen.id}
                onValue={(form) => {
                  setSearch({ form }, { replace: true });
                }}
                of={set.forms.map((one) => ({ value: one.id, text: one.title }))}
              />
            </div>
          ) : null}
          <Joined key={chosen.id} set={set} form={chosen.id} />
        </>
      )}
    </SetPages>
  );
}

function Joined({ set, form }: { set: PrincipleSet; form: string }) {
  const score = useQuery(formQuery(form));
  const bites = useQuery(bitesQuery(set.id, form));
  return (
    <Asked query={score}>
      {(read) => <Asked query={bites}>{(data) => <Matrix set={set} form={read} bites={data} />}</Asked>}
    </Asked>
  );
}

type Edit = Schemas['BiteEdit'];

/** Changes where a set shows; each change is told, and taken back by putting back what was there. */
function useJoining(set: PrincipleSet, form: Form, bites: Bites) {
  const { t } = useTranslation();
  const tell = useTell();
  const [refusal, setProblem] = useProblem();
  const shown = useRef(bites);
  const path = { params: { path: { principleSet: set.id, form: form.id } } };
  useEffect(() => {
    shown.current = bites;
  }, [bites]);
  const post = useMutation({
    mutationFn: ({ edit, base }: { edit: Edit; base?: number; said: (after: Bites, before: Bites) => string }) =>
      ask(
        api.POST('/api/principle-sets/{principleSet}/forms/{form}', {
          ...path,
          body: { edit, ...(base === undefined ? {} : { base }) },
        }),
      ),
    onSuccess: async (after, { said, base }) => {
      const before = shown.current;
      shown.current = after;
      setProblem(null);
      queryClient.setQueryData(keys.bites(set.id, form.id), after);
      tell(
        said(after, before),
        base === undefined && after.version !== before.version
          ? {
              takeBack: () => {
                post.mutate({
                  edit: { what: 'put', bites: before.bites },
                  base: after.version,
                  said: () => t('app.takenBack'),
                });
              },
            }
          : {},
      );
      await readAgain('principles');
    },
    onError: setProblem,
  });
  return { post: post.mutate, isBusy: post.isPending, refusal };
}

const STRENGTHS = ['1', '2', '3', '0'] as const;
type Strength = (typeof STRENGTHS)[number];

function Matrix({ set, form, bites }: { set: PrincipleSet; form: Form; bites: Bites }) {
  const { t } = useTranslation();
  const joining = useJoining(set, form, bites);
  const [brush, setBrush] = useState<Strength>('2');
  const [at, setAt] = useState<[number, number]>([0, 0]);
  const [isChosen, setChosen] = useState(false);
  const [swept, setSwept] = useState<{ row: number; from: number; to: number } | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const strengths = new Map(bites.bites.map((one) => [`${one.principle} ${one.entry}`, one]));
  const entries = form.entries.filter((entry) => entry.kind !== 'extra');
  const chosen = { principle: set.principles[at[0]], entry: entries[at[1]] };
  const { principle, entry } = chosen;

  function sweep(row: number, from: number, to: number, strength: Strength) {
    const principle = set.principles[row];
    if (principle === undefined) return;
    const keys = entries.slice(Math.min(from, to), Math.max(from, to) + 1).map((entry) => entry.key);
    joining.post({
      edit: { what: 'sweep', principle: principle.key, entries: keys, strength: strength === '0' ? null : Number(strength) },
      said: () =>
        t(strength === '0' ? 'principles.join.out' : 'principles.join.joined', {
          principle: principle.title,
          count: keys.length,
        }),
    });
  }
  const fill = (what: 'states' | 'copy') => {
    joining.post({
      edit: { what },
      said: (after, before) => {
        const count = after.bites.length - before.bites.length;
        return count === 0 ? t('principles.join.nothing') : t('principles.join.filled', { count });
      },
    });
  };
  // A sweep ends wherever the pointer is lifted.
  const ends = useRef<() => void>(() => undefined);
  ends.current = () => {
    if (swept === null) return;
    sweep(swept.row, swept.from, swept.to, brush);
    setSwept(null);
  };
  useEffect(() => {
    const up = () => {
      ends.current();
    };
    const cancel = () => {
      setSwept(null);
    };
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancel);
    return () => {
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancel);
    };
  }, []);

  function go(row: number, column: number) {
    const next: [number, number] = [
      Math.min(Math.max(row, 0), set.principles.length - 1),
      Math.min(Math.max(column, 0), entries.length - 1),
    ];
    setAt(next);
    setChosen(true);
    table.current?.querySelector<HTMLElement>(`[data-cell="${String(next[0])}-${String(next[1])}"]`)?.focus();
  }
  function onKey(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const [row, column] = at;
    const step = {
      ArrowRight: [0, 1],
      ArrowLeft: [0, -1],
      ArrowDown: [1, 0],
      ArrowUp: [-1, 0],
      PageDown: [0, 10],
      PageUp: [0, -10],
    }[event.key];
    if (step) go(row + (step[0] ?? 0), column + (step[1] ?? 0));
    else if (event.key === 'Home') go(row, 0);
    else if (event.key === 'End') go(row, entries.length - 1);
    else if (['1', '2', '3', '0'].includes(event.key)) sweep(row, column, column, event.key as Strength);
    else if (event.key === 'Delete' || event.key === 'Backspace') sweep(row, column, column, '0');
    else if (event.key === 'Enter' || event.key === ' ') sweep(row, column, column, brush);
    else return;
    event.preventDefault();
  }
  const isSwept = (row: number, column: number) =>
    swept !== null && swept.row === row && column >= Math.min(swept.from, swept.to) && column <= Math.max(swept.from, swept.to);
  return (
    <>
      <p className="no-print mb-2 text-sm text-soft">{t('principles.join.hint')}</p>
      <div className="no-print mb-3 flex flex-wrap items-center gap-3">
        <Segmented
          label={t('principles.join.brush')}
          value={brush}
          onValue={setBrush}
          of={STRENGTHS.map((value) => ({ value, text: t(`principles.join.strength.${value}`) }))}
        />
        <Button
          disabled={joining.isBusy}
          onClick={() => {
            fill('states');
          }}
        >
          {t('principles.join.states')}
        </Button>
        <Button
          disabled={joining.isBusy}
          onClick={() => {
            fill('copy');
          }}
        >
          {t('principles.join.copy')}
        </Button>
      </div>
      <RefusalLine refusal={joining.refusal} className="mb-3" />
      <div className="relative w-full overflow-x-auto pb-2">
        <table
          ref={table}
          role="grid"
          aria-label={t('principles.join.title', { form: form.title })}
          className="border-collapse text-sm select-none"
        >
          <thead>
            <tr role="row">
              <th className="sticky left-0 z-10 min-w-40 bg-paper" aria-hidden="true" />
              {entries.map((entry) => (
                <th
                  key={entry.position}
                  scope="col"
                  className="w-7 min-w-7 px-0 pb-1 text-center text-xs font-normal text-soft"
                  {...tip(entry.title)}
                >
                  <span aria-hidden="true">{entry.number ?? '·'}</span>
                  <span className="sr-only">{entryName(entry)}</span>
                </th>
              ))}
            </tr>
          </thead>
          {/* The keys bubble up from the cell that has the focus. */}
          {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
          <tbody onKeyDown={onKey}>
            {set.principles.map((principle, row) => (
              <tr key={principle.key} role="row" className="border-t border-line">
                <th scope="row" className="sticky left-0 z-10 max-w-56 bg-paper py-1 pr-3 text-left font-normal">
                  {principle.title}
                </th>
                {entries.map((entry, column) => {
                  const bite = strengths.get(`${principle.key} ${entry.key}`);
                  const strength = isSwept(row, column) ? Number(brush) : (bite?.strength ?? 0);
                  return (
                    <td
                      key={entry.position}
                      role="gridcell"
                      data-cell={`${String(row)}-${String(column)}`}
                      tabIndex={at[0] === row && at[1] === column ? 0 : -1}
                      aria-label={t('principles.join.cell', {
                        entry: entryName(entry),
                        principle: principle.title,
                        strength: t(`principles.join.strength.${String(strength) as Strength}`),
                      })}
                      {...tip(`${entryName(entry)}${bite?.note ? `: ${bite.note}` : ''}`)}
                      className={`h-9 w-7 cursor-pointer border-l border-line/60 p-0 align-bottom ${isSwept(row, column) ? 'bg-straw-soft' : ''}`}
                      onPointerDown={(event) => {
                        if (event.button > 0) return;
                        if (event.pointerType !== 'touch') setSwept({ row, from: column, to: column });
                        setAt([row, column]);
                        setChosen(true);
                      }}
                      onPointerEnter={() => {
                        setSwept((was) => (was !== null && was.row === row ? { ...was, to: column } : was));
                      }}
                      onClick={(event) => {
                        // A finger scrolls the table; its touch is one cell.
                        if ((event.nativeEvent as globalThis.PointerEvent).pointerType === 'touch')
                          sweep(row, column, column, brush);
                      }}
                    >
                      <BiteMark strength={strength} hasNote={(bite?.note ?? null) !== null} />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {principle === undefined || entry === undefined || !isChosen ? (
        <p className="text-sm text-soft">{t('principles.join.noteFirst')}</p>
      ) : (
        <Note
          key={`${principle.key} ${entry.key} ${strengths.get(`${principle.key} ${entry.key}`)?.note ?? ''}`}
          label={t('principles.join.note', { entry: entryName(entry), principle: principle.title })}
          bite={strengths.get(`${principle.key} ${entry.key}`)}
          onNote={(note, strength) => {
            joining.post({
              edit: { what: 'sweep', principle: principle.key, entries: [entry.key], strength, note },
              said: () => t('principles.edit.saved'),
            });
          }}
        />
      )}
      {bites.unused === 0 ? null : (
        <p className="mt-3 text-sm text-soft">{t('principles.join.unused', { count: bites.unused })}</p>
      )}
    </>
  );
}

interface NoteProps {
  label: string;
  bite: Bites['bites'][number] | undefined;
  onNote: (note: string, strength: number) => void;
}

/** What to look at in one entry; saved when its field is left. */
function Note({ label, bite, onNote }: NoteProps) {
  const { t } = useTranslation();
  const [typed, setTyped] = useState(bite?.note ?? '');
  if (bite === undefined) return <p className="text-sm text-soft">{t('principles.join.noteUnjoined')}</p>;
  return (
    <div className="max-w-2xl">
      <TextField
        label={label}
        value={typed}
        maxLength={2000}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (typed.trim() !== (bite.note ?? '')) onNote(typed.trim(), bite.strength);
        }}
      />
    </div>
  );
}
