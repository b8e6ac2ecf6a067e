import { useTranslation } from '../../messages';
import { Tile } from '../../kit/touch';
import type { ClassPage, MeetingPage, Passage, Watch } from '../../api/client';
import type { PassageWords } from './PlanList';
import type { Marks } from './useMarks';
import type { Presence } from './usePresence';

interface Props {
  page: MeetingPage;
  /** How passages of the form in view are called. */
  words: PassageWords;
  courseId: string;
  tonight: ClassPage | null;
  presence: Presence;
  marks: Marks;
  onLook: (courseId: string, passage: Passage) => void;
}

/** Who is still to be looked at tonight: those shown, and the overdue beyond them. Pure. */
export function stillToWatch(
  tonight: ClassPage | null,
  isHere: (student: string) => boolean,
  wasSeen: (student: string) => boolean,
): { shown: Watch[]; overdue: Watch[] } {
  const open = (tonight?.watch ?? []).filter((one) => isHere(one.studentId) && !wasSeen(one.studentId));
  const most = tonight?.shown ?? 0;
  return { shown: open.slice(0, most), overdue: open.slice(most).filter((one) => one.why !== 'unsure') };
}

/** Whom to look at tonight, in what, and why; a mark takes one off. */
export function Watching({ page, words, courseId, tonight, presence, marks, onLook }: Props) {
  const { t } = useTranslation();
  const { shown, overdue } = stillToWatch(tonight, presence.isHere, marks.wasSeen);
  const name = (id: string) => page.students.find((student) => student.id === id)?.name ?? '';
  const isOfForm = (one: Watch) => one.courseId === courseId;
  const why = (one: Watch) =>
    one.why === 'back'
      ? t(one.recall === null ? 'watch.backNotMet' : 'watch.back', { count: one.away })
      : one.why === 'never_marked'
        ? t('watch.neverMarked')
        : one.why === 'long_unseen'
          ? t('watch.longUnseen', { count: one.since ?? 0 })
          : t('watch.unsure', { recall: Math.round(100 * (one.recall ?? 0)) });
  if (shown.length === 0) return null;
  return (
    <section aria-label={t('watch.title')} className="mb-2">
      <ul className="m-0 flex list-none items-center gap-2 overflow-x-auto p-0 pb-1">
        <li className="max-w-16 shrink-0 text-sm leading-tight font-semibold" aria-hidden="true">
          {t('watch.title')}
        </li>
        {shown.map((one) => (
          <li key={one.studentId} className="shrink-0">
            <Tile
              onClick={() => {
                onLook(one.courseId, one.passage);
              }}
              className={one.why === 'unsure' ? '!py-1' : '!border-l-4 !border-l-straw !py-1'}
            >
              <strong className="block font-medium">{name(one.studentId)}</strong>
              <span className="text-sm text-soft">
                {isOfForm(one)
                  ? words.numbers(one.passage)
                  : page.courses.find((course) => course.courseId === one.courseId)?.title}{' '}
                · {why(one)}
              </span>
            </Tile>
          </li>
        ))}
      </ul>
      {[
        ['watch.backToo', overdue.filter((one) => one.why === 'back')] as const,
        ['watch.also', overdue.filter((one) => one.why !== 'back')] as const,
      ].map(([key, some]) =>
        some.length === 0 ? null : (
          <p key={key} className="text-sm text-soft">
            {t(key, { names: some.map((one) => name(one.studentId)).join(', '), count: some.length })}
          </p>
        ),
      )}
    </section>
  );
}
