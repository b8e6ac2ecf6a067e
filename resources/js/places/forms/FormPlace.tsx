import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useChosen } from '../../kit/useChosen';
import { useParams, useSearchParams } from '../../kit/router';
import type { Form } from '../../api/client';
import { formQuery, scoreQuery, shownInQuery } from '../../api/queries';
import { Button, ButtonLink, RefusalLine, TextLink } from '../../kit/controls';
import { duration, number, share } from '../../kit/format';
import { sentence } from '../../messages/say';
import { Select } from '../../kit/Select';
import { Why } from '../../kit/Why';
import { Asked, Heading, Warnings } from '../../kit/page';
import { type Arcs, Ribbon } from '../../pictures/Ribbon';
import { RibbonTools } from './RibbonTools';
import { Worth } from './Worth';
import type { WidthBy } from '../../pictures/strip';
import { usePassageWords } from '../meeting/PlanList';
import { LessonsFile } from '../lessons/LessonsFile';
import { useCutting } from '../lessons/useCutting';
import { Removing } from '../Removing';
import { findingsByPosition } from '../score/Findings';
import { EntryLoad } from './EntryLoad';
import { FormPages } from './FormPages';

/** A form: its ribbon, its lessons, and why they are cut so. */
export function FormPlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return <Asked query={query}>{(data) => <Score key={data.id} form={data} />}</Asked>;
}

