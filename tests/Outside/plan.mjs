// A second reading of how a term is planned (engine 4 and 6 to 9), written from the design and not from the code: what
// `gorvan:plan` says is computed once more here. Loads, the joins of a form and the lessons of a course come with the question,
// for cuts.mjs looks after those. The memory is FSRS-6 with its published weights; that its formulas are written down rightly is
// tried against ts-fsrs before anything else.
import { createHash } from 'node:crypto';
import { FSRSAlgorithm, generatorParameters } from 'ts-fsrs';
import { given } from './stdin.mjs';

const sum = (list) => list.reduce((all, one) => all + one, 0);
const range = (from, to) => Array.from({ length: Math.max(0, to - from + 1) }, (_, at) => from + at);
const near = (value) => Math.round(value * 1e9) / 1e9;
const up = (minutes) => Math.ceil(near(minutes));
const down = (minutes) => Math.max(0, Math.floor(near(minutes)));
const TINY = 1e-9;

// --- memory (engine 6) ---
const W = generatorParameters().w;
const FACTOR = 0.9 ** (-1 / W[20]) - 1;
const recallOf = (days, stability) => (1 + (FACTOR * days) / stability) ** -W[20];
const within = (value, least, most) => Math.min(most, Math.max(least, value));
const startDifficulty = (grade) => W[4] - Math.exp((grade - 1) * W[5]) + 1;
const start = (grade) => ({ s: Math.max(W[grade - 1], 0.1), d: within(startDifficulty(grade), 1, 10) });
const remembered = ({ s, d }, recall, grade) =>
  within(
    s * (1 + Math.exp(W[8]) * (11 - d) * s ** -W[9] * (Math.exp((1 - recall) * W[10]) - 1) * (grade === 2 ? W[15] : 1)),
    0.001,
    36500,
  );
const forgotten = ({ s, d }, recall) =>
  Math.min(
    within(W[11] * d ** -W[12] * ((s + 1) ** W[13] - 1) * Math.exp((1 - recall) * W[14]), 0.001, 36500),
    Math.max(0.001, s / Math.exp(W[17] * W[18])),
  );
const blend = (share, a, b) => Math.exp(share * Math.log(a) + (1 - share) * Math.log(b));

// What nobody saw: grade 2, half remembered at first where it was taught, else not at all; later as much as should be there, and half of that when run through.
const TAUGHT = { first: 0.5, part: 1 };
const PRACTICE = { first: 0, part: 1 };
const RAN = { first: 0, part: 0.5 };
const BEFORE = start(3);
const firstOf = ({ first }) => ({ s: blend(first, start(2).s, start(1).s), d: first > 0 ? start(2).d : start(1).d });
const laterOf = (state, days, { part }) => {
  const recall = recallOf(days, state.s);
  const share = Math.min(1, recall * part);
  return { s: blend(share, remembered(state, recall, 2), forgotten(state, recall)), d: state.d };
};

function tryFormulas() {
  const library = new FSRSAlgorithm(generatorParameters());
  for (let at = 0; at < 200; at++) {
    const state = { s: 0.2 + ((at * 37) % 90), d: 1 + (at % 10) * 0.95 };
    const days = 1 + (at % 30);
    const recall = recallOf(days, state.s);
    const its = (grade) => library.next_state({ stability: state.s, difficulty: state.d }, days, grade).stability;
    const close = (a, b) => Math.abs(a - b) <= 1e-6 * Math.max(1, b);
    if (
      !close(recall, library.forgetting_curve(days, state.s)) ||
      !close(remembered(state, recall, 2), its(2)) ||
      !close(forgotten(state, recall), its(1))
    )
      throw new Error(`the memory is not the reference's at ${JSON.stringify({ state, days })}`);
  }
  for (const grade of [1, 2, 3]) {
    const { stability, difficulty } = library.next_state(null, 0, grade);
    if (Math.abs(stability - start(grade).s) > 1e-6 || Math.abs(difficulty - start(grade).d) > 1e-6)
      throw new Error(`first contact of grade ${grade}`);
  }
}

const draw = (text) => parseInt(createHash('sha256').update(text).digest('hex').slice(0, 13), 16) / 2 ** 52;

