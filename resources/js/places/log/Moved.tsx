import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import type { ClassLog, TermSummary } from '../../api/client';
import { changesQuery } from '../../api/queries';
import { useOutbox } from '../../api/useOutbox';
import { Notice } from '../../kit/Notice';
import { sentence } from '../../messages/say';

/** How soon it is asked again whether the plan is there, milliseconds. */
const AGAIN_MS = 1500;
/** What moved by a log is told for so long after it was made. */
const NEWS_MS = 15 * 60_000;

interface Props {
  term: TermSummary;
  log: ClassLog;
  /** Whether it was just made here. */
  isMine: boolean;
}

/** What a log moved in the rest of the term, in words; or that it waits, or is being worked out. */
export function Moved({ term, log, isMine }: Props) {
  const { t } = useTranslation();
  const { kept } = useOutbox();
  const isWaiting = kept.some(({ command }) => command.kind === 'log' && command.log.id === log.id);
  const changes = useQuery({
    ...changesQuery(term.id),
    enabled: !isWaiting,
    refetchInterval: ({ state }) => (isMine && !newest(state.data, log) ? AGAIN_MS : false),
  });
  if (isWaiting) {
    return (
      <Notice tone="attention" role="status" className="mb-4">
        {t('log.waits')}
      </Notice>
    );
  }
  const change = newest(changes.data, log);
  if (change === undefined) {
    return isMine ? (
      <Notice tone="calm" role="status" className="mb-4">
        {t(term.isBeingPlanned ? 'log.beingPlanned' : 'log.nothingMoved')}
      </Notice>
    ) : null;
  }
  return (
    <Notice tone="calm" role="status" label={t('log.moved')} className="mb-4">
      <p className="font-medium">{t('log.moved')}</p>
      <ul className="m-0 list-disc pl-5">
        {change.moved.map((one, at) => (
          <li key={at}>{sentence(one)}</li>
        ))}
      </ul>
    </Notice>
  );
}

interface Change {
  at: string;
  cause: { code: string };
  moved: Parameters<typeof sentence>[0][];
}

/** The change of the plan that this log made, if it is still news. */
function newest(changes: Change[] | undefined, log: ClassLog): Change | undefined {
  const made = Date.parse(log.made_at);
  return changes?.find(
    (one) => one.cause.code === 'cause.logged' && Date.parse(one.at) >= made - 2000 && Date.parse(one.at) < made + NEWS_MS,
  );
}
