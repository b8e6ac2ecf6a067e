import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { MeetingPage } from '../../api/client';
import { onOutcome, post } from '../../api/outbox';
import { meetingQuery } from '../../api/queries';

export interface Presence {
  isHere: (student: string) => boolean;
  note: (student: string, isHere: boolean) => void;
}

/** Who is at a meeting: everyone, until said otherwise. What is said here holds before the server has answered. */
export function usePresence(page: MeetingPage): Presence {
  const client = useQueryClient();
  const [noted, setNoted] = useState<Record<string, boolean>>({});
  const { id } = page.meeting;

  useEffect(
    () =>
      onOutcome((parcel, outcome) => {
        if (!parcel.id.startsWith(`here/${id}/`)) return;
        if (outcome.kind === 'refused') setNoted({});
        if (outcome.kind === 'sent') void client.invalidateQueries({ queryKey: meetingQuery(id).queryKey });
      }),
    [id, client],
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