/** The memories of a class: each student several times over. */
class Memories {
  constructor({ seed, students, attendance }, known, before) {
    const copies = Math.max(1, Math.ceil(64 / students));
    this.who = range(1, students).flatMap((at) => range(0, copies - 1).map((copy) => [`s${at}`, copy]));
    [this.seed, this.comes, this.states] = [seed, attendance, new Map()];
    for (const position of known)
      this.states.set(
        position,
        this.who.map(() => ({ ...BEFORE, last: before })),
      );
  }
  present(key) {
    return this.who.map(([student, copy]) => draw(`${this.seed}|${student}|${key}|${copy}`) < this.comes);
  }
  of(position) {
    if (!this.states.has(position))
      this.states.set(
        position,
        this.who.map(() => null),
      );
    return this.states.get(position);
  }
  contact(position, day, evidence, present) {
    const states = this.of(position);
    states.forEach((state, at) => {
      if (!present[at] || (state !== null && state.last >= day)) return;
      states[at] = { ...(state === null ? firstOf(evidence) : laterOf(state, day - state.last, evidence)), last: day };
    });
  }
  mean(position, day) {
    return (
      sum(this.of(position).map((state) => (state === null ? 0 : recallOf(Math.max(0, day - state.last), state.s)))) /
      this.who.length
    );
  }
  /** What practice tonight adds by the next meeting to what is there without, or with what else tonight does. */
  gain(position, day, next, other) {
    const ahead = next - day;
    const after = (state, evidence) => {
      if (state === null) return evidence === null ? 0 : recallOf(ahead, firstOf(evidence).s);
      if (state.last >= day || evidence === null) return recallOf(next - state.last, state.s);
      return recallOf(ahead, laterOf(state, day - state.last, evidence).s);
    };
    // Everybody comes alike here, so that the weights a(s) fall out.
    return this.comes === 0
      ? 0
      : sum(this.of(position).map((state) => after(state, PRACTICE) - after(state, other))) / this.who.length;
  }
  met(positions, day) {
    const own = this.who.map((_, at) => positions.map((position) => this.of(position)[at]));
    const whole = own.filter((states) => states.every((state) => state !== null));
    const recall = whole.map(
      (states) => sum(states.map((state) => recallOf(Math.max(0, Math.min(7, day - state.last)), state.s))) / states.length,
    );
    return [whole.length / this.who.length, whole.length === 0 ? 0 : sum(recall) / whole.length];
  }
}

// --- the calendar, as one course sees it ---
function calendarOf(meetings, own, course) {
  const days = meetings.map((one) => one.day);
  const gaps = own.slice(1).map((at, n) => days[at] - days[own[n]]);
  const usual = gaps.length === 0 ? 7 : gaps.sort((a, b) => a - b)[Math.floor((gaps.length - 1) / 2)];
  const after = (at) => own.find((one) => one > at);
  const next = (at) => (after(at) === undefined ? days[at] + 7 : days[after(at)]);
  const shows = course.showing;
  const before = shows === null ? [] : own.filter((at) => days[at] < shows.day);
  const reserve = new Set(course.reserve === 0 ? [] : before.slice(-course.reserve));
  const holds = (at) => {
    const gap = after(at) === undefined ? 0 : days[after(at)] - days[at];
    if (shows !== null && days[at] === shows.day) return 'showing';
    if (reserve.has(at)) return 'reserve';
    if (gap > 14 && gap > 1.5 * usual) return 'before_break';
    return course.lookBack && own.length >= 6 && at === own[own.length - 1] ? 'look_back' : null;
  };
  return { days, own, next, holds, isOwn: (at) => own.includes(at), end: days[days.length - 1] + 7 };
}

function turnsOf(meetings, courses, turns) {
  if (turns.length === 0) return courses.map(() => meetings.map((_, at) => at));
  const own = courses.map(() => []);
  let turn = 0;
  meetings.forEach(({ day }, at) => {
    const shows = courses.flatMap((course, n) => (course.showing?.day === day ? [n] : []));
    const due = turns[turn % turns.length];
    const whose = shows.length === 0 || shows.includes(due) ? due : shows[0];
    if (whose === due) turn++;
    own[whose].push(at);
  });
  return own;
}

// --- a meeting's parts (engine 8) ---
const SHARES = { settle: 4, warm_up: 18, middle: 62, close: 6 };
const INSIDE = ['review', 'new', 'run_through'];
const USUAL = ['settle', 'warm_up', 'review', 'new', 'run_through', 'close'].map((kind) => ({ kind }));

function byShares(total, weights) {
  const all = sum(weights.map(([, weight]) => weight));
  const parts = weights.map(([name, weight], at) => ({
    name,
    at,
    whole: Math.floor((total * weight) / all),
    rest: (total * weight) % all,
  }));
  const over = total - sum(parts.map((part) => part.whole));
  [...parts]
    .sort((a, b) => b.rest - a.rest || a.at - b.at)
    .slice(0, over)
    .forEach((part) => part.whole++);
  return Object.fromEntries(parts.map((part) => [part.name, part.whole]));
}
function weightsOf(order) {
  const said = order.filter((part) => INSIDE.includes(part.kind) && part.share !== undefined);
  const weights = [];
  for (const part of order) {
    const name = INSIDE.includes(part.kind) ? 'middle' : part.kind;
    if (part.minutes !== undefined || weights.some(([one]) => one === name)) continue;
    weights.push([
      name,
      name !== 'middle' ? (part.share ?? SHARES[name]) : said.length > 0 ? sum(said.map((one) => one.share)) : 62,
    ]);
  }
  return weights;
}
const timed = (order) => sum(order.map((part) => part.minutes ?? 0));
function frameOf(total, order) {
  const minutes = { ...byShares(total - timed(order), weightsOf(order)) };
  for (const part of order) if (part.minutes !== undefined) minutes[part.kind] = part.minutes;
  return minutes;
}
const middleOf = (total, order) => {
  const weights = weightsOf(order);
  return (
    (sum(weights.filter(([name]) => name === 'middle').map(([, weight]) => weight)) / sum(weights.map(([, weight]) => weight))) *
    (total - timed(order))
  );
};
const median = (list) => {
  const sorted = [...list].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
};
/** Whole minutes by fractions, largest remainder, ties to the earlier. */
function split(minutes, shares) {
  const exact = shares.map((share) => near((minutes * share) / sum(shares)));
  const parts = exact.map(Math.floor);
  const order = exact.map((_, at) => at).sort((a, b) => exact[b] - parts[b] - (exact[a] - parts[a]) || a - b);
  for (const at of order.slice(0, minutes - sum(parts))) parts[at]++;
  return parts;
}

