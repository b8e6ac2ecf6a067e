import { nowText } from '../../api/clock';
import { useRef } from 'react';
import { useTranslation } from '../../messages';
import { ulid } from 'ulid';
import type { ClassLog } from '../../api/client';
import { letGo, outbox, post } from '../../api/outbox';
import { useTell } from '../../kit/toasts';
import { needsGuest } from './usePresence';

interface Logs {
  /** Keeps what the class did hold; it is sent when the server can be reached. `instead` is a refused one it takes up. */
  keep: (log: ClassLog, instead?: string | null) => void;
  takeBack: (log: string) => void;
}

/** For so long after it is the same press the second half of a double click, milliseconds. */
const DOUBLE_CLICK = 250;

/** The log of one class, kept and taken back. */
export function useLogs(meeting: string): Logs {
  const { t } = useTranslation();
  const tell = useTell();
  const last = useRef(-Infinity);
  // The button that logs and the one that takes it back stand in one place: a double click is one of them, not both.
  const isDouble = (): boolean => {
    const since = performance.now() - last.current;
    if (since >= DOUBLE_CLICK) last.current = performance.now();
    return since < DOUBLE_CLICK;
  };
  const takeBack = (log: string) => {
    if (isDouble()) return;
    const needs = outbox()
      .kept.filter(({ command }) => command.kind === 'log' && command.log.id === log)
      .map((one) => one.id);
    void post({ kind: 'withdrawals', meeting, what: 'log', withdrawals: [{ id: ulid(), of: log, at: nowText() }] }, needs);
    tell(t('meeting.logBackDone'));
  };
  return {
    keep(log, instead = null) {
      if (isDouble()) return;
      void post(
        { kind: 'log', meeting, log },
        (log.guests ?? []).flatMap((guest) => needsGuest(guest.id)),
      );
      if (instead !== null) void letGo(instead);
      tell(t(outbox().link === 'fine' ? 'meeting.logDone' : 'meeting.logKept'), {
        takeBack: () => {
          takeBack(log.id);
        },
      });
    },
    takeBack,
  };
}
