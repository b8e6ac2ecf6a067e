import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type GroupKeepings } from '../../api/client';
import { groupPrinciplesQuery, groupQuery, principleSetsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { ButtonLink, RefusalLine, TextLink } from '../../kit/controls';
import { DateField } from '../../kit/DateField';
import { Asked, Empty, Heading, Page } from '../../kit/page';
import { Select } from '../../kit/Select';
import { useTell } from '../../kit/toasts';
import { useAddressed } from '../../kit/useAddressed';
import { useProblem } from '../../kit/useProblem';
import { KeepingLegend } from '../../pictures/KeepingLegend';
import { KeepingMap } from '../../pictures/KeepingMap';
import { GroupTabs } from './GroupTabs';

/** As the server has it: no number of principles, but a whole family of them. */
const WHOLE_FAMILY = '0';

/** The principles of a group: which set it works on, where everyone stands, and what slips. */
export function GroupPrinciplesPlace() {
  const { t } = useTranslation();
  const { group = '' } = useParams();
  const [address, setAddress] = useAddressed();
  const [on, against] = [address.get('day') ?? '', address.get('against') ?? ''];
  const query = useQuery({ ...groupPrinciplesQuery(group, on), placeholderData: keepPreviousData });
  const before = useQuery({ ...groupPrinciplesQuery(group, against), enabled: against !== '' });
  const about = useQuery(groupQuery(group, ''));
  return (
    <Asked query={about}>
      {({ group: summary }) => (
        <Page title={summary.name} kicker={t('principles.group.tab')}>
          <GroupTabs group={group} term={summary.termId} />
          <Asked query={query}>
            {(data) => (
              <>
                <Choosing group={group} data={data} />
                {data.principles === null ? null : data.names.length === 0 ? (
                  <Empty title={t('meeting.noStudents')} hint={t('groups.emptyHint')} />
                ) : (
                  <>
                    <Slipping data={data} />
                    <Heading aside={t('principles.group.mapHint')}>{t('principles.group.map')}</Heading>
                    <div className="no-print mb-3 flex flex-wrap gap-4">
                      {(
                        [
                          ['day', 'asOf', on],
                          ['against', 'against', against],
                        ] as const
                      ).map(([name, words, value]) => (
                        <div key={name} className="w-48">
                          <DateField
                            label={t(`principles.group.${words}`)}
                            value={value}
                            onValue={(day) => {
                              setAddress({ [name]: day === '' ? null : day });
                            }}
                          />
                        </div>
                      ))}
                    </div>
                    <KeepingMap
                      data={data}
                      before={against === '' ? undefined : before.data}
                      caption={t('principles.group.map')}
                    />
                    <div className="mt-4">
                      <KeepingLegend />
                    </div>
                  </>
                )}
              </>
            )}
          </Asked>
        </Page>
      )}
    </Asked>
  );
}

/** What slips from the group, by name. */
function Slipping({ data }: { data: GroupKeepings }) {
  const { t } = useTranslation();
  const slipping = data.means
    .filter((one) => one.slips)
    .sort((a, b) => (a.mean ?? 0) - (b.mean ?? 0))
    .map((one) =>
      t('principles.group.slip', {
        title: data.principles?.principles.find((other) => other.id === one.principle)?.title ?? '',
        percent: Math.round(100 * (one.mean ?? 0)),
      }),
    );
  const wasWorkedOn = data.means.some((one) => one.met > 0);
  if (!wasWorkedOn) return null;
  return (
    <p className="mt-3">
      {slipping.length === 0 ? t('principles.group.slipsNone') : t('principles.group.slips', { names: slipping.join(', ') })}
    </p>
  );
}

function Choosing({ group, data }: { group: string; data: GroupKeepings }) {
  const { t } = useTranslation();
  const tell = useTell();
  const sets = useQuery(principleSetsQuery).data ?? [];
  const [refusal, setProblem] = useProblem();
  const is = { set: data.principles?.setId ?? null, focuses: data.principles?.focuses ?? 1 };
  const choose = useMutation({
    mutationFn: (body: typeof is) => ask(api.PUT('/api/groups/{group}/principles', { params: { path: { group } }, body })),
    onSuccess: async () => {
      setProblem(null);
      await readAgain('principles');
      tell(t('principles.group.chosen'), {
        takeBack: () => {
          choose.mutate(is);
        },
      });
    },
    onError: setProblem,
  });
  return (
    <>
      {data.principles === null ? (
        <Empty
          title={t('principles.group.noSet')}
          hint={sets.length === 0 ? t('principles.group.noSets') : t('principles.group.noSetHint')}
        >
          {sets.length === 0 ? (
            <ButtonLink look="primary" to="/principles">
              {t('principles.group.toSets')}
            </ButtonLink>
          ) : null}
        </Empty>
      ) : null}
      {sets.length === 0 ? null : (
        <div className="no-print mt-3 flex flex-wrap items-end gap-4">
          <div className="w-72">
            <Select
              label={t('principles.group.set')}
              value={is.set ?? ''}
              onValue={(set) => {
                choose.mutate({ ...is, set: set === '' ? null : set });
              }}
              of={[{ value: '', text: t('principles.group.none') }, ...sets.map((one) => ({ value: one.id, text: one.title }))]}
            />
          </div>
          {data.principles === null ? null : (
            <>
              <div className="w-44">
                <Select
                  label={t('principles.group.focuses')}
                  value={String(is.focuses)}
                  onValue={(focuses) => {
                    choose.mutate({ ...is, focuses: Number(focuses) });
                  }}
                  of={[
                    ...['1', '2', '3'].map((value) => ({ value, text: value })),
                    ...(data.principles.families.length > 0 ? [{ value: WHOLE_FAMILY, text: t('principles.group.family') }] : []),
                  ]}
                />
              </div>
              <TextLink to={`/principles/${data.principles.setId}`} isAlone className="py-2">
                {t('principles.group.toSet')}
              </TextLink>
            </>
          )}
        </div>
      )}
      <RefusalLine refusal={refusal} />
    </>
  );
}
