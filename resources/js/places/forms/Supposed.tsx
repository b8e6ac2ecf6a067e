import { useTranslation } from 'react-i18next';
import type { Form, Kinship } from '../../api/client';
import { Heading } from '../../kit/page';

interface Props {
  form: Form;
  inferred: Kinship[];
  declined: string[];
  onDecline: (declined: string[]) => void;
}

/** The relations a reader supposed, each to be unticked where it is wrong. */
export function Supposed({ form, inferred, declined, onDecline }: Props) {
  const { t } = useTranslation();
  const at = (position: number) => form.entries[position - 1];
  const spoken = (position: number) => String(at(position)?.number ?? at(position)?.title ?? position);
  return (
    <>
      <Heading aside={t('forms.inferredHint')}>{t('forms.inferredTitle', { count: inferred.length })}</Heading>
      {inferred.length === 0 ? <p className="text-soft">{t('forms.noneInferred')}</p> : null}
      <ul className="m-0 grid list-none gap-x-8 p-0 sm:grid-cols-2">
        {inferred.map((kin) => (
          <li key={kin.position}>
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-pine"
                checked={!declined.includes(kin.key)}
                onChange={(event) => {
                  onDecline(event.target.checked ? declined.filter((one) => one !== kin.key) : [...declined, kin.key]);
                }}
              />
              {t(kin.isMirror ? 'forms.mirrors' : 'forms.returnsTo', {
                title: at(kin.position)?.title ?? '',
                position: spoken(kin.position),
                to: spoken(kin.to),
              })}
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
