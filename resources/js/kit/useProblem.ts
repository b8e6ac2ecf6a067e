import { useState } from 'react';
import { useTranslation } from '../messages';
import { isPassing, Problem } from '../api/client';

/** What a form was refused for: the sentence, and what each field was refused for. */
export interface Refusal {
  message: string;
  place: string;
  fields: Record<string, string[]>;
  /** Every single thing that is wrong, where it is more than one. */
  problems: string[];
  /** The same may be sent again as it is. */
  canBeSentAgain: boolean;
}

/** Turns whatever was thrown into something a form can show beside what was typed, and answers what that is. */
export function useProblem(): [Refusal | null, (error: unknown) => Refusal | null] {
  const { t } = useTranslation();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  return [
    refusal,
    (error) => {
      const said =
        error === null
          ? null
          : error instanceof Problem
            ? {
                message: error.message,
                place: error.place,
                fields: error.fields,
                problems: error.problems,
                canBeSentAgain: isPassing(error),
              }
            : { message: t('app.unreachable'), place: '', fields: {}, problems: [], canBeSentAgain: true };
      setRefusal(said);
      return said;
    },
  ];
}
