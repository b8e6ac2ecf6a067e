import type { Group, Student } from '../../api/client';
import { number } from '../../kit/format';
import { Fold } from '../../kit/Fold';
import { Heading } from '../../kit/page';
import { Why } from '../../kit/Why';
import { useTranslation } from '../../messages';
import { isSupport } from '../../pictures/reed';

interface Props {
  data: Group;
  /** In the order they are shown in. */
  students: Student[];
  /** Positions as the numbers a teacher says. */
  numbers: (positions: number[]) => string;
}

/** So many are shown at once; more are folded away under their count. */
const FEW = 8;

/**
 * Where everyone in a group stands, a row each with the reason beside it. Where a lesson comes next, those who are not yet
 * ready for it come first, then those to look at first, then those who are ready: three answers, never two.
 */
export function Where({ data, students, numbers }: Props) {
  const { t } = useTranslation();
  const next = data.nextLesson;
  const of = (answer: Student['ready']) => students.filter((one) => one.ready === answer);
  const holds = (
    <Why about={t('groups.holdsAbout')}>
      <p>{t('groups.whatHolds')}</p>
    </Why>
  );
  if (next === null || students.every((one) => one.ready === null))
    return (
      <section aria-label={t('groups.detail')}>
        <Heading
          aside={
            next !== null
              ? undefined
              : data.lessonsLeft === null
                ? t('groups.noNext')
                : t('groups.noNextLeft', { count: data.lessonsLeft })
          }
        >
          {t('groups.detail')} {holds}
        </Heading>
        <Rows students={students} numbers={numbers} />
      </section>
    );
  const [ready, look, notYet] = [of('ready'), of('look'), of('not_yet')];
  return (
    <section aria-label={t('groups.detail')}>
      <p>
        {notYet.length + look.length === 0
          ? t('groups.readyAll', { number: next })
          : t('groups.counts', { ready: ready.length, look: look.length, notYet: notYet.length })}{' '}
        {holds}
      </p>
      {[
        { title: t('groups.notReadyTitle', { number: next }), who: notYet },
        { title: t('groups.lookTitle', { number: next }), who: look },
        { title: t('groups.readyTitle', { number: next }), who: ready },
      ].map(({ title, who }) =>
        who.length === 0 ? null : (
          <Fold
            key={title}
            isHeading
            look="heading"
            isOpen={who.length <= FEW}
            title={
              <>
                {title}{' '}
                <span className="font-sans text-base font-normal text-soft">
                  · {t('groups.ofThem', { count: who.length, of: students.length })}
                </span>
              </>
            }
          >
            <Rows students={who} numbers={numbers} />
          </Fold>
        ),
      )}
      {notYet.length + look.length === 0 ? null : <p className="mt-1 text-sm text-soft">{t('groups.whyHint')}</p>}
    </section>
  );
}

function Rows({ students, numbers }: Pick<Props, 'students' | 'numbers'>) {
  const { t } = useTranslation();
  return (
    <ul className="m-0 list-none p-0">
      {students.map((student) => (
        <li key={student.id} className="grid gap-x-6 border-b border-line py-2 md:grid-cols-[9rem_16rem_1fr]">
          <strong className="font-medium break-words">{student.name}</strong>
          <span>
            {[
              ...(student.frontier === null ? [] : [t('groups.frontier', { number: numbers([student.frontier]) })]),
              t('groups.holds', { count: student.holding }),
              ...(student.frontier === null && student.holding > 0 ? [t('groups.noFrontier')] : []),
            ].join(' · ')}
          </span>
          <Reason student={student} numbers={numbers} />
        </li>
      ))}
    </ul>
  );
}

/** What is missing for the next lesson, and what else is behind. */
function Reason({ student, numbers }: { student: Student; numbers: (positions: number[]) => string }) {
  const { t } = useTranslation();
  const alike = new Map<string, number[]>(); // what is known of an entry => the entries it is known of
  for (const { position, reason, support, recall: chance } of student.why) {
    // Whoever still follows was last seen so.
    const seen =
      support !== null && isSupport(support) && reason !== 'following'
        ? t('groups.lastSeen', { support: t(`support.${support}`) })
        : null;
    const sure = chance === null ? null : t('groups.recallIs', { percent: number(100 * chance, 0) });
    const known = [t(`groups.reasons.${reason}`), seen, sure].filter(Boolean).join(', ');
    alike.set(known, [...(alike.get(known) ?? []), position]);
  }
  const said = new Set(student.why.map((one) => one.position));
  const others = (positions: number[]) => positions.filter((one) => !said.has(one));
  const missed = others(student.missed);
  // What was missed is said as that, and not as unsure besides.
  const unsure = (some: number[]) => others(some).filter((one) => !missed.includes(one));
  const [holes, behind] = [unsure(student.holes), unsure(student.behind)];
  const parts = [
    ...[...alike].map(([known, positions]) => `${numbers(positions)} ${known}`),
    ...(holes.length > 0 ? [t('groups.holes', { entries: numbers(holes) })] : []),
    ...(behind.length > 0 ? [t('groups.behind', { entries: numbers(behind) })] : []),
    ...(missed.length > 0 ? [t('groups.missed', { entries: numbers(missed) })] : []),
  ];
  return <span className="text-soft">{parts.length === 0 ? t('groups.noReason') : parts.join(' · ')}</span>;
}