// --- review (engine 7) ---
const quarters = (minutes) => Math.ceil(near(minutes * 4));
const SETTING_UP = 6;
const passesOf = (seconds, wished) => {
  const most = seconds <= 0 ? 3 : Math.max(1, Math.min(3, Math.floor(near(120 / seconds))));
  return most < 3 ? Math.min(wished, most) : wished;
};
const minutesFor = (seconds, wished) => (passesOf(seconds, wished) * seconds) / 60;

/** Disjoint passages of the greatest worth: over entries and quarters, by looking at every passage that may come next. */
function choose(items, budget, price) {
  const most = Math.floor(near(budget * 4));
  const worth = (item) => item.value - (item.price ?? price) * Math.min(quarters(item.minutes) / 4, 2);
  const NONE = { worth: 0, used: 0, first: Infinity, passages: null };
  const better = (a, b) => {
    if (Math.abs(a.worth - b.worth) > 1e-12) return a.worth > b.worth;
    return a.used !== b.used ? a.used < b.used : a.first < b.first;
  };
  // best[at][left]: from entry `at` on, within so many quarters.
  const best = Array.from({ length: items.length + 2 }, () => []);
  for (const at of [items.length, items.length + 1]) best[at] = Array.from({ length: most + 1 }, () => NONE);
  for (let at = items.length - 1; at >= 0; at--) {
    for (let left = 0; left <= most; left++) {
      let found = best[at + 1][left];
      let cost = SETTING_UP;
      let gain = (-price * SETTING_UP) / 4;
      for (let to = at; to < items.length && items[to] !== null; to++) {
        cost += quarters(items[to].minutes);
        gain += worth(items[to]);
        if (cost > left) break;
        // A passage ends before an entry that is left out.
        const rest = best[Math.min(to + 2, items.length)][left - cost];
        const with_ = {
          worth: gain + rest.worth,
          used: cost + rest.used,
          first: at,
          passages: [[at + 1, to + 1], rest.passages],
        };
        if (better(with_, found)) found = with_;
      }
      best[at][left] = found;
    }
  }
  const passages = [];
  for (let one = best[0][most].passages; one !== null; one = one[1]) passages.push(one[0]);
  return passages;
}

// --- a lesson no evening takes in, in parts of about T (engine 4) ---
function cutAgain(from, to, loads, rests, size) {
  const load = (a, b) => sum(loads.slice(a - 1, b));
  const ends = (a) => range(a, to).filter((b) => b === a || load(a, b) <= 1.5 * size + 1e-9);
  const wanted = Math.max(1, Math.floor(near(load(from, to) / size) + 0.5));
  const memo = new Map();
  const tail = (a, left) => {
    if (a > to) return left === 0 ? 0 : Infinity;
    if (left === 0) return Infinity;
    const key = `${a} ${left}`;
    if (!memo.has(key)) memo.set(key, Math.min(...ends(a).map((b) => cost(a, b) + tail(b + 1, left - 1))));
    return memo.get(key);
  };
  const cost = (a, b) => ((load(a, b) - size) / size) ** 2 + (b < to ? 0.5 * (1 - rests[b - 1]) : 0);
  const feasible = range(1, to - from + 1).filter((count) => tail(from, count) < Infinity);
  const count = feasible.sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted) || a - b)[0];
  const parts = [];
  for (let a = from, left = count; left > 0; left--) {
    const whole = tail(a, left);
    const b = ends(a).find((one) => cost(a, one) + tail(one + 1, left - 1) <= whole + 1e-12 * Math.abs(tail(from, count)));
    parts.push([a, b]);
    a = b + 1;
  }
  return parts;
}

const APPROACHES = {
  outline: { rough: 2.5, usual: 5, gate: 0.5, rhythm: 0 },
  piece: { usual: 6, gate: 0.65, rhythm: 0 },
  sides: { usual: 5, gate: 0.62, rhythm: 2 },
  whole: { usual: 6, gate: 0, rhythm: 0 },
};

