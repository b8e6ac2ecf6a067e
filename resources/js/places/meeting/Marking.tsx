import { Popover } from 'radix-ui';
import { memo, useState } from 'react';
import { useTranslation } from '../../messages';
import type { ClassPage, Form, MeetingPage, Passage, Student } from '../../api/client';
import { useMarkedMeeting } from '../../api/useOutbox';
import { Button } from '../../kit/controls';
import { Segmented } from '../../kit/Segmented';
import { Floating } from '../../kit/Floating';
import { HeadingButton, Tile } from '../../kit/touch';
import { partOf } from '../../pictures/coursePart';
import { type CellState, Ribbon } from '../../pictures/Ribbon';
import { stretchTo } from '../../pictures/stretch';
import { ByPassage } from './ByPassage';
import { ByStudent } from './ByStudent';
import { OnPartner } from './OnPartner';
import { OnPrinciple } from './OnPrinciple';
import { usePassageWords } from './PlanList';
import { stateIn } from './stateIn';
import { StopCheck } from './StopCheck';
import { Sweep } from './Sweep';
import { type MarkedSide, markedEntries, useMarks } from './useMarks';
import { type Presence, usePresence } from './usePresence';
import { Watching } from './Watching';

export const WAYS = ['passage', 'sweep', 'student', 'principle', 'partner', 'stop'] as const;
export type Way = (typeof WAYS)[number];

interface Props {
  /** As the server said it: what was done since is put to it here. */
  page: MeetingPage;
  forms: Record<string, Form>;
  /** Whom to look at and where to stop; null while it is not known. */
  tonight: ClassPage | null;
  start?: { courseId: string; passage: Passage | null; way: Way };
}

/** Passages of tonight that can be marked, each once. */
function offeredIn(page: MeetingPage, courseId: string): { label: 'tonightLesson' | 'recap' | 'review'; passage: Passage }[] {
  const { lessons, recap, review } = partOf(page.meeting, courseId);
  const all = [
    ...lessons.map((lesson) => ({ label: 'tonightLesson' as const, passage: lesson as Passage })),
    ...(recap ? [{ label: 'recap' as const, passage: recap }] : []),
    ...review.map((item) => ({ label: 'review' as const, passage: item })),
  ];
  const at = ({ passage }: { passage: Passage }) => `${String(passage.from)}-${String(passage.to)}`;
  return all.filter((one, nth) => all.findIndex((other) => at(other) === at(one)) === nth);
}

/** Of a form that is not the evening's first: what is on tonight. */
function stateTonight(page: MeetingPage, courseId: string): (position: number) => CellState {
  const { lessons, recap, review, runThrough } = partOf(page.meeting, courseId);
  const isIn = (position: number, passages: (Passage | null)[]) =>
    passages.some((one) => one !== null && position >= one.from && position <= one.to);
  return (position) => (isIn(position, lessons) ? 'now' : isIn(position, [recap, runThrough, ...review]) ? 'known' : 'plain');
}

/** Marking: what is looked at stays in sight, and each tap is one student. What stands beside it is not drawn again for it. */
export const Marking = memo(function Marking({ page: said, forms, tonight, start }: Props) {
  const { t } = useTranslation();
  const { shown: page, unsent } = useMarkedMeeting(said);
  const presence = usePresence(page);
  const [courseId, setCourse] = useState(start?.courseId ?? page.courseId);
  const [look, setLook] = useState<{ courseId: string; passage: Passage } | null>(null);
  const form = forms[courseId];
  if (form === undefined) return null;
  const choose = (next: string) => {
    setLook(null);
    setCourse(next);
  };
  return (
    <>
      {page.courses.length > 1 ? (
        <div className="mb-2">
          <Segmented
            label={t('log.form')}
            value={courseId}
            onValue={choose}
            of={page.courses.map((one) => ({ value: one.courseId, text: one.title }))}
          />
        </div>
      ) : null}
      <InCourse
        key={`${courseId}${look === null ? '' : String(look.passage.from)}`}
        page={page}
        unsent={unsent}
        form={form}
        courseId={courseId}
        presence={presence}
        tonight={tonight}
        passage={look?.passage ?? (start?.courseId === courseId ? start.passage : null)}
        way={look === null && start !== undefined ? start.way : 'passage'}
        onLook={(next, passage) => {
          setCourse(next);
          setLook({ courseId: next, passage });
        }}
      />
    </>
  );
});

/** A student as they stand in a form of the evening that is not its first. */
const standingIn = (tonight: ClassPage | null, courseId: string, student: Student): Student => ({
  ...student,
  cells: tonight?.stood.find((one) => one.courseId === courseId && one.studentId === student.id)?.cells ?? [],
});

interface InCourseProps extends Omit<Props, 'forms' | 'start'> {
  unsent: Set<string>;
  presence: Presence;
  form: Form;
  courseId: string;
  passage: Passage | null;
  way: Way;
  onLook: (courseId: string, passage: Passage) => void;
}

