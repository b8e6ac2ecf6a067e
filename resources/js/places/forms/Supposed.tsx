import { useTranslation } from '../../messages';
import type { Form, Kinship } from '../../api/client';
import { Tick } from '../../kit/Tick';
import { entryCall } from '../../kit/entryName';
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
  const call = (position: number) => entryCall(at(position));
  return (
    <>
      <Heading aside={t('forms.inferredHint')}>{t('forms.inferredTitle', { count: inferred.length })}</Heading>
      {inferred.length === 0 ? <p className="text-soft">{t('forms.noneInferred')}</p> : null}
      <ul className="m-0 grid list-none gap-x-8 p-0 sm:grid-cols-2">
        {inferred.map((kin) => (
          <li key={kin.position}>
            <Tick
              checked={!declined.includes(kin.key)}
              onTick={(isTicked) => {
                onDecline(isTicked ? declined.filter((one) => one !== kin.key) : [...declined, kin.key]);
              }}
            >
              {t(kin.isMirror ? 'forms.mirrors' : 'forms.returnsTo', {
                title: at(kin.position)?.title ?? '',
                position: call(kin.position),
                to: call(kin.to),
              })}
            </Tick>
          </li>
        ))}
      </ul>
    </>
  );
}
