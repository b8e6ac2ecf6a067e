import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { ClassPage, Form, MeetingPage, Student } from '../../api/client';
import { Button } from '../../kit/controls';
import { sided } from '../../kit/sided';
import { Segmented } from '../../kit/Segmented';
import { ByPassage } from './ByPassage';
import { ByPrinciple } from './ByPrinciple';
import { PrincipleText } from './FocusText';
import type { Marks } from './useMarks';

interface Props {
  page: MeetingPage;
  courseId: string;
  form: Form;
  tonight: ClassPage | null;
  students: Student[];
  marks: Marks;
  unsent: Set<string>;
}

/** The class is stopped at a point nobody could prepare for, looked at for one thing, and marked. */
export function StopCheck({ page, courseId, form, tonight, students, marks, unsent }: Props) {
  const { t } = useTranslation();
  const key = `gorvan.draw.${page.meeting.id}`;
  const [draw, setDraw] = useState(() => Number(sessionStorage.getItem(key) ?? '0'));
  const [isMovement, setMovement] = useState(false);
  const stops = (tonight?.stops ?? []).filter((one) => one.courseId === courseId);
  const stop = stops[draw % Math.max(stops.length, 1)];
  const entry = stop === undefined ? undefined : form.entries[stop.position - 1];
  if (tonight === null) return <p className="mt-4 text-soft">{t('stop.unknown')}</p>;
  if (stop === undefined || entry === undefined) return <p className="mt-4 text-soft">{t('stop.nowhere')}</p>;
  const focus = (page.meeting.pins.focus as string | undefined) ?? null;
  const principle = page.principles?.principles.find((one) => one.id === stop.principle);
  const card = tonight.cards.find((one) => one.courseId === stop.courseId)?.cards.find((one) => one.position === stop.position);
  return (
    <>
      <section aria-label={t('stop.title')} aria-live="polite" className="my-3 border-t-4 border-pine bg-sheet px-4 py-3">
        <p className="text-soft">{t('stop.at')}</p>
        <p className="font-serif text-3xl leading-tight font-semibold sm:text-4xl">
          {entry.number === null ? '' : `${String(entry.number)} `}
          {entry.title}
        </p>
        {principle === undefined ? (
          <p className="mt-1 text-xl">{focus ?? (stop.focus === null ? '' : t(`stop.focus.${stop.focus}`))}</p>
        ) : (
          <>
            <p className="mt-1 text-xl font-semibold">{principle.title}</p>
            <PrincipleText principle={principle} />
          </>
        )}
        {card?.checks.map((check) => (
          <p key={check} className="text-soft">
            {sided(check, card)}
          </p>
        ))}
        <Button
          className="mt-2"
          onClick={() => {
            setDraw((now) => {
              sessionStorage.setItem(key, String(now + 1));
              return now + 1;
            });
          }}
        >
          {t('stop.again')}
        </Button>
      </section>
      {principle === undefined ? null : (
        <Segmented
          label={t('stop.mark')}
          value={isMovement ? 'movement' : 'principle'}
          onValue={(value) => {
            setMovement(value === 'movement');
          }}
          of={[
            { value: 'principle', text: t('stop.markPrinciple') },
            { value: 'movement', text: t('stop.markMovement') },
          ]}
        />
      )}
      {principle === undefined || isMovement ? (
        <ByPassage students={students} passage={{ from: stop.position, to: stop.position }} side={null} marks={marks} />
      ) : (
        <ByPrinciple page={page} unsent={unsent} students={students} principle={principle} entry={entry.id} />
      )}
    </>
  );
}
