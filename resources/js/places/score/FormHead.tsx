import { useTranslation } from '../../messages';
import { Select } from '../../kit/Select';
import type { Score } from '../../api/client';
import { Cell } from './Depth';
import type { Edit } from './edits';
import { type Field, Records } from './Records';
import type { Raw } from './edits';

const SCHEMES: readonly Field[] = [
  { key: 'name', kind: 'text', isRequired: true },
  { key: 'announced', kind: 'number' },
];
const NUMBERS = ['announced', 'breath_seconds', 'showing_pace'];

/** A field as it is sent; what is no number goes as it is, and the server says what it should be. */
function said(key: string, to: string): Raw {
  const plain = to.trim().replace(',', '.');
  const asNumber = NUMBERS.includes(key) && plain !== '' && !Number.isNaN(Number(plain)) ? Number(plain) : to.trim();
  return { [key]: to.trim() === '' ? null : asNumber };
}

interface Props {
  score: Score;
  onEdit: (edits: Edit[]) => void;
  /** What would be saved if the page were left now. */
  onTyping: (edits: Edit[] | null) => void;
}

/** What is said of the form as a whole. */
export function FormHead({ score, onEdit, onTyping }: Props) {
  const { t, table } = useTranslation();
  const names = table('score.fields');
  const words = table('score.options');
  const head = score.head as Raw;
  const set = (fields: Raw) => {
    onEdit([{ op: 'form', fields }]);
  };
  const text = (key: string, isLong = false) => {
    const value = head[key];
    return (
      <Cell
        label={names[key] ?? key}
        isLong={isLong}
        value={typeof value === 'string' || typeof value === 'number' ? String(value) : ''}
        onSave={(to) => {
          set(said(key, to));
        }}
        onTyping={(to) => {
          onTyping([{ op: 'form', fields: said(key, to) }]);
        }}
      />
    );
  };
  return (
    <section className="flex flex-col gap-2">
      {text('title')}
      {text('family')}
      {text('about', true)}
      <div className="grid grid-cols-2 gap-2">
        {text('announced')}
        {text('breath_seconds')}
        {text('showing_pace')}
        <Select
          isSmall
          label={names.footfall ?? ''}
          value={typeof head.footfall === 'string' ? head.footfall : ''}
          onValue={(value) => {
            set({ footfall: value === '' ? null : value });
          }}
          of={[
            { value: '', text: t('score.none') },
            ...['heel', 'toe', 'flat', 'none'].map((value) => ({ value, text: words[value] ?? value })),
          ]}
        />
      </div>
      <Records
        title={names.schemes ?? ''}
        fields={SCHEMES}
        value={(head.schemes ?? []) as Raw[]}
        onSave={(value) => {
          set({ schemes: value.length > 0 ? value : null });
        }}
      />
    </section>
  );
}
