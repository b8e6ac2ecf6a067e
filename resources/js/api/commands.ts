import type { Edit } from '../places/score/edits';
import type { AttendanceNote, ClassLog, Mark } from './client';

/** What a person does that the server is to know, however long that takes. */
export type Command =
  | { kind: 'marks'; meeting: string; marks: Mark[] }
  | { kind: 'withdrawals'; meeting: string; what: 'marks' | 'log'; withdrawals: { id: string; of: string; at: string }[] }
  | { kind: 'attendance'; meeting: string; student: string; note: AttendanceNote & { at: string } }
  | { kind: 'guest'; meeting: string; id: string; name: string; isFirstTime: boolean; at: string }
  | { kind: 'log'; meeting: string; log: ClassLog }
  | EditsCommand;

/** Edits of a score, made on one of its versions: all of them are made, or none. */
export interface EditsCommand {
  kind: 'edits';
  form: string;
  /** Made here: sent twice, they are made once. */
  id: string;
  base: number;
  edits: Edit[];
  /** What is said when they are made. */
  said: string | null;
}

/** Why the server did not take it, so that a person can decide. */
export interface Refusal {
  status: number;
  code: string;
  message: string;
}

/** A command as it is kept in this browser until the server has answered it. */
export interface Kept {
  id: string;
  person: string;
  /** Commands of one key take each other's place: of who is here only the last word counts. */
  key: string;
  /** Grows when another takes its place: only the revision that was sent is done with when it arrives. */
  revision: number;
  /** In this order they are sent. */
  order: number;
  /** Commands that must have arrived before: a guest before the guest's marks. */
  needs: string[];
  command: Command;
  refusal: Refusal | null;
  /** Was it said not to be there, or not allowed, though it was when this was done: since when it is asked again, and when next; ms. */
  again?: { since: number; next: number };
}

interface Wire {
  method: 'POST' | 'PUT';
  url: string;
  body: unknown;
}

/** How a command goes to the server. */
export function wire(command: Command): Wire {
  switch (command.kind) {
    case 'marks':
      return {
        method: 'POST',
        url: `/api/meetings/${command.meeting}/marks`,
        body: {
          marks: command.marks.map(({ id, studentId, entryId, principleId, stepId, side, support, at }) => ({
            id,
            student: studentId,
            entry: entryId,
            principle: principleId,
            step: stepId,
            side,
            support,
            at,
          })),
        },
      };
    case 'withdrawals':
      return { method: 'POST', url: '/api/withdrawals', body: { withdrawals: command.withdrawals } };
    case 'attendance':
      return {
        method: 'PUT',
        url: `/api/meetings/${command.meeting}/attendance`,
        body: { attendance: { [command.student]: command.note } },
      };
    case 'guest': {
      const { id, name, isFirstTime, at } = command;
      return { method: 'POST', url: `/api/meetings/${command.meeting}/guests`, body: { id, name, isFirstTime, at } };
    }
    case 'log':
      return { method: 'POST', url: `/api/meetings/${command.meeting}/log`, body: command.log };
    case 'edits':
      return {
        method: 'POST',
        url: `/api/forms/${command.form}/edits`,
        body: { base: command.base, id: command.id, edits: command.edits },
      };
  }
}

/** What replaces an earlier word on the same thing; everything else stands for itself. */
export function keyOf(command: Command, id: string): string {
  return command.kind === 'attendance' ? `here/${command.meeting}/${command.student}` : id;
}
