import type { Kept } from './commands';
import { openStores } from './stores';

/** An answer of the server that is kept in this browser, for when there is no network. */
export interface KeptAnswer {
  /** Of its query, as JSON. */
  key: string;
  person: string;
  data: unknown;
  /** Of which build's shapes it is. */
  shapes: string;
  /** When the server said it, and until when it is kept; milliseconds since 1970. */
  at: number;
  until: number;
}

/** Something that only one tab has at a time, until it lets go or its time is over. */
interface Lease {
  name: string;
  holder: string;
  until: number;
}

/** A class as this device runs it. */
export interface KeptRun {
  meeting: string;
  person: string;
  run: unknown;
  until: number;
}

/** What this browser keeps. There is one database for all tabs. */
export const device = openStores<{ commands: Kept; answers: KeptAnswer; runs: KeptRun; leases: Lease }>('gorvan', 20, {
  commands: 'id',
  answers: 'key',
  runs: 'meeting',
  leases: 'name',
});
