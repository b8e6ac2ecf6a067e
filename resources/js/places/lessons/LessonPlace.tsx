import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { Link, useParams, useSearchParams } from '../../kit/router';
import type { Form, LessonPage } from '../../api/client';
import { formQuery, lessonQuery } from '../../api/queries';
import { Button, PrintButton, TextLink } from '../../kit/controls';
import { duration, number } from '../../kit/format';
import { Asked, Page } from '../../kit/page';
import { useMay } from '../../kit/useMay';
import { usePassageWords } from '../meeting/PlanList';
import { ChangedSince } from './ChangedSince';
import { wholeMinutes, type WrittenLesson } from './lesson';
import { LessonEditor } from './LessonEditor';
import { LessonSheet } from './LessonSheet';
import { UseAgain } from './UseAgain';

/** One lesson: all that the form says of it, and what the teacher wrote, on a page that is one sheet on paper. */
export function LessonPlace() {
  const { form = '', number: which = '' } = useParams();
  const course = useSearchParams()[0].get('course');
  const score = useQuery(formQuery(form, course));
  const lesson = useQuery(lessonQuery(form, which, course));
  return (
    <Asked query={score}>
      {(data) => (
        <Asked query={lesson}>{(page) => <Lesson key={which} form={data} page={page} course={course} which={which} />}</Asked>
      )}
    </Asked>
  );
}

/** A unit of new work takes so many minutes where no group has shown its own pace. */
const USUAL_MINUTES = 8;

interface Props {
  form: Form;
  page: LessonPage;
  course: string | null;
  which: string;
}

function Lesson({ form, page, course, which }: Props) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const may = useMay();
  const [isWriting, setWriting] = useState(false);
  const written = page.lesson as unknown as WrittenLesson;
  const first = page.entries[0]?.position;
  const last = page.entries.at(-1)?.position;
  const title =
    written.title ?? (page.number === null ? t('lessons.page.writtenTitle') : t('lessons.page.title', { number: page.number }));
  const to = (next: number) => `/forms/${form.id}/lessons/${String(next)}${course === null ? '' : `?course=${course}`}`;
  const lesson = form.lessons.find((one) => one.number === page.number);
  const minutes = lesson?.rounds.find((round) => round.kind === 'new')?.minutes ?? wholeMinutes((page.load ?? 0) * USUAL_MINUTES);
  return (
    <Page
      title={title}
      kicker={
        <>
          <Link className="underline underline-offset-4" to={`/forms/${form.id}`}>
            {form.title}
          </Link>
          {first === undefined || last === undefined ? null : <> · {words.whole({ from: first, to: last })}</>} ·{' '}
          {t(`lessons.page.kinds.${written.kind}`)} ·{' '}
          {t('lessons.page.size', { minutes: number(minutes, 0), time: duration(page.seconds) })}
          {form.lessonsOf === null ? null : ` · ${t('lessons.page.of', { group: form.lessonsOf })}`}
        </>
      }
      actions={
        <>
          {may('edit-forms') ? (
            <Button
              aria-expanded={isWriting}
              onClick={() => {
                setWriting(!isWriting);
              }}
            >
              {t('lessons.page.write')}
            </Button>
          ) : null}
          <PrintButton />
        </>
      }
    >
      <ChangedSince form={form} page={page} course={course} which={which} />
      {isWriting ? (
        <LessonEditor
          form={form}
          page={page}
          course={course}
          which={which}
          onClose={() => {
            setWriting(false);
          }}
        />
      ) : null}
      <LessonSheet form={form} page={page} written={written} />
      <nav className="no-print mt-6 flex flex-wrap items-center gap-x-6 gap-y-2" aria-label={t('lessons.page.all')}>
        {page.number !== null && form.lessons.some((one) => one.number === (page.number ?? 0) - 1) ? (
          <TextLink isAlone to={to(page.number - 1)}>
            ← {t('lessons.page.earlier')}
          </TextLink>
        ) : null}
        {page.number !== null && form.lessons.some((one) => one.number === (page.number ?? 0) + 1) ? (
          <TextLink isAlone to={to(page.number + 1)}>
            {t('lessons.page.later')} →
          </TextLink>
        ) : null}
        {may('edit-forms') && page.version > 0 ? <UseAgain form={form} written={written} course={course} /> : null}
      </nav>
    </Page>
  );
}
