import { useTranslation } from '../../messages';
import type { HomeFocus, SheetPassage } from '../../api/client';
import { entryCall } from '../../kit/entryName';
import { day, number, inMinutes } from '../../kit/format';
import { sided } from '../../kit/sided';
import { Why } from '../../kit/Why';
import { SIDES } from '../lessons/lesson';

/** The days and minutes of a sheet, in words. */
export function useSheetWords() {
  const { t } = useTranslation();
  return {
    when: (days: string[], minutes: number) =>
      t('practice.on', { days: days.map((one) => day(one, 'weekday')).join(', '), minutes: number(minutes, 0) }),
    passage: ({ entries }: Pick<SheetPassage, 'entries'>) => {
      const [first, last] = [entries[0], entries.at(-1)];
      return first === undefined || first === last
        ? t('practice.passageOne', { at: entryCall(first) })
        : t('practice.passage', { from: entryCall(first), to: entryCall(last) });
    },
  };
}

/** What one student does otherwise in an entry, each in a few words. */
export function useOtherwise() {
  const { t } = useTranslation();
  return (entry: SheetPassage['entries'][number]): string[] => [
    ...(entry.weaker === null ? [] : [t(`practice.weaker.${entry.weaker as 'left'}`)]),
    ...entry.do.map((one) => t(`practice.do.${one as 'smaller'}`)),
    ...entry.notIn.map((title) => t('practice.notIn', { title })),
    ...(entry.asks ? [t('practice.asks')] : []),
  ];
}

/** What the week is about, in a sentence, and what to look for. */
export function WeekFocus({ focus }: { focus: HomeFocus[] }) {
  const { t } = useTranslation();
  return (
    <>
      {focus.map((one) => (
        <p key={one.title} className="mt-2 border-l-4 border-pine pl-2">
          <strong className="font-medium">{t('practice.focus', { title: one.title })}.</strong> {one.says ?? ''}
          {one.look[0] === undefined ? '' : ` ${t('practice.look', { look: one.look[0] })}.`}
        </p>
      ))}
    </>
  );
}

/** One passage with its cues, and what this student does otherwise. */
export function PassageOfSheet({ passage, next }: { passage: SheetPassage; next: string }) {
  const { t } = useTranslation();
  const words = useSheetWords();
  const otherwiseIn = useOtherwise();
  const name = words.passage(passage);
  const percent = (recall: number) => Math.round(100 * recall);
  return (
    <>
      <p>
        <strong className="text-lg font-medium">{name}</strong>{' '}
        <span className="text-soft">
          {passage.form} · {inMinutes(passage.minutes)}
        </span>{' '}
        <Why about={t('practice.whyAbout', { passage: name })}>
          <p>
            {t('practice.whySays', {
              without: percent(passage.recallWithout),
              with: percent(passage.recallWith),
              date: day(next, 'weekday'),
            })}
            {passage.leadsOn ? ` ${t('practice.whyLeads')}` : ''}
          </p>
        </Why>
      </p>
      <ul className="m-0 list-none p-0">
        {passage.entries.map((entry) => {
          const otherwise = otherwiseIn(entry);
          return (
            <li key={entry.position} className="py-0.5">
              {entry.number === null ? '' : `${String(entry.number)} `}
              {entry.title}
              {otherwise.length === 0 ? null : <em className="not-italic font-medium"> – {otherwise.join('; ')}</em>}
              {entry.cues.length === 0 ? null : (
                <span className="text-soft"> · {entry.cues.map((cue) => sided(cue, SIDES)).join(' · ')}</span>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
