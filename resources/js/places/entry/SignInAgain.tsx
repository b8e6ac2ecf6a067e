import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import { forgetAnswers } from '../../api/kept';
import { flush } from '../../api/outbox';
import { sessionQuery } from '../../api/queries';
import { Button, RefusalLine, TextField } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { dropDrafts } from '../../kit/draft';
import { useProblem } from '../../kit/useProblem';

interface Props {
  /** Who was signed in here. */
  was: NonNullable<Session['person']>;
  /** They leave: what is open is put away. */
  onLeave: () => void;
}

/** The session has ended while a page was open: signing in again goes over it, and then on where one was. */
export function SignInAgain({ was, onLeave }: Props) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const [refusal, setProblem] = useProblem();
  const [email, setEmail] = useState(was.email);
  const [password, setPassword] = useState('');
  const enter = useMutation({
    mutationFn: () => ask(api.POST('/api/session', { body: { email, password } })),
    onSuccess: async (session) => {
      if (session.person?.id !== was.id) {
        // Somebody else: nothing of what is open is theirs to see.
        dropDrafts();
        await forgetAnswers();
        window.location.assign('/');
        return;
      }
      client.setQueryData(sessionQuery.queryKey, session);
      void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
      void flush();
    },
    onError: setProblem,
  });
  function submit(event: FormEvent) {
    event.preventDefault();
    setProblem(null);
    enter.mutate();
  }
  return (
    <Dialog title={t('entry.overTitle')}>
      <form onSubmit={submit} className="flex flex-col gap-3" noValidate>
        <p>{t('entry.overHint')}</p>
        <TextField
          label={t('entry.email')}
          type="email"
          autoComplete="username"
          value={email}
          onChange={(event) => {
            setEmail(event.target.value);
          }}
          required
        />
        <TextField
          label={t('entry.password')}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => {
            setPassword(event.target.value);
          }}
          required
        />
        <RefusalLine refusal={refusal} className="" />
        <div className="mt-2 flex flex-wrap gap-2">
          <Button look="primary" type="submit" disabled={enter.isPending}>
            {enter.isPending ? t('entry.working') : t('entry.submit')}
          </Button>
          <Button look="quiet" onClick={onLeave}>
            {t('entry.overLeave')}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
