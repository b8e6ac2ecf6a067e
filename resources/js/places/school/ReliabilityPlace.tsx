import { useMutation, useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, Problem, type Reliability, type ReliabilityPage } from '../../api/client';
import { reliabilityQuery, sessionQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button } from '../../kit/controls';
import { number, share } from '../../kit/format';
import { Why } from '../../kit/Why';
import { Asked, Empty, Heading } from '../../kit/page';
import { useWanted, wantedPart } from '../../kit/wanted';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { SchoolPages } from './SchoolPages';

// Charts are heavy: they come when one is looked at.
const diagram = wantedPart(async () => (await import('../../pictures/ReliabilityDiagram')).ReliabilityDiagram);

/** Fewer looks than this say little. */
const FEW = 50;
/** So many points off are as good as right. */
const RIGHT = 2;
const percent = (share: number | null): number => Math.round(100 * (share ?? 0));

/** Whether what Gorvan said came true, in words, as a diagram and as a table; and another reading, where one fits better. */
export function ReliabilityPlace() {
  const { t } = useTranslation();
  const query = useQuery(reliabilityQuery);
  const Diagram = useWanted(diagram, true);
  return (
    <SchoolPages>
      <Asked query={query}>
        {(data) =>
          data.school === null ? (
            <p role="status" className="text-soft">
              {t('school.forecast.measuring')}
            </p>
          ) : data.school.tests === 0 ? (
            <Empty title={t('school.forecast.none')} hint={t('school.forecast.noneHint')} />
          ) : (
            <>
              {data.isBeingMeasured ? (
                <p role="status" className="text-soft">
                  {t('school.forecast.measuring')}
                </p>
              ) : null}
              <p className="max-w-3xl text-soft">{t('school.forecast.hint')}</p>
              <Told of={data.school} />
              <Heading>{t('school.forecast.diagram')}</Heading>
              <div className="min-h-80">{Diagram === null ? null : <Diagram of={data.school} />}</div>
              <Tenths of={data.school} />
              <Groups of={data} />
              <Factor of={data} now={data.school} />
            </>
          )
        }
      </Asked>
    </SchoolPages>
  );
}

/** What the forecasts came to, in words: the tenth in which most was said first. */
function Told({ of }: { of: Reliability }) {
  const { t } = useTranslation();
  const most = of.tenths.reduce((best, one) => (one.tests > best.tests ? one : best), of.tenths[0] ?? NONE);
  const points = percent(of.predicted) - percent(of.observed);
  const verdict = Math.abs(points) <= RIGHT ? 'right' : points > 0 ? 'high' : 'low';
  return (
    <div className="my-4">
      <p className="font-serif text-2xl">
        {t('school.forecast.headline', { said: percent(most.predicted), could: percent(most.observed) })}
      </p>
      <p className="mt-1">
        {t('school.forecast.on', { count: of.tests, said: percent(of.predicted), could: percent(of.observed) })}{' '}
        {t(`school.forecast.${verdict}`, { points: Math.abs(points) })} {of.tests < FEW ? t('school.forecast.few') : ''}{' '}
        <Why about={t('school.forecast.scoresAbout')}>
          <p>{t('school.forecast.scores', { brier: number(of.brier ?? 0, 3), logLoss: number(of.logLoss ?? 0, 3) })}</p>
        </Why>
      </p>
    </div>
  );
}

const NONE = { tenth: 0, tests: 0, predicted: 0, observed: 0 };

