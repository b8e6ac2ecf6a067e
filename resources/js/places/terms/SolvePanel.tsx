import { useMutation, useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type Course, Problem, type Question, type Term } from '../../api/client';
import { questionsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button } from '../../kit/controls';
import { day, number } from '../../kit/format';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';

const KINDS = ['furthest', 'meetings', 'minutes', 'pace'] as const;
type Kind = (typeof KINDS)[number];

/** How far the course comes, and what it would need: worked out in the background, and taken over with one press. */
export function SolvePanel({ term, course }: { term: Term; course: Course }) {
  const { t } = useTranslation();
  const tell = useTell();
  const questions = useQuery(questionsQuery(term.term.id));
  const fail = (error: unknown) => {
    tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
  };
  const asked = useAsOne();
  const taken = useAsOne();
  const pose = useMutation({
    mutationFn: (kind: Kind) => {
      const body = { kind, course: course.id };
      return ask(
        api.POST('/api/terms/{term}/questions', { params: { path: { term: term.term.id }, header: asked.asOne(body) }, body }),
      );
    },
    onSuccess: () => {
      asked.made();
      return readAgain('plan');
    },
    onError: fail,
  });
  const take = useMutation({
    mutationFn: (question: string) =>
      ask(
        api.POST('/api/plan-questions/{question}/take-over', {
          params: { path: { question }, header: taken.asOne(question) },
          body: {},
        }),
      ),
    onSuccess: async () => {
      taken.made();
      await readAgain('plan');
      tell(t('terms.changed'));
    },
    onError: fail,
  });
  const send = useOnce(pose);
  const takeOnce = useOnce(take);
  const latest = (kind: Kind) =>
    questions.data?.find((one) => one.kind === kind && !one.isOld && one.question.course === course.id);
  return (
    <section aria-label={t('terms.solve')} className="no-print">
      <h2 className="mt-6 mb-2 text-xl">{t('terms.solve')}</h2>
      <ul className="m-0 flex list-none flex-col gap-2 p-0">
        {KINDS.map((kind) => {
          const question = latest(kind);
          const can = question?.state === 'done' && canTake(question);
          return (
            <li key={kind} className="flex flex-wrap items-center gap-3">
              <Button
                disabled={pose.isPending || question?.state === 'waiting' || question?.state === 'running'}
                onClick={() => {
                  send(kind);
                }}
              >
                {t(
                  kind === 'furthest'
                    ? course.showingOn === null
                      ? 'terms.solveFurthestEnd'
                      : 'terms.solveFurthest'
                    : kind === 'meetings'
                      ? 'terms.solveMeetings'
                      : kind === 'pace'
                        ? 'terms.solvePace'
                        : 'terms.solveMinutes',
                )}
              </Button>
              {question ? (
                <span role="status">
                  <AnswerWords question={question} course={course} />
                </span>
              ) : null}
              {can ? (
                <Button
                  look="primary"
                  disabled={take.isPending}
                  onClick={() => {
                    takeOnce(question.id);
                  }}
                >
                  {t('terms.takeOver')}
                </Button>
              ) : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const answerOf = (question: Question) =>
  (question.answer ?? {}) as { to?: number | null; days?: string[] | null; minutes?: number | null; movements?: number | null };

function canTake(question: Question): boolean {
  const { to, days, minutes, movements } = answerOf(question);
  if (question.kind === 'pace') return typeof movements === 'number';
  return (typeof to === 'number' && to > 0) || (days?.length ?? 0) > 0 || (minutes ?? 0) > 0;
}

function AnswerWords({ question, course }: { question: Question; course: Course }) {
  const { t } = useTranslation();
  const { to, days, minutes, movements } = answerOf(question);
  if (question.state === 'failed') return t('terms.answerFailed');
  if (question.state !== 'done') return t('terms.answerWorking', { percent: question.progress });
  switch (question.kind) {
    case 'furthest':
      return typeof to === 'number'
        ? t('terms.answerFurthest', { title: course.form.entries[to - 1]?.title ?? '' })
        : t('terms.answerFurthestNone');
    case 'meetings':
      return days == null
        ? t('terms.answerMeetingsNone')
        : days.length === 0
          ? t('terms.answerEnough')
          : t('terms.answerMeetings', { count: days.length, days: days.map((one) => day(one, 'weekday')).join(', ') });
    case 'pace':
      return movements == null ? t('terms.answerPaceNone') : t('terms.answerPace', { movements: number(movements, 1) });
    default:
      return minutes == null
        ? t('terms.answerMinutesNone')
        : minutes === 0
          ? t('terms.answerEnough')
          : t('terms.answerMinutes', { count: minutes });
  }
}
