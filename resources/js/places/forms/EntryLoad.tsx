import { useTranslation } from '../../messages';
import type { Entry, Form, Shown } from '../../api/client';
import { Button } from '../../kit/controls';
import { entryName } from '../../kit/entryName';
import { duration, number } from '../../kit/format';
import type { Pin } from '../lessons/useCutting';
import { useEntryWords } from './useEntryWords';

interface Props {
  form: Form;
  position: number | null;
  onPin: (after: number, pin: Pin) => void;
  /** The principles it shows. */
  shows?: Shown[];
}

/** One entry's load as its parts, and what is said about the join after it. */
export function EntryLoad({ form, position, onPin, shows = [] }: Props) {
  const { t } = useTranslation();
  const said = useEntryWords();
  const entry = position === null ? undefined : form.entries[position - 1];
  if (!entry) return <p className="no-print mt-4 min-h-28 border-t border-line pt-3 text-soft">{t('forms.chooseHint')}</p>;
  const join = form.joins[entry.position - 1];
  return (
    <section className="mt-4 grid min-h-28 gap-x-10 gap-y-3 border-t border-line pt-3 md:grid-cols-2" aria-live="polite">
      <div>
        <h2 className="text-xl">
          {entryName(entry)}
          {entry.aliases.length > 0 ? <span className="font-normal text-soft"> · {entry.aliases.join(' · ')}</span> : null}
        </h2>
        <p className="text-soft">
          {[
            said(entry),
            entry.seconds === null ? null : duration(entry.seconds) + (entry.isTimeAssumed ? ` (${t('forms.assumed')})` : ''),
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        <p className="mt-1">
          {t('ribbon.load', { percent: number((100 * entry.load) / (form.target || 1), 0) })}:{' '}
          <span data-testid="load-parts">
            <Parts entry={entry} />
          </span>
        </p>
        {shows.length === 0 ? null : (
          <p className="mt-1" data-testid="entry-principles">
            {t('principles.entry.title')}{' '}
            {[...shows]
              .sort((a, b) => b.strength - a.strength)
              .map((one) => {
                const strength = t(`principles.join.strength.${String(one.strength) as '1' | '2' | '3'}`);
                return `${one.title} (${one.note === null ? strength : `${strength}: ${one.note}`})`;
              })
              .join(' · ')}
          </p>
        )}
      </div>
      {join ? (
        <div>
          <h3 className="text-lg">{t('forms.joinAfter', { position: entry.number ?? entry.position, title: entry.title })}</h3>
          <p className="text-soft">
            {t('forms.rest', { rest: number(join.rest) })}
            {join.pin === null ? '' : ` · ${t(join.pin === 'always' ? 'forms.always' : 'forms.barred')}`}
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            {(['always', 'never', null] as const)
              .filter((pin) => pin !== join.pin)
              .map((pin) => (
                <Button
                  key={String(pin)}
                  onClick={() => {
                    onPin(join.after, pin);
                  }}
                >
                  {t(pin === 'always' ? 'forms.pinAlways' : pin === 'never' ? 'forms.pinNever' : 'forms.pinNone')}
                </Button>
              ))}
          </div>
        </div>
      ) : null}
    </section>
  );
}

/** "1 movement + ½ turn, × ½ mirrored, + 0.2 join = 0.95" */
function Parts({ entry }: { entry: Entry }) {
  const { t, table } = useTranslation();
  if (entry.kind === 'extra') return <>{t('forms.extra')}</>;
  const kinds = table('forms.kinds');
  const parts = table('forms.parts');
  const name = (reason: string) => {
    return (reason === 'base' ? kinds[entry.kind] : parts[reason]) ?? reason;
  };
  const sum = entry.parts.map((part) => `${number(part.amount)} ${name(part.reason)}`).join(' + ');
  const newness =
    entry.newness === 1 ? '' : `, × ${number(entry.newness)} ${t(entry.returns === null ? 'forms.mirrored' : 'forms.returning')}`;
  const join = entry.join === 0 ? '' : `, + ${number(entry.join)} ${t('forms.join')}`;
  return (
    <>
      {sum}
      {newness}
      {join} = <strong>{number(entry.load, 3)}</strong>
    </>
  );
}
