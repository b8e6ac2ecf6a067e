// Sends marks to a class while workers, servers and the database are killed and connections cut, and counts afterwards what
// was acknowledged and is not there (lost), what is there more than once (doubled), and what is there in part (halved).
import { execFileSync } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { ulid } from 'ulid';

const [address, run, data] = [process.env.GORVAN_ADDRESS, process.env.GORVAN_RUN, process.env.GORVAN_PG_DATA];
const rounds = Number(process.argv[2] ?? 1000);
let seed = 20261127;
const drawn = (most) => {
  seed = (seed * 16807) % 2147483647;
  return seed % most;
};
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const cookies = new Map();
async function call(method, url, body, signal) {
  const answer = await fetch(address + url, {
    method,
    signal: signal ?? AbortSignal.timeout(30_000),
    headers: {
      Accept: 'application/json',
      'Content-Type': 'application/json',
      Origin: address,
      Referer: `${address}/`,
      Cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
      'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  for (const set of answer.headers.getSetCookie()) {
    const [, name, value] = /^([^=]+)=([^;]*)/.exec(set) ?? [];
    cookies.set(name, value);
  }
  return answer;
}

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

async function lasting(method, url, body) {
  for (let time = 0; time < 300; time++) {
    const answer = await call(method, url, body).catch(() => null);
    if (answer !== null && answer.status < 500) {
      if (!answer.ok) throw new Error(`${method} ${url}: ${answer.status} ${await answer.text()}`);
      return answer;
    }
    await pause(100);
  }
  throw new Error(`${method} ${url} was not answered for a long time`);
}

await lasting('POST', '/api/session', { email: 'ottilie@lantern-quay.example', password: 'reeds-at-dusk' });
const { meetings } = await (await lasting('GET', '/api/today')).json();
const meeting = meetings[0].meeting.id;
const page = await (await lasting('GET', `/api/meetings/${meeting}`)).json();
const students = page.students.slice(0, 4).map((one) => one.id);
const form = (await (await lasting('GET', '/api/forms')).json()).find((one) => one.title.startsWith('Marsh Lantern')).id;
const entries = (await (await lasting('GET', `/api/forms/${form}`)).json()).entries.map((one) => one.id);
const had = page.marks.length;

const batches = [];
let cut = 0;
for (let round = 0; round < rounds; round++) {
  const at = new Date(Date.now() + round).toISOString();
  const batch = students.map((student) => ({
    id: ulid(),
    student,
    entry: entries[round % entries.length],
    side: null,
    support: 'Cued',
    at,
  }));
  const after = drawn(45);
  const abort = new AbortController();
  const killing = pause(after).then(() => {
    if (kill() === null) abort.abort();
  });
  await call('POST', `/api/meetings/${meeting}/marks`, { marks: batch }, abort.signal).catch(() => cut++);
  await killing;
  // The very same again, until it is acknowledged; one in ten is given up, as by whoever switches the tablet off.
  const isGivenUp = drawn(10) === 0;
  if (!isGivenUp) await lasting('POST', `/api/meetings/${meeting}/marks`, { marks: batch });
  batches.push({ ids: batch.map((one) => one.id), isAcknowledged: !isGivenUp });
  if (round % 50 === 49) process.stderr.write(`   ${round + 1} of ${rounds}\n`);
}
await pause(3000);
const there = new Map();
for (const { id } of (await (await lasting('GET', `/api/meetings/${meeting}`)).json()).marks)
  there.set(id, (there.get(id) ?? 0) + 1);
let [lost, doubled, halved] = [0, 0, 0];
for (const { ids, isAcknowledged } of batches) {
  const found = ids.filter((id) => there.has(id)).length;
  if (isAcknowledged) lost += ids.length - found;
  if (found > 0 && found < ids.length) halved++;
  doubled += ids.filter((id) => (there.get(id) ?? 0) > 1).length;
}
const known = new Set(batches.flatMap((one) => one.ids));
const strangers = [...there.keys()].filter((id) => !known.has(id)).length - had;
console.log([...counted].map(([name, times]) => `${times} x ${name}`).join(', '));
console.log(
  `${batches.length} batches of ${students.length} marks, ${batches.filter((one) => one.isAcknowledged).length} acknowledged, ${cut} requests cut short`,
);
console.log(`lost ${lost}, doubled ${doubled}, halved ${halved}, nobody's ${strangers}`);
process.exit(lost + doubled + halved + strangers === 0 ? 0 : 1);
