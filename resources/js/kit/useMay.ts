import { useQuery } from '@tanstack/react-query';
import type { Ability } from '../api/enums';
import { sessionQuery } from '../api/queries';

/** What whoever is signed in may do, by the names of abilities. */
export function useMay(): (ability: Ability) => boolean {
  const session = useQuery(sessionQuery);
  return (ability) => session.data?.person?.may.includes(ability) === true;
}
