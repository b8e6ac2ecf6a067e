import { useTranslation } from 'react-i18next';
import { Button, ButtonLink } from '../kit/controls';
import { Empty } from '../kit/page';

/** What stands where a page could not be shown: what to do, and nothing of the program's insides. */
export function Broken() {
  const { t } = useTranslation();
  return (
    <div role="alert" className="p-6">
      <Empty title={t('app.broken')} hint={t('app.brokenHint')}>
        <Button
          look="primary"
          onClick={() => {
            window.location.reload();
          }}
        >
          {t('app.reload')}
        </Button>
        <ButtonLink to="/">{t('app.home')}</ButtonLink>
      </Empty>
    </div>
  );
}
