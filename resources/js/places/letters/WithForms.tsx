import type { ReactNode } from 'react';
import type { Form, TermEnd } from '../../api/client';
import { WithForms as Forms } from '../../kit/WithForms';

/** With the forms of the term, by course. */
export function WithForms({ end, children }: { end: TermEnd; children: (forms: Record<string, Form>) => ReactNode }) {
  return (
    <Forms of={end.courses.map((one) => ({ id: one.formId, course: one.courseId }))}>
      {(forms) => children(Object.fromEntries(end.courses.map((one, at) => [one.courseId, forms[at] as Form])))}
    </Forms>
  );
}