/** Marking in one form of the evening. */
function InCourse({ page, unsent, form, courseId, presence, tonight, passage, way: first, onLook }: InCourseProps) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const marks = useMarks(page, unsent, form, words.numbers);
  const offered = offeredIn(page, courseId);
  const [chosen, setChosen] = useState<Passage | null>(passage ?? offered[0]?.passage ?? null);
  const [way, setWay] = useState<Way>(first);
  const [wanted, setSide] = useState<MarkedSide>(null);
  const state = courseId === page.courseId ? stateIn(page.meeting, page.taught) : stateTonight(page, courseId);
  const there = page.students.filter((student) => presence.isHere(student.id));
  const here = courseId === page.courseId ? there : there.map((student) => standingIn(tonight, courseId, student));

  const drills = (tonight?.partners ?? []).filter((one) => one.courseId === courseId);
  const isOffered: Partial<Record<Way, boolean>> = { principle: page.principles !== null, partner: drills.length > 0 };

  if (chosen === null && !form.entries.some((entry) => state(entry.position) !== 'plain')) {
    return <p className="text-soft">{t('meeting.nothingToMark')}</p>;
  }
  // A side can be marked only where all of the passage is done on both.
  const hasSides = chosen !== null && markedEntries(form, chosen).every((entry) => entry.hasSides);
  const side = hasSides ? wanted : null;

  function choose(position: number) {
    if (state(position) === 'plain') return;
    setChosen((before) => stretchTo(before, position));
  }

  return (
    <>
      <Watching
        page={page}
        words={words}
        courseId={courseId}
        tonight={tonight}
        presence={presence}
        marks={marks}
        onLook={onLook}
      />
      <Segmented
        label={t('meeting.way')}
        value={way}
        onValue={setWay}
        of={WAYS.filter((value) => isOffered[value] ?? true).map((value) => ({
          value,
          text: t(`meeting.ways.${value}`),
        }))}
      />
      {way === 'stop' ? (
        <StopCheck page={page} courseId={courseId} form={form} tonight={tonight} students={here} marks={marks} unsent={unsent} />
      ) : way === 'principle' ? (
        <OnPrinciple page={page} unsent={unsent} students={there} form={form} passage={chosen} />
      ) : way === 'partner' && drills.length > 0 ? (
        <OnPartner page={page} unsent={unsent} students={there} form={form} drills={drills} />
      ) : way === 'student' ? (
        <ByStudent form={form} students={here} marks={marks} state={state} />
      ) : (
        <>
          <div className="sticky top-0 z-10 -mx-1 mt-2 flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-line bg-paper px-1 py-1">
            <PassageChoice
              offered={offered.map(({ label, passage }) => ({ label: t(`meeting.${label}`), passage }))}
              chosen={chosen}
              onChoose={setChosen}
              words={words}
            >
              <Ribbon form={form} state={state} selected={chosen} onSelect={choose} arcs="none" />
              <p className="text-sm text-soft">{t('meeting.choose')}</p>
            </PassageChoice>
            {hasSides ? (
              <Segmented
                label={t('meeting.side')}
                value={side ?? 'whole'}
                onValue={(value) => {
                  setSide(value === 'whole' ? null : value);
                }}
                of={(['left', 'whole', 'right'] as const).map((value) => ({
                  value,
                  text: t(value === 'whole' ? 'meeting.bothSides' : `meeting.${value}`),
                }))}
              />
            ) : null}
          </div>
          {chosen === null ? null : way === 'sweep' ? (
            <Sweep students={here} passage={chosen} side={side} marks={marks} />
          ) : (
            <ByPassage students={here} passage={chosen} side={side} marks={marks} />
          )}
        </>
      )}
    </>
  );
}

interface ChoiceProps {
  offered: { label: string; passage: Passage }[];
  chosen: Passage | null;
  onChoose: (passage: Passage) => void;
  words: ReturnType<typeof usePassageWords>;
  children: React.ReactNode;
}

/** What is looked at, and, opened, what else could be: tonight's passages, or any stretch of the ribbon. */
function PassageChoice({ offered, chosen, onChoose, words, children }: ChoiceProps) {
  const { t } = useTranslation();
  const isChosen = ({ from, to }: Passage) => from === chosen?.from && to === chosen.to;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <HeadingButton aria-label={t('meeting.otherPassage')}>
          <strong className="font-serif text-xl">{chosen ? words.numbers(chosen) : t('meeting.choosePassage')}</strong>{' '}
          {chosen ? words.titles(chosen) : ''}{' '}
          <span className="text-sm text-pine underline underline-offset-4">{t('meeting.change')}</span>
        </HeadingButton>
      </Popover.Trigger>
      <Floating align="start" className="max-h-[75vh] w-184 overflow-y-auto border border-line p-4">
        <div className="mb-3 flex flex-wrap gap-2" role="radiogroup" aria-label={t('meeting.passage')}>
          {offered.map(({ label, passage }) => (
            <Popover.Close asChild key={`${label}${String(passage.from)}`}>
              <Tile
                role="radio"
                aria-checked={isChosen(passage)}
                onClick={() => {
                  onChoose({ from: passage.from, to: passage.to });
                }}
              >
                <span className="block text-sm opacity-85">{label}</span>
                <strong className="font-medium">{words.numbers(passage)}</strong>
              </Tile>
            </Popover.Close>
          ))}
        </div>
        {children}
        <Popover.Close asChild>
          <Button look="primary">{t('meeting.markThis')}</Button>
        </Popover.Close>
      </Floating>
    </Popover.Root>
  );
}
