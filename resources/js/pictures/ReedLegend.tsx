import { useTranslation } from '../messages';
import { LADDER } from './reed';
import { ReedGlyph } from './ReedGlyph';
import { tip } from '../kit/tip';

/** What the reed means, in reeds and words. */
export function ReedLegend() {
  const { t } = useTranslation();
  return (
    <ul className="m-0 flex list-none flex-wrap items-end gap-x-5 gap-y-2 p-0 text-sm text-soft" aria-label={t('groups.legend')}>
      {LADDER.slice(1).map((support, at) => (
        <li key={support} className="flex items-end gap-1.5" {...tip(t(`supportSeen.${support}`))}>
          <ReedGlyph reed={{ segments: at + 1, sureness: 'solid' }} size={24} />
          {t(`support.${support}`)}
        </li>
      ))}
      <li className="flex items-end gap-1.5">
        <ReedGlyph reed={{ segments: 3, sureness: 'outlined' }} size={24} />
        {t('recall.fading')}
      </li>
      <li className="flex items-end gap-1.5">
        <ReedGlyph reed={{ segments: 3, sureness: 'dotted' }} size={24} />
        {t('recall.assumed')}
      </li>
      <li className="flex items-end gap-1.5">
        <ReedGlyph reed={{ segments: 1, sureness: 'dotted' }} size={24} />
        {t('recall.unseen')}
      </li>
    </ul>
  );
}
