import { useTranslation } from '../../messages';
import { Tick } from '../../kit/Tick';
import type { Arcs } from '../../pictures/Ribbon';
import type { WidthBy } from '../../pictures/strip';
import { WidthChoice } from './WidthChoice';
import { Button } from '../../kit/controls';

export const MOST_ZOOM = 16;

interface Props {
  by: WidthBy;
  onBy: (by: WidthBy) => void;
  zoom: number;
  onZoom: (zoom: number) => void;
  arcs: Arcs;
  onArcs: (arcs: Arcs) => void;
}

/** What the widths of a ribbon show, and how near one looks. */
export function RibbonTools({ by, onBy, zoom, onZoom, arcs, onArcs }: Props) {
  const { t } = useTranslation();
  return (
    <div className="no-print mb-1 flex flex-wrap items-center gap-x-8 text-sm">
      <WidthChoice by={by} onChange={onBy} />
      <Tick
        checked={arcs === 'all'}
        onTick={(is) => {
          onArcs(is ? 'all' : 'near');
        }}
      >
        {t('forms.allArcs')}
      </Tick>
      <div role="group" aria-label={t('forms.zoom')} className="mb-2 flex items-center gap-1">
        <span className="pr-2 text-soft">
          {t('forms.zoom')} {zoom === 1 ? '' : `×${String(zoom)}`}
        </span>
        <Button
          look="tool"
          disabled={zoom >= MOST_ZOOM}
          onClick={() => {
            onZoom(Math.min(zoom * 2, MOST_ZOOM));
          }}
        >
          {t('forms.closer')}
        </Button>
        <Button
          look="tool"
          disabled={zoom <= 1}
          onClick={() => {
            onZoom(Math.max(zoom / 2, 1));
          }}
        >
          {t('forms.further')}
        </Button>
        {zoom > 2 ? (
          <Button
            look="tool"
            onClick={() => {
              onZoom(1);
            }}
          >
            {t('forms.wholeForm')}
          </Button>
        ) : null}
      </div>
    </div>
  );
}
