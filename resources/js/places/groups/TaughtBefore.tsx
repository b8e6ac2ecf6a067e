import { nowText } from '../../api/clock';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { ulid } from 'ulid';
import { api, ask, type Form as FormData } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormDate, FormSelect } from '../../kit/formFields';
import { z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { entryName } from '../../kit/entryName';
import { useTell } from '../../kit/toasts';
import { passagesOf, PickMovements } from '../../pictures/PickMovements';

const taught = z.object({ to: z.string().transform(Number), on: z.string() });
/** Instead of "up to": the movements one by one. */
const SINGLE = '0';

interface Props {
  group: string;
  form: FormData;
  /** How far it is known to be taught: the place it is offered from. */
  upTo: number;
  onDone: () => void;
}

/** "Already taught up to …", for a group that began before it was kept here. */
export function TaughtBefore({ group, form, upTo, onDone }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  // Made once, so that sending it again changes nothing; what is said differently is another saying.
  const [id, setId] = useState(() => ulid());
  const { control, send, refusal, refuse } = useFields(
    taught,
    { to: String(Math.max(upTo, 1)), on: '' },
    {
      onTyped: () => {
        setId(ulid());
      },
    },
  );
  const [chosen, setChosen] = useState(() => new Set<number>());
  const say = useMutation({
    mutationFn: ({ to, on }: z.output<typeof taught>) =>
      ask(
        api.POST('/api/groups/{group}/before', {
          params: { path: { group } },
          body: { id, ...(to === 0 ? { passages: passagesOf(form.entries, chosen) } : { to }), on: on || null, at: nowText() },
        }),
      ),
    onSuccess: async (_, { to }) => {
      await readAgain('roster');
      await readAgain('term');
      onDone();
      const words =
        to === 0
          ? t('groups.beforeDoneSome', { count: chosen.size })
          : t('groups.beforeDone', { title: form.entries[to - 1]?.title ?? '' });
      tell(words, {
        takeBack: () => {
          void ask(api.POST('/api/withdrawals', { body: { withdrawals: [{ id: ulid(), of: id, at: nowText() }] } })).then(
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
    onError: refuse,
  });
  const once = useOnce(say);
  const isSome = useWatch({ control, name: 'to' }) === SINGLE;
  return (
    <Form onSend={send(once)} className="flex flex-col gap-3">
      <p className="text-soft">{t('groups.beforeHint')}</p>
      <FormSelect
        control={control}
        name="to"
        label={t('groups.beforeTo')}
        of={[
          ...form.entries.map((entry) => ({ value: String(entry.position), text: entryName(entry) })),
          { value: SINGLE, text: t('groups.beforeSome') },
        ]}
      />
      {isSome ? (
        <PickMovements
          form={form}
          label={t('groups.beforePick')}
          value={chosen}
          onValue={(next) => {
            setChosen(next);
            setId(ulid());
          }}
        />
      ) : null}
      <FormDate control={control} name="on" label={t('groups.beforeOn')} hint={t('groups.beforeOnHint')} />
      <RefusalLine refusal={refusal} />
      <Button look="primary" type="submit" disabled={say.isPending || (isSome && chosen.size === 0)}>
        {t('groups.beforeSave')}
      </Button>
    </Form>
  );
}
