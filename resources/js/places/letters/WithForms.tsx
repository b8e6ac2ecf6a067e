import type { ReactNode } from 'react';
import type { Form, TermEnd } from '../../api/client';
import { WithForms as Forms } from '../../kit/WithForms';
import { formsBy } from '../meeting/formsBy';

/** With the forms of the term, by course. */
export function WithForms({ end, children }: { end: TermEnd; children: (forms: Record<string, Form>) => ReactNode }) {
  return (
    <Forms of={end.courses.map((one) => ({ id: one.formId, course: one.courseId }))}>
      {(forms) => children(formsBy(end, forms))}
    </Forms>
  );
}
