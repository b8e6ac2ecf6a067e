import type { CueCard } from '../api/client';
import { say } from '../messages/say';

/** A cue, a check or a caution with its `{L}` and `{R}` as whoever reads it sees them; one pass, so that what is put in is not read again. */
export function sided(text: string, { left, right }: Pick<CueCard, 'left' | 'right'>): string {
  return text.replace(/\{[LR]\}/g, (token) => say(token === '{L}' ? left : right));
}
