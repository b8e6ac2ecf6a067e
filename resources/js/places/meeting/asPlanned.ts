import type { ClassLog, Form, MeetingPage, Passage } from '../../api/client';

type Doing = ClassLog['did'][number];

/** The log of a class that went as it was planned: what was planned, for those who were there. */
export function asPlanned(id: string, page: MeetingPage, form: Form, isHere: (student: string) => boolean): ClassLog {
  const { meeting } = page;
  // Extras belong to no lesson: they are not taught by standing in one.
  const keys = ({ from, to }: Passage) =>
    form.entries
      .filter((entry) => entry.position >= from && entry.position <= to && entry.kind !== 'extra')
      .map((entry) => entry.key);
  const minutes = (box: string) => {
    const planned = meeting.boxes[box];
    return planned === undefined ? {} : { minutes: planned };
  };
  const did: Doing[] = [
    ...meeting.review.map((item) => ({ what: 'reviewed', entries: keys(item), minutes: item.minutes, passes: item.passes })),
    ...(meeting.recap ? [{ what: 'reviewed', entries: keys(meeting.recap), passes: 1 }] : []),
    ...(meeting.lesson ? [{ what: 'taught', entries: keys(meeting.lesson), ...minutes('new') }] : []),
    ...(meeting.runThrough ? [{ what: 'run_through', entries: keys(meeting.runThrough), ...minutes('run_through') }] : []),
  ];
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
