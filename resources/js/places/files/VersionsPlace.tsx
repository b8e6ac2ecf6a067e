import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type Form, type Version } from '../../api/client';
import { formQuery, scoreQuery, versionsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { keys } from '../../api/keys';
import { Button, RefusalLine } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { clock, day } from '../../kit/format';
import { Asked, Empty } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useProblem } from '../../kit/useProblem';
import { FormPages } from '../forms/FormPages';
import { DifferenceList } from './DifferenceList';
import { say } from '../../messages/say';

/** The states a form was in: who changed what, when; compared and restored. */
export function VersionsPlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return <Asked query={query}>{(data) => <States key={data.id} form={data} />}</Asked>;
}

function States({ form }: { form: Form }) {
  const { t } = useTranslation();
  const query = useQuery(versionsQuery(form.id));
  return (
    <FormPages id={form.id} title={form.title}>
      <Asked query={query}>
        {(versions) =>
          versions.length === 0 ? (
            <Empty title={t('versions.empty')} hint={t('versions.hint')} />
          ) : (
            <List form={form} versions={versions} />
          )
        }
      </Asked>
    </FormPages>
  );
}

function List({ form, versions }: { form: Form; versions: Version[] }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const tell = useTell();
  const latest = versions[0]?.number ?? 0;
  const [compared, setCompared] = useState<number | null>(null);
  const [asked, setAsked] = useState<number | null>(null);
  const [refusal, setProblem] = useProblem();
  const { asOne, made: restored } = useAsOne();
  const restore = useMutation({
    mutationFn: (number: number) => {
      const body = { base: latest, number };
      return ask(api.POST('/api/forms/{form}/restore', { params: { path: { form: form.id }, header: asOne(body) }, body }));
    },
    onSuccess: async (made, number) => {
      restored();
      setAsked(null);
      setProblem(null);
      client.setQueryData(scoreQuery(form.id).queryKey, made.score);
      client.setQueryData(formQuery(form.id).queryKey, made.form);
      await readAgain('score');
      tell(t('versions.restored', { number }), {
        takeBack: () => {
          restore.mutate(latest);
        },
      });
    },
    onError: setProblem,
  });
  return (
    <>
      <p className="mb-4 max-w-2xl text-soft">{t('versions.hint')}</p>
      <ol className="m-0 list-none border-t border-line p-0">
        {versions.map((version) => (
          <li key={version.number} className="grid gap-x-6 gap-y-1 border-b border-line py-2 md:grid-cols-[13rem_1fr_auto]">
            <p>
              <strong className="font-medium">{t('versions.number', { number: version.number })}</strong>
              <span className="block text-sm text-soft">
                {t('versions.by', {
                  name: version.by ?? t('versions.someone'),
                  when: `${day(version.at.slice(0, 10))} ${clock(version.at)}`,
                })}
              </span>
            </p>
            <ul className="m-0 min-w-0 list-none p-0 text-[0.95rem] break-words">
              {version.what.map((line, n) => (
                <li key={n}>{say(line)}</li>
              ))}
            </ul>
            <p className="no-print flex items-start gap-2">
              {version.number === latest ? (
                <span className="text-sm text-soft">{t('versions.now')}</span>
              ) : (
                <>
                  <Button
                    className="text-sm"
                    aria-label={`${t('versions.compare')}: ${t('versions.number', { number: version.number })}`}
                    onClick={() => {
                      setCompared(version.number);
                    }}
                  >
                    {t('versions.compare')}
                  </Button>
                  <Button
                    className="text-sm"
                    aria-label={`${t('versions.restore')}: ${t('versions.number', { number: version.number })}`}
                    onClick={() => {
                      setProblem(null);
                      setAsked(version.number);
                    }}
                  >
                    {t('versions.restore')}
                  </Button>
                </>
              )}
            </p>
          </li>
        ))}
      </ol>
      <Dialog
        wide
        open={compared !== null}
        onOpenChange={() => {
          setCompared(null);
        }}
        title={t('versions.compared', { from: compared ?? 0, to: latest })}
      >
        {compared === null ? null : <Compared form={form.id} from={compared} to={latest} />}
      </Dialog>
      <Dialog
        wide
        open={asked !== null}
        onOpenChange={() => {
          setAsked(null);
        }}
        title={t('versions.restoreTitle', { number: asked ?? 0 })}
      >
        {asked === null ? null : (
          <>
            <Compared form={form.id} from={latest} to={asked} />
            <RefusalLine refusal={refusal} />
            <Button
              look="primary"
              className="mt-4"
              disabled={restore.isPending}
              onClick={() => {
                restore.mutate(asked);
              }}
            >
              {t('versions.restore')}
            </Button>
          </>
        )}
      </Dialog>
    </>
  );
}

function Compared({ form, from, to }: { form: string; from: number; to: number }) {
  const query = useQuery({
    queryKey: keys.difference(form, from, to),
    queryFn: () => ask(api.GET('/api/forms/{form}/difference', { params: { path: { form }, query: { from, to } } })),
  });
  return <Asked query={query}>{(difference) => <DifferenceList difference={difference} />}</Asked>;
}
