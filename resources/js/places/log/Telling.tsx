import { Box } from '../../api/enums';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { inMinutes } from '../../kit/format';
import type { Doing, Form, MeetingPage, Passage } from '../../api/client';
import { CloseText } from '../../kit/closeFields';
import { Button, CrossButton, TextArea, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { Heading } from '../../kit/page';
import { Select } from '../../kit/Select';
import { Segmented } from '../../kit/Segmented';
import { RUN_ORDERS } from '../../pictures/coursePart';
import { type CellState, Ribbon } from '../../pictures/Ribbon';
import { stretchTo } from '../../pictures/stretch';
import { usePassageWords } from '../meeting/PlanList';
import { awayIn, type Draft, type Part, taughtTo, withChange, without, withPart } from './draft';

interface Props {
  page: MeetingPage;
  forms: Record<string, Form>;
  start: Draft;
  /** By which what is said is kept until it is sent. */
  name?: string;
  /** Only looked at. */
  isLocked?: boolean;
  onKeep: (draft: Draft) => void;
}

const MOST_MINUTES = 1440;
const TOUCHED = ['taught', 'shown', 'followed', 'reviewed', 'run_through', 'joined'] as const;

/** What was said before and not sent; a field that was emptied has no number in what is kept. */
function keptDraft(name: string): Draft | null {
  const kept = readDraft<Omit<Draft, 'minutes'> & { minutes: number | null }>(name);
  return kept === null ? null : { ...kept, minutes: kept.minutes ?? NaN };
}

/** What was done, said by touching the ribbon: a stretch, then what was done with it. */
export function Telling({ page, forms, start, name = '', isLocked = false, onKeep }: Props) {
  const { t } = useTranslation();
  const [draft, setSaid] = useState<Draft>(() => (isLocked ? start : (keptDraft(name) ?? start)));
  const [courseId, setCourse] = useState(page.courses[0]?.courseId ?? '');
  const [touched, setTouched] = useState<Passage | null>(null);
  const form = forms[courseId] as Form;
  const words = usePassageWords(form);
  const shown = isLocked ? start : draft;
  const away = awayIn(shown, page);

  // Only what was changed here is kept: whoever just looked finds it as it is by then.
  const setDraft = (next: Draft) => {
    setSaid(next);
    keepDraft(name, next);
  };
  const change = (next: Draft) => {
    setDraft(next);
    setTouched(null);
  };
  const touch = (position: number) => {
    setTouched((before) => stretchTo(before, position));
  };
  const add = (what: Doing['what']) => {
    if (touched !== null) change(withPart(draft, what, { formId: form.id, passage: touched }));
  };
  const isWrong = (minutes: number | null) => minutes !== null && !(minutes >= 0 && minutes <= MOST_MINUTES);
  const wrong = draft.parts.some((one) => isWrong(one.minutes)) || isWrong(draft.minutes);

  return (
    <>
      {page.courses.length > 1 ? (
        <div className="mb-3">
          <Segmented
            label={t('log.form')}
            value={courseId}
            onValue={(next) => {
              setCourse(next);
              setTouched(null);
            }}
            of={page.courses.map((one) => ({ value: one.courseId, text: one.title }))}
          />
        </div>
      ) : null}
      <Ribbon
        form={form}
        state={stateOf(shown, form.id)}
        selected={isLocked ? null : touched}
        {...(isLocked ? {} : { onSelect: touch })}
        arcs="none"
      />
      {isLocked ? null : (
        <div className="sticky top-0 z-10 border-b border-line bg-paper py-2" aria-live="polite">
          {touched === null ? (
            <p className="text-soft">{t('log.touch')}</p>
          ) : (
            <>
              <p className="mb-1 text-lg">
                <strong>{words.numbers(touched)}</strong> {words.titles(touched)}
              </p>
              <div className="flex flex-wrap gap-2">
                {touched.from === touched.to ? (
                  <Button
                    look="primary"
                    onClick={() => {
                      change(taughtTo(draft, form, touched.to));
                    }}
                  >
                    {t('log.taughtToHere')}
                  </Button>
                ) : null}
                {TOUCHED.filter((what) => what !== 'joined' || touched.from !== touched.to).map((what) => (
                  <Button
                    key={what}
                    onClick={() => {
                      add(what);
                    }}
                  >
                    {t(`log.what.${what}`)}
                  </Button>
                ))}
                <Button
                  onClick={() => {
                    change(withPart(draft, 'restarted', { formId: form.id, passage: { from: touched.from, to: touched.from } }));
                  }}
                >
                  {t('log.what.restarted')}
                </Button>
                <Button
                  onClick={() => {
                    change({ ...draft, firstNext: { formId: form.id, passage: touched } });
                  }}
                >
                  {t('log.firstNextHere')}
                </Button>
              </div>
            </>
          )}
        </div>
      )}
      <Heading>{t('log.did')}</Heading>
      {shown.parts.length === 0 ? <p className="text-soft">{t('log.nothing')}</p> : null}
      <ul className="m-0 list-none p-0">
        {shown.parts.map((part) => (
          <Row
            key={part.id}
            part={part}
            form={Object.values(forms).find((one) => one.id === part.formId) ?? form}
            isNamed={page.courses.length > 1}
            isLocked={isLocked}
            onChange={(to) => {
              setDraft(withChange(draft, part.id, to));
            }}
            onRemove={() => {
              setDraft(without(draft, part.id));
            }}
          />
        ))}
      </ul>
      {isLocked ? null : <LeftOut page={page} draft={draft} onChange={setDraft} />}
      <FirstNext
        draft={shown}
        forms={forms}
        isLocked={isLocked}
        onClear={() => {
          setDraft({ ...draft, firstNext: null });
        }}
      />
      <div className="mt-4 grid max-w-3xl gap-4 sm:grid-cols-[10rem_1fr]">
        {isLocked ? (
          <p>
            {t('log.minutes')}: <strong>{shown.minutes}</strong>
          </p>
        ) : (
          <TextField
            label={t('log.minutes')}
            type="number"
            min={1}
            max={MOST_MINUTES}
            value={Number.isNaN(draft.minutes) ? '' : draft.minutes}
            onChange={(event) => {
              setDraft({ ...draft, minutes: event.target.valueAsNumber });
            }}
          />
        )}
        {isLocked ? (
          shown.note === '' ? null : (
            <p className="whitespace-pre-wrap">{shown.note}</p>
          )
        ) : (
          <TextArea
            label={t('log.note')}
            hint={t('log.noteHint')}
            maxLength={2000}
            rows={2}
            value={draft.note}
            onChange={(event) => {
              setDraft({ ...draft, note: event.target.value });
            }}
          />
        )}
      </div>
      <Heading aside={t('meeting.hereCount', { here: page.students.length - away.length, of: page.students.length })}>
        {t('meeting.here')}
      </Heading>
      <ul className="m-0 grid list-none gap-x-8 p-0 sm:grid-cols-2 lg:grid-cols-3">
        {page.students.map(({ id, name: called }) => (
          <li key={id}>
            {isLocked ? (
              <p className={`min-h-8 ${away.includes(id) ? 'text-soft line-through' : ''}`}>
                {called} <span className="sr-only">{t(away.includes(id) ? 'meeting.away' : 'meeting.present')}</span>
              </p>
            ) : (
              <Tick
                checked={!away.includes(id)}
                onTick={(is) => {
                  setDraft({ ...draft, away: is ? away.filter((one) => one !== id) : [...away, id] });
                }}
              >
                {called}
              </Tick>
            )}
          </li>
        ))}
      </ul>
      {isLocked ? null : (
        <div className="sticky bottom-16 mt-6 flex flex-wrap gap-2 border-t border-line bg-paper py-3 lg:bottom-0">
          <Button
            look="primary"
            className="min-h-14 px-8 text-lg"
            disabled={wrong || Number.isNaN(draft.minutes)}
            onClick={() => {
              dropDraft(name);
              onKeep(draft);
            }}
          >
            {t(start.replaces === null ? 'log.keep' : 'log.keepCorrected')}
          </Button>
          <Button
            className="min-h-14"
            onClick={() => {
              change(start);
            }}
          >
            {t('log.again')}
          </Button>
          {wrong ? <p role="alert">{t('log.minutesWrong')}</p> : null}
        </div>
      )}
    </>
  );
}

/** New work dark, everything else that was touched light: what was done with it stands in the list. */
function stateOf(draft: Draft, formId: string): (position: number) => CellState {
  const isIn = (position: number, ...whats: Doing['what'][]) =>
    draft.parts.some(
      (one) =>
        one.formId === formId &&
        one.passage !== null &&
        whats.includes(one.what) &&
        position >= one.passage.from &&
        position <= one.passage.to,
    );
  return (position) =>
    isIn(position, 'taught') ? 'now' : isIn(position, 'shown', 'reviewed', 'run_through') ? 'known' : 'plain';
}

interface RowProps {
  part: Part;
  form: Form;
  isNamed: boolean;
  isLocked: boolean;
  onChange: (change: Partial<Part>) => void;
  onRemove: () => void;
}

function Row({ part, form, isNamed, isLocked, onChange, onRemove }: RowProps) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const what =
    part.what === 'left_out' && part.box !== null
      ? t('log.leftOut', { box: t(`boxes.${part.box as 'new'}`) })
      : t(`log.what.${part.what}`);
  const hasMinutes = !['restarted', 'joined', 'left_out'].includes(part.what);
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 border-b border-line py-1 sm:grid-cols-[9rem_1fr_auto_auto]">
      <span className="font-medium">{what}</span>
      <span className="order-last col-span-2 min-w-0 sm:order-none sm:col-span-1">
        {part.passage === null ? null : (
          <>
            <strong>{words.numbers(part.passage)}</strong> {words.titles(part.passage)}
            {isNamed ? <span className="text-soft"> · {form.title}</span> : null}
          </>
        )}
        {part.what === 'run_through' ? <RunOrder part={part} isLocked={isLocked} onChange={onChange} /> : null}
        {part.note === '' ? null : <span className="text-soft"> · {part.note}</span>}
      </span>
      <span className="flex items-center gap-1">
        {!hasMinutes ? null : isLocked ? (
          part.minutes === null ? null : (
            <span className="text-soft">{inMinutes(part.minutes)}</span>
          )
        ) : (
          <span className="flex items-center gap-1 text-sm text-soft">
            <CloseText
              type="number"
              inputMode="decimal"
              min={0}
              max={MOST_MINUTES}
              step="any"
              aria-label={t('log.minutesOf', { what, passage: part.passage === null ? '' : words.numbers(part.passage) })}
              className="!w-20 text-right"
              value={part.minutes ?? ''}
              onChange={(event) => {
                // Whoever says the minutes has measured them.
                onChange({
                  minutes: event.target.value === '' ? null : event.target.valueAsNumber,
                  others: Object.fromEntries(Object.entries(part.others).filter(([key]) => key !== 'as_planned')),
                });
              }}
            />
            {t('log.unit')}
          </span>
        )}
        {isLocked ? null : (
          <CrossButton
            aria-label={t('log.removePart', { what, passage: part.passage === null ? '' : words.numbers(part.passage) })}
            onClick={onRemove}
          />
        )}
      </span>
    </li>
  );
}

