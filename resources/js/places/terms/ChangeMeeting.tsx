import { Box } from '../../api/enums';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useTranslation } from '../../messages';
import type { Course, Meeting, Term } from '../../api/client';
import { Button, ButtonLink, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { entryChoices } from '../../kit/entryName';
import { Fold } from '../../kit/Fold';
import { Form } from '../../kit/Form';
import { FormDate, FormSelect, FormTime } from '../../kit/formFields';
import { wall } from '../../kit/format';
import { z } from '../../kit/schema';
import { Select } from '../../kit/Select';
import { partOf, RUN_ORDERS } from '../../pictures/coursePart';
import { PickMovements } from '../../pictures/PickMovements';
import { sentence } from '../../messages/say';
import { usePassageWords } from '../meeting/PlanList';
import { meetingFields } from './meetingFields';
import type { TermChange } from './useProposal';
import { WhyReview } from './WhyReview';

interface Props {
  term: Term;
  meeting: Meeting;
  course: Course;
  onPropose: (changes: TermChange[]) => void;
}

/** Everything a teacher can do to one evening; what it would move is seen before it is done. */
export function ChangeMeeting({ term, meeting, course, onPropose }: Props) {
  const { t } = useTranslation();
  const part = partOf(meeting, course.id);
  const words = usePassageWords(course.form);
  const pinned = (meeting.pins.lessons as Record<string, number> | undefined)?.[course.id];
  const left = [
    ...new Set(term.meetings.flatMap((one) => (one.isOpen ? partOf(one, course.id).lessons.map((lesson) => lesson.number) : []))),
  ].filter((one): one is number => one !== null);
  const all = [...new Set([...left, ...(course.forecast?.left ?? [])])].sort((a, b) => a - b);
  const keysOf = (from: number, to: number) =>
    course.form.entries.filter((entry) => entry.position >= from && entry.position <= to).map((entry) => entry.key);
  const pickedKeys = (meeting.pins.picked as Record<string, string[]> | undefined)?.[course.id] ?? [];
  if (!meeting.isOpen) {
    return (
      <div className="flex flex-col gap-3">
        {part.why ? <p>{sentence(part.why)}</p> : null}
        <ButtonLink to={`/meetings/${meeting.id}`}>{t('terms.openMeeting')}</ButtonLink>
      </div>
    );
  }
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-2">
        {part.why ? <p className="grow">{sentence(part.why)}</p> : null}
        <ButtonLink to={`/meetings/${meeting.id}`}>{t('terms.openMeeting')}</ButtonLink>
        <ButtonLink to={`/meetings/${meeting.id}/sheet`}>{t('terms.sheet')}</ButtonLink>
      </div>
      {meeting.state === 'cancelled' ? (
        <Button
          look="primary"
          onClick={() => {
            onPropose([{ what: 'restore', meeting: meeting.id }]);
          }}
        >
          {t('terms.restore')}
        </Button>
      ) : (
        <>
          <Tick
            checked={meeting.pins.nothing_new === true}
            onTick={(is) => {
              onPropose([{ what: 'nothing_new', meeting: meeting.id, is }]);
            }}
          >
            {t('terms.nothingNew')}
          </Tick>
          {course.approach === 'whole' || course.keeps.length > 0 ? null : (
            <Tick
              checked={((meeting.pins.rough as string[] | undefined) ?? []).includes(course.id)}
              onTick={(is) => {
                onPropose([{ what: 'rough', meeting: meeting.id, course: course.id, is }]);
              }}
            >
              {t('terms.rough')}
            </Tick>
          )}
          {part.why?.code === 'plan.why.reserve' || meeting.pins.spends_reserve === true ? (
            <Tick
              checked={meeting.pins.spends_reserve === true}
              onTick={(is) => {
                onPropose([{ what: 'spend_reserve', meeting: meeting.id, is }]);
              }}
            >
              {t('terms.spendReserve')}
            </Tick>
          ) : null}
          <Select
            label={t('terms.lessonHere')}
            value={pinned === undefined ? '' : String(pinned)}
            onValue={(value) => {
              onPropose([
                value === ''
                  ? { what: 'lesson', course: course.id, number: pinned ?? 1 }
                  : { what: 'lesson', course: course.id, meeting: meeting.id, number: Number(value) },
              ]);
            }}
            of={[
              { value: '', text: t('terms.lessonByPlan') },
              ...all.map((number) => ({ value: String(number), text: t('terms.lessonN', { number }) })),
            ]}
          />
          <Select
            label={t('terms.runOrder')}
            value={(meeting.pins.orders as Record<string, string> | undefined)?.[course.id] ?? ''}
            onValue={(value) => {
              onPropose([
                {
                  what: 'run_order',
                  meeting: meeting.id,
                  course: course.id,
                  order: RUN_ORDERS.find((one) => one === value) ?? null,
                },
              ]);
            }}
            of={[
              { value: '', text: t('terms.runOrderByPlan') },
              ...RUN_ORDERS.map((value) => ({ value, text: t(`plan.orders.${value}`) })),
            ]}
          />
          <section aria-label={t('terms.reviewed')}>
            <h3 className="text-lg">{t('terms.reviewed')}</h3>
            <ul className="m-0 list-none p-0">
              {part.review.map((item) => (
                <li key={item.from} className="flex flex-wrap items-center gap-x-3 border-b border-line">
                  <span className="grow">
                    <strong>{words.numbers(item)}</strong> {words.titles(item)}
                  </span>
                  <WhyReview item={item} words={words} names={term.names as Record<string, string>} />
                  <Button
                    look="quiet"
                    onClick={() => {
                      onPropose([
                        { what: 'review_out', meeting: meeting.id, course: course.id, entries: keysOf(item.from, item.to) },
                      ]);
                    }}
                  >
                    {t('terms.reviewOut')}
                  </Button>
                </li>
              ))}
            </ul>
            <ReviewIn
              course={course}
              upTo={taughtTo(term, meeting, course.id)}
              onPut={(from, to) => {
                onPropose([{ what: 'review_in', meeting: meeting.id, course: course.id, entries: keysOf(from, to) }]);
              }}
            />
            <PickForReview
              key={pickedKeys.join(' ')}
              course={course}
              upTo={taughtTo(term, meeting, course.id)}
              picked={pickedKeys}
              onPick={(entries) => {
                onPropose([{ what: 'review_picked', meeting: meeting.id, course: course.id, entries }]);
              }}
            />
          </section>
          <When meeting={meeting} onPropose={onPropose} />
          <Boxes meeting={meeting} onPropose={onPropose} />
        </>
      )}
    </div>
  );
}

