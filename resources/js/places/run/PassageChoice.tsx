import { useTranslation } from '../../messages';
import type { Form, Passage } from '../../api/client';
import { Choice } from '../../kit/controls';
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
      <Choice
        label={t('time.passage')}
        value={is}
        onChange={(event) => {
          const found = ready.find((one) => one.key === event.target.value);
          if (found) onChange({ from: found.from, to: found.to });
        }}
      >
        {is === '' ? <option value="">{t('time.own')}</option> : null}
        {ready.map((one) => (
          <option key={one.key} value={one.key}>
            {one.label}
          </option>
        ))}
      </Choice>
      {(['from', 'to'] as const).map((end) => (
        <Choice
          key={end}
          label={t(`cards.${end}`)}
          value={String(passage[end])}
          onChange={(event) => {
            const to = Number(event.target.value);
            onChange(end === 'from' ? { from: to, to: Math.max(to, passage.to) } : { from: Math.min(to, passage.from), to });
          }}
        >
          {form.entries.map((entry) => (
            <option key={entry.position} value={entry.position}>
              {entryName(entry)}
            </option>
          ))}
        </Choice>
      ))}
    </div>
  );
}
