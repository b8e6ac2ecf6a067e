import { useEffect, useState } from 'react';
import { useTranslation } from '../messages';
import { Button } from '../kit/controls';
import { Notice } from '../kit/Notice';
import { sendWaiting } from './sending';
import { allWaiting, store, type Waiting as One } from './store';

/** What this device has noted and the server has not. */
export function useWaiting(): One[] {
  const [waiting, setWaiting] = useState<One[]>([]);
  useEffect(() => {
    let isGone = false;
    const read = () => {
      // A browser that keeps nothing has nothing that waits.
      allWaiting()
        .catch((): One[] => [])
        .then((all) => {
          if (!isGone) setWaiting(all);
        }, console.error);
    };
    read();
    const stop = store.waiting.onChange(read);
    return () => {
      isGone = true;
      stop();
    };
  }, []);
  return waiting;
}

/** Says what waits, and shows what was refused until somebody throws it away. */
export function Waiting({ waiting }: { waiting: One[] }) {
  const { t } = useTranslation();
  const isOpen = waiting.filter((one) => one.refused === null).length;
  return (
    <>
      {isOpen > 0 ? (
        <Notice tone="attention" role="status" className="my-3">
          {t('mine.waiting', { count: isOpen })}{' '}
          <Button look="quiet" onClick={() => void sendWaiting()}>
            {t('mine.sendNow')}
          </Button>
        </Notice>
      ) : null}
      {waiting
        .filter((one) => one.refused !== null)
        .map((one) => (
          <Notice key={one.id} tone="decision" role="alert" className="my-3">
            {t('mine.refused', {
              what: one.what === 'question' ? String(one.body.text) : t('mine.did'),
              why: one.refused ?? '',
            })}{' '}
            <Button look="quiet" onClick={() => void store.waiting.delete(one.id)}>
              {t('mine.drop')}
            </Button>
          </Notice>
        ))}
    </>
  );
}
