import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { type KeyboardEvent, useCallback, useEffect, useDeferredValue, useId, useMemo, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { Select } from '../../kit/Select';
import { useParams, useSearchParams } from '../../kit/router';
import type { Edited } from '../../api/client';
import { formQuery, scoreQuery } from '../../api/queries';
import { Button } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { useShortcut } from '../../kit/shortcuts';
import { useChosen } from '../../kit/useChosen';
import { useIsNarrow } from '../../kit/useIsNarrow';
import { usePaused } from '../../kit/usePaused';
import { duration, number } from '../../kit/format';
import { Asked, Warnings } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { sentence } from '../../messages/say';
import { type Arcs, Ribbon } from '../../pictures/Ribbon';
import { MOST_ZOOM, RibbonTools } from '../forms/RibbonTools';
import type { WidthBy } from '../../pictures/strip';
import { FormPages } from '../forms/FormPages';
import { type Column, type ColumnSet, sectionStarts, SETS } from './columns';
import { Depth } from './Depth';
import { type Edit, newId, type Row } from './edits';
import { Findings, findingsByPosition } from './Findings';
import { FormHead } from './FormHead';
import { Grid, type Place } from './Grid';
import { pasted, pastedCells } from './paste';
import { useScore } from './useScore';
import { useTravelWords } from './useTravelWords';
import { tip } from '../../kit/tip';

/** The form editor: every entry as a row, what does not add up beside it, saved as one goes. */
export function ScorePlace() {
  const { form = '' } = useParams();
  // Read afresh on coming here; while it is open, its own answers keep it up to date.
  const score = useQuery({ ...scoreQuery(form), ...AFRESH });
  const cut = useQuery({ ...formQuery(form), ...AFRESH });
  return (
    <Asked query={afresh(score)}>
      {(read) => (
        <Asked query={afresh(cut)}>{(asCut) => <Editor key={form} id={form} start={{ score: read, form: asCut }} />}</Asked>
      )}
    </Asked>
  );
}

const AFRESH = { staleTime: 0, refetchOnWindowFocus: false, refetchOnReconnect: false };

/** What was read before one came here is not shown while it is read again. */
function afresh<T>(query: UseQueryResult<T>): UseQueryResult<T> {
  const isStale = query.isFetching && !query.isFetchedAfterMount;
  return isStale ? ({ ...query, data: undefined, isError: false } as UseQueryResult<T>) : query;
}

/** From so many pixels of height on there is room for the ribbon over sixteen rows. */
const ROOM = 960;

/** What the list says on a phone; the rest stands in what opens. */
const NARROW = ['number', 'title'] as const satisfies readonly Column[];
/** So long one stays at a row before all of it is shown, milliseconds. */
const REST_MS = 120;

type Tab = 'entry' | 'findings' | 'form';

function Editor({ id, start }: { id: string; start: Edited }) {
  const { t } = useTranslation();
  const tell = useTell();
  const travelWords = useTravelWords();
  const scoring = useScore(id, start);
  const { score, form, rows, edit } = scoring;
  const [search] = useSearchParams();
  const [tab, setTab] = useState<Tab>(search.has('findings') ? 'findings' : 'entry');
  const [set, setSet] = useState<ColumnSet>('typing');
  const [by, setBy] = useState<WidthBy>('load');
  const [zoom, setZoom] = useState(1);
  const [arcs, setArcs] = useChosen<Arcs>('ribbon.arcs', 'near', ['near', 'all']);
  const [ribbon, setRibbon] = useChosen('score.ribbon', window.innerHeight >= ROOM ? 'open' : 'folded', ['open', 'folded']);
  const isOpen = ribbon === 'open';
  const isNarrow = useIsNarrow();
  // Where there is no room for both, what one entry says takes the place of the list.
  const [isDeep, setDeep] = useState(search.has('row'));
  const hasList = !isNarrow || !isDeep;
  const hasDepth = !isNarrow || isDeep;
  // A place is at an entry, wherever it goes; where it stood is only asked once it is gone.
  const [place, setPlace] = useState<Place & { key: string | null }>(() => ({
    key: null,
    row: Math.max(0, Number(search.get('row') ?? 1) - 1),
    column: SETS.typing.indexOf('title'),
  }));
  const hintId = useId();
  const columns: readonly Column[] = isNarrow ? NARROW : SETS[set];
  const sections = useMemo(() => sectionStarts({ score, form }), [score, form]);
  const findings = useMemo(() => findingsByPosition(score.audit.findings), [score.audit]);
  const found = rows.findIndex((one) => one.key === place.key);
  const at = found >= 0 ? found : Math.min(place.row, rows.length - 1);
  const row = rows[at];
  const column = columns[Math.min(place.column, columns.length - 1)];
  const { totals } = score.audit;
  // The ribbon and the depth follow once one stays at a row: going along is not held up by what is passed.
  const near = useDeferredValue(Math.min(usePaused(at, REST_MS), rows.length - 1));
  const nearRow = rows[near];
  const selected = useMemo(() => (near < form.entries.length ? { from: near + 1, to: near + 1 } : null), [near, form]);

  const go = useCallback((position: number) => {
    setPlace((was) => ({ ...was, key: null, row: position - 1 }));
    setTab('entry');
    setDeep(true);
  }, []);

  const latest = useRef(rows);
  useEffect(() => {
    latest.current = rows;
  });
  const goTo = useCallback((to: Place) => {
    setPlace({ ...to, key: latest.current[to.row]?.key ?? null });
  }, []);

  /** What it means to write a text into a cell; null where no edit says it. */
  const written = (target: Row, into: Column, text: string): Edit[] | null => {
    if (into === 'section') return [{ op: 'section', id: target.key, title: text.trim() === '' ? null : text.trim() }];
    if ((into === 'returns' || into === 'mirrors') && /^\d+$/.test(text.trim())) {
      const to = rows[Number(text) - 1];
      return to ? [{ op: 'set', id: target.key, cells: { [into]: to.key } }] : null;
    }
    return [{ op: 'set', id: target.key, cells: { [into]: text } }];
  };
  const write = (target: Row, into: Column, text: string) => {
    const edits = written(target, into, text);
    if (edits === null) tell(t('score.rowNotThere', { row: text.trim() }), { isProblem: true });
    else edit(edits);
  };

  const insert = (below: boolean) => {
    const entry = { id: newId(), kind: 'movement', title: t('score.newTitle') };
    const after = below ? (row?.key ?? null) : (rows[at - 1]?.key ?? null);
    edit([{ op: 'insert', after, entries: [entry] }]);
    setPlace({ key: entry.id, row: below ? at + 1 : at, column: Math.max(0, columns.indexOf('title')) });
  };
  const change = (edits: Edit[], to: string | null = row?.key ?? null) => {
    edit(edits);
    setPlace((was) => ({ ...was, key: to, row: at }));
  };
  const commands = {
    insert: () => {
      insert(true);
    },
    removeRow: () => {
      if (row && rows.length > 1) change([{ op: 'remove', ids: [row.key] }], null);
    },
    up: () => {
      if (row && at > 0) change([{ op: 'move', id: row.key, after: rows[at - 2]?.key ?? null }]);
    },
    down: () => {
      const next = rows[at + 1];
      if (row && next) change([{ op: 'move', id: row.key, after: next.key }]);
    },
    split: () => {
      if (row) change([{ op: 'split', id: row.key, as: newId() }]);
    },
    merge: () => {
      if (row && at < rows.length - 1) change([{ op: 'merge', id: row.key }]);
    },
    mirror: () => {
      const as = newId();
      if (row) change([{ op: 'mirror', id: row.key, as }], as);
    },
    renumber: () => {
      change([{ op: 'renumber', from: 1 }]);
    },
  } as const;
  type Command = keyof typeof commands;
  const withKeys: Record<Command, string> = {
    insert: 'Insert, Alt+I',
    removeRow: 'Ctrl+Delete',
    up: 'Alt+↑',
    down: 'Alt+↓',
    split: 'Alt+S',
    merge: 'Alt+J',
    mirror: 'Alt+M',
    renumber: 'Alt+N',
  };

  function onCommand(event: KeyboardEvent): boolean {
    const control = event.ctrlKey || event.metaKey;
    const alt: Record<string, Command> = {
      KeyI: 'insert',
      KeyS: 'split',
      KeyJ: 'merge',
      KeyM: 'mirror',
      KeyN: 'renumber',
      ArrowUp: 'up',
      ArrowDown: 'down',
    };
    if (event.altKey && event.shiftKey && event.code === 'KeyI') insert(false);
    else if (event.altKey && alt[event.code]) commands[alt[event.code] as Command]();
    else if (event.key === 'Insert') commands.insert();
    else if (control && event.key === 'Delete') commands.removeRow();
    else return false;
    return true;
  }

  // Taking back works wherever one is on the page, but in a field the browser's own comes first.
  const { undo, redo } = scoring;
  useShortcut('undo', () => undo?.());
  useShortcut('redo', () => redo?.());
  useShortcut('zoomIn', () => {
    setRibbon('open');
    setZoom((was) => Math.min(was * 2, MOST_ZOOM));
  });
  useShortcut('zoomOut', () => {
    setZoom((was) => Math.max(was / 2, 1));
  });

  const paste = (text: string) => {
    const cells = pastedCells(text);
    if (cells.length === 0) return;
    const edits = pasted(rows, [...columns], { row: at, column: Math.min(place.column, columns.length - 1) }, cells);
    if (edits === null) tell(t('score.pasteTooMany'), { isProblem: true });
    else edit(asKeys(edits, rows), t('score.pasted', { count: cells.length }));
  };

  // What is dropped is said once more, so that it can be typed again.
  const drop = () => {
    tell(t('score.dropped', { what: (scoring.conflict?.edits ?? []).map((one) => mine(one, rows)).join('; ') }), {
      isProblem: true,
    });
    void scoring.settle(false);
  };
  const wrong = row && column ? scoring.refused.get(`${row.key}.${column}`) : undefined;
  const high = isNarrow
    ? 'max-h-[70vh]'
    : isOpen
      ? 'max-h-[max(20rem,calc(100vh-27.5rem))]'
      : 'max-h-[max(20rem,calc(100vh-15rem))]';

  return (
    <FormPages
      id={id}
      title={form.title}
      actions={
        <>
          <p role="status" className="self-center pr-2 text-sm text-soft">
            {scoring.refused.size > 0 ? (
              <strong className="font-medium text-persimmon">{t('score.refusedCount', { count: scoring.refused.size })}</strong>
            ) : scoring.saving === 'saved' ? (
              t('score.saved', { version: score.version })
            ) : scoring.saving === 'saving' ? (
              t('score.saving')
            ) : (
              <strong className="font-medium text-persimmon">{t(`score.${scoring.saving}`)}</strong>
            )}
          </p>
          <Button disabled={undo === null} {...tip('Ctrl+Z')} onClick={() => undo?.()}>
            {t('score.undo')}
          </Button>
          <Button disabled={redo === null} {...tip('Ctrl+Shift+Z')} onClick={() => redo?.()}>
            {t('score.redo')}
          </Button>
          {scoring.cannotStep ? <p className="w-full text-right text-sm text-soft">{t('score.cannotStep')}</p> : null}
        </>
      }
    >
      <Warnings title={t('forms.movedTitle')} lines={form.moved.map(sentence)} />
      {isOpen && hasList ? (
        <>
          <RibbonTools by={by} onBy={setBy} zoom={zoom} onZoom={setZoom} arcs={arcs} onArcs={setArcs} />
          <Ribbon form={form} arcs={arcs} by={by} zoom={zoom} findings={findings} selected={selected} onSelect={go} />
        </>
      ) : null}
      {isNarrow ? (
        <Button
          className="no-print mb-3"
          onClick={() => {
            setDeep(!isDeep);
          }}
        >
          {t(isDeep ? 'score.toList' : 'score.toDepth', { row: near + 1, title: nearRow?.cells.title ?? '' })}
        </Button>
      ) : null}
      {hasList ? (
        <div className="no-print mt-2 mb-1 flex flex-wrap items-center gap-x-1" role="toolbar" aria-label={t('score.tools')}>
          <div className="w-44 pr-3">
            <Select
              isSmall
              isBare
              label={t('score.columnSet')}
              value={set}
              onValue={(value) => {
                const next = value as ColumnSet;
                const same = column ? (SETS[next] as readonly Column[]).indexOf(column) : -1;
                setSet(next);
                setPlace((was) => ({ ...was, column: same >= 0 ? same : SETS[next].indexOf('title' as never) }));
              }}
              of={(['typing', 'body', 'all'] as const).map((key) => ({ value: key, text: t(`score.sets.${key}`) }))}
            />
          </div>
          {(Object.keys(commands) as Command[]).map((command) => (
            <Button
              key={command}
              look="tool"
              {...tip(withKeys[command])}
              onClick={() => {
                commands[command]();
              }}
            >
              {t(`score.${command}`)}
            </Button>
          ))}
          <Button
            look="tool"
            className="ml-auto"
            aria-expanded={isOpen}
            onClick={() => {
              setRibbon(isOpen ? 'folded' : 'open');
            }}
          >
            {t(isOpen ? 'score.foldRibbon' : 'score.unfoldRibbon')}
          </Button>
        </div>
      ) : null}
      <div className="grid gap-x-6 gap-y-4 xl:grid-cols-[minmax(0,1fr)_21rem]">
        {hasList ? (
          <div className="min-w-0">
            <Grid
              className={`print:max-h-none ${high}`}
              rows={rows}
              columns={columns}
              sections={sections}
              refused={scoring.refused}
              place={{ row: at, column: place.column }}
              onPlace={goTo}
              onWrite={write}
              onTyping={(target, into, text) => {
                scoring.typing(text === null ? null : written(target, into, text));
              }}
              onPaste={paste}
              onCommand={onCommand}
              hintId={hintId}
            />
            <p id={hintId} aria-live="polite" className="mt-1 min-h-6 text-sm text-soft">
              {wrong ? (
                <strong className="font-medium text-persimmon">
                  {t('score.notSavedCell', { message: wrong.message, typed: wrong.typed })}
                </strong>
              ) : column ? (
                <>
                  <span className="text-ink">{t(`score.columns.${column}`)}</span>: {t(`score.hints.${column}`)}
                </>
              ) : null}{' '}
              {t('score.gridHint')}
            </p>
          </div>
        ) : null}
        {hasDepth ? (
          <Tabs.Root
            value={tab}
            onValueChange={(value) => {
              setTab(value as Tab);
            }}
            className="no-print min-w-0"
          >
            <Tabs.List className="mb-2 flex border-b border-line">
              {(['entry', 'findings', 'form'] as const).map((key) => (
                <Tabs.Trigger
                  key={key}
                  value={key}
                  className="min-h-11 border-b-3 border-transparent px-3 text-soft data-[state=active]:border-pine data-[state=active]:font-semibold data-[state=active]:text-ink"
                >
                  {t(`score.${key}Tab`)}
                  {key === 'findings' ? ` ${String(score.audit.findings.length)}` : ''}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value="entry" className={`overflow-y-auto pr-1 print:max-h-none ${high}`}>
              {nearRow ? (
                <Depth
                  key={nearRow.key}
                  row={nearRow}
                  position={near + 1}
                  refused={scoring.refused}
                  rows={rows}
                  onEdit={edit}
                  onTyping={scoring.typing}
                />
              ) : null}
            </Tabs.Content>
            <Tabs.Content value="findings" className={`overflow-y-auto pr-1 print:max-h-none ${high}`}>
              <Findings audit={score.audit} onGo={go} onEdit={edit} />
            </Tabs.Content>
            <Tabs.Content value="form" className={`overflow-y-auto pr-1 print:max-h-none ${high}`}>
              <FormHead score={score} onEdit={edit} onTyping={scoring.typing} />
            </Tabs.Content>
          </Tabs.Root>
        ) : null}
      </div>
      <p className="mt-3 text-[0.95rem]" data-testid="totals">
        {t('score.totals', {
          movements: totals.movements,
          worth: t('forms.worth', { count: form.worth }),
          time: duration(totals.seconds),
          turn: number(totals.turn, 1),
          left: number(totals.left, 1),
          right: number(totals.right, 1),
          travel: travelWords(totals.travel[0] ?? 0, totals.travel[1] ?? 0),
        })}
      </p>
      <p className="mt-1 text-sm text-soft">
        {t('forms.legend', {
          width: t(by === 'load' ? 'forms.byLoad' : by === 'time' ? 'forms.byTime' : 'forms.even').toLowerCase(),
        })}
        {' · '}
        {t('forms.findingsLegend')}
      </p>
      <Dialog
        open={scoring.conflict !== null}
        onOpenChange={(open) => {
          if (!open) drop();
        }}
        title={t('score.conflictTitle')}
      >
        <p>{scoring.conflict?.message}</p>
        <h3 className="mt-3 text-lg">{t('score.conflictMine')}</h3>
        <ul className="mt-1 list-disc pl-5 text-sm break-words">
          {scoring.conflict?.edits.map((one, n) => (
            <li key={n}>{mine(one, rows)}</li>
          ))}
        </ul>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button look="primary" onClick={drop}>
            {t('score.conflictLook')}
          </Button>
          <Button onClick={() => void scoring.settle(true)}>{t('score.conflictAgain')}</Button>
        </div>
      </Dialog>
    </FormPages>
  );
}

/** What was about to be saved, so that it can be typed again. */
function mine(edit: Edit, rows: Row[]): string {
  const title = 'id' in edit ? (rows.find((row) => row.key === edit.id)?.cells.title ?? edit.id) : '';
  if (edit.op !== 'set') return [edit.op, title].filter((part) => part !== '').join(': ');
  const said = Object.entries({ ...edit.cells, ...edit.fields }).map(
    ([field, value]) => `${field.replace('_', ' ')} ${typeof value === 'string' ? `“${value}”` : JSON.stringify(value)}`,
  );
  return `${title}: ${said.join(', ')}`;
}

/** Relations pasted as row numbers become the entries of those rows; sections become what begins them. */
function asKeys(edits: Edit[], rows: Row[]): Edit[] {
  return edits.flatMap((edit): Edit[] => {
    if (edit.op !== 'set' || !edit.cells) return [edit];
    const { section, ...cells } = edit.cells;
    for (const column of ['returns', 'mirrors']) {
      const to = /^\d+$/.test(cells[column] ?? '') ? rows[Number(cells[column]) - 1] : undefined;
      if (to) cells[column] = to.key;
    }
    const sectioned: Edit[] = section === undefined || section === '' ? [] : [{ op: 'section', id: edit.id, title: section }];
    return [...(Object.keys(cells).length > 0 ? [{ ...edit, cells }] : []), ...sectioned];
  });
}
