import { Switch } from 'radix-ui';
import { useTranslation } from 'react-i18next';
import type { MeetingPage } from '../../api/client';
import { ButtonLink } from '../../kit/controls';
import { Empty } from '../../kit/page';
import type { Presence } from './usePresence';

/** Who is here. Everyone is, until said otherwise. */
export function Attendance({ page, presence }: { page: MeetingPage; presence: Presence }) {
  const { t } = useTranslation();
  const { meeting, students } = page;
  const { isHere } = presence;
  const here = students.filter((student) => isHere(student.id)).length;

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
                    presence.note(student.id, is);
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
