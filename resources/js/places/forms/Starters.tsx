import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { startersQuery } from '../../api/queries';
import { Button } from '../../kit/controls';
import { Heading } from '../../kit/page';

/** The sets that come with Gorvan, for who has no list to paste. */
export function Starters({ onUse, isBusy }: { onUse: (text: string) => void; isBusy: boolean }) {
  const { t } = useTranslation();
  const starters = useQuery(startersQuery).data ?? [];
  if (starters.length === 0) return null;
  return (
    <section className="max-w-5xl">
      <Heading aside={t('forms.startersHint')}>{t('forms.startersTitle')}</Heading>
      <ul className="m-0 list-none p-0">
        {starters.map((starter) => (
          <li
            key={starter.title}
            className="flex flex-wrap items-start justify-between gap-x-8 gap-y-2 border-b border-line py-3"
          >
            <div className="max-w-2xl min-w-64 grow basis-80">
              <h3 className="text-lg">{starter.title}</h3>
              <p className="text-sm text-soft">{starter.about}</p>
            </div>
            <Button
              disabled={isBusy}
              aria-label={`${t('forms.starterUse')}: ${starter.title}`}
              onClick={() => {
                onUse(starter.text);
              }}
            >
              {t('forms.starterUse')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
