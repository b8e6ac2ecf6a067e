import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useTranslation } from '../messages';
import { opened, type StudentAnswer } from '../api/cells';
import { onOutcome } from '../api/outbox';
import { meetingQuery } from '../api/queries';
import { readAgain } from '../api/touched';
import { withCommand } from '../api/shown';
import { useTell } from '../kit/toasts';

/**
 * What was kept on the device may arrive, or be refused, when its page has long been left: whatever page is open then
 * says the refusal, and every page that is kept has what arrived.
 */
export function useOutboxNews(): void {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  useEffect(
    () =>
      onOutcome((command, outcome) => {
        if (outcome.kind === 'refused') {
          if (command.kind === 'edits') return; // the score says it at its cell, and asks where somebody else was faster
          tell(t('outbox.refusedOne', { message: outcome.problem.message }), { isProblem: true });
          return;
        }
        if (command.kind === 'edits') {
          void readAgain('score');
          return;
        }
        const { queryKey } = meetingQuery(command.meeting);
        // What was asked before it arrived would answer as if it had not.
        void client.cancelQueries({ queryKey });
        const isLog = command.kind === 'log' || (command.kind === 'withdrawals' && command.what === 'log');
        const changed = command.kind === 'marks' ? (outcome.answer as StudentAnswer[]).map(opened) : [];
        client.setQueryData(queryKey, (old) => {
          if (old === undefined) return old;
          const now = withCommand(old, command);
          return {
            ...now,
            // Nobody says that nothing moved before it was looked at.
            term: isLog ? { ...now.term, isBeingPlanned: true } : now.term,
            students: now.students.map((student) => changed.find((one) => one.id === student.id) ?? student),
          };
        });
        void client.invalidateQueries({ queryKey, refetchType: isLog ? 'active' : 'none' });
        void readAgain(isLog ? 'log' : command.kind === 'withdrawals' ? 'unmarked' : command.kind);
      }),
    [client, tell, t],
  );
}
