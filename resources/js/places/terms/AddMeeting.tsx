import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { z } from '../../kit/schema';
import type { Term } from '../../api/client';
import { Button, TextField } from '../../kit/controls';
import { DateField, TimeField } from '../../kit/DateField';
import { clock } from '../../kit/format';
import type { TermChange } from './useProposal';

/** An id that no other meeting has, made here, so that sending it twice makes one meeting. */
const freshId = (): string => crypto.randomUUID();

const meeting = z.object({
  on: z.iso.date(),
  at: z.string().regex(/^\d{2}:\d{2}$/),
  minutes: z.coerce.number().int().min(10).max(480),
  room: z.string().max(120),
  reason: z.string().max(200),
});

/** A meeting beside the weekly pattern. */
export function AddMeeting({ term, onPropose }: { term: Term; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const like = term.meetings.find((one) => one.isOpen) ?? term.meetings[0];
  const { register, handleSubmit, formState, control } = useForm({
    defaultValues: {
      on: like?.on ?? term.term.startsOn,
      at: like ? clock(like.startsAt) : '19:00',
      minutes: like?.minutes ?? 60,
      room: '',
      reason: '',
    },
    resolver: zodResolver(meeting),
  });
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      noValidate
      onSubmit={(event) => {
        void handleSubmit((said) => {
          onPropose([{ what: 'add', id: freshId(), ...said }]);
        })(event);
      }}
    >
      <Controller
        control={control}
        name="on"
        render={({ field: own }) => (
          <DateField
            label={t('terms.moveTo')}
            min={term.term.startsOn}
            max={term.term.endsOn}
            value={own.value}
            onValue={own.onChange}
            error={formState.errors.on?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="at"
        render={({ field: own }) => (
          <TimeField label={t('terms.moveAt')} value={own.value} onValue={own.onChange} error={formState.errors.at?.message} />
        )}
      />
      <TextField label={t('terms.length')} type="number" error={formState.errors.minutes?.message} {...register('minutes')} />
      <TextField label={t('terms.room')} placeholder={t('terms.roomUsual')} {...register('room')} />
      <TextField label={t('terms.reason')} {...register('reason')} />
      <Button type="submit" look="primary" className="self-end">
        {t('terms.apply')}
      </Button>
    </form>
  );
}

const days = z.object({ from: z.iso.date(), to: z.iso.date(), reason: z.string().max(200) });

/** Days that are closed: whatever meets on them does not take place. */
export function CloseDays({ term, onPropose }: { term: Term; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const first = term.meetings.find((one) => one.isOpen)?.on ?? term.term.startsOn;
  const { register, handleSubmit, formState, control } = useForm({
    defaultValues: { from: first, to: first, reason: '' },
    resolver: zodResolver(days),
  });
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      noValidate
      onSubmit={(event) => {
        void handleSubmit((said) => {
          onPropose([{ what: 'close', ...said }]);
        })(event);
      }}
    >
      <Controller
        control={control}
        name="from"
        render={({ field: own }) => (
          <DateField
            label={t('terms.closureFrom')}
            value={own.value}
            onValue={own.onChange}
            error={formState.errors.from?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="to"
        render={({ field: own }) => (
          <DateField label={t('terms.closureTo')} value={own.value} onValue={own.onChange} error={formState.errors.to?.message} />
        )}
      />
      <TextField label={t('terms.reason')} {...register('reason')} />
      <Button type="submit" look="primary" className="self-end">
        {t('terms.closeGo')}
      </Button>
    </form>
  );
}
