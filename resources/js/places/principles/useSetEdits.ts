import { useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { ulid } from 'ulid';
import { api, ask, type PrincipleSet, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { readAgain } from '../../api/touched';
import { queryClient } from '../../api/queryClient';
import { useTell } from '../../kit/toasts';
import { asNew } from '../../kit/useAsOne';
import { type Refusal, useProblem } from '../../kit/useProblem';

/** One thing done to a set. */
export type SetEdit = Schemas['SetEdit'];

export interface SetEdits {
  isSaving: boolean;
  refusal: Refusal | null;
  save: (edits: SetEdit[], said?: string) => void;
  /** What was not answered is sent again. */
  again: () => void;
}

interface Waiting {
  id: string;
  edits: SetEdit[];
  said: string;
}

/** Saves as one goes: one after the other, each on the version the one before it made. What fails waits and is told. */
export function useSetEdits(set: PrincipleSet): SetEdits {
  const { t } = useTranslation();
  const tell = useTell();
  const [refusal, setProblem] = useProblem();
  const [waiting, setWaiting] = useState(0);
  const version = useRef(set.version);
  const chain = useRef(Promise.resolve());
  const failed = useRef<Waiting[]>([]);
  const path = { params: { path: { principleSet: set.id } } };

  const keep = async (answer: PrincipleSet) => {
    version.current = answer.version;
    queryClient.setQueryData(keys.principleSet(set.id), answer);
    await readAgain('principles');
  };
  const restore = async (number: number) => {
    try {
      const body = { base: version.current, number };
      await keep(
        await ask(api.POST('/api/principle-sets/{principleSet}/restore', { params: { ...path.params, header: asNew() }, body })),
      );
      tell(t('app.takenBack'));
    } catch (error) {
      tell(error instanceof Error && error.message ? error.message : t('app.unreachable'), { isProblem: true });
    }
  };
  const send = async (one: Waiting) => {
    try {
      const was = version.current;
      const body = { base: was, id: one.id, edits: one.edits };
      await keep(await ask(api.POST('/api/principle-sets/{principleSet}/edits', { ...path, body })));
      failed.current = failed.current.filter((other) => other.id !== one.id);
      setProblem(null);
      if (version.current !== was) tell(one.said, { takeBack: () => void restore(version.current - 1) });
    } catch (error) {
      if (!failed.current.some((other) => other.id === one.id)) failed.current = [...failed.current, one];
      setProblem(error);
    } finally {
      setWaiting((now) => now - 1);
    }
  };
  const put = (one: Waiting) => {
    setWaiting((now) => now + 1);
    chain.current = chain.current.then(() => send(one));
  };
  return {
    isSaving: waiting > 0,
    refusal,
    save: (edits, said = t('principles.edit.saved')) => {
      // The page may have read a newer version meanwhile: what is shown is what the hand changes.
      version.current = Math.max(version.current, set.version);
      put({ id: ulid(), edits, said });
    },
    again: () => {
      failed.current.forEach(put);
    },
  };
}
