import type { Focus, GroupPrinciples, Principle } from '../../api/client';
import { type Said, sentence } from '../../messages/say';

/** What a meeting works on, as it is shown: the principle where it is still in the set, and its name in any case. */
export interface ShownFocus {
  id: string;
  title: string;
  principle: Principle | null;
  isNew: boolean;
  why: string | null;
}

/** The principles of a meeting's plan, with what the group's set says of them. */
export function focusesOf(meeting: { focus: Focus[] }, set: GroupPrinciples | null): ShownFocus[] {
  return meeting.focus.flatMap((one) => {
    const principle = set?.principles.find((other) => other.id === one.principle) ?? null;
    const title = principle?.title ?? set?.gone.find((other) => other.id === one.principle)?.title;
    return title === undefined
      ? []
      : [{ id: one.principle, title, principle, isNew: one.isNew, why: one.why === null ? null : sentence(one.why as Said) }];
  });
}
