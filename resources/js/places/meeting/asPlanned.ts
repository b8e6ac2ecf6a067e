import type { ClassLog, Form, MeetingPage, Passage } from '../../api/client';
import { partOf } from '../../pictures/coursePart';

type Doing = ClassLog['did'][number];

/** The log of a class that went as it was planned: what was planned of every course, for those who were there. */
export function asPlanned(
  id: string,
  page: MeetingPage,
  forms: Record<string, Form>,
  isHere: (student: string) => boolean,
): ClassLog {
  const { meeting } = page;
  const isOne = page.courses.length === 1;
  const minutes = (box: string) => {
    const planned = meeting.boxes[box];
    return planned === undefined || !isOne ? {} : { minutes: planned };
  };
  const did: Doing[] = page.courses.flatMap(({ courseId }): Doing[] => {
    const form = forms[courseId];
    if (form === undefined) return [];
    const part = partOf(meeting, courseId);
    // Extras belong to no lesson: they are not taught by standing in one.
    const keys = ({ from, to }: Passage) =>
      form.entries
        .filter((entry) => entry.position >= from && entry.position <= to && entry.kind !== 'extra')
        .map((entry) => entry.key);
    const of = isOne ? {} : { form: form.id };
    return [
      ...part.review.map((item) => ({
        what: 'reviewed',
        ...of,
        entries: keys(item),
        minutes: item.minutes,
        passes: item.passes,
      })),
      ...(part.recap ? [{ what: 'reviewed', ...of, entries: keys(part.recap), passes: 1 }] : []),
      // What is joined was given before: it is gone through again.
      ...part.lessons.map((lesson) =>
        lesson.kind === 'join'
          ? { what: 'reviewed', ...of, entries: keys(lesson) }
          : { what: 'taught', ...of, entries: keys(lesson), ...(part.lessons.length === 1 ? minutes('new') : {}) },
      ),
      ...(part.runThrough ? [{ what: 'run_through', ...of, entries: keys(part.runThrough), ...minutes('run_through') }] : []),
    ] as unknown as Doing[];
  });
  return {
    format: 'gorvan.log/1',
    id,
    on: meeting.on,
    made_at: new Date().toISOString(),
    minutes: meeting.minutes,
    present: page.students.filter((student) => isHere(student.id)).map((student) => student.id),
    did: did as ClassLog['did'],
  };
}
