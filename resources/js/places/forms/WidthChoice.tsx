import { ToggleGroup } from 'radix-ui';
import { useTranslation } from '../../messages';
import type { WidthBy } from '../../pictures/strip';

const choices = [
  ['load', 'forms.byLoad'],
  ['time', 'forms.byTime'],
  ['even', 'forms.even'],
] as const;

/** What the widths of a ribbon's cells show. */
export function WidthChoice({ by, onChange }: { by: WidthBy; onChange: (by: WidthBy) => void }) {
  const { t } = useTranslation();
  return (
    <div className="no-print mb-2 flex items-center gap-3 text-sm">
      <span className="text-soft">{t('forms.widths')}</span>
      <ToggleGroup.Root
        type="single"
        value={by}
        onValueChange={(value) => {
          const found = choices.find(([key]) => key === value);
          if (found) onChange(found[0]);
        }}
        aria-label={t('forms.widths')}
        className="flex"
      >
        {choices.map(([key, label]) => (
          <ToggleGroup.Item
            key={key}
            value={key}
            className="min-h-11 border-b-2 border-transparent px-3 text-soft data-[state=on]:border-pine data-[state=on]:font-medium data-[state=on]:text-ink"
          >
            {t(label)}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