/** The last position that is taught before an evening, as far as its term says: what can be reviewed on it, and so nothing it brings. */
function taughtTo(term: Term, meeting: Meeting, course: string): number {
  const before = term.meetings
    .slice(
      0,
      term.meetings.findIndex((one) => one.id === meeting.id),
    )
    .filter((one) => one.state !== 'cancelled')
    .map((one) => partOf(one, course));
  const tonight = partOf(meeting, course);
  return Math.max(
    1,
    ...[tonight.recap, ...tonight.review].map((one) => one?.to ?? 1),
    ...before.flatMap((part) =>
      [...part.lessons, ...part.review, ...(part.runThrough ? [part.runThrough] : [])].map((one) => one.to),
    ),
  );
}

function ReviewIn({ course, upTo, onPut }: { course: Course; upTo: number; onPut: (from: number, to: number) => void }) {
  const { t } = useTranslation();
  const { handleSubmit, control } = useForm({ defaultValues: { from: 1, to: 1 } });
  const entries = entryChoices(course.form.entries.slice(0, upTo));
  return (
    <Form
      className="mt-2 grid items-end gap-2 sm:grid-cols-[1fr_1fr_auto]"
      onSend={(event) => {
        void handleSubmit(({ from, to }) => {
          onPut(Math.min(Number(from), Number(to)), Math.max(Number(from), Number(to)));
        })(event);
      }}
    >
      <FormSelect control={control} name="from" label={t('terms.reviewFrom')} of={entries} />
      <FormSelect control={control} name="to" label={t('terms.reviewTo')} of={entries} />
      <Button type="submit">{t('terms.reviewIn')}</Button>
    </Form>
  );
}

/** Movements that need not lie together, each done by itself and closed by its rest. */
function PickForReview({
  course,
  upTo,
  picked,
  onPick,
}: {
  course: Course;
  upTo: number;
  picked: string[];
  onPick: (entries: string[]) => void;
}) {
  const { t } = useTranslation();
  const entries = course.form.entries.slice(0, upTo);
  const [chosen, setChosen] = useState(
    () => new Set(entries.filter((entry) => picked.includes(entry.key)).map((entry) => entry.position)),
  );
  return (
    <Fold title={t('terms.reviewPick')} look="link" isOpen={picked.length > 0}>
      <PickMovements
        form={{ entries, sections: course.form.sections }}
        label={t('terms.reviewPickWhich')}
        value={chosen}
        onValue={setChosen}
      />
      <Button
        className="mt-2"
        disabled={chosen.size === 0 && picked.length === 0}
        onClick={() => {
          onPick(entries.filter((entry) => chosen.has(entry.position)).map((entry) => entry.key));
        }}
      >
        {t('terms.reviewPickDo')}
      </Button>
    </Fold>
  );
}

