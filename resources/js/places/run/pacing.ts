import type { Beat } from '../../api/client';

/** Where a walk through beats stands: in which beat, and how long it has lasted. */
export interface Walk {
  beat: number;
  /** Seconds into the beat. */
  into: number;
  isOver: boolean;
}

export const START: Walk = { beat: 0, into: 0, isOver: false };

/** Goes on by some seconds; a beat that lasts until told is not left by time alone. */
export function walked(beats: Beat[], walk: Walk, seconds: number): Walk {
  let { beat, into } = walk;
  into += seconds;
  for (let lasts = beats[beat]?.seconds; lasts !== null && lasts !== undefined && into >= lasts; lasts = beats[beat]?.seconds) {
    into -= lasts;
    beat++;
    if (beat >= beats.length) return { beat: beats.length - 1, into: lasts, isOver: true };
  }
  return { beat, into, isOver: beats.length === 0 };
}

/** The next beat, as when the teacher says to go on. */
export function toldOn(beats: Beat[], walk: Walk): Walk {
  return walk.beat + 1 < beats.length ? { beat: walk.beat + 1, into: 0, isOver: false } : { ...walk, isOver: true };
}

/** Seconds still to come, beats until told left out. */
export function secondsLeft(beats: Beat[], walk: Walk): number {
  if (walk.isOver) return 0;
  const rest = beats.slice(walk.beat + 1).reduce((sum, beat) => sum + (beat.seconds ?? 0), 0);
  return rest + Math.max(0, (beats[walk.beat]?.seconds ?? 0) - walk.into);
}
