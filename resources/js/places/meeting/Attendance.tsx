import { now } from '../../api/clock';
import { Feather } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { inMinutes } from '../../kit/format';
import type { MeetingPage } from '../../api/client';
import { Button, ButtonLink, TextField } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { SignButton, Switch } from '../../kit/touch';
import { Tick } from '../../kit/Tick';
import { Empty } from '../../kit/page';
import { Floating } from '../../kit/Floating';
import type { Presence } from './usePresence';
import { tip } from '../../kit/tip';

/** Who is here, by exception: everyone is, until said otherwise. */
export function Attendance({ page, presence }: { page: MeetingPage; presence: Presence }) {
  const { t } = useTranslation();
  const { meeting, students } = page;
  const here = students.filter((student) => presence.isHere(student.id)).length;
  const isFuture = !meeting.isToday && !meeting.isPast;
  return (
    <>
      {students.length === 0 ? (
        <Empty title={t('meeting.noStudents')}>
          <ButtonLink look="primary" to={`/groups/${page.term.groupId}`}>
            {t('meeting.addStudents')}
          </ButtonLink>
        </Empty>
      ) : (
        <p className="mb-3">
          <strong>{t('meeting.hereCount', { here, of: students.length })}</strong>{' '}
          <span className="text-soft">{t(meeting.isHeld ? 'meeting.hereLocked' : 'meeting.hereHint')}</span>
        </p>
      )}
      <ul className="m-0 grid list-none gap-x-10 border-t border-line p-0 empty:hidden sm:grid-cols-2 xl:grid-cols-3">
        {students.map((student) => (
          <Row key={student.id} page={page} student={student} presence={presence} />
        ))}
      </ul>
      {meeting.isHeld || isFuture ? null : <Guests presence={presence} known={students.map((student) => student.name)} />}
    </>
  );
}

function Row({ page, student, presence }: { page: MeetingPage; student: { id: string; name: string }; presence: Presence }) {
  const { t } = useTranslation();
  const { meeting } = page;
  const of = presence.of(student.id);
  const said = [
    page.guests.includes(student.id) ? t(of.isFirstTime ? 'meeting.firstTime' : 'meeting.guest') : '',
    of.isHere && of.isCareful ? t('meeting.careful') : '',
    of.isHere && of.late !== null ? t('meeting.lateBy', { count: of.late }) : '',
    of.isHere && of.left !== null ? t('meeting.leftAfter', { count: of.left }) : '',
  ].filter((one) => one !== '');
  return (
    <li className="flex min-h-14 items-center gap-2 border-b border-line">
      <label className="flex min-h-14 min-w-0 grow items-center justify-between gap-3 text-lg" htmlFor={`here-${student.id}`}>
        <span className={`min-w-0 break-words ${of.isHere ? '' : 'text-soft line-through'}`}>
          {student.name}
          {said.length > 0 ? <span className="block text-sm text-soft">{said.join(' · ')}</span> : null}
        </span>
        <span className="flex items-center gap-3 text-sm text-soft">
          {t(of.isHere ? 'meeting.present' : 'meeting.away')}
          <Switch
            id={`here-${student.id}`}
            checked={of.isHere}
            disabled={meeting.isHeld}
            onCheckedChange={(is) => {
              presence.note(student.id, { isHere: is });
            }}
          />
        </span>
      </label>
      {meeting.isHeld ? null : (
        <SignButton
          aria-pressed={of.isCareful}
          aria-label={t('meeting.carefulOf', { name: student.name })}
          {...tip(t('meeting.carefulTonight'))}
          onClick={() => {
            presence.note(student.id, { isCareful: !of.isCareful, isHere: true });
          }}
        >
          <Feather size={20} strokeWidth={1.6} aria-hidden="true" />
        </SignButton>
      )}
      {meeting.isHeld ? null : (
        <Popover.Root>
          <Popover.Trigger asChild>
            <SignButton className="text-2xl leading-none" aria-label={t('meeting.moreOf', { name: student.name })}>
              …
            </SignButton>
          </Popover.Trigger>
          <Floating align="end" className="flex w-72 flex-col gap-2 border border-line p-4">
            <p className="font-medium">{student.name}</p>
            <p className="text-sm text-soft">{t('meeting.carefulHint')}</p>
            {(['late', 'left'] as const).map((which) => (
              <Minutes
                key={which}
                label={t(`meeting.${which === 'late' ? 'cameLate' : 'leftEarly'}`)}
                value={of[which]}
                most={meeting.minutes}
                now={minutesSince(meeting.startsAt, meeting.minutes)}
                onValue={(minutes) => {
                  presence.note(student.id, { [which]: minutes, isHere: true });
                }}
              />
            ))}
          </Floating>
        </Popover.Root>
      )}
    </li>
  );
}

