import { useQueryClient } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api, ask, Problem, type Score } from '../../api/client';
import { formQuery, readAgain, scoreQuery } from '../../api/queries';
import { keepDraft, readDraft } from '../../kit/draft';
import { useTell } from '../../kit/toasts';
import { type Edit, foreseen, type Row } from './edits';

/** What was sent in one go: all of it is made, or nothing. */
export interface Batch {
  edits: Edit[];
  said: string | null;
}
export type Saving = 'saved' | 'saving' | 'offline' | 'signedOut';
/** Cells that were refused: what was typed, and why it cannot be; by key and column. */
export type Refused = Map<string, { typed: string; message: string }>;
export interface Conflict {
  message: string;
  edits: Edit[];
}
interface Done {
  undo: number[];
  redo: number[];
}

const RETRY_MS = 3000;

/** What is said about the change itself; anything else (no network, signed out, a server in trouble) may pass. */
const FINAL = [403, 404, 409, 413, 422];

/** What waits to be sent, of every form that was edited in this tab, left or not; the tab is not closed over it unasked. */
const unsent = new Map<string, number>();
window.addEventListener('beforeunload', (event) => {
  if ([...unsent.values()].some((count) => count > 0)) event.preventDefault();
});

/**
 * The two halves of a batch of cells that was refused, so that what is right in it is saved and only what is wrong is
 * kept back; null where there is nothing to part.
 */
export function halves({ edits, said }: Batch): [Batch, Batch] | null {
  const parted = <T>(all: T[]): [T[], T[]] => [all.slice(0, Math.ceil(all.length / 2)), all.slice(Math.ceil(all.length / 2))];
  if (!edits.some((edit) => edit.op === 'set' && edit.cells)) return null;
  if (edits.length > 1) {
    const [first, second] = parted(edits);
    return [
      { edits: first, said: null },
      { edits: second, said },
    ];
  }
  const [edit] = edits;
  const cells = edit?.op === 'set' ? Object.entries(edit.cells ?? {}) : [];
  if (edit?.op !== 'set' || edit.fields || cells.length < 2) return null;
  const [first, second] = parted(cells);
  return [
    { edits: [{ ...edit, cells: Object.fromEntries(first) }], said: null },
    { edits: [{ ...edit, cells: Object.fromEntries(second) }], said },
  ];
}

/** The rows of an answer, each being the very one that is here where it says the same, so that it need not be drawn. */
function sameKept(was: Row[], now: Row[]): Row[] {
  const known = new Map(was.map((row) => [row.key, row]));
  return now.map((row) => {
    const before = known.get(row.key);
    return before !== undefined && JSON.stringify(before) === JSON.stringify(row) ? before : row;
  });
}

/**
 * A form being edited: what is typed shows at once and is sent in order, one batch after the other, each on the version
 * the last one made. What is refused stays where it was typed; what somebody else changed meanwhile is asked about.
 */
