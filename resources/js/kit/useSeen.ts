import { useState } from 'react';
import { Problem } from '../api/client';

/**
 * What somebody saw before they changed it goes along with the change, so that the second of two who change the same thing is
 * told. Once told they have seen it, and what they save then stands.
 */
export function useSeen<T>(now: T): { was: { was?: T }; isTold: (error: unknown) => void } {
  const [seen, setSeen] = useState<T | undefined>(now);
  return {
    was: seen === undefined ? {} : { was: seen },
    isTold: (error) => {
      if (error instanceof Problem && error.code === 'http.changed') setSeen(undefined);
    },
  };
}
