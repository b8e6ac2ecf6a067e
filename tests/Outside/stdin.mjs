import { readFileSync } from 'node:fs';

/** What the test hands over, as JSON on standard input. */
export function given() {
  return JSON.parse(readFileSync(0, 'utf8'));
}
