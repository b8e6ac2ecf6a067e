import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { startersQuery } from '../../api/queries';
import { StarterList } from '../../kit/StarterList';

/** The sets that come with Gorvan, for who has no list to paste. */
export function Starters({ onUse, isBusy }: { onUse: (text: string) => void; isBusy: boolean }) {
  const { t } = useTranslation();
  const starters = useQuery(startersQuery).data ?? [];
  return (
    <StarterList
      title={t('forms.startersTitle')}
      hint={t('forms.startersHint')}
      use={t('forms.starterUse')}
      of={starters}
      isBusy={isBusy}
      onUse={onUse}
    />
  );
}
