import { useMutation, useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useParams } from '../../kit/router';
import { api, ask, type PrincipleSet } from '../../api/client';
import { keys } from '../../api/keys';
import { principleVersionsQuery } from './queries';
import { principleSetQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { queryClient } from '../../api/queryClient';
import { Button, DownloadLink, RefusalLine } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Asked, Heading } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { sentence } from '../../messages/say';
import { SetPages } from './SetPages';

/** The states a set was in, and the set as files. */
export function SetVersionsPlace() {
  const { set = '' } = useParams();
  const query = useQuery(principleSetQuery(set));
  return <Asked query={query}>{(data) => <Versions set={data} />}</Asked>;
}

function Versions({ set }: { set: PrincipleSet }) {
  const { t } = useTranslation();
  const tell = useTell();
  const [refusal, setProblem] = useProblem();
  const versions = useQuery(principleVersionsQuery(set.id));
  const { asOne, made } = useAsOne();
  const as = (body: unknown) => ({ params: { path: { principleSet: set.id }, header: asOne(body) } });
  const keep = async (answer: PrincipleSet, said: string) => {
    made();
    setProblem(null);
    queryClient.setQueryData(keys.principleSet(set.id), answer);
    await readAgain('principles');
    tell(said);
  };
  const restore = useMutation({
    mutationFn: (number: number) => {
      const body = { base: set.version, number };
      return ask(api.POST('/api/principle-sets/{principleSet}/restore', { ...as(body), body }));
    },
    onSuccess: (answer, number) => keep(answer, t('principles.versions.restored', { number })),
    onError: setProblem,
  });
  const over = useMutation({
    mutationFn: (text: string) => {
      const body = { base: set.version, text };
      return ask(api.POST('/api/principle-sets/{principleSet}/import', { ...as(body), body }));
    },
    onSuccess: ({ set: answer, warnings }) => keep(answer, [t('principles.edit.saved'), ...warnings.map(sentence)].join(' ')),
    onError: setProblem,
  });
  const again = useOnce(restore);
  const choose = (chosen: File) => {
    void chosen.text().then((text) => {
      over.mutate(text);
    });
  };
  const file = (query: string) => `/api/principle-sets/${set.id}/file?${query}`;
  return (
    <SetPages set={set}>
      <div className="flex flex-wrap gap-2">
        <DownloadLink to={file('as=json')}>{t('principles.versions.json')}</DownloadLink>
        {set.forms
          .filter((one) => one.bites > 0)
          .map((one) => (
            <DownloadLink key={one.id} to={file(`as=json&form=${one.id}`)}>
              {t('principles.versions.jsonWith', { form: one.title })}
            </DownloadLink>
          ))}
        <DownloadLink to={file('as=csv')}>{t('principles.versions.csv')}</DownloadLink>
      </div>
      <Heading aside={t('principles.versions.overHint')}>{t('principles.versions.over')}</Heading>
      <FileField label={t('principles.importChoose')} accept=".json,.csv,application/json,text/csv" onFile={choose} />
      <RefusalLine refusal={refusal} />
      <Heading>{t('principles.tabs.versions')}</Heading>
      <Asked query={versions}>
        {(all) => (
          <ul className="m-0 list-none p-0">
            {all.map((one) => (
              <li
                key={one.number}
                className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 border-b border-line py-2"
              >
                <div className="min-w-0">
                  <p className="font-medium">
                    {t('principles.versions.number', { number: one.number })}
                    <span className="font-normal text-soft">
                      {' '}
                      · {day(one.at.slice(0, 10))} {clock(one.at)}
                      {one.by === null ? '' : ` · ${t('principles.versions.by', { name: one.by })}`}
                    </span>
                  </p>
                  <p className="text-soft">{one.what.map(sentence).join(' ')}</p>
                </div>
                {one.number === set.version ? null : (
                  <Button
                    disabled={restore.isPending}
                    aria-label={`${t('principles.versions.restore')}: ${t('principles.versions.number', { number: one.number })}`}
                    onClick={() => {
                      again(one.number);
                    }}
                  >
                    {t('principles.versions.restore')}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        )}
      </Asked>
    </SetPages>
  );
}
