import type { Passage, TermEnd, TermEndCourse, TermEndStudent } from '../../api/client';

/** What a letter can say, in the order in which it says it; those of a form come once for each form. */
export const SENTENCES = [
  'greeting',
  'holds',
  'holdsNone',
  'nearly',
  'open',
  'missed',
  'keep',
  'next',
  'numbers',
  'principle',
  'carry',
  'came',
  'ending',
  'signature',
] as const;
export type Sentence = (typeof SENTENCES)[number];

const ANYWHERE = ['name', 'term', 'school', 'teacher', 'came', 'classes'];

/** What each sentence can be filled with. */
export const FILLED: Record<Sentence, string[]> = {
  greeting: ANYWHERE,
  holds: ['form', 'passages', 'count', 'of', ...ANYWHERE],
  holdsNone: ['form', 'of', ...ANYWHERE],
  nearly: ['form', 'passages', ...ANYWHERE],
  open: ['form', 'passages', ...ANYWHERE],
  missed: ['form', 'passages', ...ANYWHERE],
  keep: ['form', 'titles', ...ANYWHERE],
  principle: ['titles', ...ANYWHERE],
  carry: ['title', ...ANYWHERE],
  next: ['form', 'passages', ...ANYWHERE],
  numbers: ['form', 'count', 'of', ...ANYWHERE],
  came: ANYWHERE,
  ending: ANYWHERE,
  signature: ANYWHERE,
};

const PLACE = /\{(\w+)\}/g;

/** The first thing a sentence asks for that it cannot be filled with; null where there is none. */
export function unknownIn(sentence: Sentence, words: string): string | null {
  for (const [whole, name = ''] of words.matchAll(PLACE)) if (!FILLED[sentence].includes(name)) return whole;
  return null;
}

export interface LetterWords {
  sentences: Record<Sentence, string>;
  hasNumbers: boolean;
  teacher: string;
  /** What the passages of a course are called, and one of its entries. */
  passages: (courseId: string, passages: Passage[]) => string;
  title: (courseId: string, position: number) => string;
  list: (titles: string[]) => string;
}

/** A letter to a student out of the record, in the school's words. What there is nothing to say of is left out. Pure. */
export function letterText(student: TermEndStudent, end: TermEnd, words: LetterWords): string {
  const anywhere = {
    name: student.name,
    term: end.term.title,
    school: end.school,
    teacher: words.teacher,
    came: String(student.came),
    classes: String(student.classes),
  };
  const say = (sentence: Sentence, filled: Record<string, string> = {}): string =>
    words.sentences[sentence].replace(PLACE, (whole, name: string) => ({ ...anywhere, ...filled })[name] ?? whole);
  const inForm = (course: TermEndCourse): string => {
    const of = student.forms.find((one) => one.courseId === course.courseId);
    if (of === undefined || of.taught === 0) return '';
    const filled = { form: course.title, count: String(of.holding), of: String(of.taught) };
    const about = (sentence: Sentence, passages: Passage[]) =>
      passages.length === 0 ? '' : say(sentence, { ...filled, passages: words.passages(course.courseId, passages) });
    return [
      of.holding === 0 ? say('holdsNone', filled) : about('holds', of.holds),
      about('nearly', of.nearly),
      about('open', of.open),
      about('missed', of.missed),
      of.keep.length === 0
        ? ''
        : say('keep', { ...filled, titles: words.list([...new Set(of.keep.map((at) => words.title(course.courseId, at)))]) }),
      about('next', course.next === null ? [] : [course.next]),
      words.hasNumbers ? say('numbers', filled) : '',
    ]
      .filter((one) => one !== '')
      .join(' ');
  };
  return [
    say('greeting'),
    ...end.courses.map(inForm),
    [
      student.keeps.length === 0 ? '' : say('principle', { titles: words.list(student.keeps) }),
      student.carry === null ? '' : say('carry', { title: student.carry }),
    ]
      .filter((one) => one !== '')
      .join(' '),
    words.hasNumbers && student.classes > 0 ? say('came') : '',
    say('ending'),
    say('signature'),
  ]
    .filter((one) => one.trim() !== '')
    .join('\n\n');
}
