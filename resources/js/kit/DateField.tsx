import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type KeyboardEvent, useRef, useState } from 'react';
import { useTranslation } from '../messages';
import { field, type FieldProps, Labelled } from './controls';
import { monthLater, readDay, readTime, weeksOf } from './dates';
import { clock, day, dayLike, timeLike, weekStart } from './format';
import { Floating } from './Floating';

interface DateProps extends FieldProps {
  /** `YYYY-MM-DD`, empty for none. */
  value: string;
  onValue: (value: string) => void;
  min?: string;
  max?: string;
}

const writtenTime = (value: string): string => (readTime(value) === null ? value : clock(value));
const written = (value: string): string => (readDay(value) === null ? value : day(value, 'numbered'));

/** A day in the school's own form: typed as one writes it, or chosen from its month. */
export function DateField({ label, hint, error, value, onValue, min, max }: DateProps) {
  const { t } = useTranslation();
  const [text, setText] = useState(written(value));
  // What is typed stays as it is typed; what comes from elsewhere is shown in the school's form.
  const [known, setKnown] = useState(value);
  if (known !== value) {
    setKnown(value);
    setText(written(value));
  }
  const put = (typed: string) => {
    setText(typed);
    const read = typed.trim() === '' ? '' : readDay(typed);
    if (read !== null && read !== value) {
      setKnown(read);
      onValue(read);
    }
  };
  const isWrong = text.trim() !== '' && readDay(text) === null;
  return (
    <Labelled label={label} hint={hint} error={error ?? (isWrong ? t('fields.dayWrong', { like: dayLike() }) : undefined)}>
      {(shared) => (
        <div className="relative">
          <input
            {...shared}
            ref={(input) => input?.setCustomValidity(isWrong ? t('fields.dayWrong', { like: dayLike() }) : '')}
            className={`${field} pr-12`}
            inputMode="text"
            autoComplete="off"
            placeholder={dayLike()}
            value={text}
            onChange={(event) => {
              put(event.target.value);
            }}
            onBlur={() => {
              if (!isWrong) setText(written(value));
            }}
          />
          <MonthChoice value={value} onValue={put} min={min} max={max} />
        </div>
      )}
    </Labelled>
  );
}

function MonthChoice({
  value,
  onValue,
  min,
  max,
}: {
  value: string;
  onValue: (value: string) => void;
  min: string | undefined;
  max: string | undefined;
}) {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  const today = new Date().toISOString().slice(0, 10);
  const chosen = readDay(value) ?? min ?? today;
  const [month, setMonth] = useState(chosen.slice(0, 7));
  const grid = useRef<HTMLTableElement>(null);
  const focusOn = (on: string) => {
    setMonth(on.slice(0, 7));
    requestAnimationFrame(() => grid.current?.querySelector<HTMLButtonElement>(`[data-day="${on}"]`)?.focus());
  };
  const walk = (event: KeyboardEvent, on: string) => {
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    focusOn(new Date(Date.parse(`${on}T12:00:00Z`) + step * 86_400_000).toISOString().slice(0, 10));
  };
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(is) => {
        setOpen(is);
        if (is) focusOn(chosen);
      }}
    >
      <Popover.Trigger
        className="absolute top-0 right-0 inline-flex size-11 items-center justify-center text-soft hover:text-ink"
        aria-label={t('fields.chooseDay')}
      >
        <CalendarDays size={18} aria-hidden="true" />
      </Popover.Trigger>
      <Floating align="end" className="p-3">
        <div className="mb-1 flex items-center justify-between">
          <button
            type="button"
            className="inline-flex size-11 items-center justify-center"
            aria-label={t('fields.monthBefore')}
            onClick={() => {
              setMonth(monthLater(month, -1));
            }}
          >
            <ChevronLeft size={18} aria-hidden="true" />
          </button>
          <span aria-live="polite" className="font-medium">
            {day(`${month}-01`, 'month')}
          </span>
          <button
            type="button"
            className="inline-flex size-11 items-center justify-center"
            aria-label={t('fields.monthAfter')}
            onClick={() => {
              setMonth(monthLater(month, 1));
            }}
          >
            <ChevronRight size={18} aria-hidden="true" />
          </button>
        </div>
        <table ref={grid} className="border-collapse">
          <thead>
            <tr>
              {(weeksOf(month, weekStart())[0] ?? []).map((on) => (
                <th key={on} scope="col" className="text-sm font-normal text-soft">
                  {day(on, 'weekday').slice(0, 2)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {weeksOf(month, weekStart()).map((week) => (
              <tr key={week[0]}>
                {week.map((on) => {
                  const isOut = (min !== undefined && min !== '' && on < min) || (max !== undefined && max !== '' && on > max);
                  return (
                    <td key={on} className="p-0">
                      <button
                        type="button"
                        data-day={on}
                        disabled={isOut}
                        tabIndex={on === chosen ? 0 : -1}
                        aria-pressed={on === value}
                        aria-label={day(on, 'long')}
                        className={`size-11 rounded disabled:opacity-40 aria-pressed:bg-pine aria-pressed:text-on-pine ${on.startsWith(month) ? '' : 'text-soft'} ${on === today ? 'font-bold underline' : ''}`}
                        onKeyDown={(event) => {
                          walk(event, on);
                        }}
                        onClick={() => {
                          onValue(on);
                          setOpen(false);
                        }}
                      >
                        {Number(on.slice(8))}
                      </button>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Floating>
    </Popover.Root>
  );
}

interface TimeProps extends FieldProps {
  /** `HH:MM`. */
  value: string;
  onValue: (value: string) => void;
}

/** A time of day, shown as the school writes it and typed as one does. */
export function TimeField({ label, hint, error, value, onValue }: TimeProps) {
  const { t } = useTranslation();
  const [text, setText] = useState(() => writtenTime(value));
  const [known, setKnown] = useState(value);
  if (known !== value) {
    setKnown(value);
    setText(writtenTime(value));
  }
  const isWrong = readTime(text) === null;
  return (
    <Labelled label={label} hint={hint} error={error ?? (isWrong ? t('fields.timeWrong', { like: timeLike() }) : undefined)}>
      {(shared) => (
        <input
          {...shared}
          ref={(input) => input?.setCustomValidity(isWrong ? t('fields.timeWrong', { like: timeLike() }) : '')}
          className={field}
          autoComplete="off"
          placeholder={timeLike()}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            const read = readTime(event.target.value);
            if (read !== null && read !== value) {
              setKnown(read);
              onValue(read);
            }
          }}
          onBlur={() => {
            if (!isWrong) setText(writtenTime(value));
          }}
        />
      )}
    </Labelled>
  );
}
