import { useTranslation } from '../../messages';
import { Button } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';

interface Props {
  /** How many things the server does not have yet. */
  count: number;
  isLeaving: boolean;
  onStay: () => void;
  onLeave: () => void;
}

/** What waits on this device would wait on while its person is signed out: they say whether that is meant. */
export function UnsentDialog({ count, isLeaving, onStay, onLeave }: Props) {
  const { t } = useTranslation();
  return (
    <Dialog onOpenChange={onStay} title={t('signOut.title')}>
      <p>{t('signOut.waits', { count })}</p>
      <p className="mt-2">{t('signOut.keeps')}</p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button look="primary" onClick={onStay}>
          {t('signOut.stay')}
        </Button>
        <Button disabled={isLeaving} onClick={onLeave}>
          {t('signOut.anyway')}
        </Button>
      </div>
    </Dialog>
  );
}
