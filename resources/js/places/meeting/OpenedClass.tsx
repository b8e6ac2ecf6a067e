import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useMemo } from 'react';
import { useParams } from '../../kit/router';
import type { Form, MeetingPage } from '../../api/client';
import { now, serverAhead } from '../../api/clock';
import { meetingQuery } from '../../api/queries';
import { asOf, dayThere } from '../../api/shown';
import { useForms } from '../../api/useForms';
import { Asked } from '../../kit/page';
import { formsBy, namedForm } from './formsBy';

interface Props {
  /** Whether every form of the evening is needed; else the first is enough, and the others come when they are read. */
  needsAll?: boolean;
  children: (page: MeetingPage, forms: Record<string, Form>) => ReactNode;
}

/** The class of the address, with the forms of its evening, as far as they are known here. */
export function OpenedClass({ needsAll = false, children }: Props) {
  const { meeting = '' } = useParams();
  const query = useQuery(meetingQuery(meeting));
  return (
    <Asked query={query}>
      {(page) => (
        <WithForms key={page.meeting.id} kept={page} at={query.dataUpdatedAt} needsAll={needsAll}>
          {children}
        </WithForms>
      )}
    </Asked>
  );
}

interface Kept extends Required<Pick<Props, 'needsAll' | 'children'>> {
  kept: MeetingPage;
  /** When the server said it, by this device's clock; milliseconds. */
  at: number;
}

function WithForms({ kept, at, needsAll, children }: Kept) {
  const [said, today] = [dayThere(kept.meeting, at + serverAhead()), dayThere(kept.meeting, now())];
  const page = useMemo(() => asOf(kept, said, today), [kept, said, today]);
  const { all, ready } = useForms(page.courses.map(namedForm));
  const forms = useMemo(() => formsBy(page, ready), [page, ready]);
  const open = (needsAll ? all : all.slice(0, 1)).find((one) => one.data === undefined);
  return open === undefined ? children(page, forms) : <Asked query={open}>{() => null}</Asked>;
}
