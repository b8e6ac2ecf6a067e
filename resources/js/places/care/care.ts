import { Adaptation } from '../../api/enums';
import type { Attendance, CareNeed, StudentCare } from '../../api/client';

/** What a caution says to do, the strictest first, as core has it. */
export const ADAPTATIONS = Adaptation;

/** How careful somebody is in everything that is done tonight. */
export type Everywhere = 'careful' | 'first' | null;

/** What is said of somebody for all of tonight; what this device noted of the evening is later than what the server knew. */
export function everywhereOf(care: StudentCare | undefined, noted?: Attendance): Everywhere {
  const said = care?.everywhere ?? [];
  if (noted === undefined ? said.includes('support') : noted.isCareful) return 'careful';
  if (noted?.isFirstTime === true || (said.length > 0 && !said.includes('support'))) return 'first';
  return null;
}

/** Needs of one kind together: what is done, and in what; the strictest first. */
export interface Together {
  do: Adaptation | null;
  needs: CareNeed[];
}

/** What somebody needs in one box, by what is done: a need with two adaptations stands under the strictest. Pure. */
export function together(needs: CareNeed[]): Together[] {
  const by = new Map<Adaptation | null, CareNeed[]>();
  for (const need of needs) {
    const strictest = need.do[0];
    if (strictest !== undefined) by.set(strictest, [...(by.get(strictest) ?? []), need]);
    if (need.asks) by.set(null, [...(by.get(null) ?? []), need]);
  }
  const rank = (what: Adaptation | null) => (what === null ? ADAPTATIONS.length : ADAPTATIONS.indexOf(what));
  return [...by.entries()].map(([what, all]) => ({ do: what, needs: all })).sort((a, b) => rank(a.do) - rank(b.do));
}
