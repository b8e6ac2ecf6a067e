import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { onOutcome } from '../api/outbox';
import { useTell } from '../kit/toasts';

/**
 * What was kept on the device may arrive, or be refused, when its page has long been left: whatever page is open then
 * says the refusal, and shows standings that have it.
 */
export function useOutboxNews(): void {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  useEffect(
    () =>
      onOutcome((_, outcome) => {
        if (outcome.kind === 'refused') tell(t('meeting.refused', { message: outcome.problem.message }), { isProblem: true });
        if (outcome.kind !== 'sent') return;
        for (const key of ['group', 'today']) void client.invalidateQueries({ queryKey: [key] });
        // A class that is open takes the answer itself; any other is read again when it is opened.
        void client.invalidateQueries({ queryKey: ['meeting'], refetchType: 'none' });
      }),
    [client, tell, t],
  );
}
