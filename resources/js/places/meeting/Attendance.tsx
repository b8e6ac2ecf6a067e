import { useQueryClient } from '@tanstack/react-query';
import { Switch } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { MeetingPage } from '../../api/client';
import { onOutcome, post } from '../../api/outbox';
import { meetingQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { Empty } from '../../kit/page';
import { useTell } from '../../kit/toasts';

/** Who is here. Everyone is, until said otherwise. */
export function Attendance({ page }: { page: MeetingPage }) {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  const [noted, setNoted] = useState<Record<string, boolean>>({});
  const { meeting, students } = page;
  const isHere = (student: string) => noted[student] ?? page.present[student] ?? true;
  const here = students.filter((student) => isHere(student.id)).length;

  useEffect(
    () =>
      onOutcome((parcel, outcome) => {
        if (!parcel.id.startsWith(`here/${meeting.id}/`)) return;
        if (outcome.kind === 'refused') {
          setNoted({});
          tell(t('meeting.refused', { message: outcome.problem.message }), { isProblem: true });
        }
        if (outcome.kind === 'sent') void client.invalidateQueries({ queryKey: meetingQuery(meeting.id).queryKey });
      }),
    [meeting.id, client, tell, t],
  );

  if (students.length === 0) {
    return (
      <Empty title={t('meeting.noStudents')}>
        <ButtonLink look="primary" to={`/groups/${page.term.groupId}`}>
          {t('meeting.addStudents')}
        </ButtonLink>
      </Empty>
    );
  }
  return (
    <>
      <p className="mb-3">
        <strong>{t('meeting.hereCount', { here, of: students.length })}</strong>{' '}
        <span className="text-soft">{t(meeting.isHeld ? 'meeting.hereLocked' : 'meeting.hereHint')}</span>
      </p>
      <ul className="m-0 grid list-none gap-x-10 border-t border-line p-0 sm:grid-cols-2 xl:grid-cols-3">
        {students.map((student) => (
          <li key={student.id} className="border-b border-line">
            <label className="flex min-h-14 items-center justify-between gap-3 text-lg" htmlFor={`here-${student.id}`}>
              <span className={isHere(student.id) ? '' : 'text-soft line-through'}>{student.name}</span>
              <span className="flex items-center gap-3 text-sm text-soft">
                {t(isHere(student.id) ? 'meeting.present' : 'meeting.away')}
                <Switch.Root
                  id={`here-${student.id}`}
                  checked={isHere(student.id)}
                  disabled={meeting.isHeld}
                  onCheckedChange={(is) => {
                    setNoted({ ...noted, [student.id]: is });
                    void post({
                      id: `here/${meeting.id}/${student.id}`,
                      method: 'PUT',
                      url: `/api/meetings/${meeting.id}/attendance`,
                      body: { present: { [student.id]: is } },
                    });
                  }}
                  className="h-8 w-14 rounded border border-line bg-sheet p-[3px] data-[state=checked]:border-pine data-[state=checked]:bg-pine disabled:opacity-60"
                >
                  <Switch.Thumb className="block h-full w-6 rounded bg-soft data-[state=checked]:translate-x-[1.4rem] data-[state=checked]:bg-on-pine" />
                </Switch.Root>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
