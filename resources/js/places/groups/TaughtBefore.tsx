import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { DateField } from '../../kit/DateField';
import { ulid } from 'ulid';
import { api, ask, type Form } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { entryName } from '../../kit/entryName';
import { useTell } from '../../kit/toasts';
import { useProblem } from '../../kit/useProblem';

interface Props {
  group: string;
  form: Form;
  /** How far it is known to be taught: the place it is offered from. */
  upTo: number;
  onDone: () => void;
}

/** "Already taught up to …", for a group that began before it was kept here. */
export function TaughtBefore({ group, form, upTo, onDone }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const [to, setTo] = useState(String(Math.max(upTo, 1)));
  const [on, setOn] = useState('');
  // Made once, so that sending it again changes nothing; what is said differently is another saying.
  const [id, setId] = useState(() => ulid());
  const [refusal, setProblem] = useProblem();
  const say = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/groups/{group}/before', {
          params: { path: { group } },
          body: { id, to: Number(to), on: on || null, at: new Date().toISOString() },
        }),
      ),
    onSuccess: async () => {
      await readAgain('roster');
      await readAgain('term');
      onDone();
      tell(t('groups.beforeDone', { title: form.entries[Number(to) - 1]?.title ?? '' }), {
        takeBack: () => {
          void ask(
            api.POST('/api/withdrawals', { body: { withdrawals: [{ id: ulid(), of: id, at: new Date().toISOString() }] } }),
          ).then(
            async () => {
              await readAgain('roster');
              await readAgain('term');
              tell(t('app.takenBack'));
            },
            () => {
              tell(t('app.unreachable'), { isProblem: true });
            },
          );
        },
      });
    },
    onError: setProblem,
  });
  const change = (put: (value: string) => void) => (value: string) => {
    put(value);
    setId(ulid());
  };
  function submit(event: FormEvent) {
    event.preventDefault();
    say.mutate();
  }
  return (
    <form onSubmit={submit} className="flex flex-col gap-3" noValidate>
      <p className="text-soft">{t('groups.beforeHint')}</p>
      <Select
        label={t('groups.beforeTo')}
        value={to}
        onValue={change(setTo)}
        of={form.entries.map((entry) => ({ value: String(entry.position), text: entryName(entry) }))}
      />
      <DateField label={t('groups.beforeOn')} hint={t('groups.beforeOnHint')} value={on} onValue={change(setOn)} />
      <RefusalLine refusal={refusal} />
      <Button look="primary" type="submit" disabled={say.isPending}>
        {t('groups.beforeSave')}
      </Button>
    </form>
  );
}
