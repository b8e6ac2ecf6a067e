import { useTranslation } from '../messages';
import { KEEPINGS } from './keeping';
import { KeepingGlyph } from './KeepingGlyph';
import { tip } from '../kit/tip';

/** What the level stroke means, in strokes and words. */
export function KeepingLegend() {
  const { t } = useTranslation();
  return (
    <ul
      className="m-0 flex list-none flex-wrap items-end gap-x-5 gap-y-2 p-0 text-sm text-soft"
      aria-label={t('principles.legend')}
    >
      {KEEPINGS.slice(1).map((keeping, at) => (
        <li key={keeping} className="flex items-end gap-1.5" {...tip(t(`keepingSeen.${keeping}`))}>
          <KeepingGlyph stroke={{ ticks: at + 1, sureness: 'solid' }} />
          {t(`keeping.${keeping}`)}
        </li>
      ))}
      <li className="flex items-end gap-1.5">
        <KeepingGlyph stroke={{ ticks: 3, sureness: 'outlined' }} />
        {t('recall.fading')}
      </li>
      <li className="flex items-end gap-1.5">
        <KeepingGlyph stroke={{ ticks: 3, sureness: 'dotted' }} />
        {t('recall.assumed')}
      </li>
      <li className="flex items-end gap-1.5">
        <KeepingGlyph stroke={{ ticks: 1, sureness: 'dotted' }} />
        {t('recall.unseen')}
      </li>
    </ul>
  );
}
