import { useTranslation } from '../../messages';
import type { Difference } from '../../api/client';
import { type Said, say } from '../../messages/say';

const MOST = 40;
const shown = (value: string | Said): string => (typeof value === 'string' ? value : say(value));

/** What is different between two states of a form: what came, went, moved and changed. */
export function DifferenceList({ difference }: { difference: Difference }) {
  const { t } = useTranslation();
  const groups = (['added', 'gone', 'moved', 'changed'] as const).filter((key) => difference[key].length > 0);
  return (
    <div>
      {groups.length === 0 && difference.form.length === 0 ? <p className="text-soft">{t('difference.none')}</p> : null}
      {groups.map((key) => (
        <section key={key} className="mt-3">
          <h3 className="text-lg">
            {t(`difference.${key}`)} <span className="font-sans text-base font-normal text-soft">{difference[key].length}</span>
          </h3>
          <ul className="m-0 list-none p-0">
            {difference[key].slice(0, MOST).map((entry) => (
              <li key={entry.key} className="border-t border-line py-1">
                <span className="text-soft">{entry.position} · </span>
                {entry.title}
                {entry.fields.map((field) => (
                  <p key={say(field.field)} className="pl-6 text-sm break-words">
                    {say(field.field)}: <del className="text-soft">{shown(field.before)}</del> →{' '}
                    <ins className="no-underline">{shown(field.after)}</ins>
                  </p>
                ))}
              </li>
            ))}
          </ul>
          {difference[key].length > MOST ? (
            <p className="text-sm text-soft">{t('difference.more', { count: difference[key].length - MOST })}</p>
          ) : null}
        </section>
      ))}
      {difference.form.length > 0 ? (
        <section className="mt-3">
          <h3 className="text-lg">{t('difference.form')}</h3>
          {difference.form.map((field) => (
            <p key={say(field.field)} className="border-t border-line py-1 text-sm break-words">
              {say(field.field)}: <del className="text-soft">{shown(field.before)}</del> →{' '}
              <ins className="no-underline">{shown(field.after)}</ins>
            </p>
          ))}
        </section>
      ) : null}
      <p className="mt-3 text-sm text-soft">
        {t('difference.kept', { count: difference.kept })} {difference.gone.length > 0 ? t('difference.goneHint') : ''}
      </p>
    </div>
  );
}
