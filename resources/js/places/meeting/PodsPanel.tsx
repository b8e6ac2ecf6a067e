import { TextLink } from '../../kit/controls';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import type { Form } from '../../api/client';
import { podsQuery } from './queries';
import { entryCall } from '../../kit/entryName';
import { Asked } from '../../kit/page';
import { Segmented } from '../../kit/Segmented';
import { Why } from '../../kit/Why';
import { useNeedWords } from '../students/useNeedWords';

/** Those who are here in pods, and what they have to catch up with: worked out when it is opened. */
export function PodsPanel({ meeting, form }: { meeting: string; form: Form }) {
  const { t } = useTranslation();
  return (
    <Fold look="heading" className="mt-6 border-t border-line" title={t('students.pods.open')}>
      <Pods meeting={meeting} form={form} />
    </Fold>
  );
}

function Pods({ meeting, form }: { meeting: string; form: Form }) {
  const { t } = useTranslation();
  const [count, setCount] = useState(2);
  const query = useQuery(podsQuery(meeting, count));
  const needs = useNeedWords();
  const call = (position: number) => entryCall(form.entries[position - 1]);
  const range = ({ from, to }: { from: number; to: number }) =>
    to === 0
      ? t('students.pods.rangeNone')
      : from === 0
        ? t('students.pods.rangeFrom', { to: call(to) })
        : from === to
          ? t('students.pods.rangeOne', { to: call(to) })
          : t('students.pods.range', { from: call(from), to: call(to) });
  return (
    <Asked query={query}>
      {(data) => (
        <>
          <div className="my-2 flex flex-wrap items-center gap-3">
            <Segmented
              label={t('students.pods.count')}
              value={String(count)}
              onValue={(value) => {
                setCount(Number(value));
              }}
              of={['2', '3'].map((value) => ({ value, text: t('students.pods.n', { count: Number(value) }) }))}
            />
            <Why about={t('students.pods.title')}>
              <p>{t('students.pods.why')}</p>
            </Why>
            {data.pods.length === 1 ? <span className="text-soft">{t('students.pods.tooFew')}</span> : null}
            {data.pods.length === 0 ? <span className="text-soft">{t('students.pods.none')}</span> : null}
          </div>
          <div className="grid gap-x-10 gap-y-4 md:grid-cols-3">
            {data.pods.map((pod, at) => (
              <section key={pod.students[0]?.id} aria-label={t('students.pods.pod', { number: at + 1 })}>
                <h3 className="text-lg">
                  {t('students.pods.pod', { number: at + 1 })}{' '}
                  <span className="font-sans text-sm font-normal text-soft">· {range(pod)}</span>
                </h3>
                <p>{pod.students.map((one) => one.name).join(', ')}</p>
              </section>
            ))}
          </div>
          <h3 className="mt-4 text-lg">{t('students.pods.needs')}</h3>
          {data.needs.length === 0 ? <p className="text-soft">{t('students.pods.needsNone')}</p> : null}
          <ul className="m-0 grid list-none gap-x-10 p-0 md:grid-cols-2">
            {data.needs.map((one) => (
              <li key={one.id} className="border-b border-line py-1.5">
                <TextLink to={`/students/${one.id}`}>{one.name}</TextLink>{' '}
                {one.catchUp.map((need) => needs.passage(need, form)).join(', ')} ·{' '}
                {t('students.minutes', { minutes: one.minutes })}{' '}
                {one.catchUp[0] === undefined ? null : (
                  <Why about={one.name}>
                    {one.catchUp.map((need) => (
                      <p key={need.from}>
                        {needs.passage(need, form)}: {t(`students.needs.${need.need}`)}; {needs.asks(need, form).join('; ')}
                      </p>
                    ))}
                  </Why>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </Asked>
  );
}
