import type { Say } from '../../messages';
import { useTranslation } from '../../messages';
import type { Form, TermEnd, TermEndCourse } from '../../api/client';
import { ButtonLink } from '../../kit/controls';
import { list, number } from '../../kit/format';
import { Heading } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { LetterText } from './LetterText';
import type { LetterWords } from './letterText';
import { useLetter } from './useLetter';
import { useLetterWords } from './useLetterWords';

/** One page for the group, nobody named; and what goes along into the next term. */
export function GroupPage({ end, forms }: { end: TermEnd; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const tell = useTell();
  const words = useLetterWords(end, forms);
  const proposed = groupText(end, words, t);
  const writing = useLetter(end.term.id, null, end.groupLetter, proposed, {
    onKept: () => {
      tell(t('letters.group.kept'));
    },
  });
  return (
    <>
      <div className="no-print grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_22rem]">
        <section aria-label={t('letters.group.title', { group: end.term.groupName })}>
          <Heading>{t('letters.group.title', { group: end.term.groupName })}</Heading>
          <p className="mb-2 text-sm text-soft">{end.groupLetter === null && !writing.isTyped ? t('letters.fromRecord') : ''}</p>
          <LetterText writing={writing} proposed={proposed} label={t('letters.group.text')} />
        </section>
        <section aria-label={t('letters.group.carries')}>
          <Heading>{t('letters.group.carries')}</Heading>
          {end.courses.map((one) => (
            <Carried key={one.courseId} course={one} words={words} />
          ))}
          <ButtonLink className="mt-4" to={`/terms/new?after=${end.term.id}`}>
            {t('letters.group.lay')}
          </ButtonLink>
        </section>
      </div>
      <article className="letters letter hidden whitespace-pre-wrap print:block">{writing.text}</article>
    </>
  );
}

/** What of a form goes along into the next term. */
export function Carried({ course, words }: { course: TermEndCourse; words: Pick<LetterWords, 'passages'> }) {
  const { t } = useTranslation();
  const { courseId, title, next, taught, movements, more, written } = course;
  return (
    <div className="mt-2">
      <p>
        {next === null
          ? t('letters.group.carriesAll', { form: title })
          : t('letters.group.carriesNext', { form: title, next: words.passages(courseId, [next]), taught, movements })}
      </p>
      {more.length === 0 ? null : (
        <p className="text-soft">{t('letters.group.carriesMore', { passages: words.passages(courseId, more) })}</p>
      )}
      {written === 0 ? null : <p className="text-soft">{t('letters.group.carriesWritten', { count: written })}</p>}
    </div>
  );
}

/** The page of the group out of the record. */
function groupText(end: TermEnd, words: LetterWords, t: Say): string {
  const came = end.students.reduce((sum, one) => sum + one.came, 0) / Math.max(end.classes, 1);
  const inForm = ({ courseId, title: form, firm, more, next, taught, movements, holding }: TermEndCourse) =>
    taught === 0
      ? ''
      : [
          firm.length === 0
            ? t('letters.group.firmNone', { form })
            : t('letters.group.firm', { form, passages: words.passages(courseId, firm) }),
          more.length === 0 ? '' : t('letters.group.more', { passages: words.passages(courseId, more) }),
          words.hasNumbers ? t('letters.group.numbers', { taught, movements, holding: number(holding, 1) }) : '',
          next === null ? t('letters.group.all') : t('letters.group.next', { passages: words.passages(courseId, [next]) }),
        ]
          .filter((one) => one !== '')
          .join(' ');
  return [
    t('letters.group.greeting', { group: end.term.groupName, term: end.term.title }),
    words.hasNumbers && end.classes > 0
      ? t('letters.group.metNumbers', { count: end.classes, came: number(came, 1) })
      : t('letters.group.met', { count: end.classes }),
    ...end.courses.map(inForm),
    [
      end.keeps.length === 0 ? '' : t('letters.group.keeps', { titles: list(end.keeps) }),
      end.carry === null ? '' : t('letters.group.carry', { title: end.carry }),
    ]
      .filter((one) => one !== '')
      .join(' '),
  ]
    .filter((one) => one !== '')
    .join('\n\n');
}
