import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Session } from '../../api/client';
import { endSession, onSessionEnd } from '../../api/kept';
import { sessionQuery } from '../../api/queries';

type Inside = Session & { person: NonNullable<Session['person']>; school: NonNullable<Session['school']> };

const isInside = (session: Session | undefined): session is Inside => session?.person != null && session.school !== null;

/**
 * Who is in. Where the session ends while a page is open, whoever was in stays shown, and is asked to sign in again over
 * it; whoever leaves by themselves, here or in another tab, is out.
 */
export function useRoom() {
  const client = useQueryClient();
  const query = useQuery(sessionQuery);
  const [inside, setInside] = useState<Inside | null>(null);
  if (isInside(query.data) && query.data !== inside) setInside(query.data);
  useEffect(
    () =>
      onSessionEnd((session) => {
        setInside(null);
        void endSession(client, session);
      }),
    [client],
  );
  const leave = () => {
    setInside(null);
  };
  return { query, inside, isOver: inside !== null && query.data !== undefined && !isInside(query.data), leave };
}