/** One course while the term is walked through. */
class Walk {
  constructor(term, course, own, spread) {
    Object.assign(this, { term, course, spread, entries: term.entries });
    this.calendar = calendarOf(term.meetings, own, course);
    this.isKept = course.kept !== null;
    this.isWhole = course.approach === 'whole' && !this.isKept;
    this.taught = new Set(course.known.filter((at) => this.counts(at)));
    this.memories = new Memories(term, this.taught, term.meetings[0].day - 7);
    this.way = APPROACHES[course.approach];
    const [from, to] = course.target;
    const load = sum(range(from, to).map((at) => course.loads[at - 1]));
    const movements = range(from, to).filter((at) => this.entries[at - 1].kind === 'movement').length;
    const each = movements > 0 && load > 0 ? load / movements : 1;
    const minutes = term.meetings.map((one) => one.minutes);
    const order = term.order ?? USUAL;
    this.room = Math.min(0.31 * median(minutes), median(minutes.map((one) => middleOf(one, order))) / 2) * course.share;
    const said = course.pace;
    const evening = said?.movements
      ? said.movements * each
      : said?.minutes
        ? this.room / said.minutes
        : within(this.room / this.way.usual, 1, 5);
    this.pace = said?.movements ? this.room / evening : (said?.minutes ?? this.way.usual);
    this.size = course.asked ?? evening;
    this.queue = this.isKept
      ? []
      : [
          ...this.open(course.approach === 'outline' ? 'rough' : 'new', this.taught),
          ...(course.approach === 'outline' ? this.open('detail', new Set()) : []),
        ];
    this.whole = sum(this.queue.map((one) => one.load));
    this.all = [...this.queue];
    this.parts = new Map();
    this.doneIn = (kind) => (kind === 'detail' ? this.detailed : this.taught);
    this.detailed = new Set();
    Object.assign(this, {
      inARow: 0,
      row: [],
      last: null,
      given: 0,
      polished: 0,
      wasHeld: false,
      reviewed: new Set(),
      throughOn: null,
    });
    // Some of a lesson that is begun was given before: what comes of it is its second part.
    for (const one of this.queue) if (one.isPart && this.isBegun(one)) this.parts.set(`${one.kind} ${one.number}`, 1);
  }
  counts(at) {
    return this.entries[at - 1].kind !== 'extra';
  }
  counted(from, to) {
    return range(from, to).filter((at) => this.counts(at));
  }
  loadOf(from, to) {
    return sum(this.course.loads.slice(from - 1, to));
  }
  per(kind) {
    return kind === 'rough' ? (this.pace * this.way.rough) / this.way.usual : this.pace;
  }
  open(kind, done) {
    const queue = [];
    for (const { number, from, to } of this.course.lessons) {
      const counted = this.counted(from, to);
      const runs = [];
      for (const at of counted) {
        if (done.has(at)) continue;
        const run = runs[runs.length - 1];
        const isNext = run !== undefined && counted.indexOf(at) === counted.indexOf(run[run.length - 1]) + 1;
        if (isNext) run.push(at);
        else runs.push([at]);
      }
      for (const run of runs) {
        const [a, b] = [run[0], run[run.length - 1]];
        const load = this.loadOf(a, b);
        const fits =
          this.isWhole || run.length === 1 || load <= 1.5 * this.size + TINY || (kind === 'rough' && load <= 10 + TINY);
        const pieces = fits ? [[a, b]] : cutAgain(a, b, this.course.loads, this.course.rests, kind === 'rough' ? 10 : this.size);
        for (const [x, y] of pieces)
          queue.push({
            number,
            kind,
            from: x,
            to: y,
            load: this.loadOf(x, y),
            isPart: run.length < counted.length || pieces.length > 1,
          });
      }
    }
    return queue;
  }
  isBegun({ kind, number }) {
    const of = this.course.lessons.find((one) => one.number === number);
    return (
      this.parts.has(`${kind} ${number}`) || (kind === 'detail' ? false : range(of.from, of.to).some((at) => this.taught.has(at)))
    );
  }
  seconds(at) {
    return this.entries[at - 1].seconds ?? 0;
  }
  motion(at) {
    return this.seconds(at) > 120 ? 0 : this.seconds(at);
  }
  known() {
    return this.isKept
      ? this.course.kept.filter((at) => this.counts(at) && this.taught.has(at))
      : [...this.taught].sort((a, b) => a - b);
  }
  lessonsTaught() {
    return this.course.lessons.filter(({ from, to }) => this.counted(from, to).every((at) => this.taught.has(at))).length;
  }
  evenings() {
    return this.calendar.own.filter((at) => this.calendar.holds(at) === null);
  }
  due(at) {
    const part = (of) => of.filter((one) => one <= at).length / Math.max(1, of.length);
    const all = this.evenings();
    let due = this.whole * part(all);
    const shows = this.course.showing;
    if (shows !== null && this.calendar.days[at] < shows.day) {
      const until = all.filter((one) => this.calendar.days[one] < shows.day);
      const load = sum(this.all.map((one) => (one.from > shows.to ? 0 : this.loadOf(one.from, Math.min(one.to, shows.to)))));
      due = Math.max(due, load * part(until));
    }
    return due;
  }
  lessonBefore(day) {
    const recap = this.last ?? this.recap(this.queue[0]);
    const positions = recap === null ? [] : this.counted(...recap).filter((at) => this.taught.has(at));
    if (positions.length === 0) return [1, 1];
    const [met, recall] = this.memories.met(positions, day);
    return [this.term.attendance > 0 ? met / this.term.attendance : 1, recall];
  }
  decide(at) {
    const next = this.queue[0];
    const held = this.calendar.holds(at);
    const hold = (kind = 'consolidation', isHeld = false) => ({ kind, lesson: null, isHeld });
    const give = { kind: 'lesson', lesson: next, isHeld: false };
    if (next === undefined) return hold(held ?? 'consolidation');
    if (this.taught.size === 0) return give;
    if (held !== null) return hold(held);
    const rhythm = this.course.rhythm ?? this.way.rhythm;
    if (rhythm > 0 && this.inARow >= rhythm) return hold();
    // No more than two evenings in a row wait, however few lessons there are.
    if (this.spread && this.polished < 2 && this.given >= this.due(at) - TINY) return hold();
    if (this.way.gate > 0 && !this.wasHeld) {
      const [met, recall] = this.lessonBefore(this.calendar.days[at]);
      if (met < 0.6 - TINY || recall < this.way.gate - TINY) return hold('consolidation', true);
    }
    return give;
  }
  /** As much of a lesson as a load takes in. */
  parted(lesson, most) {
    let [to, load] = [lesson.to, lesson.load];
    const least = this.counted(lesson.from, lesson.to)[0] ?? lesson.to;
    while (load > most + TINY && to > least) load -= this.course.loads[--to];
    return to === lesson.to ? lesson : { ...lesson, to, load: this.loadOf(lesson.from, to), isPart: true };
  }
  minutesOf(lessons) {
    return lessons.length === 0 ? 0 : up(sum(lessons.map((one) => one.load)) * this.per(lessons[0].kind));
  }
  lessonsOf(first, most) {
    if (this.isWhole) return [first];
    const given = this.parted(first, most / this.per(first.kind));
    if (given !== first) return [given];
    const lessons = [given];
    let load = given.load;
    const isRough = first.kind === 'rough';
    const shares = first.isPart && this.isBegun(first) && load < (isRough ? 10 : this.size) / 2 - TINY;
    const rhythm = this.course.rhythm ?? this.way.rhythm;
    for (const next of this.queue.slice(1)) {
      const both = load + next.load;
      const nearer = isRough
        ? both <= 10 + TINY
        : Math.abs(both - this.size) < Math.abs(load - this.size) - TINY && both <= 1.25 * this.size + TINY;
      if (next.kind !== first.kind || (rhythm > 0 && this.inARow + lessons.length >= rhythm) || !(nearer || shares)) break;
      const fits = up(both * this.per(first.kind)) <= most;
      if (fits) lessons.push(next);
      else if (shares) lessons.push(this.parted(next, most / this.per(first.kind) - load));
      if (!fits || shares) break;
      load = both;
    }
    return lessons;
  }
  recap(lesson) {
    if (lesson === undefined) return null;
    const before = range(1, lesson.from - 1)
      .reverse()
      .filter((at) => this.counts(at))
      .slice(0, 4);
    if (before.length === 0) return null;
    const good = before.slice(1).find((at) => at > 1 && this.course.rests[at - 2] >= 0.6);
    const opens = this.counted(1, before[before.length - 1] - 1).length === 0;
    const from = good ?? (opens ? before[before.length - 1] : (before[1] ?? before[0]));
    const known = range(from, lesson.from - 1).filter((at) => this.taught.has(at));
    return known.length === 0 ? null : [known[0], known[known.length - 1]];
  }
  nextRecap(tonight) {
    const last = tonight[tonight.length - 1];
    const next = this.queue.find(
      (one) => last === undefined || (one.kind === last.kind ? one.from > last.to : one.number <= last.number),
    );
    return next === undefined ? null : this.recap(next);
  }
  section(at) {
    return this.entries[at - 1].section;
  }
  run(lessons, seconds, beyond) {
    const tonight = new Set(lessons.flatMap((one) => range(one.from, one.to)));
    if (tonight.size === 0 && this.taught.size === 0) return null;
    const base = tonight.size > 0 ? [...tonight] : [...this.taught];
    const to = Math.max(...base);
    const least = tonight.size > 0 ? Math.min(...base) : to;
    let start = beyond ? 1 : (this.section(least) ?? 1);
    if (tonight.size > 0 && start === least && least > 1) start = this.section(least - 1) ?? 1;
    let from = to;
    let spent = this.motion(to);
    while (from > start && (!this.counts(from - 1) || this.taught.has(from - 1) || tonight.has(from - 1))) {
      spent += this.motion(from - 1);
      if (spent > seconds + TINY) break;
      from--;
    }
    return [from, to];
  }
  keptInTurn(turn, seconds) {
    const sections = new Map();
    for (const at of this.known()) sections.set(this.section(at) ?? 0, [...(sections.get(this.section(at) ?? 0) ?? []), at]);
    const all = [...sections.values()];
    const own = all.length === 0 ? [] : all[turn % all.length];
    let to = null;
    let spent = 0;
    for (const at of own) {
      spent += this.motion(at);
      if (to !== null && spent > seconds + TINY) break;
      to = at;
    }
    return to === null ? null : [own[0], to];
  }
  mean(passage, day) {
    const all = this.counted(...passage);
    return sum(all.map((at) => this.memories.mean(at, day))) / Math.max(1, all.length);
  }
  together(passage, passes) {
    return (SETTING_UP + sum(this.counted(...passage).map((at) => quarters(minutesFor(this.seconds(at), passes))))) / 4;
  }
  times(passage, passes) {
    return Math.max(1, ...this.counted(...passage).map((at) => passesOf(this.seconds(at), passes)));
  }

