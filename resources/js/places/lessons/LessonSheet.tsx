import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import type { Form, LessonPage } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { sided } from '../../kit/sided';
import { useBodyWords } from '../care/useBodyWords';
import { usePassageWords } from '../meeting/PlanList';
import { BiteDifference } from './BiteDifference';
import { cuesLeft, type Fading, SIDES, type WrittenLesson } from './lesson';
import { PartnerPart } from './PartnerPart';

interface Props {
  form: Form;
  page: LessonPage;
  written: WrittenLesson;
}

/** What a lesson holds, in the order in which it is taught. */
export function LessonSheet({ form, page, written }: Props) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const at = (position: number) => form.entries[position - 1];
  const title = (position: number) => entryName(at(position));
  const say = (text: string) => sided(text, SIDES);
  const each = (of: (entry: LessonPage['entries'][number]) => string[]): [string, string[]][] =>
    page.entries.map((entry): [string, string[]] => [title(entry.position), of(entry)]).filter(([, texts]) => texts.length > 0);
  const checks = each((entry) => entry.checks);
  const errors = each((entry) => entry.errors.map((one) => t('lessons.page.error', one)));
  const own = {
    checks: written.checks ?? [],
    errors: (written.errors ?? []).map((one) => t('lessons.page.error', one)),
  };
  return (
    <div className="sheet lesson-sheet grid gap-x-10 gap-y-1 lg:grid-cols-2" data-testid="lesson">
      <div>
        {written.note ? (
          <Part title={t('lessons.page.note')}>{<p className="whitespace-pre-line">{written.note}</p>}</Part>
        ) : null}
        {written.kind === 'check_in' ? <p>{t('lessons.page.checkIn')}</p> : null}
        <Part title={t('lessons.page.recap')}>
          <p>
            {page.recap === null
              ? t('lessons.page.recapNone')
              : t('lessons.page.recapSays', { passage: words.whole(page.recap) })}
          </p>
        </Part>
        <Part title={t('lessons.page.bite')}>
          {page.entries.length === 0 ? <p>{t('lessons.page.nothing')}</p> : null}
          <ul className="m-0 list-none p-0">
            {page.entries.map((entry) => (
              <li key={entry.position} className="py-0.5">
                <BiteDifference form={form} position={entry.position} difference={entry.difference} />
              </li>
            ))}
          </ul>
          {written.bite ? <p className="mt-1 border-l-4 border-river pl-2">{written.bite}</p> : null}
        </Part>
        {page.knownBefore.length > 0 ? (
          <Part title={t('lessons.page.known')}>
            <p>{page.knownBefore.map(title).join(', ')}</p>
          </Part>
        ) : null}
        <LeadUps page={page} title={title} />
        <Part title={t('lessons.page.steps')}>
          <ol className="m-0 list-decimal pl-5">
            {page.steps.map((step, nth) => (
              // Steps have no names of their own: they are known by their place.
              <li key={nth} className="py-0.5">
                {t(`lessons.page.modes.${step.mode as 'watch'}`)}, {t(`lessons.page.fading.${step.cues as 'all'}`)}
                {step.text ? `: ${say(step.text)}` : ''}
              </li>
            ))}
          </ol>
          <p className="text-sm text-soft">
            {t('lessons.page.views')}: {page.views.map((view) => t(`lessons.page.viewNames.${view as 'facing'}`)).join('; ')}
          </p>
        </Part>
        <Part title={t('lessons.page.runTitle')}>
          <p>{page.runThrough === null ? '–' : t('lessons.page.run', { passage: words.numbers(page.runThrough) })}</p>
        </Part>
      </div>
      <div>
        <Cues page={page} title={title} say={say} />
        <Part title={t('lessons.page.checks')}>
          <Texts of={checks} own={own.checks} none={t('lessons.page.checksNone')} say={say} />
        </Part>
        {errors.length + own.errors.length > 0 ? (
          <Part title={t('lessons.page.errors')}>
            <Texts of={errors} own={own.errors} say={say} />
          </Part>
        ) : null}
        <Care page={page} title={title} say={say} />
        <Variants page={page} title={title} say={say} />
        {written.partner ? <PartnerPart partner={written.partner} form={form} /> : null}
        <p className="mt-3 text-sm text-soft">{t('plan.care')}</p>
      </div>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-4 break-inside-avoid">
      <h2 className="border-b border-line text-lg">{title}</h2>
      <div className="mt-1">{children}</div>
    </section>
  );
}

interface TextsProps {
  of: [string, string[]][];
  own: string[];
  none?: string;
  say: (text: string) => string;
}

