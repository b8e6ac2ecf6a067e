import { useMutation, useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import { api, ask, Problem } from '../../api/client';
import { changesQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { sentence } from '../../messages/say';

/** What was changed of a term, when, because of what, and what that moved. */
export function History({ term }: { term: string }) {
  const { t } = useTranslation();
  const tell = useTell();
  const query = useQuery(changesQuery(term));
  const back = useMutation({
    mutationFn: (change: string) => ask(api.POST('/api/plan-changes/{change}/take-back', { params: { path: { change } } })),
    onSuccess: async () => {
      await readAgain('plan');
      tell(t('app.takenBack'));
    },
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  const send = useOnce(back);
  return (
    <Fold look="link" className="no-print mt-6" title={t('terms.history')}>
      <Asked query={query}>
        {(changes) =>
          changes.length === 0 ? (
            <p className="text-soft">{t('terms.historyEmpty')}</p>
          ) : (
            <ol className="m-0 list-none p-0">
              {changes.map((change) => (
                <li key={change.id} className="border-b border-line py-2">
                  <p className="flex flex-wrap items-center gap-x-4">
                    <span className="grow">
                      <span className="text-soft">
                        {day(change.at.slice(0, 10), 'weekday')}
                        {change.by ? `, ${change.by}` : ''} ·{' '}
                      </span>
                      {sentence(change.cause)}
                    </span>
                    {change.canBeTakenBack ? (
                      <Button
                        look="quiet"
                        disabled={back.isPending}
                        onClick={() => {
                          send(change.id);
                        }}
                      >
                        {t('terms.historyTakeBack')}
                      </Button>
                    ) : null}
                  </p>
                  <ul className="m-0 list-disc pl-5 text-[0.95rem] text-soft">
                    {change.moved.map((one, at) => (
                      <li key={at}>{sentence(one)}</li>
                    ))}
                  </ul>
                </li>
              ))}
            </ol>
          )
        }
      </Asked>
    </Fold>
  );
}
