import { useQueryClient } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { Link } from '../../kit/router';
import type { MeetingPage } from '../../api/client';
import type { Command, Kept } from '../../api/commands';
import { flush, letGo, tryAgain } from '../../api/outbox';
import { useOutbox } from '../../api/useOutbox';
import { Button, TextLink } from '../../kit/controls';
import { day } from '../../kit/format';
import { Notice } from '../../kit/Notice';
import { Empty, Heading, Page } from '../../kit/page';
import { isSupport } from '../../pictures/reed';

/** Everything that was done here and has not reached the server, and what it could not take. */
export function OutboxPlace() {
  const { t } = useTranslation();
  const { kept, link, sending, isDurable } = useOutbox();
  const refused = kept.filter((one) => one.refusal !== null);
  const waiting = kept.filter((one) => one.refusal === null);
  const held = (one: Kept) => one.needs.some((id) => refused.some((other) => other.id === id));
  return (
    <Page
      title={t('waiting.title')}
      actions={
        waiting.length > 0 ? (
          <Button look="primary" onClick={() => void flush()}>
            {t('outbox.sendNow')}
          </Button>
        ) : null
      }
    >
      {isDurable ? null : (
        <Notice tone="decision" role="alert" className="mb-4">
          {t('outbox.notKept')}
        </Notice>
      )}
      {kept.length === 0 ? <Empty title={t('waiting.empty')} hint={t('waiting.emptyHint')} /> : null}
      {refused.length > 0 ? (
        <section aria-label={t('waiting.refusedTitle')}>
          <Heading aside={t('waiting.refusedHint')}>{t('waiting.refusedTitle')}</Heading>
          <ul className="m-0 list-none p-0">
            {refused.map((one) => (
              <Refused key={one.id} kept={one} dependents={kept.filter((other) => other.needs.includes(one.id)).length} />
            ))}
          </ul>
        </section>
      ) : null}
      {waiting.length > 0 ? (
        <section aria-label={t('waiting.waitingTitle')}>
          <Heading aside={link === 'fine' ? '' : t(`outbox.${link}`, { count: waiting.length })}>
            {t('waiting.waitingTitle')}
          </Heading>
          <ol className="m-0 list-none p-0">
            {waiting.map((one) => (
              <li key={one.id} className="flex flex-wrap justify-between gap-x-4 border-b border-line py-2">
                <Said command={one.command} />
                <span className="text-soft">
                  {t(
                    held(one)
                      ? 'waiting.held'
                      : sending === one.id
                        ? 'waiting.sending'
                        : one.again
                          ? 'waiting.askedAgain'
                          : 'outbox.waits',
                  )}
                </span>
              </li>
            ))}
          </ol>
        </section>
      ) : null}
    </Page>
  );
}

function Refused({ kept, dependents }: { kept: Kept; dependents: number }) {
  const { t } = useTranslation();
  const { command, refusal } = kept;
  const isLogThere = command.kind === 'log' && refusal?.code === 'log.logged';
  return (
    <li className="border-b border-line py-3">
      <p className="font-medium">
        <Said command={command} />
      </p>
      <p className="text-persimmon">{refusal?.message}</p>
      {dependents > 0 ? <p className="text-soft">{t('waiting.dependents', { count: dependents })}</p> : null}
      <div className="mt-2 flex flex-wrap gap-2">
        {isLogThere ? (
          <Link
            to={`/meetings/${command.meeting}/log?add=${kept.id}`}
            className="inline-flex min-h-11 items-center rounded border border-pine bg-pine px-4 font-medium text-on-pine no-underline"
          >
            {t('waiting.addLog')}
          </Link>
        ) : (
          <Button onClick={() => void tryAgain(kept.id)}>{t('waiting.again')}</Button>
        )}
        <Button onClick={() => void letGo(kept.id)}>{t(isLogThere ? 'waiting.keepTheirs' : 'waiting.letGo')}</Button>
        <TextLink to={command.kind === 'edits' ? `/forms/${command.form}/score` : `/meetings/${command.meeting}`} isAlone>
          {t(command.kind === 'edits' ? 'waiting.openScore' : 'waiting.openClass')}
        </TextLink>
      </div>
    </li>
  );
}

/** A command in words; names as far as this device knows them. */
function Said({ command }: { command: Command }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const page = command.kind === 'edits' ? undefined : client.getQueryData<MeetingPage>(['meeting', command.meeting]);
  const name = (id: string) => page?.students.find((student) => student.id === id)?.name ?? t('waiting.somebody');
  const where = page === undefined ? '' : ` · ${page.term.groupName}, ${day(page.meeting.on, 'weekday')}`;
  const words = (): string => {
    switch (command.kind) {
      case 'marks': {
        const students = [...new Set(command.marks.map((mark) => mark.studentId))];
        const [first] = command.marks;
        const support = first !== undefined && isSupport(first.support) ? t(`support.${first.support}`) : '';
        return students.length === 1
          ? t('waiting.said.mark', { name: name(students[0] ?? ''), support, count: command.marks.length })
          : t('waiting.said.marks', { count: students.length, support });
      }
      case 'withdrawals':
        return t(`waiting.said.back_${command.what}`);
      case 'attendance':
        return t(command.note.isHere ? 'waiting.said.here' : 'waiting.said.away', { name: name(command.student) });
      case 'guest':
        return t('waiting.said.guest', { name: command.name });
      case 'log':
        return t('waiting.said.log');
      case 'edits':
        return t('waiting.said.edits', { count: command.edits.length });
    }
  };
  return (
    <span>
      {words()}
      <span className="font-normal text-soft">{where}</span>
    </span>
  );
}
