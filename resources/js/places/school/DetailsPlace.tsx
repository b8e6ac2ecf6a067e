import { SchoolLocale } from '../../api/enums';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import { sessionQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormSelect, FormText } from '../../kit/formFields';
import { Asked } from '../../kit/page';
import { z } from '../../kit/schema';
import { useMay } from '../../kit/useMay';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';
import { SchoolPages } from './SchoolPages';

const details = z.object({ name: z.string().trim().min(1).max(120), locale: z.enum(SchoolLocale) });
type Details = z.output<typeof details>;

/** What the school is called, and how it writes days and times. */
export function DetailsPlace() {
  const query = useQuery(sessionQuery);
  return (
    <SchoolPages>
      <Asked query={query}>{({ school }) => (school === null ? null : <SchoolForm key={school.id} school={school} />)}</Asked>
    </SchoolPages>
  );
}

/** The last evening of a year, which tells the day from the month, as it is written there. */
const example = (locale: SchoolLocale) =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' }).format(
    new Date('2026-12-31T19:00:00Z'),
  );

function SchoolForm({ school }: { school: NonNullable<Session['school']> }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const may = useMay();
  const before = { name: school.name, locale: school.locale as SchoolLocale };
  const { control, handleSubmit, formState } = useForm<Details>({
    values: before,
    resolver: zodResolver(details),
    mode: 'onChange',
  });
  const [refusal, setProblem] = useProblem();
  const save = useMutation({
    mutationFn: (to: Details) => ask<unknown>(api.PUT('/api/school', { body: to })),
    onMutate: () => {
      setProblem(null);
    },
    onSuccess: async () => {
      await readAgain('school');
      unmaking({
        text: t('school.details.saved'),
        remove: () => ask<unknown>(api.PUT('/api/school', { body: before })),
        touches: 'school',
      });
    },
    onError: setProblem,
  });
  if (!may('run-school')) {
    return (
      <dl className="max-w-xl">
        <dt className="text-sm text-soft">{t('school.details.name')}</dt>
        <dd className="m-0 mb-3">{school.name}</dd>
        <dt className="text-sm text-soft">{t('school.details.writing')}</dt>
        <dd className="m-0">{example(school.locale as SchoolLocale)}</dd>
      </dl>
    );
  }
  return (
    <Form
      className="flex max-w-xl flex-col gap-4"
      onSend={(event) =>
        void handleSubmit((to) => {
          if (!save.isPending) save.mutate(to);
        })(event)
      }
    >
      <FormText control={control} name="name" label={t('school.details.name')} />
      <FormSelect
        control={control}
        name="locale"
        label={t('school.details.writing')}
        hint={t('school.details.writingHint')}
        of={SchoolLocale.map((one) => ({ value: one, text: `${example(one)} · ${t(`school.details.places.${one}`)}` }))}
      />
      <p className="text-sm text-soft">{t('school.details.zone', { zone: school.timezone.replaceAll('_', ' ') })}</p>
      <RefusalLine refusal={refusal} className="" />
      <div>
        <Button look="primary" type="submit" disabled={!formState.isDirty || save.isPending}>
          {t('school.details.save')}
        </Button>
      </div>
    </Form>
  );
}