/** In which order it was gone through. */
function RunOrder({ part, isLocked, onChange }: Pick<RowProps, 'part' | 'isLocked' | 'onChange'>) {
  const { t } = useTranslation();
  const order = part.others.order ?? 'as_written';
  if (isLocked) return order === 'as_written' ? null : <span className="text-soft"> · {t(`plan.orders.${order}`)}</span>;
  return (
    <div className="max-w-80">
      <Select
        label={t('log.order')}
        isBare
        isSmall
        value={order}
        onValue={(value) => {
          const others = Object.fromEntries(Object.entries(part.others).filter(([key]) => key !== 'order'));
          onChange({ others: value === 'as_written' ? others : { ...others, order: value as typeof order } });
        }}
        of={RUN_ORDERS.map((value) => ({ value, text: t(`plan.orders.${value}`) }))}
      />
    </div>
  );
}

/** Boxes the evening had no room for. */
function LeftOut({ page, draft, onChange }: { page: MeetingPage; draft: Draft; onChange: (draft: Draft) => void }) {
  const { t } = useTranslation();
  const boxes = Box.filter((box) => box !== 'free').filter((box) => (page.meeting.boxes[box] ?? 0) > 0);
  const out = (box: string) => draft.parts.find((one) => one.what === 'left_out' && one.box === box);
  return (
    <fieldset className="mt-3 flex flex-wrap items-center gap-x-5 border-0 p-0">
      <legend className="float-left mr-4 text-soft">{t('log.leftOutWhich')}</legend>
      {boxes.map((box) => (
        <Tick
          key={box}
          checked={out(box) !== undefined}
          onTick={(is) => {
            const gone = out(box);
            if (is) onChange(withPart(draft, 'left_out', { box }));
            else if (gone) onChange(without(draft, gone.id));
          }}
        >
          {t(`boxes.${box}`)}
        </Tick>
      ))}
    </fieldset>
  );
}

function FirstNext({
  draft,
  forms,
  isLocked,
  onClear,
}: {
  draft: Draft;
  forms: Record<string, Form>;
  isLocked: boolean;
  onClear: () => void;
}) {
  const { t } = useTranslation();
  const next = draft.firstNext;
  const form = Object.values(forms).find((one) => one.id === next?.formId) ?? (Object.values(forms)[0] as Form);
  const words = usePassageWords(form);
  if (next === null) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-x-3 text-lg">
      <span>
        {t('log.firstNext')} <strong>{words.numbers(next.passage)}</strong> {words.titles(next.passage)}
      </span>
      {isLocked ? null : (
        <Button look="quiet" onClick={onClear}>
          {t('log.firstNextClear')}
        </Button>
      )}
    </p>
  );
}
