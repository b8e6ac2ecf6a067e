// Sends marks to a class, changes its plan, keeps and sends letters and imports its form while workers, servers and the
// database are killed and connections cut, and counts afterwards what was acknowledged and is not there (lost), what is there
// more than once (doubled), and what is there in part (halved).
import { randomUUID } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { ulid } from 'ulid';
import { drawing, Visitor } from './http.mjs';

const [address, run, data] = [process.env.GORVAN_ADDRESS, process.env.GORVAN_RUN, process.env.GORVAN_PG_DATA];
const rounds = Number(process.argv[2] ?? 1000);
const drawn = drawing(20261127);
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const teacher = new Visitor(address);

const stat = (pid) => readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
const children = (pid) =>
  readdirSync('/proc').filter((name) => {
    try {
      return /^\d+$/.test(name) && stat(name)[1] === String(pid);
    } catch {
      return false; // it ended meanwhile
    }
  });
const first = (file) => readFileSync(file, 'utf8').split('\n')[0].trim();
const postmaster = () => first(`${data}/postmaster.pid`);

/** What can be killed, and how often it is; a word for each. */
const victims = [
  [60, 'php-fpm workers', () => children(first(`${run}/fpm.pid`))],
  [8, 'php-fpm', () => [first(`${run}/fpm.pid`)]],
  [8, 'nginx workers', () => children(first(`${run}/nginx.pid`))],
  [4, 'nginx', () => [first(`${run}/nginx.pid`)]],
  [8, 'a database connection', () => children(postmaster()).slice(-1)],
  [4, 'the database', () => [postmaster()]],
];
const counted = new Map([['a cut connection', 0]]);
function kill() {
  let at = drawn(100);
  for (const [share, name, pids] of victims) {
    if ((at -= share) >= 0) continue;
    try {
      for (const pid of pids()) execFileSync('kill', ['-9', pid], { stdio: 'ignore' });
      counted.set(name, (counted.get(name) ?? 0) + 1);
    } catch {
      return kill(); // what it would have been had ended already
    }
    return name;
  }
  counted.set('a cut connection', counted.get('a cut connection') + 1);
  return null;
}

/** Asks until the server answers; a fault of the server, and that it is asked too often, is asked again, as the pages do. */
async function lasting(method, url, body, headers = {}) {
  for (let time = 0; time < 300; time++) {
    const answer = await teacher.call(method, url, body, { headers, signal: AbortSignal.timeout(30_000) }).catch(() => null);
    if (answer !== null && answer.status < 500 && answer.status !== 429) {
      if (!answer.ok) throw new Refusal(`${method} ${url}: ${answer.status} ${await answer.text()}`, answer.status);
      return answer;
    }
    await pause(100);
  }
  throw new Error(`${method} ${url} was not answered for a long time`);
}
class Refusal extends Error {
  constructor(message, status) {
    super(message);
    this.status = status;
  }
}
/** What is read may be cut off in the middle. */
async function read(url) {
  for (let time = 0; time < 50; time++) {
    const got = await lasting('GET', url)
      .then((answer) => answer.json())
      .catch((error) => (error instanceof Refusal ? Promise.reject(error) : null));
    if (got !== null) return got;
  }
  throw new Error(`${url} is never read whole`);
}

let cut = 0;
/**
 * Asks while something is killed, then the very same again until it is acknowledged; one in ten is given up, as by whoever
 * switches the tablet off. Returns whether it was acknowledged.
 */
async function underFire(method, url, body, headers = {}) {
  const abort = new AbortController();
  const killing = pause(drawn(45)).then(() => {
    if (kill() === null) abort.abort();
  });
  await teacher
    .call(method, url, body, { headers, signal: AbortSignal.any([abort.signal, AbortSignal.timeout(30_000)]) })
    .catch(() => cut++);
  await killing;
  if (drawn(10) === 0) return false;
  await lasting(method, url, body, headers);
  return true;
}

await lasting('POST', '/api/session', { email: 'ottilie@lantern-quay.example', password: 'reeds-at-dusk' });
const tonight = (await read('/api/today')).meetings[0];
const meeting = tonight.meeting.id;
const page = await read(`/api/meetings/${meeting}`);
const students = page.students.slice(0, 4).map((one) => one.id);
const form = (await read('/api/forms')).find((one) => one.title.startsWith('Marsh Lantern')).id;
const entries = (await read(`/api/forms/${form}`)).entries.map((one) => one.id);
const had = page.marks.length;
const term = page.term.id;
await lasting('PUT', `/api/students/${students[0]}/details`, { email: 'first@lantern-quay.example', size: null });

const counts = {};
const tally = (what, one) => {
  counts[what] ??= { asked: 0, acknowledged: 0, lost: 0, doubled: 0, halved: 0 };
  for (const [name, more] of Object.entries(one)) counts[what][name] += more;
};
/** How often it is there, and how often it should be. */
const judged = (times, isAcknowledged) => ({ lost: isAcknowledged && times === 0 ? 1 : 0, doubled: Math.max(0, times - 1) });

const batches = [];
async function marks(round) {
  const at = new Date(Date.now() + round).toISOString();
  const entry = entries[round % entries.length];
  const batch = students.map((student) => ({ id: ulid(), student, entry, side: null, support: 'Cued', at }));
  const isAcknowledged = await underFire('POST', `/api/meetings/${meeting}/marks`, { marks: batch });
  batches.push({ ids: batch.map((one) => one.id), isAcknowledged });
}

