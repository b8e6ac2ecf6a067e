// bin/bench --fuzz: every operation asked once as it is meant, by a walk through a school that this makes; then what was
// asked, spoilt in some place, thousands of times. No answer may be a fault of the server (5xx), and every operation must
// have been answered well (2xx). Expects an empty database behind GORVAN_ADDRESS, and the API's description in the file $1.
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { ulid } from 'ulid';
import { drawing, Visitor } from './http.mjs';

const address = process.env.GORVAN_ADDRESS;
const described = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const MOST = Number(process.argv[3] ?? 10_000); // of each seed; a multiple of AT_ONCE
const SEEDS = [20261127, 7, 99];
const AT_ONCE = 4;
/** After so many spoilt requests the walk is made again, so that there is something left to spoil. */
const AGAIN = 1_250;

const operations = Object.entries(described.paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, said]) => ({
    name: `${method.toUpperCase()} ${path}`,
    method: method.toUpperCase(),
    path,
    said,
  })),
);
const well = new Map(operations.map(({ name }) => [name, 0]));
const met = new Map();
const faults = [];
const owner = new Visitor(address);
const student = new Visitor(address);
const stranger = new Visitor(address);

/** What was asked and answered well, with the ids it was asked of: what is spoilt later. */
let right = [];

async function note(name, answer, asked) {
  met.set(answer.status, (met.get(answer.status) ?? 0) + 1);
  if (answer.ok) well.set(name, (well.get(name) ?? 0) + 1);
  const text = await answer.text();
  if (answer.status >= 500) faults.push(`${asked} -> ${answer.status} ${text.slice(0, 200)}`);
  return text;
}

/** Asks as it is meant. $of are the ids in the address. */
async function ask(method, path, of = {}, body, query = '', who = owner) {
  const name = `${method} ${path}`;
  if (!well.has(name)) throw new Error(`${name} is not an operation`);
  const url = path.replace(/\{(\w+)\}/g, (_, id) => encodeURIComponent(of[id])) + query;
  const answer = await who.call(method, url, body);
  const text = await note(name, answer, `${method} ${url}`);
  if (!answer.ok)
    throw new Error(`${method} ${url} ${JSON.stringify(body)?.slice(0, 300) ?? ''}: ${answer.status} ${text.slice(0, 300)}`);
  if (who !== stranger) right.push({ name, method, path, of, body, query, who });
  return text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text;
}

const now = () => new Date().toISOString();
const day = (plus) => new Date(Date.now() + plus * 86_400_000).toISOString().slice(0, 10);
const weekday = (plus) => ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][new Date(Date.now() + plus * 86_400_000).getUTCDay()];
const LIST =
  '# Short set\nAt the gate:\n1. Gather\n2. Heron (L)\n3. Heron (R)\n4. Part the reeds (L-R-L)\nOn the water:\n5. Turn\n6. Heron (L)\n7. Wade\n8. Rest\n9. Lift\n10. Sink\n11. Turn back\n12. Close\n';
