import { useMemo, useState } from 'react';
import { useTranslation } from '../messages';
import { cellOf } from '../api/cells';
import type { Mine } from '../api/client';
import { useWanted, wantedPart } from '../kit/wanted';
import { ReedRibbon } from '../pictures/ReedRibbon';

// A chart is as heavy as all the rest of the page: it comes after it, and what it says is said in words before.
const overTime = wantedPart(async () => (await import('../pictures/LineOverTime')).LineOverTime);

/** How far the student is in a form: their own ribbon, and their line over time. */
export function OwnForm({ own }: { own: Mine['weeks'][number]['forms'][number] }) {
  const { t } = useTranslation();
  const [chosen, setChosen] = useState<number | null>(null);
  const cells = useMemo(() => own.cells.map(cellOf), [own.cells]);
  const last = own.line.at(-1);
  const LineOverTime = useWanted(overTime, last !== undefined);
  const title = t('mine.own', { form: own.form.title });
  return (
    <section className="mt-6 border-t border-line pt-3">
      <h2 className="text-xl">{title}</h2>
      <p className="text-sm text-soft">{t('mine.ownHint')}</p>
      <ReedRibbon form={own.form} cells={cells} chosen={chosen} onChoose={setChosen} label={title} />
      {last === undefined ? null : (
        <>
          <h3 className="text-lg">{t('mine.line')}</h3>
          <p>{t('mine.lineSays', { count: last.holding })}</p>
          <div className="min-h-64">{LineOverTime === null ? null : <LineOverTime points={own.line} />}</div>
        </>
      )}
    </section>
  );
}
