import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { v4 } from 'uuid';
import type { Term } from '../../api/client';
import { Button, TextField } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormDate, FormTime } from '../../kit/formFields';
import { wall } from '../../kit/format';
import { z } from '../../kit/schema';
import { meetingFields } from './meetingFields';
import type { TermChange } from './useProposal';

const added = meetingFields.extend({ on: z.iso.date() });

/** A meeting beside the weekly pattern. */
export function AddMeeting({ term, onPropose }: { term: Term; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const like = term.meetings.find((one) => one.isOpen) ?? term.meetings[0];
  const { register, handleSubmit, formState, control } = useForm({
    defaultValues: {
      on: like?.on ?? term.term.startsOn,
      at: like ? wall(like.startsAt) : '19:00',
      minutes: like?.minutes ?? 60,
      room: '',
      reason: '',
    },
    resolver: zodResolver(added),
  });
  return (
    <Form
      className="grid gap-3 sm:grid-cols-2"
      onSend={(event) => {
        // The id is made here, so that sending it twice makes one meeting.
        void handleSubmit((said) => {
          onPropose([{ what: 'add', id: v4(), ...said }]);
        })(event);
      }}
    >
      <FormDate control={control} name="on" label={t('terms.addOn')} min={term.term.startsOn} max={term.term.endsOn} />
      <FormTime control={control} name="at" label={t('terms.moveAt')} />
      <TextField label={t('terms.length')} type="number" error={formState.errors.minutes?.message} {...register('minutes')} />
      <TextField
        label={t('terms.room')}
        placeholder={t('terms.roomUsual')}
        error={formState.errors.room?.message}
        {...register('room')}
      />
      <TextField label={t('terms.reason')} error={formState.errors.reason?.message} {...register('reason')} />
      <Button type="submit" look="primary" className="self-end">
        {t('terms.apply')}
      </Button>
    </Form>
  );
}

const days = z.object({ from: z.iso.date(), to: z.iso.date(), reason: z.string().max(200) });

/** Days that are closed: whatever meets on them does not take place. */
export function CloseDays({ term, onPropose }: { term: Term; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const first = term.meetings.find((one) => one.isOpen)?.on ?? term.term.startsOn;
  const { register, handleSubmit, control } = useForm({
    defaultValues: { from: first, to: first, reason: '' },
    resolver: zodResolver(days),
  });
  return (
    <Form
      className="grid gap-3 sm:grid-cols-2"
      onSend={(event) => {
        void handleSubmit((said) => {
          onPropose([{ what: 'close', ...said }]);
        })(event);
      }}
    >
      <FormDate control={control} name="from" label={t('terms.closureFrom')} />
      <FormDate control={control} name="to" label={t('terms.closureTo')} />
      <TextField label={t('terms.reason')} {...register('reason')} />
      <Button type="submit" look="primary" className="self-end">
        {t('terms.closeGo')}
      </Button>
    </Form>
  );
}