/** What the form says, under the entry it says it of, and then what the teacher added. */
function Texts({ of, own, none, say }: TextsProps) {
  if (of.length + own.length === 0) return none === undefined ? null : <p className="text-soft">{none}</p>;
  return (
    <ul className="m-0 list-none p-0">
      {of.map(([title, texts]) => (
        <li key={title} className="py-0.5">
          <span className="text-soft">{title}:</span> {texts.map(say).join('; ')}
        </li>
      ))}
      {own.map((text) => (
        <li key={text} className="border-l-4 border-river py-0.5 pl-2">
          {say(text)}
        </li>
      ))}
    </ul>
  );
}

function LeadUps({ page, title }: { page: LessonPage; title: (position: number) => string }) {
  const { t } = useTranslation();
  const own = page.entries.filter((entry) => entry.drills.length > 0);
  if (own.length + page.drills.length === 0) return null;
  return (
    <Part title={t('lessons.page.leadUps')}>
      <ol className="m-0 list-decimal pl-5">
        {page.drills.map((drill) => (
          <li key={drill.id} className="py-0.5">
            {drill.title}
            {drill.parent === null ? null : (
              <span className="text-soft"> {t('lessons.page.drillFor', { entry: title(drill.parent) })}</span>
            )}
            {drill.text ? `: ${drill.text}` : ''}
          </li>
        ))}
        {own.flatMap((entry) =>
          entry.drills.map((drill) => (
            <li key={`${String(entry.position)}${drill}`} className="py-0.5">
              {drill} <span className="text-soft">{t('lessons.page.drillFor', { entry: title(entry.position) })}</span>
            </li>
          )),
        )}
      </ol>
    </Part>
  );
}

interface EntriesProps {
  page: LessonPage;
  title: (position: number) => string;
  say: (text: string) => string;
}

/** The cues, and what is left of them at each step that has fewer. */
function Cues({ page, title, say }: EntriesProps) {
  const { t } = useTranslation();
  const fadings = [...new Set(page.steps.map((step) => step.cues as Fading))].filter((one) => one !== 'none');
  const entries = page.entries.filter((entry) => entry.cues.length > 0);
  return (
    <Part title={t('lessons.page.cues')}>
      {entries.length === 0 ? <p className="text-soft">{t('lessons.page.cuesNone')}</p> : null}
      <ul className="m-0 list-none p-0">
        {entries.map((entry) => (
          <li key={entry.position} className="py-0.5">
            <span className="text-soft">{title(entry.position)}</span>
            <dl className="m-0 grid grid-cols-[6.5rem_1fr] gap-x-2">
              {fadings.map((fading) => (
                <div key={fading} className="col-span-2 grid grid-cols-subgrid">
                  <dt className="text-sm text-soft">{t(`lessons.page.fading.${fading}`)}</dt>
                  <dd className="m-0 font-serif text-[1.05rem]">{cuesLeft(entry, fading).map(say).join(' · ')}</dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Care({ page, title, say }: EntriesProps) {
  const { t } = useTranslation();
  const { considerations, strains } = useBodyWords();
  const rows = page.entries.flatMap((entry) => [
    ...entry.cautions.map(
      (one) =>
        `${title(entry.position)}, ${considerations[one.for] ?? one.for}: ${t(`care.variantDo.${one.do as 'skip'}`)}${one.text ? ` (${say(one.text)})` : ''}`,
    ),
    ...(entry.strains.length > 0 && entry.cautions.length === 0
      ? [
          `${title(entry.position)}: ${t('lessons.page.strain', { strains: entry.strains.map((one) => strains[one] ?? one).join(', ') })}`,
        ]
      : []),
  ]);
  return (
    <Part title={t('lessons.page.care')}>
      {rows.length === 0 ? (
        <p className="text-soft">{t('lessons.page.careNone')}</p>
      ) : (
        <ul className="m-0 list-none border-l-4 border-straw p-0 pl-2">
          {rows.map((row) => (
            <li key={row}>{row}</li>
          ))}
        </ul>
      )}
    </Part>
  );
}

function Variants({ page, title, say }: EntriesProps) {
  const { t } = useTranslation();
  const { considerations } = useBodyWords();
  const rows = page.entries.flatMap((entry) =>
    entry.variants.map((one) => ({
      key: `${String(entry.position)}${one.title}`,
      says: `${title(entry.position)}: ${one.title}${one.text ? `, ${say(one.text)}` : one.isShownOnly ? `, ${t('lessons.page.variantShown')}` : ''}`,
      care: one.cautions.map((of) => `${considerations[of.for] ?? of.for}: ${t(`care.variantDo.${of.do as 'skip'}`)}`).join('; '),
    })),
  );
  return rows.length === 0 ? null : (
    <Part title={t('lessons.page.variants')}>
      <ul className="m-0 list-none p-0">
        {rows.map((row) => (
          <li key={row.key}>
            {row.says}
            {row.care === '' ? null : <span className="text-soft"> ({row.care})</span>}
          </li>
        ))}
      </ul>
    </Part>
  );
}
