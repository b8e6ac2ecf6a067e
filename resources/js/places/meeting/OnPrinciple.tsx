import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { Form, MeetingPage, Passage, Student } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { Select } from '../../kit/Select';
import { ByPrinciple } from './ByPrinciple';
import { PrincipleText } from './FocusText';

interface Props {
  page: MeetingPage;
  unsent: Set<string>;
  students: Student[];
  form: Form;
  /** What is looked at: a principle may be marked as seen in one of its entries. */
  passage: Passage | null;
}

const GENERAL = '';

/** Marking a principle: tonight's focus first, in general or as seen in one entry. */
export function OnPrinciple({ page, unsent, students, form, passage }: Props) {
  const { t } = useTranslation();
  const all = page.principles?.principles ?? [];
  const tonight = new Set(page.meeting.focus.map((one) => one.principle));
  const sorted = [...all.filter((one) => tonight.has(one.id)), ...all.filter((one) => !tonight.has(one.id))];
  const [chosen, setChosen] = useState(sorted[0]?.id ?? '');
  const [where, setWhere] = useState(GENERAL);
  const principle = all.find((one) => one.id === chosen);
  if (principle === undefined) return null;
  const entries = form.entries.filter(
    (entry) => entry.kind !== 'extra' && passage !== null && entry.position >= passage.from && entry.position <= passage.to,
  );
  const entry = entries.some((one) => one.id === where) ? where : null;
  return (
    <>
      <div className="my-3 grid max-w-3xl gap-3 sm:grid-cols-2">
        <Select
          label={t('principles.which')}
          value={chosen}
          onValue={setChosen}
          of={sorted.map((one) => ({
            value: one.id,
            text: tonight.has(one.id) ? `${one.title} (${t('principles.tonight')})` : one.title,
          }))}
        />
        <Select
          label={t('principles.where')}
          value={entry ?? GENERAL}
          onValue={setWhere}
          of={[
            { value: GENERAL, text: t('principles.inGeneral') },
            ...entries.map((one) => ({ value: one.id, text: t('principles.seenIn', { entry: entryName(one) }) })),
          ]}
        />
      </div>
      <div className="mb-3 text-[0.95rem]">
        <PrincipleText principle={principle} />
      </div>
      <ByPrinciple page={page} unsent={unsent} students={students} principle={principle} entry={entry} />
    </>
  );
}
