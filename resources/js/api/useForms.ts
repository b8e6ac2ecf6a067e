import { useQueries, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { Form } from './client';
import { formQuery } from './queries';

/** A form as an answer names it: which, as which course has it cut, and in which edition. */
export interface NamedForm {
  id: string;
  course?: string | null;
  /** Where the answer says it. */
  edition?: string;
}

/** A form of the edition that is meant is not asked for again within so long, milliseconds. */
const FRESH_MS = 300_000;

/** The same list for as long as the forms are the same. */
const combine = (all: UseQueryResult<Form>[]) => ({ all, ready: all.map((one) => one.data) });

/**
 * The forms that an answer names. Each is fetched once and shared by all that name it; an answer that means another edition
 * than the one that is here has it fetched again.
 */
export function useForms(named: NamedForm[]): ReturnType<typeof combine> {
  const client = useQueryClient();
  const found = useQueries({
    queries: named.map((one) => ({ ...formQuery(one.id, one.course ?? null), staleTime: FRESH_MS })),
    combine,
  });
  const asked = useRef(new Set<string>());
  useEffect(() => {
    named.forEach((one, at) => {
      const here = found.ready[at];
      const key = [one.id, one.course, one.edition].join();
      // Once for each edition: where the answer is older than the form, the form is right and the answer is on its way.
      if (here === undefined || one.edition === undefined || here.edition === one.edition || asked.current.has(key)) return;
      asked.current.add(key);
      void client.invalidateQueries({ queryKey: formQuery(one.id, one.course ?? null).queryKey, exact: true });
    });
  });
  return found;
}
