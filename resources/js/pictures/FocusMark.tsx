import { useTranslation } from '../messages';

interface Props {
  isNew: boolean;
  isByHand: boolean;
  isPast: boolean;
  /** What a change would take away. */
  isGhost?: boolean;
}

/** A principle at a meeting: a level bar, with a ring where it is new, in a frame where it was set by hand. */
export function FocusMark({ isNew, isByHand, isPast, isGhost = false }: Props) {
  const { t } = useTranslation();
  const color = isGhost ? 'var(--line)' : isPast ? 'var(--soft)' : 'var(--river)';
  const says = [t('boxes.focus'), isNew ? t('focus.isNew') : '', isByHand ? t('principles.focus.byHand') : '']
    .filter((one) => one !== '')
    .join(', ');
  return (
    <svg
      width="46"
      height="20"
      role={isGhost ? undefined : 'img'}
      aria-label={isGhost ? undefined : says}
      aria-hidden={isGhost || undefined}
    >
      {isByHand ? <rect x={1} y={2} width={44} height={16} fill="none" stroke="var(--ink)" strokeWidth={1.4} /> : null}
      <line
        x1={isNew ? 17 : 6}
        x2={40}
        y1={10}
        y2={10}
        stroke={color}
        strokeWidth={5}
        strokeLinecap="round"
        strokeDasharray={isGhost ? '3 5' : undefined}
      />
      {isNew ? <circle cx={10} cy={10} r={4.6} fill="none" stroke={color} strokeWidth={2.6} /> : null}
    </svg>
  );
}
