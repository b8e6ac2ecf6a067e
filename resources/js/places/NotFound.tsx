import { useTranslation } from '../messages';
import { ButtonLink } from '../kit/controls';
import { Empty } from '../kit/page';

export function NotFound() {
  const { t } = useTranslation();
  return (
    <Empty title={t('app.notFound')}>
      <ButtonLink to="/">{t('app.home')}</ButtonLink>
    </Empty>
  );
}
