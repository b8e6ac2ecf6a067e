import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Form, Term } from '../../api/client';
import { termQuery } from '../../api/queries';
import { Asked } from '../../kit/page';
import { WithForms } from '../../kit/WithForms';
import { useParams } from '../../kit/router';

/** The term of the address, with the forms of its courses. */
export function OpenedTerm({ children }: { children: (term: Term) => ReactNode }) {
  const { term = '' } = useParams();
  const query = useQuery(termQuery(term));
  return (
    <Asked query={query}>
      {(data) => (
        <WithForms key={data.term.id} of={data.courses.map((one) => ({ ...one.form, course: one.id }))}>
          {(forms) => children({ ...data, courses: data.courses.map((one, at) => ({ ...one, form: forms[at] as Form })) })}
        </WithForms>
      )}
    </Asked>
  );
}
