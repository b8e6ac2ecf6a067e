import { describe, expect, test } from 'vitest';
import type { Beat } from '../../api/client';
import { secondsLeft, START, toldOn, walked } from './pacing';

const beat = (position: number, seconds: number | null): Beat => ({ position, breath: 'in', seconds, cue: null, time: 1 });

describe('a pacer', () => {
  const beats = [beat(1, 2), beat(1, 3), beat(2, null), beat(3, 1)];

  test('walks from beat to beat, however much time passes at once', () => {
    expect(walked(beats, START, 1.5)).toEqual({ beat: 0, into: 1.5, isOver: false });
    expect(walked(beats, START, 2.5)).toEqual({ beat: 1, into: 0.5, isOver: false });
    expect(walked([beat(1, 2), beat(2, 1)], START, 60).isOver).toBe(true);
  });

  test('waits at what lasts until told, and goes on when told', () => {
    const waiting = walked(beats, START, 600);
    expect(waiting.beat).toBe(2);
    expect(waiting.isOver).toBe(false);
    expect(toldOn(beats, waiting)).toEqual({ beat: 3, into: 0, isOver: false });
    expect(toldOn(beats, { beat: 3, into: 0, isOver: false }).isOver).toBe(true);
  });

  test('tells what is still to come', () => {
    expect(secondsLeft(beats, { beat: 0, into: 0.5, isOver: false })).toBe(5.5);
    expect(secondsLeft(beats, { beat: 3, into: 1, isOver: true })).toBe(0);
  });
});
