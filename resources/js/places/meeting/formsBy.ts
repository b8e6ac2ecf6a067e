import type { Form, MeetingPage } from '../../api/client';
import type { NamedForm } from '../../api/useForms';

/** A course's form as a meeting names it. */
export const namedForm = (one: MeetingPage['courses'][number]): NamedForm => ({
  id: one.formId,
  course: one.courseId,
  edition: one.edition,
});

/** The forms of a meeting, in the order of its courses, by their course; those that are not read yet are not among them. */
export function formsBy(page: { courses: { courseId: string }[] }, forms: (Form | undefined)[]): Record<string, Form> {
  const by: Record<string, Form> = {};
  page.courses.forEach((one, at) => {
    const form = forms[at];
    if (form !== undefined) by[one.courseId] = form;
  });
  return by;
}
