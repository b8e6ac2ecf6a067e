import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type StudentPage } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextField } from '../../kit/controls';
import { Segmented } from '../../kit/Segmented';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';

const SIZES = ['none', 'small', 'middle', 'large'] as const;
type Size = (typeof SIZES)[number];

/** Where a student's mail goes, and how large they are beside the others, for pairs. */
export function Details({ data, onDone }: { data: StudentPage; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const [email, setEmail] = useState(data.email ?? '');
  const [size, setSize] = useState<Size>(data.size ?? 'none');
  const [refusal, setProblem] = useProblem();
  const put = (body: { email: string | null; size: StudentPage['size'] }) =>
    ask(api.PUT('/api/students/{student}/details', { params: { path: { student: data.id } }, body }));
  const save = useMutation({
    mutationFn: () => put({ email: email.trim() === '' ? null : email.trim(), size: size === 'none' ? null : size }),
    onSuccess: async () => {
      await readAgain('roster');
      unmaking({
        text: t('students.keep.detailsKept', { name: data.name }),
        remove: () => put({ email: data.email, size: data.size }),
        touches: 'roster',
      });
      onDone();
    },
    onError: setProblem,
  });
  return (
    <form
      noValidate
      className="flex flex-col gap-3"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        if (!save.isPending) save.mutate();
      }}
    >
      <TextField
        label={t('students.keep.email')}
        hint={t('students.keep.emailHint')}
        type="email"
        inputMode="email"
        autoComplete="off"
        maxLength={254}
        value={email}
        onChange={(event) => {
          setProblem(null);
          setEmail(event.target.value);
        }}
      />
      <div>
        <p aria-hidden className="mb-1 text-sm font-medium">
          {t('students.keep.size')}
        </p>
        <Segmented
          label={t('students.keep.size')}
          value={size}
          onValue={setSize}
          of={SIZES.map((value) => ({ value, text: t(`students.keep.sizes.${value}`) }))}
        />
        <p className="mt-1 text-sm text-soft">{t('students.keep.sizeHint')}</p>
      </div>
      <RefusalLine refusal={refusal} />
      <Button type="submit" look="primary" disabled={save.isPending}>
        {t('students.keep.save')}
      </Button>
    </form>
  );
}
