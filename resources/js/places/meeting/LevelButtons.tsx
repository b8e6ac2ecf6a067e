import { useTranslation } from 'react-i18next';
import { LADDER, type Support } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';

export const LEVELS = LADDER.slice(1);

interface Props {
  label: string;
  level: string | null;
  onLevel: (support: Support) => void;
  /** Whether what is shown waits to be sent. */
  isUnsent?: boolean;
}

/** The five levels, one touch each; the glyph is read where there is no room for the word. */
export function LevelButtons({ label, level, onLevel, isUnsent = false }: Props) {
  const { t } = useTranslation();
  return (
    <div className="grid grid-cols-5 gap-1" role="group" aria-label={label}>
      {LEVELS.map((support, at) => {
        const isOn = level === support;
        return (
          <button
            key={support}
            type="button"
            aria-pressed={isOn}
            aria-keyshortcuts={String(at + 1)}
            title={`${t(`supportSeen.${support}`)}${isOn && isUnsent ? ` (${t('outbox.waits')})` : ''}`}
            onClick={() => {
              onLevel(support);
            }}
            className={`relative flex min-h-14 min-w-0 flex-col items-center justify-center gap-0.5 rounded border px-0.5 text-[0.68rem] leading-tight lg:flex-row lg:gap-2 lg:px-1 lg:text-[0.95rem] ${
              isOn ? 'border-pine bg-straw-soft font-semibold' : 'border-line bg-sheet'
            }`}
          >
            <ReedGlyph reed={{ segments: at + 1, sureness: isOn ? 'solid' : 'outlined' }} size={24} />
            <span className="max-w-full break-words">{t(`support.${support}`)}</span>
            {isOn && isUnsent ? (
              <span
                aria-hidden="true"
                data-unsent
                className="absolute top-1 right-1 size-2 rounded-full border border-persimmon"
              />
            ) : null}
          </button>
        );
      })}
    </div>
  );
}