function Tenths({ of }: { of: Reliability }) {
  const { t } = useTranslation();
  const heads = [t('school.forecast.tenth'), t('school.forecast.looks'), t('school.forecast.said'), t('school.forecast.could')];
  return (
    <table className="mt-2 border-collapse">
      <caption className="sr-only">{t('school.forecast.diagram')}</caption>
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col" className="border-b border-ink pr-8 text-left text-sm font-medium">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {of.tenths.map((one) => (
          <tr key={one.tenth} className="border-b border-line tabular-nums">
            <th scope="row" className="pr-8 text-left font-normal">
              {t('school.forecast.row', { from: 10 * one.tenth, to: 10 * one.tenth + 10 })}
            </th>
            <td className="pr-8">{one.tests}</td>
            <td className="pr-8">{share(one.predicted)}</td>
            <td className="pr-8">{share(one.observed)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Groups({ of }: { of: ReliabilityPage }) {
  const { t } = useTranslation();
  return (
    <>
      <Heading>{t('school.forecast.groups')}</Heading>
      <ul className="m-0 list-none p-0">
        {of.groups.map((group) => (
          <li key={group.id} className="border-b border-line py-1.5">
            {group.of.tests === 0
              ? t('school.forecast.groupNone', { group: group.name })
              : [
                  t('school.forecast.group', {
                    group: group.name,
                    said: percent(group.of.predicted),
                    could: percent(group.of.observed),
                  }),
                  t('school.forecast.groupMore', { count: group.of.tests }),
                  t('school.forecast.brier', { value: number(group.of.brier ?? 0, 3) }),
                  t('school.forecast.logLoss', { value: number(group.of.logLoss ?? 0, 3) }),
                ].join(' · ')}
          </li>
        ))}
      </ul>
    </>
  );
}

/** The factor that fits best, what it would change, and taking it or leaving it. */
function Factor({ of, now }: { of: ReliabilityPage; now: Reliability }) {
  const { t } = useTranslation();
  const tell = useTell();
  const mayAdopt = (useQuery(sessionQuery).data?.person?.may ?? []).includes('run-school');
  const { change } = of;
  const isNew = change !== null && of.adopted?.toFixed(3) !== change.factor.toFixed(3);
  const adopt = useMutation({
    mutationFn: ({ to }: { to: number | null; from: number | null }) =>
      ask(api.PUT('/api/school/forecast/factor', { body: { factor: to } })),
    onSuccess: async (_, { to, from }) => {
      await readAgain('factor');
      tell(to === null ? t('school.forecast.dropped') : t('school.forecast.done', { factor: number(to, 2) }), {
        takeBack: () => {
          adopt.mutate({ to: from, from: to });
        },
      });
    },
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  const once = useOnce(adopt);
  const take = (to: number | null) => {
    once({ to, from: of.adopted });
  };
  return (
    <section aria-label={t('school.forecast.factor')}>
      <Heading>{t('school.forecast.factor')}</Heading>
      <p className="max-w-3xl text-soft">{t('school.forecast.factorHint')}</p>
      {of.adopted === null ? null : (
        <p className="mt-2">
          <strong>{t('school.forecast.adopted', { factor: number(of.adopted, 2) })}</strong>{' '}
          {mayAdopt ? (
            <Button
              className="ml-2"
              disabled={adopt.isPending}
              onClick={() => {
                take(null);
              }}
            >
              {t('school.forecast.drop')}
            </Button>
          ) : null}
        </p>
      )}
      {change === null ? (
        <p className="mt-2">{t('school.forecast.tooFew', { enough: of.enough, count: now.tests })}</p>
      ) : !isNew ? (
        <p className="mt-2">{t('school.forecast.same')}</p>
      ) : (
        <>
          <p className="mt-2">
            {t('school.forecast.offered', { factor: number(change.factor, 2), times: number(change.factor, 2) })}
          </p>
          <h3 className="mt-3 text-lg">{t('school.forecast.what')}</h3>
          <ul className="m-0 list-none p-0">
            <li>{t('school.forecast.holds', { before: change.holdsBefore, after: change.holdsAfter })}</li>
            <li>
              {t('school.forecast.loss', {
                before: number(now.logLoss ?? 0, 3),
                after: number(change.after.logLoss ?? 0, 3),
                brierBefore: number(now.brier ?? 0, 3),
                brierAfter: number(change.after.brier ?? 0, 3),
              })}
            </li>
          </ul>
          {mayAdopt ? (
            <Button
              look="primary"
              className="mt-3"
              disabled={adopt.isPending}
              onClick={() => {
                take(change.factor);
              }}
            >
              {t('school.forecast.adopt', { factor: number(change.factor, 2) })}
            </Button>
          ) : (
            <p className="mt-2 text-soft">{t('school.forecast.mayNot')}</p>
          )}
        </>
      )}
    </section>
  );
}