/** How long a class has been on, in minutes; null before it and after it. */
const minutesSince = (startsAt: string, most: number) => (): number | null => {
  const minutes = Math.floor((now() - Date.parse(startsAt)) / 60_000);
  return minutes >= 0 && minutes <= most ? minutes : null;
};

interface MinutesProps {
  label: string;
  value: number | null;
  most: number;
  now: () => number | null;
  onValue: (minutes: number | null) => void;
}

/** Minutes after the start at which somebody came or went: those of now with one touch, then in steps. */
function Minutes({ label, value, most, now, onValue }: MinutesProps) {
  const { t } = useTranslation();
  return (
    <div className="flex items-center justify-between gap-2">
      <Tick
        checked={value !== null}
        onTick={(is) => {
          onValue(is ? (now() ?? 5) : null);
        }}
      >
        {label}
      </Tick>
      {value === null ? null : (
        <span className="flex items-center gap-1">
          <Button
            className="min-w-11 !px-0 text-lg"
            aria-label={t('meeting.fewer', { label })}
            onClick={() => {
              onValue(Math.max(0, value - 5));
            }}
          >
            −
          </Button>
          <span className="min-w-12 text-center">{inMinutes(value)}</span>
          <Button
            className="min-w-11 !px-0 text-lg"
            aria-label={t('meeting.more', { label })}
            onClick={() => {
              onValue(Math.min(most, value + 5));
            }}
          >
            +
          </Button>
        </span>
      )}
    </div>
  );
}

/** Somebody comes who is in no group: a name, and one touch says whether they have ever been here. */
function Guests({ presence, known }: { presence: Presence; known: string[] }) {
  const { t } = useTranslation();
  const [name, setName] = useState('');
  const [error, setError] = useState<string | null>(null);
  const add = (isFirstTime: boolean) => {
    const said = name.trim().replace(/\s+/g, ' ');
    if (said === '') {
      setError(t('meeting.guestNameless'));
      return;
    }
    if (known.some((one) => one.toLowerCase() === said.toLowerCase())) {
      setError(t('meeting.guestKnown', { name: said }));
      return;
    }
    presence.addGuest(said, isFirstTime);
    setName('');
    setError(null);
  };
  return (
    <Form
      className="mt-4 max-w-xl"
      onSend={() => {
        add(false);
      }}
    >
      <div className="flex flex-wrap items-start gap-2">
        <div className="flex-1 basis-64">
          <TextField
            label={t('meeting.guestAdd')}
            error={error ?? undefined}
            className="min-h-14"
            maxLength={120}
            autoComplete="off"
            value={name}
            onChange={(event) => {
              setName(event.target.value);
              setError(null);
            }}
          />
        </div>
        <div className="flex gap-2 sm:mt-6">
          <Button type="submit" className="min-h-14">
            {t('meeting.guestHere')}
          </Button>
          <Button
            className="min-h-14"
            onClick={() => {
              add(true);
            }}
          >
            {t('meeting.guestFirst')}
          </Button>
        </div>
      </div>
    </Form>
  );
}
