import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { MeetingPage } from '../../api/client';
import { onOutcome, post } from '../../api/outbox';
import { meetingQuery } from '../../api/queries';
import { useTell } from '../../kit/toasts';

export interface Presence {
  isHere: (student: string) => boolean;
  note: (student: string, isHere: boolean) => void;
}

/** Who is at a meeting: everyone, until said otherwise. What is said here holds before the server has answered. */
export function usePresence(page: MeetingPage): Presence {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  const [noted, setNoted] = useState<Record<string, boolean>>({});
  const { id } = page.meeting;

  useEffect(
    () =>
      onOutcome((parcel, outcome) => {
        if (!parcel.id.startsWith(`here/${id}/`)) return;
        if (outcome.kind === 'refused') {
          setNoted({});
          tell(t('meeting.refused', { message: outcome.problem.message }), { isProblem: true });
        }
        if (outcome.kind === 'sent') void client.invalidateQueries({ queryKey: meetingQuery(id).queryKey });
      }),
    [id, client, tell, t],
  );

  return {
    isHere: (student) => noted[student] ?? page.present[student] ?? true,
    note(student, isHere) {
      setNoted((all) => ({ ...all, [student]: isHere }));
      void post({
        id: `here/${id}/${student}`,
        method: 'PUT',
        url: `/api/meetings/${id}/attendance`,
        body: { present: { [student]: isHere } },
      });
    },
  };
}
