import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import { forgetAnswers } from '../../api/kept';
import { flush } from '../../api/outbox';
import { sessionQuery } from '../../api/queries';
import { Button, RefusalLine } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { dropDrafts } from '../../kit/draft';
import { Form } from '../../kit/Form';
import { FormText } from '../../kit/formFields';
import type { z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { signed } from './signed';

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
  const { control, send, refusal, refuse } = useFields(signed, { email: was.email, password: '' });
  const enter = useMutation({
    mutationFn: (body: z.output<typeof signed>) => ask(api.POST('/api/session', { body })),
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
    onError: refuse,
  });
  const once = useOnce(enter);
  return (
    <Dialog title={t('entry.overTitle')}>
      <Form onSend={send(once)} className="flex flex-col gap-3">
        <p>{t('entry.overHint')}</p>
        <FormText control={control} name="email" label={t('entry.email')} type="email" autoComplete="username" />
        <FormText control={control} name="password" label={t('entry.password')} type="password" autoComplete="current-password" />
        <RefusalLine refusal={refusal} className="" />
        <div className="mt-2 flex flex-wrap gap-2">
          <Button look="primary" type="submit" disabled={enter.isPending}>
            {enter.isPending ? t('entry.working') : t('entry.submit')}
          </Button>
          <Button look="quiet" onClick={onLeave}>
            {t('entry.overLeave')}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