  /** One evening: what it holds, and what it leaves in the memories. */
  evening(at, total, middle, price, decision, givesOn) {
    const { course, calendar } = this;
    const [day, next] = [calendar.days[at], calendar.next(at)];
    const isOwn = calendar.isOwn(at);
    const isRound = this.isWhole && isOwn;
    const isShowing = course.showing !== null && course.showing.day === day;
    const polishes =
      decision.lesson === null && !['showing', 'look_back'].includes(decision.kind) && isOwn && this.taught.size > 0;
    const targetSeconds = sum(range(...course.target).map((one) => this.seconds(one)));
    const once = isRound ? up(targetSeconds / 60) : 0;
    const fifth = Math.ceil(middle / 5);
    const most = Math.max(0, middle - Math.min(once, middle) - fifth);
    const lessons = decision.lesson === null ? [] : this.lessonsOf(decision.lesson, most);
    const tonight = new Set(lessons.flatMap((one) => range(one.from, one.to)));
    const joins =
      polishes && course.approach === 'sides' && this.row.length >= 2
        ? [Math.min(...this.row.map((one) => one[0])), Math.max(...this.row.map((one) => one[1]))]
        : null;
    const turn = polishes && joins === null && !isRound && !this.isKept ? this.polished % 3 : 0;
    const asked = this.minutesOf(lessons);
    const part = (percent) => Math.floor(near(((total * percent) / 100) * course.share));
    const isLong = turn === 2 || decision.kind === 'look_back';
    let order = 'as_written';
    let times = 1;
    let minutes;
    let ran;
    if (isRound) {
      const fresh = Math.min(asked, middle);
      minutes = { new: fresh, run: Math.min(once, middle - fresh) };
      if (minutes.run >= once) ran = course.target;
      else if (minutes.run === 0) ran = null;
      else {
        let to = course.target[0];
        while (to < course.target[1] && sum(range(course.target[0], to + 1).map((one) => this.seconds(one))) <= minutes.run * 60)
          to++;
        ran = [course.target[0], to];
      }
    } else {
      const longest = isShowing ? middle : Math.min(middle, part(isLong ? 25 : 15));
      const of = (seconds) => {
        if (isShowing) {
          const from = course.showing.to < course.target[0] ? 1 : course.target[0];
          const known = this.counted(from, course.showing.to).filter((one) => this.taught.has(one));
          return known.length === 0 ? null : [known[0], known[known.length - 1]];
        }
        return this.isKept
          ? this.keptInTurn(calendar.own.filter((one) => one < at).length, seconds)
          : this.run(lessons, seconds, isLong);
      };
      const first = of(longest * 60);
      const fresh = Math.min(asked, middle);
      const kept = fresh === 0 ? 0 : fifth;
      const wanted = Math.min(first === null ? 0 : up(sum(range(...first).map((one) => this.motion(one))) / 60), longest);
      minutes = { new: fresh, run: Math.min(wanted, Math.max(0, middle - fresh - Math.min(kept, middle - fresh))) };
      ran = minutes.run === 0 ? null : isShowing || this.isKept ? first : this.run(lessons, minutes.run * 60, isLong);
      const all = [...this.taught];
      if (turn === 2 && ran !== null && ran[0] <= Math.min(...all) && ran[1] >= Math.max(...all)) {
        const sections = new Set(
          this.counted(...ran)
            .filter((one) => this.seconds(one) <= 120)
            .map((one) => this.section(one)),
        );
        order = sections.size > 1 ? 'shuffled' : 'backwards';
      }
    }
    minutes.review = middle - minutes.new - minutes.run;
    const recap = this.recap(lessons[0]);

    // What is gone through whatever it is worth.
    let left = minutes.review;
    const fixed = [];
    const put = (passage, isJoin) => {
      const positions = this.counted(...passage);
      if (
        positions.length === 0 ||
        positions.some((one) => !this.taught.has(one) || fixed.some((other) => other.positions.includes(one)))
      )
        return;
      let passes = isJoin && this.mean(passage, day) < 0.85 ? 6 : 3;
      while (passes > 1 && this.together(passage, passes) > left + TINY) passes--;
      const takes = Math.min(this.together(passage, passes), Math.max(0, left));
      left -= takes;
      fixed.push({ passage, positions, isJoin, passes: this.times(passage, passes), minutes: takes });
    };
    const leastFirst = (passages) =>
      [...passages].sort((a, b) => near(this.mean(a, day)) - near(this.mean(b, day)) || a[0] - b[0]);
    if (joins !== null) put(joins, true);
    if (polishes && this.isWhole && this.queue.length === 0) {
      const weakest = leastFirst(
        course.lessons.map(({ from, to }) => [from, to]).filter((one) => this.counted(...one).length > 0),
      )[0];
      if (weakest !== undefined) put(weakest, false);
    }
    if (turn === 1) {
      const seams = course.lessons.slice(0, -1).flatMap((one, n) => {
        const [ends, begins] = [
          this.counted(one.from, one.to),
          this.counted(course.lessons[n + 1].from, course.lessons[n + 1].to),
        ];
        return ends.length > 0 && begins.length > 0 ? [[ends[ends.length - 1], begins[0]]] : [];
      });
      const until = left / 2;
      for (const seam of leastFirst(seams)) if (left > until + TINY) put(seam, false);
    }

    // Review, by what it is worth.
    const positionsRun = () => {
      const isIn = (one) =>
        this.isKept ? course.kept.includes(one) && this.taught.has(one) : isRound || this.taught.has(one) || tonight.has(one);
      return ran === null ? [] : this.counted(...ran).filter((one) => (isRound || this.seconds(one) <= 120) && isIn(one));
    };
    const practised = new Set(
      [recap, ...fixed.map((one) => one.passage), ...lessons.map((one) => [one.from, one.to])].flatMap((one) =>
        one === null ? [] : range(...one),
      ),
    );
    const touched = new Set(positionsRun());
    const ahead = this.nextRecap(lessons);
    const isIn = (one, passage) => passage !== null && passage[0] <= one && one <= passage[1];
    const showing =
      course.showing !== null && day <= course.showing.day
        ? [course.showing.to < course.target[0] ? 1 : course.target[0], course.showing.to]
        : null;
    const items = this.entries.map(() => null);
    for (const one of this.known()) {
      if (fixed.some((other) => other.positions.includes(one))) continue;
      const has = this.memories.mean(one, day);
      if (decision.lesson === null && this.reviewed.has(one) && has >= 0.9) continue;
      const weight = Math.max(isIn(one, ahead) ? 1.5 : 1, isIn(one, showing) ? 2 : 1);
      const gain = practised.has(one) ? 0 : this.memories.gain(one, day, next, touched.has(one) ? RAN : null);
      const item = { value: gain * weight, minutes: minutesFor(this.seconds(one), 3) };
      items[one - 1] = this.isKept && has >= 0.9 ? { ...item, price: Math.max(price, 0.02) } : item;
    }
    const chosen = choose(items, Math.max(0, left), price).map((passage) => ({
      passage,
      passes: 3,
      value: sum(range(...passage).map((one) => items[one - 1].value)),
    }));
    const taken = () => sum(chosen.map((one) => this.together(one.passage, one.passes)));

    // No idle minutes.
    let spare = left - taken();
    let free = 0;
    if (givesOn) {
      free = down(spare);
      minutes.review -= free;
    } else {
      const slower =
        lessons.length === 0
          ? 0
          : Math.min(down(spare), Math.floor(near(minutes.new * (this.isWhole || this.lessonsTaught() < 3 ? 1 : 0.25))));
      minutes.new += slower;
      minutes.review -= slower;
      spare -= slower;
      const before = taken();
      const leads = (one) => range(...one.passage).some((position) => isIn(position, ahead));
      const recall = new Map(chosen.map((one) => [one, this.mean(one.passage, day)]));
      const weak = chosen
        .filter((one) => recall.get(one) < 0.85)
        .sort((a, b) => leads(b) - leads(a) || near(recall.get(a)) - near(recall.get(b)) || a.passage[0] - b.passage[0]);
      let room = spare;
      for (let round = 3; round < 6; round++) {
        for (const one of weak) {
          const cost = this.together(one.passage, one.passes + 1) - this.together(one.passage, one.passes);
          const goes = this.counted(...one.passage).some(
            (position) => minutesFor(this.seconds(position), one.passes + 1) > minutesFor(this.seconds(position), one.passes),
          );
          if (cost <= room + TINY && goes) {
            one.passes++;
            room -= cost;
          }
        }
      }
      spare = down(spare - (taken() - before));
      const isAnything = this.known().length > 0 || lessons.length > 0 || isRound;
      if (spare > 0 && isAnything) {
        const longest = isRound || isShowing ? minutes.run + spare : Math.min(minutes.run + spare, part(25));
        const passage =
          isRound || isShowing || this.isKept || order !== 'as_written' ? ran : this.run(lessons, longest * 60, true);
        const takes =
          passage === null ? 0 : sum(range(...passage).map((one) => (isRound ? this.seconds(one) : this.motion(one))));
        if (takes > 0) {
          const firstKnown = Math.min(...this.taught, ...tonight);
          const comesRound = isRound ? passage[1] === course.target[1] : isShowing || this.isKept || passage[0] <= firstKnown;
          const goes = comesRound ? Math.max(1, Math.min(this.isWhole ? 3 : 2, Math.floor(near((longest * 60) / takes)))) : 1;
          const more = Math.max(0, Math.min(longest, up((goes * takes) / 60)) - minutes.run);
          if (more > 0) {
            [ran, times] = [passage, goes];
            minutes.run += more;
            minutes.review -= more;
            spare -= more;
          }
        }
      }
      free = spare;
      minutes.review -= free;
    }

    // It happens.
    const runs = positionsRun();
    const shown = runs.filter((one) => !this.taught.has(one) && !tonight.has(one));
    const told = lessons.map((one) => {
      const key = `${one.kind} ${one.number}`;
      if (one.isPart) this.parts.set(key, (this.parts.get(key) ?? 0) + 1);
      const counted = this.counted(one.from, one.to);
      return {
        from: counted[0],
        to: counted[counted.length - 1],
        kind: one.kind,
        ...(one.isPart ? { key, part: this.parts.get(key) } : {}),
      };
    });
    const present = this.memories.present(this.term.meetings[at].key);
    for (const lesson of lessons) {
      for (const one of this.counted(lesson.from, lesson.to)) {
        this.memories.contact(one, day, TAUGHT, present);
        this.taught.add(one);
      }
      this.last = [lesson.from, lesson.to];
      this.given += lesson.load;
      const [whole, ...rest] = this.queue;
      const over =
        lesson.to < whole.to ? [{ ...whole, from: lesson.to + 1, load: this.loadOf(lesson.to + 1, whole.to), isPart: true }] : [];
      this.queue = [...over, ...rest];
    }
    if (lessons.length > 0) this.throughOn = this.queue.length === 0 ? day : null;
    const practises = [
      ...(recap === null ? [] : [recap]),
      ...fixed.map((one) => one.passage),
      ...chosen.map((one) => one.passage),
    ];
    if (isOwn) {
      this.wasHeld = decision.isHeld;
      this.row = joins !== null ? [] : [...this.row, ...lessons.map((one) => [one.from, one.to])];
      this.inARow = lessons.length === 0 ? 0 : this.inARow + lessons.length;
      this.polished = lessons.length === 0 && this.taught.size > 0 ? this.polished + 1 : 0;
      this.reviewed = new Set(practises.flatMap((one) => this.counted(...one)));
    }
    for (const passage of practises)
      for (const one of this.counted(...passage)) this.memories.contact(one, day, PRACTICE, present);
    for (const one of runs) if (this.taught.has(one)) this.memories.contact(one, day, RAN, present);
    const recalls = [...this.taught].map((one) => this.memories.mean(one, next));
    const span = (passage) => {
      const all = this.counted(...passage);
      return { from: all[0], to: all[all.length - 1] };
    };
    return {
      minutes,
      free,
      isJoin: joins !== null,
      lessons: [...(joins === null ? [] : [{ ...span(joins), kind: 'join' }]), ...told],
      review: [
        ...fixed
          .filter((one) => !one.isJoin)
          .map((one) => ({ ...span(one.passage), passes: one.passes, minutes: one.minutes, value: null })),
        ...chosen.map((one) => ({
          ...span(one.passage),
          passes: this.times(one.passage, one.passes),
          minutes: this.together(one.passage, one.passes),
          value: one.value,
        })),
      ],
      run_through: runs.length === 0 ? null : { from: Math.min(...runs), to: Math.max(...runs), times, order },
      shown,
      forecast: { taught: this.taught.size, recall: recalls.length === 0 ? null : sum(recalls) / recalls.length },
    };
  }