function Score({ form }: { form: Form }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const [by, setBy] = useState<WidthBy>('load');
  const [zoom, setZoom] = useState(1);
  const [arcs, setArcs] = useChosen<Arcs>('ribbon.arcs', 'near', ['near', 'all']);
  const audit = useQuery(scoreQuery(form.id)).data?.audit;
  // Whoever found a movement is led to it.
  const found = Number(useSearchParams()[0].get('at') ?? 0);
  const [chosen, setChosen] = useState<number | null>(found >= 1 && found <= form.entries.length ? found : null);

  const [moved, setMoved] = useState(form.moved);
  const hand = useCutting(form, null, (changed) => {
    setMoved(changed.moved);
  });
  const shown = useQuery(shownInQuery(form.id)).data ?? [];
  const principles = [...new Set(shown.map((one) => one.title))];
  const [banded, setBanded] = useState('');
  const pins = form.joins.filter((join) => join.pin !== null);

  return (
    <FormPages
      id={form.id}
      title={form.title}
      kicker={
        <>
          {t('forms.entries', { count: form.entries.length })} · <Worth form={form} /> ·{' '}
          {t('forms.time', { time: duration(form.seconds) })}
          {form.entries.some((entry) => entry.isTimeAssumed) ? ` (${t('forms.assumed')})` : ''}
          {form.announced === null ? '' : ` · ${t('forms.announced', { count: form.announced })}`}
        </>
      }
      actions={
        <>
          <ButtonLink to={`/groups?new&form=${form.id}`}>{t('forms.makeGroup')}</ButtonLink>
          <ButtonLink look="primary" to="/terms/new">
            {t('forms.layTerm')}
          </ButtonLink>
        </>
      }
    >
      <RibbonTools by={by} onBy={setBy} zoom={zoom} onZoom={setZoom} arcs={arcs} onArcs={setArcs} />
      {principles.length === 0 ? null : (
        <div className="no-print mb-2 w-72 max-w-full">
          <Select
            label={t('principles.band')}
            value={banded}
            onValue={setBanded}
            of={[{ value: '', text: t('principles.bandNone') }, ...principles.map((one) => ({ value: one, text: one }))]}
          />
        </div>
      )}
      <Ribbon
        form={form}
        arcs={arcs}
        by={by}
        zoom={zoom}
        findings={findingsByPosition(audit?.findings ?? [])}
        band={
          banded === ''
            ? null
            : {
                label: banded,
                strengths: new Map(shown.filter((one) => one.title === banded).map((one) => [one.position, one.strength])),
              }
        }
        selected={chosen === null ? null : { from: chosen, to: chosen }}
        onSelect={setChosen}
        onMoveNotch={hand.moveNotch}
        onFreeNotch={(after) => {
          if (form.joins[after - 1]?.pin !== null) hand.setPins([{ after, pin: null }]);
        }}
      />
      <p className="mt-1 text-sm text-soft">
        {t('forms.legend', {
          width: t(by === 'load' ? 'forms.byLoad' : by === 'time' ? 'forms.byTime' : 'forms.even').toLowerCase(),
        })}
        . <span className="no-print">{t('forms.notchHint')}</span>
      </p>
      {audit ? (
        <p className="mt-2" data-testid="findings">
          {audit.findings.length === 0 ? (
            t('forms.noFindings')
          ) : (
            <>
              <strong className="font-medium">{t('forms.findings', { count: audit.findings.length })}</strong> ·{' '}
              <TextLink className="no-print" to={`/forms/${form.id}/score?findings`}>
                {t('forms.toFindings')}
              </TextLink>
              <span className="text-soft"> · {t('forms.findingsLegend')}</span>
            </>
          )}
        </p>
      ) : null}
      <Warnings title={t('forms.movedTitle')} lines={moved.map(sentence)} />
      <RefusalLine refusal={hand.refusal} />
      <EntryLoad
        shows={shown.filter((one) => one.position === chosen)}
        form={form}
        position={chosen}
        onPin={(after, to) => {
          hand.setPins([{ after, pin: to }]);
        }}
      />
      <Heading
        aside={
          <>
            {t('forms.cutBy', { count: form.lessons.length })}{' '}
            <Why about={t('forms.whyCutAbout')}>
              <p>{t('forms.whyCut', { target: number(form.target), objective: number(form.objective, 3) })}</p>
            </Why>
          </>
        }
      >
        {t('forms.lessonsTitle')}
      </Heading>
      <div className="grid gap-8 xl:grid-cols-[1fr_20rem]">
        <div className="relative overflow-x-auto">
          <table className="w-full border-collapse text-[0.95rem]">
            <thead>
              <tr className="text-left text-sm text-soft">
                <th scope="col" className="py-1 pr-4 font-normal">
                  {t('forms.lesson')}
                </th>
                <th scope="col" className="pr-4 font-normal">
                  {t('forms.from')} – {t('forms.to')}
                </th>
                <th scope="col" className="pr-4 font-normal">
                  {t('forms.recapCol')}
                </th>
                <th scope="col" className="pr-2 text-right font-normal">
                  {t('forms.loadCol')}
                </th>
              </tr>
            </thead>
            <tbody>
              {form.lessons.map((lesson) => (
                <tr key={lesson.number} className="border-t border-line">
                  <th scope="row" className="pr-4 text-left font-medium">
                    <TextLink
                      isAlone
                      className="min-w-11"
                      to={`/forms/${form.id}/lessons/${String(lesson.number)}`}
                      aria-label={t('lessons.page.title', { number: lesson.number })}
                    >
                      {lesson.number}
                    </TextLink>
                  </th>
                  <td className="pr-4">
                    <strong className="font-medium">{words.numbers(lesson)}</strong>{' '}
                    <span className="text-soft">{words.titles(lesson)}</span>
                  </td>
                  <td className="pr-4 whitespace-nowrap text-soft">{lesson.recap ? words.numbers(lesson.recap) : '–'}</td>
                  <td className="pr-2 text-right">
                    <span className="inline-flex items-center gap-2">
                      <span aria-hidden="true" className="inline-block h-2 w-24 bg-line">
                        <span
                          className="block h-2 bg-pine"
                          style={{ width: `${String(Math.min(100, (lesson.load / (form.target * 1.5 || 1)) * 100))}%` }}
                        />
                      </span>
                      <span className="w-12 tabular-nums">{share(lesson.load / (form.target || 1))}</span>
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="no-print">
          <ButtonLink to={`/forms/${form.id}/cut`}>{t('lessons.open')}</ButtonLink>
          <LessonsFile form={form.id} />
          {pins.length > 0 ? (
            <div className="mt-4">
              <h3 className="text-lg">{t('forms.pins', { count: pins.length })}</h3>
              <ul className="m-0 mt-1 list-none p-0 text-sm">
                {pins.map((join) => (
                  <li key={join.after}>
                    {words.numbers({ from: join.after, to: join.after })} |{' '}
                    {words.numbers({ from: join.after + 1, to: join.after + 1 })} ·{' '}
                    {t(join.pin === 'always' ? 'forms.always' : 'forms.barred')}
                  </li>
                ))}
              </ul>
              <Button
                className="mt-2"
                onClick={() => {
                  hand.free();
                }}
              >
                {t('forms.clearPins')}
              </Button>
            </div>
          ) : null}
        </div>
      </div>
      <p className="no-print mt-6 flex flex-wrap items-center gap-4">
        <TextLink to="/forms">{t('forms.title')}</TextLink>
        <Removing what="form" id={form.id} label={t('forms.remove')} to="/forms" />
      </p>
    </FormPages>
  );
}