const CLOSURES = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\nBEGIN:VEVENT\r\nUID:a@b\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:${day(20).replaceAll('-', '')}\r\nSUMMARY:Fair\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`;
const SECRET = 'a fuzz of its own';
const signIn = () => ask('POST', '/api/session', {}, { email: 'fuzz@fuzz.example', password: SECRET });

let walks = 0;
/** A teacher's way through everything there is to ask, with things of its own. */
async function walk() {
  right = [];
  const n = ++walks;
  await ask('GET', '/api/session');
  await ask('GET', '/api/starters');
  await ask('GET', '/api/principle-starters');
  // A form, its score, its files.
  const text = LIST.replace('Short set', `Short set ${n}`);
  await ask('POST', '/api/forms/preview', {}, { text });
  const { id: form } = await ask('POST', '/api/forms', {}, { text });
  const { id: spare } = await ask('POST', '/api/forms', {}, { text: LIST.replace('Short set', `Spare ${n}`) });
  const F = { form };
  const whole = await ask('GET', '/api/forms/{form}', F);
  const keys = whole.entries.map((one) => one.key);
  const score = await ask('GET', '/api/forms/{form}/score', F);
  const edits = [
    { op: 'set', id: keys[0], fields: { breaths: 3, cues: ['to the {L}'], phases: [{ breath: 'in' }, { breath: 'out' }] } },
  ];
  const edited = await ask('POST', '/api/forms/{form}/edits', F, { base: score.version, edits, id: ulid() });
  const { version } = edited.score;
  const back = await ask('POST', '/api/forms/{form}/take-back', F, { version });
  const restored = await ask('POST', '/api/forms/{form}/restore', F, { base: back.score.version, number: version });
  for (const one of ['versions', 'losses', 'times', 'principles', 'removal', 'workbench', 'lessons', 'courses'])
    await ask('GET', `/api/forms/{form}/${one}`, F);
  await ask('GET', '/api/forms/{form}/difference', F, undefined, `?from=1&to=${version}`);
  await ask('GET', '/api/forms/{form}/floor', F, undefined, '?width=8&depth=6&students=6');
  await ask('GET', '/api/forms/{form}/beats', F, undefined, '?from=1&to=4&pace=half');
  await ask('GET', '/api/forms/{form}/cards', F, undefined, '?from=1&to=4&view=facing');
  await ask('GET', '/api/forms/{form}/prices', F, undefined, '?load=3&moving=3');
  const file = JSON.stringify(await ask('GET', '/api/forms/{form}/file', F, undefined, '?as=json'));
  await ask('POST', '/api/forms/{form}/import/preview', F, { text: file, ids: 'same' });
  await ask('POST', '/api/forms/{form}/import', F, {
    base: restored.score.version,
    text: file.replace('"Wade"', '"Wade far"'),
    ids: 'same',
  });
  await ask('PUT', '/api/forms/{form}/joins', F, { joins: [{ after: 3, pin: 'never' }] });
  await ask('PUT', '/api/forms/{form}/cutting', F, { load: 3 });
  // A set of principles.
  const set = JSON.stringify({
    format: 'gorvan.principles/1',
    title: `Set ${n}`,
    principles: ['a', 'b', 'c'].map((id) => ({ id, title: `Principle ${id}` })),
  });
  const { set: made } = await ask('POST', '/api/principle-sets', {}, { text: set, title: `Set ${n}` });
  const { set: unused } = await ask('POST', '/api/principle-sets', {}, { text: set, title: `Unused ${n}` });
  const S = { principleSet: made.id };
  const put = { what: 'put', principle: { id: 'a', title: 'Head afloat' } };
  const second = await ask('POST', '/api/principle-sets/{principleSet}/edits', S, {
    base: made.version,
    edits: [put],
    id: ulid(),
  });
  const third = await ask('POST', '/api/principle-sets/{principleSet}/restore', S, {
    base: second.version,
    number: made.version,
  });
  await ask('POST', '/api/principle-sets/{principleSet}/import', S, {
    base: third.version,
    text: set.replace('Principle c', 'Principle d'),
  });
  const edit = { what: 'sweep', principle: 'b', entries: keys.slice(0, 2), strength: 3, note: 'before the step' };
  await ask('POST', '/api/principle-sets/{principleSet}/forms/{form}', { ...S, form }, { edit });
  await ask('GET', '/api/principle-sets/{principleSet}/forms/{form}', { ...S, form });
  await ask('GET', '/api/principle-sets');
  for (const one of ['', '/versions', '/removal']) await ask('GET', `/api/principle-sets/{principleSet}${one}`, S);
  await ask('GET', '/api/principle-sets/{principleSet}/file', S, undefined, '?as=csv');
  // A group and who is in it.
  const people = ['Ada', 'Bo', 'Cy', 'Di', 'Ed'].map((name) => `${name} ${n}`);
  const { id: group } = await ask('POST', '/api/groups', {}, { name: `Group ${n}`, form, students: people, room: 'Hall' });
  const { id: other } = await ask('POST', '/api/groups', {}, { name: `Other ${n}`, form, students: [] });
  const G = { group };
  const members = (await ask('GET', '/api/groups/{group}', G)).students.map((one) => one.id);
  await ask('POST', '/api/groups/{group}/students', G, { students: [`Fay ${n}`, `Gil ${n}`], others: [] });
  const seven = (await ask('GET', '/api/groups/{group}', G)).students.map((one) => one.id);
  const [late, twin] = seven.filter((id) => !members.includes(id));
  await ask('PUT', '/api/groups/{group}/principles', G, { set: made.id, focuses: 1 });
  await ask('PUT', '/api/groups/{group}/room', G, { isCold: true });
  await ask('POST', '/api/groups/{group}/before', G, { id: ulid(), to: 2, on: day(-30), at: now() });
  const [ada, bo] = members;
  await ask('PATCH', '/api/students/{student}', { student: ada }, { name: `Ada A. ${n}` });
  await ask('PUT', '/api/students/{student}/details', { student: ada }, { email: 'ada@fuzz.example', size: 'middle' });
  await ask('PUT', '/api/students/{student}/pause', { student: bo }, { isPaused: false });
  const care = { student: ada, consideration: randomUUID() };
  await ask('PUT', '/api/students/{student}/considerations/{consideration}', care, {
    what: 'knee',
    side: 'left',
    since: day(-9),
    note: 'slowly',
  });
  await ask('GET', '/api/students/{student}/considerations', { student: ada });
  // Terms.
  const pattern = [{ weekday: weekday(0), at: '00:01', minutes: 60 }];
  const term = { group, title: `Term ${n}`, from: day(-21), to: day(56), pattern, closures: [], approach: 'piece' };
  await ask('POST', '/api/calendar/closures', {}, { text: CLOSURES, from: day(-21), to: day(56) });
  await ask('POST', '/api/terms/preview', {}, term);
  await ask('POST', '/api/terms/sketch', {}, term);
  const { id: laid } = await ask('POST', '/api/terms', {}, term);
  const { id: empty } = await ask(
    'POST',
    '/api/terms',
    {},
    { ...term, group: other, title: `Empty ${n}`, from: day(60), to: day(120) },
  );
  const T = { term: laid };
  let shown = await ask('GET', '/api/terms/{term}', T);
  const course = shown.courses[0].id ?? shown.courses[0].courseId;
  const tonight = shown.meetings.findLast((one) => one.on <= day(0)).id;
  const M = { meeting: tonight };
  await ask('GET', '/api/terms');
  await ask('GET', '/api/terms/next', {}, undefined, `?group=${group}`);
  await ask('GET', '/api/today');
  // Lessons.
  await ask('GET', '/api/forms/{form}/lessons', F, undefined, `?course=${course}`);
  const page = await ask('GET', '/api/forms/{form}/lessons/{number}', { form, number: 1 });
  const kept = await ask('PUT', '/api/forms/{form}/lessons', F, {
    course: null,
    version: 0,
    lesson: { ...page.lesson, note: 'slowly' },
  });
  await ask('POST', '/api/lessons/{lesson}/use', { lesson: kept.lesson.id }, { id: randomUUID(), course });
  const written = JSON.stringify(await ask('GET', '/api/forms/{form}/lessons-file', F));
  await ask('POST', '/api/forms/{form}/lessons-file', F, { text: written });
  const [, two] = await Promise.all([1, 2].map((number) => ask('GET', '/api/forms/{form}/lessons/{number}', { form, number })));
  const partner = { entry: keys[0], contact: 'wrist on wrist', steps: [{ id: 'touch', title: 'steady' }], limit: 3 };
  const drilled = await ask('PUT', '/api/forms/{form}/lessons', F, {
    course: null,
    version: two.version,
    lesson: { ...two.lesson, kind: 'partner', partner },
  });
  // The plan is changed by hand, asked, taken over and back.
  const settled = async () => {
    for (let time = 0; time < 100; time++) {
      shown = await ask('GET', '/api/terms/{term}', T);
      if (!shown.isBeingPlanned) return shown.version;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    throw new Error('a plan is never made');
  };
  const ahead = shown.meetings.filter((one) => one.on > day(0)).map((one) => one.id);
  const changes = [{ what: 'cancel', meeting: ahead[1], reason: 'frost' }];
  await ask('POST', '/api/terms/{term}/changes/preview', T, { changes });
  await ask('POST', '/api/terms/{term}/changes', T, { version: await settled(), changes });
  await settled();
  const history = await ask('GET', '/api/terms/{term}/changes', T);
  await ask('POST', '/api/plan-changes/{change}/take-back', { change: history[0].id });
  await ask('PATCH', '/api/courses/{course}', { course }, { size: { load: 2.5 } });
  await ask('POST', '/api/terms/{term}/courses', T, { form: spare, approach: 'piece', share: 0.3 });
  await settled();
  const added = shown.courses.map((one) => one.id ?? one.courseId).find((id) => id !== course);
  await ask('DELETE', '/api/courses/{course}', { course: added });
  await settled();
  await ask('POST', '/api/terms/{term}/questions', T, {
    kind: 'compare',
    course,
    plans: [{ approach: 'outline' }, { minutes: 45 }],
  });
  const answered = async () => {
    for (let time = 0; time < 200; time++) {
      const all = await ask('GET', '/api/terms/{term}/questions', T);
      if (all.length > 0 && all.every((one) => one.answer !== null || one.refusal != null)) return all;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    throw new Error('a question is never answered');
  };
  const [question] = await answered();
  await ask('POST', '/api/plan-questions/{question}/take-over', { question: question.id }, { plan: 1 });
  await settled();
  // A class.
  for (const one of ['', '/class', '/care']) await ask('GET', `/api/meetings/{meeting}${one}`, M);
  await ask('GET', '/api/meetings/{meeting}/pods', M, undefined, '?count=2');
  await ask('GET', '/api/meetings/{meeting}/pairs', M, undefined, `?lesson=${drilled.lesson.id}`);
  await ask('PUT', '/api/meetings/{meeting}/attendance', M, { attendance: { [bo]: { isHere: false, at: now() } } });
  await ask('POST', '/api/meetings/{meeting}/guests', M, {
    id: randomUUID(),
    name: `Una ${n}`,
    isFirstTime: true,
    at: now(),
  });
  const entry = whole.entries[0].id;
  const marks = members.slice(2).map((who) => ({ id: ulid(), student: who, entry, side: null, support: 'Alone', at: now() }));
  await ask('POST', '/api/meetings/{meeting}/marks', M, { marks });
  await ask('POST', '/api/withdrawals', {}, { withdrawals: [{ id: ulid(), of: marks[0].id, at: now() }] });
  const log = {
    format: 'gorvan.log/1',
    id: ulid(),
    on: shown.meetings.find((one) => one.id === tonight).on,
    made_at: now(),
    minutes: 60,
    present: members.slice(2),
    careful: [],
    did: [{ what: 'taught', entries: keys.slice(0, 3) }],
    note: 'wet floor',
  };
  await ask('POST', '/api/meetings/{meeting}/log', M, log);
  await ask('GET', '/api/meetings/{meeting}/log', M);
  await ask('GET', '/api/groups/{group}/book', G, undefined, '?find=wet');
  await ask('POST', '/api/groups/{group}/pace', G);
  // Students over time.
  for (const one of ['', '/record', '/home']) await ask('GET', `/api/students/{student}${one}`, { student: members[2] });
  await ask('GET', '/api/students/{student}/line', { student: members[2] }, undefined, `?group=${group}`);
  await ask('GET', '/api/students/{student}/curve', { student: members[2] }, undefined, `?entry=${entry}`);
  await ask('GET', '/api/students');
  await ask('GET', '/api/groups');
  for (const one of ['lines', 'principles', 'practice', 'home', 'removal', 'calendar'])
    await ask('GET', `/api/groups/{group}/${one}`, G);
  await ask('GET', '/api/groups/{group}/table', G, undefined, '?of=standings');
  await ask('GET', '/api/find', {}, undefined, '?find=ada');
  await ask('GET', '/api/forms');
  await ask('GET', '/api/school/forecast');
  await ask('PUT', '/api/school/forecast/factor', {}, { factor: 1 }).catch((error) => {
    if (!/422/.test(error.message)) throw error;
  });
  await ask('PUT', '/api/school/forecast/factor', {}, { factor: null });
  // Home: links, a student's own page, a question and its answer.
  await ask('PUT', '/api/groups/{group}/practice', G, { minutes: 12, days: 5 });
  await ask('POST', '/api/groups/{group}/feed', G);
  await ask('DELETE', '/api/groups/{group}/feed', G);
  await ask('POST', '/api/groups/{group}/links', G, { students: [bo] });
  const link = await ask('POST', '/api/students/{student}/link', { student: ada }, {});
  const token = (link.url ?? link.address ?? '').split('#')[1];
  await ask('POST', '/mine/api/open', {}, { token }, '', student);
  await ask('GET', '/mine/api', {}, undefined, '', student);
  const practice = { id: randomUUID() };
  const did = { on: day(0), at: now(), minutes: 8, fromMemory: true, entries: [entry] };
  await ask('PUT', '/mine/api/practices/{id}', practice, did, '', student);
  await ask('DELETE', '/mine/api/practices/{id}', practice, undefined, '', student);
  const asking = randomUUID();
  await ask('PUT', '/mine/api/questions/{id}', { id: asking }, { text: 'Which foot?', at: now() }, '', student);
  const home = await ask('GET', '/api/students/{student}/home', { student: ada });
  await ask(
    'PUT',
    '/api/student-questions/{studentQuestion}/answer',
    { studentQuestion: home.questions?.[0]?.id ?? asking },
    { answer: 'Left' },
  );
  // The end of a term, letters, mail.
  await ask('GET', '/api/terms/{term}/end', T);
  const letter = randomUUID();
  await ask('PUT', '/api/terms/{term}/letters', T, { id: letter, student: members[2], text: 'Dear Cy', version: 0 });
  await ask('POST', '/api/terms/{term}/letters/sending', T, { letters: [letter] });
  const draft = randomUUID();
  await ask('PUT', '/api/terms/{term}/letters', T, { id: draft, student: members[3], text: 'Dear Di', version: 0 });
  await ask('DELETE', '/api/letters/{letter}', { letter: draft });
  await ask('PUT', '/api/school/letter-words', {}, { words: { greeting: 'Hello {name}!' }, numbers: true });
  await ask('GET', '/api/mails');
  // The school.
  await ask('PUT', '/api/school', {}, { name: 'Fuzz', locale: 'en-GB' });
  const warm = await ask('GET', '/api/school/warm-ups');
  const list = { format: 'gorvan.warm_ups/1', items: [{ id: 'a', title: 'Circles', kind: 'general', minutes: 2 }] };
  await ask('PUT', '/api/school/warm-ups', {}, { version: warm.version, list });
  // What goes, of what nothing hangs on; what was asked well of it can be asked again and finds nothing.
  await ask('POST', '/api/students/{student}/joined', { student: late }, { other: twin, isSure: true });
  await ask('POST', '/api/students/{student}/apart', { student: twin });
  await ask('POST', '/api/groups/{group}/move', G, { student: late, to: other });
  await ask('DELETE', '/api/groups/{group}/students', G, { students: [twin] });
  await ask('PUT', '/api/students/{student}/list', { student: twin }, { isOff: true });
  await ask('DELETE', '/api/students/{student}/link', { student: bo });
  await ask('DELETE', '/api/students/{student}/considerations/{consideration}', care);
  await ask('GET', '/api/terms/{term}/removal', { term: empty });
  await ask('DELETE', '/api/terms/{term}', { term: empty });
  await ask('DELETE', '/api/lessons/{lesson}', { lesson: kept.lesson.id });
  await ask('DELETE', '/api/groups/{group}', { group: other });
  await ask('DELETE', '/api/forms/{form}', { form: spare }).catch((error) => {
    if (!/409/.test(error.message)) throw error;
  });
  const { id: alone } = await ask('POST', '/api/forms', {}, { text: LIST.replace('Short set', `Alone ${n}`) });
  await ask('DELETE', '/api/forms/{form}', { form: alone });
  await ask('DELETE', '/api/principle-sets/{principleSet}', { principleSet: unused.id });
}

/** What tends to break things. */
const HOSTILE = [
  null,
  true,
  [],
  {},
  '',
  ' ',
  'a\0b',
  '0',
  -1,
  0,
  1,
  2147483648,
  Number.MAX_SAFE_INTEGER,
  1e308,
  -1e-320,
  '99999999999999999999',
  'NaN',
  '2026-02-31',
  '2026-13-01',
  '0000-00-00',
  '9999-12-31',
  '25:61',
  '<script>',
  "'; drop table users; --",
  '💥',
  '\u202Ex',
  'x'.repeat(5000),
  '['.repeat(200),
  [[[[]]]],
  { a: { b: { c: 1 } } },
  Array(300).fill('x'),
  '../../etc/passwd',
  '%00',
  '{"a":1}',
  'Ångström',
  '01ARZ3NDEKTSV4RRFFQ69G5FAV',
  'Mars/Base',
  'Mon',
  '2026-01-20T19:00:00+01:00',
  '\ud800',
  '1'.repeat(400),
];
const SHORT = HOSTILE.filter((one) => typeof one !== 'object' && one !== '' && String(one).length < 300).map(String);

/** A copy with one place of it spoilt. */
function spoilt(value, draw, ids) {
  const any = () => (draw(3) === 0 ? ids[draw(ids.length)] : HOSTILE[draw(HOSTILE.length)]);
  if (value === null || typeof value !== 'object' || draw(5) === 0) {
    if (typeof value === 'number' && draw(2) === 0) return [value + 1, value - 1, -value, value * 1000, value / 3][draw(5)];
    if (typeof value === 'string' && draw(3) === 0)
      return [value + value, value.slice(1), value.toUpperCase(), `${value}\n${value}`][draw(4)];
    return any();
  }
  if (Array.isArray(value)) {
    if (value.length === 0 || draw(6) === 0) return [...value, any()];
    const at = draw(value.length);
    if (draw(5) === 0) return value.filter((_, place) => place !== at);
    if (draw(5) === 0) return [...value, value[at]]; // the same twice
    return value.map((one, place) => (place === at ? spoilt(one, draw, ids) : one));
  }
  const names = Object.keys(value);
  if (names.length === 0 || draw(12) === 0) return { ...value, unknown: any(), ['x'.repeat(draw(300))]: any() };
  const name = names[draw(names.length)];
  if (draw(6) === 0) return Object.fromEntries(Object.entries(value).filter(([one]) => one !== name));
  return { ...value, [name]: spoilt(value[name], draw, ids) };
}

/** Asked again with ids that are new, as what was not sent yet has. */
const fresh = (body) =>
  JSON.parse(JSON.stringify(body ?? null), (name, one) =>
    name === 'id' && typeof one === 'string' && /^[0-9A-Z]{26}$/.test(one) ? ulid() : one,
  );

async function one(draw, ids) {
  const { name, method, path, of, body, query, who } = right[draw(right.length)];
  const junk = () => encodeURIComponent(SHORT[draw(SHORT.length)].replace(/[\ud800-\udfff]/g, '')).replace(/%2F/g, '-');
  const url =
    path.replace(/\{(\w+)\}/g, (_, id) =>
      draw(10) < 7 ? encodeURIComponent(of[id]) : draw(2) === 0 ? ids[draw(ids.length)] : junk(),
    ) +
    (draw(3) > 0
      ? query
      : `?${(operations.find((known) => known.name === name)?.said.parameters ?? [])
          .filter((parameter) => parameter.in === 'query')
          .map((parameter) => `${parameter.name}=${draw(2) === 0 ? junk() : ids[draw(ids.length)]}`)
          .join('&')}`);
  let sent = fresh(body);
  for (let times = draw(4); times > 0; times--) sent = spoilt(sent, draw, ids);
  let raw = method === 'GET' || body === undefined ? undefined : JSON.stringify(sent);
  // Not even JSON, or cut off in the middle.
  if (raw !== undefined && draw(60) === 0) raw = raw.slice(0, draw(raw.length + 1));
  try {
    await note(name, await who.call(method, url, undefined, { raw }), `${method} ${url} ${raw?.slice(0, 400) ?? ''}`);
  } catch (error) {
    faults.push(`${method} ${url} ${raw?.slice(0, 400) ?? ''} -> ${error.message} ${error.cause?.message ?? ''}`);
  }
}

const founding = { school: 'Fuzz', timezone: 'Europe/Berlin', name: 'Fuzz', email: 'fuzz@fuzz.example', password: SECRET };
await ask('POST', '/api/founding', {}, founding);
await signIn();
let asked = 0;
for (const seed of SEEDS) {
  const draw = drawing(seed);
  for (let count = 0; count < MOST;) {
    await walk();
    const ids = [...new Set(right.flatMap((request) => Object.values(request.of).map(String)))];
    // Whoever is signed out is signed in again by nobody here: of the session only asking is spoilt.
    right = right.filter((request) => !['/api/session', '/api/founding', '/mine/api/open'].includes(request.path));
    for (const until = Math.min(MOST, count + AGAIN); count < until; count += AT_ONCE)
      await Promise.all(Array.from({ length: AT_ONCE }, () => one(draw, ids)));
    process.stderr.write(`   seed ${seed}: ${count} of ${MOST}, ${faults.length} faults\n`);
  }
  asked += MOST;
}
await ask('DELETE', '/api/session');
console.log(
  [...met]
    .sort(([a], [b]) => a - b)
    .map(([status, times]) => `${times} x ${status}`)
    .join(', '),
);
const never = [...well].filter(([, times]) => times === 0).map(([name]) => name);
console.log(
  `${well.size - never.length} of ${well.size} operations answered 2xx; of ${asked} spoilt requests and ${walks} walks ${faults.length} ended in a fault of the server`,
);
for (const one of never) console.log(`never answered well: ${one}`);
for (const one of faults.slice(0, 40)) console.log(one);
process.exit(never.length + faults.length === 0 ? 0 : 1);