  end() {
    const movements = [...this.taught].filter((one) => this.entries[one - 1].kind === 'movement');
    const recalls = movements.map((one) => this.memories.mean(one, this.calendar.end));
    return {
      reach: this.taught.size === 0 ? null : Math.max(...this.taught),
      holds: recalls.filter((one) => one >= 0.8).length,
      expected: sum(recalls),
      throughOn: this.throughOn,
    };
  }
}

function walk(term, spread) {
  const own = turnsOf(term.meetings, term.courses, term.turns);
  const walks = term.courses.map((course, n) => new Walk(term, course, own[n], spread[n]));
  const meetings = term.meetings.map((meeting, at) => {
    const frame = frameOf(meeting.minutes, term.order ?? USUAL);
    const mine = walks.filter((one) => one.calendar.isOwn(at));
    const shares =
      mine.length === walks.length
        ? walks.map((one) => one.course.share)
        : walks.map((one) => (one.calendar.isOwn(at) ? 9 / mine.length : 1 / (walks.length - mine.length)));
    const middles = split(frame.middle, shares);
    let decisions = walks.map((one) =>
      one.calendar.isOwn(at) ? one.decide(at) : { kind: 'consolidation', lesson: null, isHeld: false },
    );
    if (decisions.some((one) => one.kind === 'showing'))
      decisions = decisions.map((one) => (one.lesson === null ? one : { kind: 'showing', lesson: null, isHeld: false }));
    const price = decisions.some((one) => one.lesson !== null) ? 0.02 : 0;
    const keepers = walks.flatMap((one, n) => (one.isKept ? [n] : []));
    const others = walks.flatMap((one, n) => (one.isKept ? [] : [n]));
    const parts = [];
    for (const n of [...keepers, ...others]) {
      const givesOn = walks[n].isKept && others.length > 0;
      parts[n] = walks[n].evening(at, meeting.minutes, middles[n], price, decisions[n], givesOn);
      if (givesOn) {
        split(
          parts[n].free,
          others.map((one) => shares[one]),
        ).forEach((more, of) => (middles[others[of]] += more));
        parts[n].free = 0;
      }
    }
    const all = (of) => sum(parts.map(of));
    const boxes = {
      ...frame,
      review: all((one) => one.minutes.review),
      new: all((one) => one.minutes.new),
      run_through: all((one) => one.minutes.run),
      free: all((one) => one.free),
    };
    delete boxes.middle;
    if (boxes.free === 0) delete boxes.free;
    const kinds = decisions.map((one, n) => (parts[n].isJoin ? 'join' : one.kind));
    const kind = ['showing', 'lesson', 'reserve', 'before_break', 'look_back', 'join', 'consolidation'].find((one) =>
      kinds.includes(one),
    );
    return { kind, boxes, parts };
  });
  const totals = new Map();
  for (const meeting of meetings)
    meeting.parts.forEach((part, n) => part.lessons.forEach((one) => one.part && totals.set(`${n} ${one.key}`, one.part)));
  for (const meeting of meetings) {
    meeting.parts.forEach((part, n) => {
      part.lessons = part.lessons.map(({ key, part: ordinal, ...one }) =>
        ordinal === undefined ? one : { ...one, part: [ordinal, totals.get(`${n} ${key}`)] },
      );
    });
  }
  return [meetings, walks];
}

function plan(term) {
  const said = term.courses.map((course) => course.spread === true);
  let [meetings, walks] = walk(term, said);
  const settled = walks.map((one, n) => {
    if (said[n]) return true;
    if (
      one.course.spread !== null ||
      one.course.pace !== null ||
      one.isWhole ||
      one.isKept ||
      one.queue.length > 0 ||
      one.throughOn === null
    )
      return false;
    const own = one.calendar.own;
    return own.filter((at) => one.calendar.days[at] > one.throughOn).length > 0.25 * own.length;
  });
  if (settled.some((is, n) => is !== said[n])) [meetings, walks] = walk(term, settled);
  return { meetings, ends: walks.map((one) => ({ ...one.end(), pace: one.pace })) };
}

tryFormulas();
process.stdout.write(JSON.stringify(given().map(plan)));
