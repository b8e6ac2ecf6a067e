import type { ReactNode } from 'react';
import type { Form } from '../api/client';
import { type NamedForm, useForms } from '../api/useForms';
import { Asked } from './page';

interface Props {
  of: NamedForm[];
  /** In the order in which they are named. */
  children: (forms: Form[]) => ReactNode;
}

/** What needs the forms an answer names, once all of them are here. */
export function WithForms({ of, children }: Props) {
  const { all, ready } = useForms(of);
  const open = all.find((one) => one.data === undefined);
  return open === undefined ? children(ready as Form[]) : <Asked query={open}>{() => null}</Asked>;
}
