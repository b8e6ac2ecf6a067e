import { useQueryClient } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { ulid } from 'ulid';
import { api, ask, Problem, type Edited } from '../../api/client';
import type { EditsCommand } from '../../api/commands';
import { letGo, type Link, onChange, onOutcome, outbox, post, putInstead } from '../../api/outbox';
import { formQuery, scoreQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { useOutbox } from '../../api/useOutbox';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
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
/** The versions that can be taken back, and done again, in the order in which they were made. */
export interface Done {
  undo: number[];
  redo: number[];
  /** The latest version that is accounted for: here, or as nothing of this person's. */
  known: number;
}
type Way = 'undo' | 'redo';

/**
 * What can be taken back once one knows which versions one made without this page hearing of it: what was saved as a
 * page was left comes after what was made before it, and so is taken back before it.
 */
export function accounted(done: Done, mine: number[], upTo: number): Done {
  const unheard = mine.filter((one) => one > done.known && one <= upTo && !done.undo.includes(one) && !done.redo.includes(one));
  return {
    undo: [...done.undo, ...unheard].sort((a, b) => a - b).slice(-MOST_STEPS),
    redo: unheard.length > 0 ? [] : done.redo,
    known: Math.max(done.known, upTo),
  };
}

const MOST_STEPS = 200;
/** A batch as it waits in the outbox. */
type Queued = Batch & { id: string };

/** What of a form's edits waits in this browser, in order; what was refused is not among it. */
const waitingOf = (form: string): Queued[] =>
  outbox().kept.flatMap(({ id, command, refusal }) =>
    refusal === null && command.kind === 'edits' && command.form === form
      ? [{ id, edits: command.edits, said: command.said }]
      : [],
  );
/** What of it was refused, and waits for a person. */
const refusedOf = (form: string): { id: string; command: EditsCommand; status: number; message: string }[] =>
  outbox().kept.flatMap(({ id, command, refusal }) =>
    refusal !== null && command.kind === 'edits' && command.form === form
      ? [{ id, command, status: refusal.status, message: refusal.message }]
      : [],
  );

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

/**
 * The queue as it is drawn: what waits, and before it what was answered while its answer is not drawn yet. Without the
 * latter a row that was just inserted would be gone for a moment, and with it the key that is typed into it.
 */
export const drawnQueue = <T extends { id: string }>(drawn: T[], heard: ReadonlySet<string>, waiting: T[]): T[] => [
  ...drawn.filter((one) => heard.has(one.id)),
  ...waiting.filter((one) => !heard.has(one.id)),
];

/** The form as it is now, whatever is here: as the editor has it and as it is cut, asked for at once. */
async function readForm(id: string): Promise<Edited> {
  const params = { path: { form: id } };
  const [score, form] = await Promise.all([
    ask(api.GET('/api/forms/{form}/score', { params })),
    ask(api.GET('/api/forms/{form}', { params })),
  ]);
  return { score, form };
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
export function useScore(id: string, start: Edited) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const tell = useTell();
  const { link } = useOutbox();
  // One state, changed by functions only: an answer drawn late is never mixed with a queue that is ahead of it.
  const [{ score, form, queue }, setState] = useState<Edited & { queue: Queued[] }>(() => ({
    ...start,
    queue: waitingOf(id),
  }));
  const [isStepping, setStepping] = useState(false);
  const [refused, setRefused] = useState<Refused>(new Map());
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const [done, setDone] = useState<Done>(
    () => readDraft<Done>(`score.${id}`) ?? { undo: [], redo: [], known: start.score.version },
  );
  const base = useRef(start.score.version);
  const isBusy = useRef(false);
  /** Batches whose answer came here, though it may not be drawn yet. */
  const heard = useRef(new Set<string>());

  useEffect(() => {
    keepDraft(`score.${id}`, done);
  }, [id, done]);

  const drawWaiting = useCallback(
    (without?: string) => {
      const waiting = waitingOf(id);
      setState((was) => ({
        ...was,
        queue: drawnQueue(
          was.queue.filter((one) => one.id !== without),
          heard.current,
          waiting,
        ),
      }));
    },
    [id],
  );

  const take = useCallback(
    (answer: Edited, answered: string[]) => {
      base.current = Math.max(base.current, answer.score.version);
      setState((was) => ({
        score: { ...answer.score, rows: sameKept(was.score.rows, answer.score.rows) },
        form: answer.form,
        queue: was.queue.filter((one) => !answered.includes(one.id)),
      }));
      client.setQueryData(scoreQuery(id).queryKey, answer.score);
      client.setQueryData(formQuery(id).queryKey, answer.form);
    },
    [client, id],
  );

  const refuse = useCallback(
    (batch: Batch, message: string) => {
      for (const edit of batch.edits) {
        if (edit.op !== 'set') continue;
        for (const [column, typed] of Object.entries(edit.cells ?? {})) {
          setRefused((all) => new Map(all).set(`${edit.id}.${column}`, { typed, message }));
        }
      }
      tell(message, { isProblem: true });
    },
    [tell],
  );

  /** What the server could not take of this form: parted, told at its cell, or asked about. */
  const see = useCallback(() => {
    for (const { id: kept, command, status, message } of refusedOf(id)) {
      if (status === 409) {
        setConflict({ message, edits: command.edits });
        return;
      }
      const parts = status === 422 ? halves(command) : null;
      if (parts !== null) {
        void putInstead(
          kept,
          parts.map((part) => ({ ...command, ...part, id: ulid() })),
        ).then(() => {
          drawWaiting();
        });
        continue;
      }
      refuse(command, message);
      heard.current.add(kept);
      setState((was) => ({ ...was, queue: was.queue.filter((one) => one.id !== kept) }));
      void letGo(kept, { isAlone: true });
    }
  }, [drawWaiting, id, refuse]);

  useEffect(() => {
    see(); // what was refused while this page was not open
    return onOutcome((command, outcome) => {
      if (command.kind !== 'edits' || command.form !== id) return;
      if (outcome.kind === 'refused') {
        see();
        return;
      }
      const answer = outcome.answer as Edited;
      const { version } = answer.score;
      const made = outbox().kept.find((one) => one.command.kind === 'edits' && one.command.id === command.id)?.id ?? '';
      heard.current.add(made);
      // Drawn when there is time for it: whoever is typing the next cell is not held up.
      startTransition(() => {
        if (version !== command.base) {
          setDone((all) => ({
            undo: [...all.undo, version].slice(-MOST_STEPS),
            redo: [],
            known: version === all.known + 1 ? version : all.known,
          }));
        }
        take(answer, [made]);
      });
      if (command.said !== null) tell(command.said);
    });
  }, [id, see, take, tell]);

  // What was made without this page hearing of it (its page was left a moment ago, or another tab sent it) is read.
  const ids = queue.map((one) => one.id).join();
  useEffect(() => {
    if (ids === '') return;
    let isReading = false;
    const look = () => {
      const here = new Set(outbox().kept.map((one) => one.id));
      const made = ids.split(',').filter((one) => !here.has(one) && !heard.current.has(one));
      if (made.length === 0 || isReading) return;
      isReading = true;
      void readForm(id).then(
        (now) => {
          take(now, made);
        },
        () => {
          isReading = false;
        },
      );
    };
    look();
    return onChange(look);
  }, [id, ids, take]);

  /** Makes a change: it shows at once, and is saved as soon as what came before it is. */
  const edit = useCallback(
    (edits: Edit[], said: string | null = null) => {
      if (edits.length === 0) return;
      dropDraft(`score.${id}.typing`);
      setRefused((all) => {
        const touched = edits.flatMap((one) =>
          one.op === 'set' && one.cells ? Object.keys(one.cells).map((column) => `${one.id}.${column}`) : [],
        );
        if (!touched.some((key) => all.has(key))) return all;
        const fewer = new Map(all);
        for (const key of touched) fewer.delete(key);
        return fewer;
      });
      // Each waits for the one before it, so that a conflict is settled before more is built on it.
      const before = outbox().kept.filter(({ command }) => command.kind === 'edits' && command.form === id);
      const needs = before.slice(-1).map((one) => one.id);
      void post({ kind: 'edits', form: id, id: ulid(), base: base.current, edits, said }, needs);
      drawWaiting();
    },
    [drawWaiting, id],
  );

  // What was made without this page hearing of it is asked for before anything is taken back.
  const isBehind = score.version > done.known;
  const [isUnaccounted, setUnaccounted] = useState(false);
  useEffect(() => {
    if (!isBehind || queue.length > 0) return;
    let isHere = true;
    void ask(api.GET('/api/forms/{form}/versions', { params: { path: { form: id } } })).then(
      (versions) => {
        const mine = versions.filter((one) => one.isMine).map((one) => one.number);
        if (!isHere) return;
        setDone((all) => accounted(all, mine, score.version));
        setUnaccounted(false);
      },
      // It is asked again with the network; until then nothing is taken back out of turn, and that is said.
      () => {
        if (isHere) setUnaccounted(true);
      },
    );
    return () => {
      isHere = false;
    };
  }, [id, isBehind, link, queue.length, score.version]);

  /** Steps that were asked for, one after the other: three quick presses take back three changes. */
  const wanted = useRef<Way[]>([]);
  const doneNow = useRef(done);
  useEffect(() => {
    doneNow.current = done;
  }, [done]);
  const step = useCallback(
    async (way: Way) => {
      wanted.current.push(way);
      if (isBusy.current) return;
      isBusy.current = true;
      setStepping(true);
      try {
        for (let next = wanted.current.shift(); next !== undefined; next = wanted.current.shift()) {
          const version = doneNow.current[next].at(-1);
          if (version === undefined) break;
          const put = (change: (all: Done) => Done) => {
            doneNow.current = change(doneNow.current);
            setDone(doneNow.current);
          };
          try {
            const answer = await ask(
              api.POST('/api/forms/{form}/take-back', { params: { path: { form: id } }, body: { version } }),
            );
            const back = next === 'undo' ? 'redo' : 'undo';
            const from = next;
            put((all) => ({
              ...all,
              [from]: all[from].slice(0, -1),
              [back]: [...all[back], answer.score.version],
              known: answer.score.version,
            }));
            take(answer, []);
            tell(t(next === 'undo' ? 'score.takenBack' : 'score.doneAgain'));
          } catch (error) {
            const from = next;
            if (error instanceof Problem) put((all) => ({ ...all, [from]: all[from].slice(0, -1) }));
            tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
            break; // what was asked for after it rested on it
          }
        }
        void readAgain('score');
      } finally {
        wanted.current = [];
        isBusy.current = false;
        setStepping(false);
      }
    },
    [id, t, take, tell],
  );

  /** After a conflict: what is there now is read; what was about to be saved is dropped, or made on top of it. */
  const settle = useCallback(
    async (isAgain: boolean) => {
      try {
        const now = await readForm(id);
        const [clash] = refusedOf(id);
        take(now, []);
        setConflict(null);
        if (clash !== undefined) {
          if (isAgain) await putInstead(clash.id, [{ ...clash.command, id: ulid(), base: now.score.version }]);
          else {
            heard.current.add(clash.id);
            await letGo(clash.id);
          }
        }
        drawWaiting(clash?.id);
      } catch (error) {
        tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
      }
    },
    [drawWaiting, id, t, take, tell],
  );

  const rows = useMemo<Row[]>(
    () => queue.reduce((so, batch) => batch.edits.reduce((rest, one) => foreseen(rest, one, score.columns), so), score.rows),
    [queue, score],
  );

  /** What would be saved if one left now what is being typed: kept for a page that is reloaded in the middle of it. */
  const typing = useCallback(
    (edits: Edit[] | null) => {
      if (edits === null) dropDraft(`score.${id}.typing`);
      else keepDraft(`score.${id}.typing`, edits);
    },
    [id],
  );
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    const left = readDraft<Edit[]>(`score.${id}.typing`);
    dropDraft(`score.${id}.typing`);
    if (left !== null) edit(left);
  }, [edit, id]);

  const canStep = queue.length === 0 && !isBehind;
  return {
    score,
    form,
    rows,
    edit,
    saving: savingOf(queue.length > 0 || isStepping, link),
    refused,
    conflict,
    settle,
    typing,
    /** Whether nothing can be taken back because the server cannot be asked what was made meanwhile. */
    cannotStep: isBehind && isUnaccounted,
    undo: canStep && done.undo.length > 0 ? () => void step('undo') : null,
    redo: canStep && done.redo.length > 0 ? () => void step('redo') : null,
  };
}
export type Scoring = ReturnType<typeof useScore>;

function savingOf(isUnsaved: boolean, link: Link): Saving {
  if (!isUnsaved) return 'saved';
  if (link === 'fine') return 'saving';
  return link === 'signedOut' ? 'signedOut' : 'offline';
}
