import { expect, test } from 'vitest';
import { entry, form, meeting, page } from '../../../../tests/pages/sample';
import { asPlanned } from './asPlanned';

test('the log of a class as planned says what was planned, in order, for those who were there', () => {
  const log = asPlanned('01J', page(), { course: form() }, (student) => student !== 'bo');
  expect(log).toMatchObject({ format: 'gorvan.log/1', id: '01J', on: '2026-01-20', minutes: 60, present: ['ada', 'cy'] });
  expect(log.did).toEqual([
    { what: 'reviewed', entries: ['e1', 'e2'], minutes: 2.7, passes: 3 },
    { what: 'reviewed', entries: ['e1', 'e2'], passes: 1 },
    { what: 'taught', entries: ['e3', 'e4'], minutes: 19 },
    { what: 'run_through', entries: ['e1', 'e2', 'e3', 'e4'], minutes: 4 },
  ]);
  expect(Date.parse(log.made_at)).not.toBeNaN();
});

test('extras stand in a passage and belong to no lesson', () => {
  const withExtra = form({ entries: form().entries.map((one) => (one.position === 4 ? entry(4, { kind: 'extra' }) : one)) });
  const log = asPlanned(
    '01J',
    page({ meeting: meeting({ review: [], recap: null, runThrough: null }) }),
    { course: withExtra },
    () => true,
  );
  expect(log.did).toEqual([{ what: 'taught', entries: ['e3'], minutes: 19 }]);
});

test('a class with nothing planned is logged with who was there', () => {
  const none = meeting({ lesson: null, recap: null, review: [], runThrough: null });
  expect(asPlanned('01J', page({ meeting: none }), { course: form() }, () => true)).toMatchObject({
    did: [],
    present: ['ada', 'bo', 'cy'],
  });
});

test('of several courses each doing says its form; what is joined is gone through again, not taught', () => {
  const part = { recap: null, review: [], runThrough: null, why: null, taughtAfter: 4, recallAfter: 0.8, formTitle: 'T' };
  const tonight = meeting({
    lesson: { from: 1, to: 1 },
    courses: [
      { ...part, courseId: 'course', lessons: [{ number: 1, kind: 'new', from: 1, to: 1 }] },
      { ...part, courseId: 'other', lessons: [{ number: null, kind: 'join', from: 3, to: 4 }] },
    ],
  });
  const courses = [
    { courseId: 'course', formId: 'form', title: 'A' },
    { courseId: 'other', formId: 'second', title: 'B' },
  ];
  const log = asPlanned(
    '01J',
    page({ meeting: tonight, courses }),
    { course: form(), other: form({ id: 'second' }) },
    () => true,
  );
  expect(log.did).toEqual([
    { what: 'taught', form: 'form', entries: ['e1'] },
    { what: 'reviewed', form: 'second', entries: ['e3', 'e4'] },
  ]);
});
