import { TextLink } from '../../kit/controls';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import type { Bites, Form, Principle } from '../../api/client';
import { bitesQuery, formQuery } from '../../api/queries';
import { entryCall } from '../../kit/entryName';

/** The passages of a form that show a principle most: runs of neighbours of the greatest strength. */
export function passagesOf(form: Form, bites: Bites, principle: string): { from: number; to: number }[] {
  const strengths = new Map(bites.bites.filter((one) => one.principle === principle).map((one) => [one.entry, one.strength]));
  const most = Math.max(0, ...strengths.values());
  const runs: { from: number; to: number }[] = [];
  for (const entry of form.entries) {
    if (most === 0 || strengths.get(entry.key) !== most) continue;
    const last = runs[runs.length - 1];
    if (last?.to === entry.position - 1) last.to = entry.position;
    else runs.push({ from: entry.position, to: entry.position });
  }
  return runs;
}

/** Where in a form a principle shows most, with the way there. */
export function ShowsMost({ set, principle, form }: { set: string; principle: Principle; form: string }) {
  const { t } = useTranslation();
  const bites = useQuery(bitesQuery(set, form)).data;
  const score = useQuery(formQuery(form)).data;
  if (bites === undefined || score === undefined) return null;
  const call = (position: number) => entryCall(score.entries[position - 1]);
  const runs = passagesOf(score, bites, principle.key).map(({ from, to }) =>
    from === to ? call(from) : `${call(from)}–${call(to)}`,
  );
  return (
    <p className="text-sm text-soft">
      <TextLink to={`/principles/${set}/joins?form=${form}`}>{score.title}</TextLink>
      {': '}
      {runs.length === 0
        ? t('principles.showsNowhere', { form: score.title })
        : t('principles.showsMost', { passages: runs.join(', ') })}
    </p>
  );
}
