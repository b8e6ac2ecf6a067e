import type { KeyboardEvent } from 'react';
import { useTranslation } from '../../messages';
import type { Ladder } from './ladders';
import { tip } from '../../kit/tip';
import { RungButton } from '../../kit/touch';

interface Props<L extends string> {
  ladder: Ladder<L>;
  label: string;
  level: string | null;
  onLevel: (level: L) => void;
  /** Whether what is shown waits to be sent. */
  isUnsent?: boolean;
}

/** Along the levels of a row with the arrows: for Tab the whole row is one stop. */
function along(event: KeyboardEvent<HTMLDivElement>): void {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (step === 0 || event.ctrlKey || event.metaKey || event.altKey) return;
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const next = buttons[buttons.indexOf(event.target as HTMLButtonElement) + step];
  event.preventDefault();
  next?.focus();
}

/** The levels of a ladder, one touch each; the glyph is read where there is no room for the word. */
export function LevelButtons<L extends string>({ ladder, label, level, onLevel, isUnsent = false }: Props<L>) {
  const { t } = useTranslation();
  const isAnyOn = ladder.levels.some((one) => one === level);
  return (
    // The keys are those of the buttons inside; the group itself is not operated.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div
      className={`grid gap-1 ${ladder.levels.length === 4 ? 'grid-cols-4' : 'grid-cols-5'}`}
      role="group"
      aria-label={label}
      onKeyDown={along}
    >
      {ladder.levels.map((one, at) => {
        const isOn = level === one;
        return (
          <RungButton
            key={one}
            isOn={isOn}
            tabIndex={isOn || (at === 0 && !isAnyOn) ? 0 : -1}
            aria-keyshortcuts={String(at + 1)}
            {...tip(`${ladder.seen(one)}${isOn && isUnsent ? ` (${t('outbox.waits')})` : ''}`)}
            onClick={() => {
              onLevel(one);
            }}
          >
            {ladder.glyph(one, isOn)}
            <span className="max-w-full break-words">{ladder.word(one)}</span>
            {isOn && isUnsent ? (
              <span
                aria-hidden="true"
                data-unsent
                className="absolute top-1 right-1 size-2 rounded-full border border-persimmon"
              />
            ) : null}
          </RungButton>
        );
      })}
    </div>
  );
}
