import {
  type Announcements,
  closestCenter,
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DragStartEvent,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import { useTranslation } from '../messages';
import { useNavigate } from '../kit/router';
import type { Meeting } from '../api/client';
import { day } from '../kit/format';
import { type Part, partOf } from './coursePart';
import { takesLessons } from './meetingKind';

/** The two pictures of a term from which a lesson is taken up, and onto which it is put down. */
export type Picture = 'weave' | 'line';

/** A lesson in the hand, and where it was taken up. */
export interface Carried {
  lesson: number | null;
  meeting: string;
  picture: Picture;
}

/** A meeting a lesson can be put down on. */
export interface Spot {
  meeting: string;
  picture: Picture;
}

const pictureOf = (of: { data: { current?: unknown } }) => (of.data.current as Carried | Spot | undefined)?.picture;

/** The pointer says which meeting it is over, in either picture; by keyboard it is the nearest of the same picture. */
const meetingUnder: CollisionDetection = (args) =>
  args.pointerCoordinates
    ? pointerWithin(args)
    : closestCenter({
        ...args,
        droppableContainers: args.droppableContainers.filter((spot) => pictureOf(spot) === pictureOf(args.active)),
      });

const ARROWS: Record<string, { along: 'x' | 'y'; way: 1 | -1; picture: Picture }> = {
  ArrowDown: { along: 'y', way: 1, picture: 'weave' },
  ArrowUp: { along: 'y', way: -1, picture: 'weave' },
  ArrowRight: { along: 'x', way: 1, picture: 'line' },
  ArrowLeft: { along: 'x', way: -1, picture: 'line' },
};

/** Up and down in the weave, left and right on the season line, from one open meeting to the next. */
const byMeetings: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const arrow = ARROWS[event.code];
  const { active, collisionRect } = context;
  if (!arrow || !active || !collisionRect || pictureOf(active) !== arrow.picture) return undefined;
  event.preventDefault(); // the page stays where it is
  const { along, way } = arrow;
  const middle = (rect: { left: number; top: number; width: number; height: number }) =>
    along === 'x' ? rect.left + rect.width / 2 : rect.top + rect.height / 2;
  const here = middle(collisionRect);
  const steps = context.droppableContainers
    .getEnabled()
    .filter((spot) => pictureOf(spot) === arrow.picture)
    .flatMap((spot) => {
      const rect = context.droppableRects.get(spot.id);
      return rect ? [middle(rect) - here] : [];
    })
    .filter((step) => step * way > 2);
  if (steps.length === 0) return undefined;
  const step = way * Math.min(...steps.map(Math.abs));
  return { ...currentCoordinates, [along]: currentCoordinates[along] + step };
};

interface Props {
  meetings: Meeting[];
  /** A lesson was put down on another meeting. */
  onMove: (lesson: number, meeting: string) => void;
  children: ReactNode;
}

/** Around the weave and the season line: lessons are carried within each, and from one to the other. */
export function CarryLessons({ meetings, onMove, children }: Props) {
  const { t } = useTranslation();
  const [held, setHeld] = useState<Carried | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: byMeetings,
      keyboardCodes: { start: ['Space'], end: ['Space', 'Enter'], cancel: ['Escape'] },
    }),
  );
  const dateOf = (over: { data: { current?: unknown } }) => {
    const spot = over.data.current as Spot | undefined;
    const meeting = meetings.find((one) => one.id === spot?.meeting);
    return meeting ? day(meeting.on, 'weekday') : '';
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => t('terms.draggedTaken', { number: (active.data.current as Carried).lesson }),
    onDragOver: ({ over }) => (over ? t('terms.draggedOver', { date: dateOf(over) }) : undefined),
    onDragEnd: ({ over }) => (over ? t('terms.draggedEnd', { date: dateOf(over) }) : t('terms.draggedNowhere')),
    onDragCancel: () => t('terms.draggedNowhere'),
  };
  const put = ({ active, over }: DragEndEvent) => {
    setHeld(null);
    const { lesson, meeting } = active.data.current as Carried;
    const spot = over?.data.current as Spot | undefined;
    if (spot && lesson !== null && spot.meeting !== meeting) onMove(lesson, spot.meeting);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={meetingUnder}
      onDragStart={({ active }: DragStartEvent) => {
        setHeld(active.data.current as Carried);
      }}
      onDragEnd={put}
      onDragCancel={() => {
        setHeld(null);
      }}
      accessibility={{ announcements, screenReaderInstructions: { draggable: t('terms.dragHint') } }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {held ? (
          <span className="inline-flex min-h-6 items-center rounded border-2 border-pine bg-sheet px-2 text-xs whitespace-nowrap text-ink shadow-md">
            {t('kind.lesson', { number: held.lesson })}
          </span>
        ) : null}
      </DragOverlay>
    </DndContext>
  );
}

/** Where a lesson can be put down: the ref of the place, and whether one is held over it. */
export function useSpot(meeting: string, picture: Picture, isOpen: boolean) {
  const spot: Spot = { meeting, picture };
  return useDroppable({ id: `${picture} ${meeting}`, data: spot, disabled: !isOpen });
}

/** What takes a lesson up, by the pointer and by Space. */
export function useLesson(carried: Carried, kind: string, canMove: boolean) {
  return useDraggable({
    id: `${carried.picture} ${carried.meeting} ${kind} ${String(carried.lesson)}`,
    data: carried,
    disabled: !canMove,
  });
}

interface TickProps {
  meeting: Meeting;
  /** The course whose lessons are shown. */
  course: string;
  children: ReactNode;
}

/** A tick of the season line that lessons are taken from and put down on; touch scrolls the line, and carries in the weave. */
export function TickSpot({ meeting, course, children }: TickProps) {
  const isOpen = takesLessons(meeting);
  const { setNodeRef, isOver } = useSpot(meeting.id, 'line', isOpen);
  const lessons = isOpen ? partOf(meeting, course).lessons.filter((one) => one.number !== null) : [];
  return (
    <div
      ref={setNodeRef}
      data-spot={isOpen ? meeting.on : undefined}
      data-lessons={lessons.length > 0 ? '' : undefined}
      className={`group/tick h-full ${isOver ? 'bg-river2' : ''}`}
    >
      <div className="relative z-10 -mb-5 hidden h-5 justify-center pointer-fine:flex">
        {lessons.map((lesson) => (
          <TickLesson key={`${lesson.kind}${String(lesson.number)}`} lesson={lesson} meeting={meeting} />
        ))}
      </div>
      {children}
    </div>
  );
}

/** A lesson on a tick: carried with the pointer or with Space; a plain click opens its meeting, as the tick does. */
function TickLesson({ lesson: { number, kind }, meeting }: { lesson: Part['lessons'][number]; meeting: Meeting }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const { attributes, listeners, setNodeRef, isDragging } = useLesson(
    { lesson: number, meeting: meeting.id, picture: 'line' },
    kind,
    true,
  );
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      data-tick-lesson={number}
      aria-label={t('terms.dragLabel', { number, date: day(meeting.on, 'weekday') })}
      className={`flex min-w-8 cursor-grab touch-none items-center justify-center ${isDragging ? 'opacity-40' : ''}`}
      onClick={({ detail }) => {
        // Only of the pointer: some browsers make a click of the Space that puts the lesson down.
        if (detail > 0) void navigate(`/meetings/${meeting.id}`);
      }}
    >
      <span className="min-w-4 border-[1.5px] border-pine bg-sheet px-0.5 text-center text-[0.7rem] leading-4 text-ink">
        {number}
      </span>
    </button>
  );
}
