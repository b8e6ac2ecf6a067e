import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type ChangePreview, type Schemas, type TermAnswer } from '../../api/client';
import { readAgain } from '../../api/touched';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { type Refusal, useProblem } from '../../kit/useProblem';

/** One thing a teacher does to a term. */
export type TermChange = Schemas['TermChange'];

export interface Proposal {
  changes: TermChange[] | null;
  preview: ChangePreview | null;
  isLooking: boolean;
  isTaking: boolean;
  refusal: Refusal | null;
  propose: (changes: TermChange[]) => void;
  take: () => void;
  /** What was not answered is sent again. */
  again: () => void;
  drop: () => void;
}

/** A change of a term that is looked at before it is made: what it would move, in words and as ghosts; then taken over or dropped. */
export function useProposal(term: TermAnswer): Proposal {
  const { t } = useTranslation();
  const tell = useTell();
  const [changes, setChanges] = useState<TermChange[] | null>(null);
  const [refusal, setProblem] = useProblem();
  const path = { params: { path: { term: term.term.id } } };
  const { asOne, made } = useAsOne();
  const look = useMutation({
    mutationFn: (all: TermChange[]) => ask(api.POST('/api/terms/{term}/changes/preview', { ...path, body: { changes: all } })),
    onError: setProblem,
  });
  const drop = () => {
    setChanges(null);
    setProblem(null);
    look.reset();
  };
  const make = useMutation({
    mutationFn: (all: TermChange[]) => {
      const body = { version: term.version, changes: all };
      return ask(api.POST('/api/terms/{term}/changes', { params: { ...path.params, header: asOne(body) }, body }));
    },
    onSuccess: async (change) => {
      made();
      drop();
      await readAgain('plan');
      tell(t('terms.changed'), {
        takeBack: () => {
          void ask(api.POST('/api/plan-changes/{change}/take-back', { params: { path: { change: change.id } } })).then(
            async () => {
              await readAgain('plan');
              tell(t('app.takenBack'));
            },
            (error: unknown) => {
              tell(error instanceof Error && error.message ? error.message : t('app.unreachable'), { isProblem: true });
            },
          );
        },
      });
    },
    onError: async (error) => {
      setProblem(error);
      await readAgain('plan'); // what another did meanwhile is shown
    },
  });
  const send = useOnce(make);
  return {
    changes,
    preview: look.data ?? null,
    isLooking: look.isPending,
    isTaking: make.isPending,
    refusal,
    propose: (all) => {
      setProblem(null);
      setChanges(all);
      look.mutate(all);
    },
    take: () => {
      if (changes !== null) send(changes);
    },
    again: () => {
      if (changes === null) return;
      setProblem(null);
      if (look.data === undefined) look.mutate(changes);
      else send(changes);
    },
    drop,
  };
}