/** The term once its plan is made: a worker that was killed is followed by another. */
async function planned() {
  for (let time = 0; time < 600; time++) {
    const shown = await read(`/api/terms/${term}`);
    if (!shown.term.isBeingPlanned) return shown;
    await pause(200);
  }
  throw new Error('a plan is never made');
}
async function plan(round) {
  const before = await planned();
  // One that was given up may have been done after it was looked for: what is cancelled already is not cancelled again.
  const ahead = before.meetings.filter((one) => !one.isPast && !one.isToday && !one.isHeld && one.state !== 'cancelled');
  const reason = `struck in round ${round}`;
  const changes = [{ what: 'cancel', meeting: ahead[round % ahead.length].id, reason }];
  const url = `/api/terms/${term}/changes`;
  const isAcknowledged = await underFire('POST', url, { version: before.version, changes }, { 'Idempotency-Key': randomUUID() });
  const after = await planned();
  const times = (await read(url)).filter((one) =>
    one.moved.some(({ code, with: says }) => code === 'replan.cancelled_because' && says.reason === reason),
  ).length;
  const isOff = JSON.stringify(after.meetings).includes(reason);
  tally('changes of a plan', {
    asked: 1,
    acknowledged: isAcknowledged ? 1 : 0,
    ...judged(times, isAcknowledged),
    halved: isOff === times > 0 ? 0 : 1,
  });
  if (!isOff) return;
  const back = [{ what: 'restore', meeting: changes[0].meeting }];
  await lasting('POST', url, { version: after.version, changes: back }, { 'Idempotency-Key': randomUUID() });
}

const letters = [];
async function letter(round) {
  const id = randomUUID();
  const text = `Dear student, this is round ${round}.`;
  const known = (await read(`/api/terms/${term}/end`)).students.find((one) => one.id === students[0]).letter;
  const kept = { id: known?.id ?? id, student: students[0], text, version: known?.version ?? 0 };
  const isKept = await underFire('PUT', `/api/terms/${term}/letters`, kept);
  const now = (await read(`/api/terms/${term}/end`)).students.find((one) => one.id === students[0]).letter;
  const isThere = now?.text === text;
  // Two versions of one keeping would be one too many.
  tally('letters', {
    asked: 1,
    acknowledged: isKept ? 1 : 0,
    lost: isKept && !isThere ? 1 : 0,
    doubled: Math.max(0, (now?.version ?? 0) - kept.version - 1),
  });
  if (!isThere) return;
  const isSent = await underFire('POST', `/api/terms/${term}/letters/sending`, { letters: [now.id] });
  letters.push({ text, isSent });
  // The next round writes another: a letter that was sent stays.
  if (drawn(2) === 0) await lasting('DELETE', `/api/letters/${now.id}`).catch(() => null);
}

async function importing(round) {
  const { version } = await read(`/api/forms/${form}/score`);
  const file = await read(`/api/forms/${form}/file?as=json`);
  const title = `Struck in round ${round}`;
  file.entries[round % file.entries.length].title = title;
  const body = { base: version, text: JSON.stringify(file), ids: 'same' };
  const isAcknowledged = await underFire('POST', `/api/forms/${form}/import`, body, { 'Idempotency-Key': randomUUID() });
  const times = (await read(`/api/forms/${form}/versions`)).filter((one) => JSON.stringify(one.what).includes(title)).length;
  const isIn = (await read(`/api/forms/${form}`)).entries.some((one) => one.title === title);
  tally('imports', {
    asked: 1,
    acknowledged: isAcknowledged ? 1 : 0,
    ...judged(times, isAcknowledged),
    halved: isIn === times > 0 ? 0 : 1,
  });
}

for (let round = 0; round < rounds; round++) {
  const what = [plan, letter, importing][drawn(20)] ?? marks;
  await what(round);
  if (round % 50 === 49) process.stderr.write(`   ${round + 1} of ${rounds}\n`);
}
await pause(3000);

const there = new Map();
for (const { id } of (await read(`/api/meetings/${meeting}`)).marks) there.set(id, (there.get(id) ?? 0) + 1);
for (const { ids, isAcknowledged } of batches) {
  const found = ids.filter((id) => there.has(id)).length;
  tally('marks, four at a time', {
    asked: 1,
    acknowledged: isAcknowledged ? 1 : 0,
    lost: isAcknowledged ? ids.length - found : 0,
    halved: found > 0 && found < ids.length ? 1 : 0,
    doubled: ids.filter((id) => (there.get(id) ?? 0) > 1).length,
  });
}
// Every letter was mailed once, however often it was asked for and whoever was killed.
const { mails } = await read('/api/mails');
for (const { text, isSent } of letters) {
  const times = mails.filter((one) => one.body?.includes(text)).length;
  tally('letters mailed', { asked: 1, acknowledged: isSent ? 1 : 0, ...judged(times, isSent) });
}
const known = new Set(batches.flatMap((one) => one.ids));
const strangers = [...there.keys()].filter((id) => !known.has(id)).length - had;
console.log([...counted].map(([name, times]) => `${times} x ${name}`).join(', '));
let wrong = strangers;
for (const [what, one] of Object.entries(counts)) {
  console.log(
    `${what}: ${Object.entries(one)
      .map(([name, times]) => `${name} ${times}`)
      .join(', ')}`,
  );
  wrong += one.lost + one.doubled + one.halved;
}
console.log(`${cut} requests cut short, marks of nobody ${strangers}`);
process.exit(wrong === 0 ? 0 : 1);
