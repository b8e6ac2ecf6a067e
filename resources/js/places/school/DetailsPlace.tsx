import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import type { paths } from '../../api/schema';
import { sessionQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextField } from '../../kit/controls';
import { Asked } from '../../kit/page';
import { Select } from '../../kit/Select';
import { useMay } from '../../kit/useMay';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';
import { SchoolPages } from './SchoolPages';

type Locale = paths['/api/school']['put']['requestBody']['content']['application/json']['locale'];
const LOCALES: readonly Locale[] = ['en-GB', 'en-IE', 'en-US', 'en-CA', 'en-AU', 'en-NZ', 'en-IN', 'en-ZA', 'en-SG'];

/** What the school is called, and how it writes days and times. */
export function DetailsPlace() {
  const query = useQuery(sessionQuery);
  return (
    <SchoolPages>
      <Asked query={query}>{({ school }) => (school === null ? null : <Details key={school.id} school={school} />)}</Asked>
    </SchoolPages>
  );
}

/** The last evening of a year, which tells the day from the month, as it is written there. */
const example = (locale: Locale) =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' }).format(
    new Date('2026-12-31T19:00:00Z'),
  );

function Details({ school }: { school: NonNullable<Session['school']> }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const may = useMay();
  const [name, setName] = useState(school.name);
  const [locale, setLocale] = useState(school.locale as Locale);
  const [refusal, setProblem] = useProblem();
  const save = useMutation({
    mutationFn: (to: { name: string; locale: Locale }) => ask<unknown>(api.PUT('/api/school', { body: to })),
    onMutate: () => {
      setProblem(null);
    },
    onSuccess: async () => {
      const before = { name: school.name, locale: school.locale as Locale };
      await readAgain('school');
      unmaking({
        text: t('school.details.saved'),
        remove: () => ask<unknown>(api.PUT('/api/school', { body: before })),
        touches: 'school',
      });
    },
    onError: setProblem,
  });
  const isChanged = name.trim() !== school.name || locale !== school.locale;
  if (!may('run-school')) {
    return (
      <dl className="max-w-xl">
        <dt className="text-sm text-soft">{t('school.details.name')}</dt>
        <dd className="m-0 mb-3">{school.name}</dd>
        <dt className="text-sm text-soft">{t('school.details.writing')}</dt>
        <dd className="m-0">{example(school.locale as Locale)}</dd>
      </dl>
    );
  }
  return (
    <form
      className="flex max-w-xl flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!save.isPending && isChanged) save.mutate({ name: name.trim(), locale });
      }}
    >
      <TextField
        label={t('school.details.name')}
        value={name}
        maxLength={120}
        error={name.trim() === '' ? t('school.details.nameless') : undefined}
        onChange={(event) => {
          setName(event.target.value);
        }}
      />
      <Select
        label={t('school.details.writing')}
        hint={t('school.details.writingHint')}
        value={locale}
        onValue={(value) => {
          setLocale(value as Locale);
        }}
        of={LOCALES.map((one) => ({ value: one, text: `${example(one)} · ${t(`school.details.places.${one}`)}` }))}
      />
      <p className="text-sm text-soft">{t('school.details.zone', { zone: school.timezone.replaceAll('_', ' ') })}</p>
      <RefusalLine refusal={refusal} className="" />
      <div>
        <Button look="primary" type="submit" disabled={!isChanged || save.isPending || name.trim() === ''}>
          {t('school.details.save')}
        </Button>
      </div>
    </form>
  );
}
