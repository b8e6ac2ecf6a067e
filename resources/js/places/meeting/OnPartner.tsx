import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { Form, MeetingPage, PartnerDrill, Student } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { Notice } from '../../kit/Notice';
import { Segmented } from '../../kit/Segmented';
import { Select } from '../../kit/Select';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { LADDER, type Support } from '../../pictures/reed';
import { useSupportLadder } from './ladders';
import { LevelRows } from './LevelRows';
import { ProposedPairs } from './ProposedPairs';
import { useSubjectMarks } from './useSubjectMarks';

interface Props {
  page: MeetingPage;
  unsent: Set<string>;
  students: Student[];
  form: Form;
  drills: PartnerDrill[];
}

/** A drill for two on the floor: the safety rule in sight, who works with whom, and each step marked. */
export function OnPartner({ page, unsent, students, form, drills }: Props) {
  const { t } = useTranslation();
  const [lesson, setLesson] = useState(drills[0]?.lesson ?? '');
  const [nth, setNth] = useState(0);
  const [without, setWithout] = useState<string[]>([]);
  const drill = drills.find((one) => one.lesson === lesson) ?? drills[0];
  const step = drill?.steps[Math.min(nth, drill.steps.length - 1)];
  if (drill === undefined || step === undefined) return null;
  const about = (one: PartnerDrill) => {
    const from = t('lessons.partner.comesFrom', { entry: entryName(form.entries[one.position - 1]) });
    return one.isTonight ? `${from} (${t('lessons.partner.tonight')})` : from;
  };
  const able = students.filter((student) => !drill.aside.includes(student.id));
  const taking = able.filter((student) => !without.includes(student.id));
  return (
    <>
      <div className="sticky top-0 z-10 bg-paper py-2">
        <Notice tone="decision">
          <strong>{t('lessons.partner.safety')}</strong>
        </Notice>
      </div>
      <p className="mt-1 max-w-3xl">{t('lessons.partner.consent')}</p>
      {drills.length > 1 ? (
        <div className="my-2 max-w-md">
          <Select
            label={t('lessons.partner.drill')}
            value={drill.lesson}
            onValue={(value) => {
              setNth(0);
              setLesson(value);
            }}
            of={drills.map((one) => ({ value: one.lesson, text: about(one) }))}
          />
        </div>
      ) : (
        <p className="text-soft">{about(drill)}</p>
      )}
      {drill.contact === null ? null : <p>{t('lessons.partner.contact', { contact: drill.contact })}</p>}
      <ProposedPairs meeting={page.meeting.id} drill={drill} students={able} without={without} onWithout={setWithout} />
      <div className="my-3">
        <Segmented
          label={t('lessons.partner.step')}
          value={step.id}
          onValue={(value) => {
            setNth(drill.steps.findIndex((one) => one.id === value));
          }}
          of={drill.steps.map((one, at) => ({
            value: one.id,
            text: t('lessons.partner.nthStep', { nth: at + 1, title: one.title }),
          }))}
        />
        {step.text === null ? null : <p className="mt-1">{step.text}</p>}
        {step.limit === null ? null : <p className="mt-1 font-medium">{t('lessons.partner.within', { seconds: step.limit })}</p>}
      </div>
      {taking.length === 0 ? (
        <p className="text-soft">{t('lessons.partner.everyoneAside')}</p>
      ) : (
        <StepMarks key={step.id} page={page} unsent={unsent} students={taking} step={step} />
      )}
      <p className="mt-3 text-sm text-soft">{t('lessons.partner.noMemory')}</p>
    </>
  );
}

interface StepProps {
  page: MeetingPage;
  unsent: Set<string>;
  students: Student[];
  step: { id: string; title: string };
}

function StepMarks({ page, unsent, students, step }: StepProps) {
  const { t } = useTranslation();
  const ladder = useSupportLadder();
  const marks = useSubjectMarks<Support>(page, unsent, students, {
    isOf: (mark) => mark.stepId === step.id,
    fields: { entryId: null, principleId: null, stepId: step.id },
    said: (level, of) => {
      const words = { support: t(`support.${level}`), title: step.title };
      return of.length === 1
        ? t('lessons.partner.marked', { name: of[0]?.name ?? '', ...words })
        : t('lessons.partner.markedMany', { count: of.length, ...words });
    },
  });
  return (
    <LevelRows
      students={students}
      ladder={ladder}
      about={step.id}
      cellOf={(student) => marks.levelOf(student) ?? undefined}
      draw={(level) => (
        <ReedGlyph reed={{ segments: level === undefined ? 0 : LADDER.indexOf(level as Support), sureness: 'solid' }} size={24} />
      )}
      marks={marks}
    />
  );
}