const when = meetingFields.extend({ to: z.iso.date(), focus: z.string().max(500) });

function When({ meeting, onPropose }: { meeting: Meeting; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const is = {
    to: meeting.on,
    at: wall(meeting.startsAt),
    minutes: meeting.minutes,
    room: meeting.room ?? '',
    focus: (meeting.pins.focus as string | undefined) ?? '',
    reason: meeting.reason ?? '',
  };
  const { register, handleSubmit, formState, getValues, control } = useForm({ defaultValues: is, resolver: zodResolver(when) });
  return (
    <Form
      className="grid gap-3 sm:grid-cols-2"
      onSend={(event) => {
        void handleSubmit((said) => {
          const reason = said.reason === '' ? {} : { reason: said.reason };
          const changes: TermChange[] = [];
          if (said.to !== is.to || said.at !== is.at)
            changes.push({ what: 'move', meeting: meeting.id, to: said.to, at: said.at, ...reason });
          if (said.minutes !== is.minutes)
            changes.push({ what: 'minutes', meeting: meeting.id, minutes: said.minutes, ...reason });
          if (said.room !== is.room) changes.push({ what: 'room', meeting: meeting.id, room: said.room });
          if (said.focus !== is.focus) changes.push({ what: 'focus', meeting: meeting.id, words: said.focus });
          if (changes.length > 0) onPropose(changes);
        })(event);
      }}
    >
      <FormDate control={control} name="to" label={t('terms.moveTo')} />
      <FormTime control={control} name="at" label={t('terms.moveAt')} />
      <TextField label={t('terms.length')} type="number" error={formState.errors.minutes?.message} {...register('minutes')} />
      <TextField
        label={t('terms.room')}
        placeholder={t('terms.roomUsual')}
        error={formState.errors.room?.message}
        {...register('room')}
      />
      <TextField label={t('terms.focusWords')} error={formState.errors.focus?.message} {...register('focus')} />
      <TextField label={t('terms.reason')} error={formState.errors.reason?.message} {...register('reason')} />
      <div className="flex flex-wrap gap-2 sm:col-span-2">
        <Button type="submit" look="primary">
          {t('terms.apply')}
        </Button>
        <Button
          onClick={() => {
            const reason = getValues('reason');
            onPropose([{ what: 'cancel', meeting: meeting.id, ...(reason === '' ? {} : { reason }) }]);
          }}
        >
          {t('terms.cancel')}
        </Button>
      </div>
    </Form>
  );
}

const BOXES = Box.filter((box) => box !== 'free');

const boxed = z.object({ box: z.enum(BOXES), minutes: z.coerce.number().int().min(0).max(480) });

function Boxes({ meeting, onPropose }: { meeting: Meeting; onPropose: (changes: TermChange[]) => void }) {
  const { t } = useTranslation();
  const { register, handleSubmit, watch, setValue, formState } = useForm({
    defaultValues: { box: 'review' as (typeof BOXES)[number], minutes: meeting.boxes.review ?? 0 },
    resolver: zodResolver(boxed),
  });
  const box = watch('box');
  const isFixed = (meeting.pins.boxes as Record<string, number> | undefined)?.[box] !== undefined;
  return (
    <Form
      className="grid items-end gap-2 sm:grid-cols-[1fr_7rem_auto_auto]"
      onSend={(event) => {
        void handleSubmit((said) => {
          onPropose([{ what: 'box', meeting: meeting.id, ...said }]);
        })(event);
      }}
    >
      <Select
        label={t('terms.box')}
        value={box}
        onValue={(value) => {
          setValue('box', value as typeof box);
          setValue('minutes', meeting.boxes[value] ?? 0);
        }}
        of={BOXES.map((one) => ({ value: one, text: t(`boxes.${one}`) }))}
      />
      <TextField label={t('terms.boxMinutes')} type="number" error={formState.errors.minutes?.message} {...register('minutes')} />
      <Button type="submit">{t('terms.apply')}</Button>
      {isFixed ? (
        <Button
          look="quiet"
          onClick={() => {
            onPropose([{ what: 'box', meeting: meeting.id, box, minutes: null }]);
          }}
        >
          {t('terms.boxFree')}
        </Button>
      ) : null}
    </Form>
  );
}
