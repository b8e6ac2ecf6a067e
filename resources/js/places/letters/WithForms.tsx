import { useQueries } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Form, TermEnd } from '../../api/client';
import { formQuery } from '../../api/queries';
import { Asked } from '../../kit/page';

/** With the forms of the term, by course. */
export function WithForms({ end, children }: { end: TermEnd; children: (forms: Record<string, Form>) => ReactNode }) {
  const all = useQueries({ queries: end.courses.map((one) => formQuery(one.formId, one.courseId)) });
  const open = all.find((one) => one.data === undefined);
  if (open !== undefined) return <Asked query={open}>{() => null}</Asked>;
  return children(Object.fromEntries(end.courses.map((one, at) => [one.courseId, all[at]?.data as Form])));
}
