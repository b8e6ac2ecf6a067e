import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { Mail } from '../../api/client';
import { mailboxQuery } from '../../api/queries';
import { Button } from '../../kit/controls';
import { OutLink } from '../../kit/OutLink';
import { Dialog } from '../../kit/Dialog';
import { clock, day } from '../../kit/format';
import { Notice } from '../../kit/Notice';
import { Asked, Empty } from '../../kit/page';
import { SchoolPages } from './SchoolPages';

/** The mailbox that stands in for mail: what was sent to whom. */
export function MailboxPlace() {
  const { t } = useTranslation();
  const query = useQuery(mailboxQuery);
  return (
    <SchoolPages>
      <Asked query={query}>
        {({ isStandIn, mails, isMore }) => (
          <>
            <Notice tone="calm" className="mb-3">
              {t(isStandIn ? 'school.mail.hint' : 'school.mail.leaves')}
            </Notice>
            {mails.length === 0 ? (
              <Empty title={t('school.mail.empty')} hint={t('school.mail.emptyHint')} />
            ) : (
              <Mails mails={mails} />
            )}
            {isMore ? <p className="mt-2 text-soft">{t('school.mail.more')}</p> : null}
          </>
        )}
      </Asked>
    </SchoolPages>
  );
}

function Mails({ mails }: { mails: Mail[] }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState<Mail | null>(null);
  return (
    <>
      <ul className="m-0 list-none border-t border-line p-0" data-testid="mails">
        {mails.map((mail) => (
          <li key={mail.id} className="grid items-center gap-x-4 border-b border-line py-1.5 sm:grid-cols-[12rem_1fr_auto_auto]">
            <span className="min-w-0">
              <strong className="font-medium">{mail.student ?? mail.address}</strong>
              {mail.student === null ? null : <span className="block text-sm break-all text-soft">{mail.address}</span>}
            </span>
            <span className="min-w-0 break-words">{mail.subject ?? t('school.mail.unreadable')}</span>
            <span className="text-sm text-soft">
              {day(mail.sentAt.slice(0, 10))}, {clock(mail.sentAt)}
            </span>
            <Button
              disabled={mail.body === null}
              aria-label={t('school.mail.read', { subject: mail.subject ?? '', name: mail.student ?? mail.address })}
              onClick={() => {
                setOpen(mail);
              }}
            >
              {t('school.mail.open')}
            </Button>
          </li>
        ))}
      </ul>
      <Dialog
        open={open !== null}
        onOpenChange={() => {
          setOpen(null);
        }}
        title={open?.subject ?? ''}
        wide
      >
        {open === null ? null : (
          <>
            <p className="mb-3 text-soft">
              {t('school.mail.to')} {open.student ?? ''} {`<${open.address}>`}
            </p>
            <div className="whitespace-pre-wrap" data-testid="mail">
              <Linked text={open.body ?? ''} />
            </div>
          </>
        )}
      </Dialog>
    </>
  );
}

/** A text whose addresses can be opened, as a mail reader shows it. */
function Linked({ text }: { text: string }) {
  return text.split(/(https?:\/\/\S+)/).map((part, at) => (at % 2 === 0 ? part : <OutLink key={at} to={part} />));
}