export function useScore(id: string, start: Score) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const tell = useTell();
  // One state, changed by functions only: an answer drawn late is never mixed with a queue that is ahead of it.
  const [{ score, queue }, setState] = useState<{ score: Score; queue: Batch[] }>({ score: start, queue: [] });
  const [saving, setSaving] = useState<Saving>('saved');
  const [refused, setRefused] = useState<Refused>(new Map());
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const [done, setDone] = useState<Done>(() => readDraft<Done>(`score.${id}`) ?? { undo: [], redo: [] });
  const waiting = useRef<Batch[]>([]);
  const base = useRef(start.version);
  const isBusy = useRef(false);

  useEffect(() => {
    keepDraft(`score.${id}`, done);
  }, [id, done]);

  const wait = useCallback(
    (batches: Batch[]) => {
      waiting.current = batches;
      unsent.set(id, batches.length);
    },
    [id],
  );

  const take = useCallback(
    (answer: Score, answered: number) => {
      wait(waiting.current.slice(answered));
      base.current = answer.version;
      setState((was) => ({
        score: { ...answer, rows: sameKept(was.score.rows, answer.rows) },
        queue: was.queue.slice(answered),
      }));
      client.setQueryData(scoreQuery(id).queryKey, answer);
      client.setQueryData(formQuery(id).queryKey, answer.form);
      void readAgain('score');
    },
    [client, id, wait],
  );

  const refuse = useCallback(
    (batch: Batch, problem: Problem) => {
      for (const edit of batch.edits) {
        if (edit.op !== 'set') continue;
        for (const [column, typed] of Object.entries(edit.cells ?? {})) {
          setRefused((all) => new Map(all).set(`${edit.id}.${column}`, { typed, message: problem.message }));
        }
      }
      tell(problem.message, { isProblem: true });
    },
    [tell],
  );

  const pump = useCallback(async () => {
    if (isBusy.current) return;
    isBusy.current = true;
    for (let batch = waiting.current[0]; batch !== undefined; batch = waiting.current[0]) {
      setSaving('saving');
      try {
        const sent = base.current;
        const answer = await ask(
          api.POST('/api/forms/{form}/edits', { params: { path: { form: id } }, body: { base: sent, edits: batch.edits } }),
        );
        // Drawn when there is time for it: whoever is typing the next cell is not held up.
        startTransition(() => {
          if (answer.version !== sent) setDone((all) => ({ undo: [...all.undo, answer.version].slice(-200), redo: [] }));
          take(answer, 1);
        });
        if (batch.said !== null) tell(batch.said);
      } catch (error) {
        if (!(error instanceof Problem) || !FINAL.includes(error.status)) {
          setSaving(error instanceof Problem && (error.status === 401 || error.status === 419) ? 'signedOut' : 'offline');
          await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
          continue; // also when the page was left meanwhile: what was typed is still to be saved
        }
        if (error.status === 409) {
          setConflict({ message: error.message, edits: batch.edits });
          break;
        }
        const parts = error.status === 422 ? halves(batch) : null;
        wait([...(parts ?? []), ...waiting.current.slice(1)]);
        setState((was) => ({ ...was, queue: [...(parts ?? []), ...was.queue.slice(1)] }));
        if (parts === null) refuse(batch, error);
      }
    }
    isBusy.current = false;
    setSaving(waiting.current.length === 0 ? 'saved' : 'saving');
  }, [id, refuse, take, tell, wait]);

  /** Makes a change: it shows at once, and is saved as soon as what came before it is. */
  const edit = useCallback(
    (edits: Edit[], said: string | null = null) => {
      if (edits.length === 0) return;
      setRefused((all) => {
        const touched = edits.flatMap((one) =>
          one.op === 'set' && one.cells ? Object.keys(one.cells).map((column) => `${one.id}.${column}`) : [],
        );
        if (!touched.some((key) => all.has(key))) return all;
        const fewer = new Map(all);
        for (const key of touched) fewer.delete(key);
        return fewer;
      });
      const batch = { edits, said };
      wait([...waiting.current, batch]);
      setState((was) => ({ ...was, queue: [...was.queue, batch] }));
      void pump();
    },
    [pump, wait],
  );

  const step = useCallback(
    async (way: 'undo' | 'redo') => {
      if (waiting.current.length > 0 || isBusy.current) return;
      const versions = done[way];
      const version = versions[versions.length - 1];
      if (version === undefined) return;
      isBusy.current = true;
      setSaving('saving');
      try {
        const answer = await ask(api.POST('/api/forms/{form}/take-back', { params: { path: { form: id } }, body: { version } }));
        const back = way === 'undo' ? 'redo' : 'undo';
        setDone((all) => ({ ...all, [way]: all[way].slice(0, -1), [back]: [...all[back], answer.version] }));
        take(answer, 0);
        tell(t(way === 'undo' ? 'score.takenBack' : 'score.doneAgain'));
      } catch (error) {
        if (error instanceof Problem) setDone((all) => ({ ...all, [way]: all[way].slice(0, -1) }));
        tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
      }
      isBusy.current = false;
      setSaving('saved');
      void pump();
    },
    [done, id, pump, t, take, tell],
  );

  /** After a conflict: what is there now is read; what was about to be saved is dropped, or made on top of it. */
  const settle = useCallback(
    async (isAgain: boolean) => {
      try {
        const now = await ask(api.GET('/api/forms/{form}/score', { params: { path: { form: id } } }));
        take(now, isAgain ? 0 : waiting.current.length);
        setConflict(null);
        void pump();
      } catch (error) {
        tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
      }
    },
    [id, pump, t, take, tell],
  );

  const rows = useMemo<Row[]>(
    () => queue.reduce((so, batch) => batch.edits.reduce((rest, one) => foreseen(rest, one, score.columns), so), score.rows),
    [queue, score],
  );

  return {
    score,
    rows,
    edit,
    saving: queue.length > 0 && saving === 'saved' ? ('saving' as const) : saving,
    refused,
    conflict,
    settle,
    undo: done.undo.length > 0 && queue.length === 0 ? () => void step('undo') : null,
    redo: done.redo.length > 0 && queue.length === 0 ? () => void step('redo') : null,
  };
}
export type Scoring = ReturnType<typeof useScore>;
