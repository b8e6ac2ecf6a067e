import { useTranslation } from '../../messages';
import type { Form, Passage } from '../../api/client';
import { Select } from '../../kit/Select';
import { entryCall, entryName } from '../../kit/entryName';

interface Props {
  form: Form;
  passage: Passage;
  onChange: (passage: Passage) => void;
}

/** A passage of a form: a lesson, a section or the whole, or any entry to any other. */
export function PassageChoice({ form, passage, onChange }: Props) {
  const { t } = useTranslation();
  const call = (position: number) => entryCall(form.entries[position - 1]);
  const ready = [
    { key: 'all', label: t('time.wholePassage'), from: 1, to: form.entries.length },
    ...form.sections.map((section) => ({
      key: `s${String(section.first)}`,
      label: section.title,
      from: section.first,
      to: section.last,
    })),
    ...form.lessons.map((lesson) => ({
      key: `l${String(lesson.number)}`,
      label: t('time.lesson', { number: lesson.number, from: call(lesson.from), to: call(lesson.to) }),
      from: lesson.from,
      to: lesson.to,
    })),
  ];
  const is = ready.find((one) => one.from === passage.from && one.to === passage.to)?.key ?? '';
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <Select
        label={t('time.passage')}
        value={is}
        onValue={(key) => {
          const found = ready.find((one) => one.key === key);
          if (found) onChange({ from: found.from, to: found.to });
        }}
        of={[
          ...(is === '' ? [{ value: '', text: t('time.own') }] : []),
          ...ready.map((one) => ({ value: one.key, text: one.label })),
        ]}
      />
      {(['from', 'to'] as const).map((end) => (
        <Select
          key={end}
          label={t(`cards.${end}`)}
          value={String(passage[end])}
          onValue={(position) => {
            const to = Number(position);
            onChange(end === 'from' ? { from: to, to: Math.max(to, passage.to) } : { from: Math.min(to, passage.from), to });
          }}
          of={form.entries.map((entry) => ({ value: String(entry.position), text: entryName(entry) }))}
        />
      ))}
    </div>
  );
}
