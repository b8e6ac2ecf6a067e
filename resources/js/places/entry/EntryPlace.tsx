import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import { sessionQuery } from '../../api/queries';
import { Button, TextField } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { timeZones } from '../../kit/timeZones';
import { useProblem } from '../../kit/useProblem';
import { ReedGlyph } from '../../pictures/ReedGlyph';

/** Signing in, or founding the school of an empty installation. */
export function EntryPlace({ needsFounding }: { needsFounding: boolean }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const [refusal, setProblem] = useProblem();
  const device = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const [given, setGiven] = useState({
    school: '',
    timezone: device,
    locale: navigator.language,
    name: '',
    email: '',
    password: '',
  });
  const enter = useMutation({
    mutationFn: (): Promise<Session> =>
      needsFounding
        ? ask(api.POST('/api/founding', { body: given }))
        : ask(api.POST('/api/session', { body: { email: given.email, password: given.password } })),
    onSuccess: (session) => {
      client.setQueryData(sessionQuery.queryKey, session);
    },
    onError: setProblem,
  });
  const bind = (key: keyof typeof given) => ({
    value: given[key],
    onChange: (event: { target: { value: string } }) => {
      setGiven({ ...given, [key]: event.target.value });
    },
    error: refusal?.fields[key]?.[0] ?? (refusal?.place === key ? refusal.message : undefined),
    required: true,
  });
  const isPlaced = refusal !== null && (refusal.place in given || Object.keys(refusal.fields).length > 0);
  function submit(event: FormEvent) {
    event.preventDefault();
    setProblem(null);
    enter.mutate();
  }
  return (
    <main className="mx-auto flex min-h-screen max-w-4xl flex-col justify-center gap-10 px-6 py-12 md:flex-row md:items-center md:gap-16">
      <div className="md:w-1/2">
        <div className="mb-5 flex items-end gap-2" aria-hidden="true">
          {[1, 2, 3, 4, 5].map((segments) => (
            <ReedGlyph key={segments} reed={{ segments, sureness: segments < 4 ? 'solid' : 'outlined' }} size={52} />
          ))}
        </div>
        <p className="font-serif text-5xl font-semibold">{t('app.name')}</p>
        <p className="mt-3 max-w-sm text-lg text-soft">{t('entry.intro')}</p>
      </div>
      <form onSubmit={submit} className="flex grow flex-col gap-3 md:border-l md:border-line md:pl-16" noValidate>
        <h1 className="mb-1 text-2xl">{t(needsFounding ? 'entry.foundTitle' : 'entry.title')}</h1>
        {needsFounding ? (
          <>
            <p className="text-soft">{t('entry.foundIntro')}</p>
            <TextField label={t('entry.school')} {...bind('school')} />
            <Select
              label={t('entry.timezone')}
              hint={t('entry.timezoneHint')}
              error={bind('timezone').error}
              value={given.timezone}
              onValue={(timezone) => {
                setGiven({ ...given, timezone });
              }}
              of={timeZones(device)}
            />
            <TextField label={t('entry.name')} autoComplete="name" {...bind('name')} />
          </>
        ) : null}
        <TextField label={t('entry.email')} type="email" autoComplete="username" {...bind('email')} />
        <TextField
          label={t('entry.password')}
          type="password"
          autoComplete={needsFounding ? 'new-password' : 'current-password'}
          hint={needsFounding ? t('entry.passwordHint') : undefined}
          {...bind('password')}
        />
        {refusal && !isPlaced ? (
          <p role="alert" className="font-medium text-persimmon">
            {refusal.message}
          </p>
        ) : null}
        <Button look="primary" type="submit" disabled={enter.isPending}>
          {enter.isPending ? t('entry.working') : t(needsFounding ? 'entry.found' : 'entry.submit')}
        </Button>
      </form>
    </main>
  );
}
