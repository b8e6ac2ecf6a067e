import { useSyncExternalStore } from 'react';
import { useTranslation } from '../../messages';
import { onClock, toldAhead } from '../../api/clock';
import { flush } from '../../api/outbox';
import { useOutbox } from '../../api/useOutbox';
import { Button, TextLink } from '../../kit/controls';
import { useSignIn } from '../shell/signIn';

/**
 * How what was done here stands with the server, in one line, wherever one is: nothing while all goes well; else which of
 * the four it is (cannot be reached, sign in, in trouble, refused), and what to do.
 */
export function OutboxLine() {
  return (
    <>
      <ClockLine />
      <WaitingLine />
    </>
  );
}

/** Says that the clock of this device is off, where it is: what is shown goes by the school's. */
function ClockLine() {
  const { t } = useTranslation();
  const ahead = useSyncExternalStore(onClock, toldAhead);
  if (ahead === 0) return null;
  const minutes = Math.round(Math.abs(ahead) / 60_000);
  const [unit, count] =
    minutes < 90
      ? (['minutes', minutes] as const)
      : minutes < 20 * 60
        ? (['hours', Math.round(minutes / 60)] as const)
        : (['days', Math.round(minutes / 1440)] as const);
  return (
    <div role="status" className="no-print my-1 border-l-4 border-straw bg-straw-soft px-3 py-1 text-[0.95rem]">
      {t(ahead > 0 ? 'outbox.clockSlow' : 'outbox.clockFast', { by: t(`outbox.by_${unit}`, { count }) })}
    </div>
  );
}

function WaitingLine() {
  const { t } = useTranslation();
  const { kept, link, isDurable } = useOutbox();
  const signIn = useSignIn();
  const waits = kept.filter((one) => one.refusal === null).length;
  const refused = kept.length - waits;
  const again = kept.filter((one) => one.refusal === null && one.again !== undefined).length;
  const isStuck = waits > 0 && (link !== 'fine' || refused > 0 || again > 0);
  if (!isStuck && refused === 0 && (isDurable || waits === 0)) return null;
  return (
    <div
      role="status"
      className={`no-print my-1 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 px-3 py-1 text-[0.95rem] ${refused > 0 ? 'border-persimmon bg-sheet' : 'border-straw bg-straw-soft'}`}
    >
      {isStuck && link !== 'fine' ? (
        <>
          <span>{t(`outbox.${link}`, { count: waits })}</span>
          <Button
            look="quiet"
            onClick={() => {
              if (link === 'signedOut') signIn();
              else void flush();
            }}
          >
            {t(link === 'signedOut' ? 'outbox.signIn' : 'outbox.sendNow')}
          </Button>
        </>
      ) : null}
      {isStuck && link === 'fine' && again > 0 ? <span>{t('outbox.again', { count: again })}</span> : null}
      {refused > 0 ? (
        <TextLink to="/waiting" isAlone className="font-medium">
          {t('outbox.refused', { count: refused })}
        </TextLink>
      ) : (
        <TextLink to="/waiting" isAlone>
          {t('outbox.look')}
        </TextLink>
      )}
      {isDurable ? null : <span className="text-persimmon">{t('outbox.notKept')}</span>}
    </div>
  );
}
