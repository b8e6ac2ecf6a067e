import { BodySize } from '../../api/enums';
import { useMutation } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type StudentPage } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormSegmented, FormText } from '../../kit/formFields';
import { z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { useSeen } from '../../kit/useSeen';
import { useUnmaking } from '../useUnmaking';

const SIZES = ['none', ...BodySize] as const;
const details = z.object({ email: z.string().trim().max(254), size: z.enum(SIZES) });

/** Where a student's mail goes, and how large they are beside the others, for pairs. */
export function Details({ data, onDone }: { data: StudentPage; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const { control, send, refusal, refuse } = useFields(details, { email: data.email ?? '', size: data.size ?? 'none' });
  const seen = useSeen({ email: data.email, size: data.size });
  const put = (body: { email: string | null; size: StudentPage['size']; was?: Pick<StudentPage, 'email' | 'size'> }) =>
    ask(api.PUT('/api/students/{student}/details', { params: { path: { student: data.id } }, body }));
  const save = useMutation({
    mutationFn: ({ email, size }: z.output<typeof details>) =>
      put({ email: email === '' ? null : email, size: size === 'none' ? null : size, ...seen.was }),
    onSuccess: async () => {
      await readAgain('roster');
      unmaking({
        text: t('students.keep.detailsKept', { name: data.name }),
        remove: () => put({ email: data.email, size: data.size }),
        touches: 'roster',
      });
      onDone();
    },
    onError: (error) => {
      seen.isTold(error);
      refuse(error);
      void readAgain('roster');
    },
  });
  const once = useOnce(save);
  return (
    <Form className="flex flex-col gap-3" onSend={send(once)}>
      <FormText
        control={control}
        name="email"
        label={t('students.keep.email')}
        hint={t('students.keep.emailHint')}
        type="email"
        inputMode="email"
        autoComplete="off"
        maxLength={254}
      />
      <div>
        <p aria-hidden className="mb-1 text-sm font-medium">
          {t('students.keep.size')}
        </p>
        <FormSegmented
          control={control}
          name="size"
          label={t('students.keep.size')}
          of={SIZES.map((value) => ({ value, text: t(`students.keep.sizes.${value}`) }))}
        />
        <p className="mt-1 text-sm text-soft">{t('students.keep.sizeHint')}</p>
      </div>
      <RefusalLine refusal={refusal} />
      <Button type="submit" look="primary" disabled={save.isPending}>
        {t('students.keep.save')}
      </Button>
    </Form>
  );
}
