import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type Session } from '../../api/client';
import { sessionQuery } from '../../api/queries';
import { Button, RefusalLine } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormSelect, FormText } from '../../kit/formFields';
import { written, z } from '../../kit/schema';
import { timeZones } from '../../kit/timeZones';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { signed } from './signed';

const founded = signed.extend({ school: written(120), timezone: z.string(), name: written(120) });

/** Signing in, or founding the school of an empty installation. */
export function EntryPlace({ needsFounding }: { needsFounding: boolean }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const device = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { control, send, refusal, refuse } = useFields(needsFounding ? founded : signed.loose(), {
    school: '',
    timezone: device,
    name: '',
    email: '',
    password: '',
  });
  const enter = useMutation({
    mutationFn: (given: z.output<typeof signed>): Promise<Session> =>
      needsFounding
        ? ask(api.POST('/api/founding', { body: { ...founded.parse(given), locale: navigator.language } }))
        : ask(api.POST('/api/session', { body: { email: given.email, password: given.password } })),
    onSuccess: (session) => {
      client.setQueryData(sessionQuery.queryKey, session);
    },
    onError: refuse,
  });
  const once = useOnce(enter);
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
      <Form onSend={send(once)} className="flex grow flex-col gap-3 md:border-l md:border-line md:pl-16">
        <h1 className="mb-1 text-2xl">{t(needsFounding ? 'entry.foundTitle' : 'entry.title')}</h1>
        {needsFounding ? (
          <>
            <p className="text-soft">{t('entry.foundIntro')}</p>
            <FormText control={control} name="school" label={t('entry.school')} />
            <FormSelect
              control={control}
              name="timezone"
              label={t('entry.timezone')}
              hint={t('entry.timezoneHint')}
              of={timeZones(device)}
            />
            <FormText control={control} name="name" label={t('entry.name')} autoComplete="name" />
          </>
        ) : null}
        <FormText control={control} name="email" label={t('entry.email')} type="email" autoComplete="username" />
        <FormText
          control={control}
          name="password"
          label={t('entry.password')}
          type="password"
          autoComplete={needsFounding ? 'new-password' : 'current-password'}
          hint={needsFounding ? t('entry.passwordHint') : undefined}
        />
        <RefusalLine refusal={refusal} className="" />
        <Button look="primary" type="submit" disabled={enter.isPending}>
          {enter.isPending ? t('entry.working') : t(needsFounding ? 'entry.found' : 'entry.submit')}
        </Button>
      </Form>
    </main>
  );
}
