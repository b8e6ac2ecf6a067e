import type { CueCard, MeetingPage, Passage } from '../../api/client';
import type { ClassPage } from '../../api/client';
import { partOf, positionsIn } from '../../pictures/coursePart';
import type { BoxName } from '../../pictures/Timeline';

/** One entry of what a box holds, in its turn. */
export interface Step {
  courseId: string;
  position: number;
  passage: Passage;
  /** Which time it is gone through, from 1, of how many. */
  pass: number;
  passes: number;
  /** It is done by itself, and closed by its rest. */
  isAlone: boolean;
}

/** What a box holds, entry by entry, pass by pass, in order. Boxes without entries hold none. Pure. */
export function stepsOf(page: MeetingPage, box: BoxName): Step[] {
  const gone = (courseId: string, passage: Passage | null, passes: number, isAlone = false, order?: number[]): Step[] =>
    passage === null
      ? []
      : Array.from({ length: passes }, (_, nth) => nth + 1).flatMap((pass) =>
          (order ?? positionsIn(passage)).map((position) => ({
            courseId,
            position,
            passage: { from: passage.from, to: passage.to },
            pass,
            passes,
            isAlone,
          })),
        );
  return page.courses.flatMap(({ courseId }) => {
    const part = partOf(page.meeting, courseId);
    switch (box) {
      case 'review':
        return part.review.flatMap((item) => gone(courseId, item, item.passes, item.isPicked));
      case 'new':
        return [...gone(courseId, part.recap, 1), ...part.lessons.flatMap((lesson) => gone(courseId, lesson, 1))];
      case 'run_through':
        return gone(courseId, part.runThrough, part.times, false, part.run);
      default:
        return [];
    }
  });
}

/** How an entry is cued, turned one way or the other; undefined where it is not known on this device. */
export function cardOf(tonight: ClassPage | null, step: Step | undefined, turn: 'facing' | 'same'): CueCard | undefined {
  const of = tonight?.cards.find((one) => one.courseId === step?.courseId);
  const card = of?.cards.find((one) => one.position === step?.position);
  return card === undefined || turn === 'facing'
    ? card
    : { ...card, ...of?.turned.find((one) => one.position === card.position) };
}
