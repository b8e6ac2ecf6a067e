import { useMutation, useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { useTranslation } from '../../messages';
import { useNavigate } from '../../kit/router';
import { api, ask, Problem, type StudentPage } from '../../api/client';
import { groupsQuery, studentsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextLink } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { Form } from '../../kit/Form';
import { FormText } from '../../kit/formFields';
import { Menu, MenuItem } from '../../kit/Menu';
import { Notice } from '../../kit/Notice';
import { written, z } from '../../kit/schema';
import { Select } from '../../kit/Select';
import { useTell } from '../../kit/toasts';
import { asNew } from '../../kit/useAsOne';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { SamePeople, told, useSamePeople } from '../groups/SamePeople';
import { Details } from './Details';

const path = (student: string) => ({ params: { path: { student } } });

/** Something that is done to a record, said when it is done, and taken back from there. */
interface Step {
  say: string;
  /** What came of it, where that is other than what was meant. */
  go: () => Promise<Came | undefined>;
  back?: () => Promise<unknown>;
}

/** Whoever had no record was a mistake, and is gone: nothing is there to take back. */
interface Came {
  say: string;
}

/** Something that comes to what was meant. */
const plainly = (go: () => Promise<unknown>) => async (): Promise<undefined> => {
  await go();
};

function useSteps(): [(step: Step) => void, boolean] {
  const { t } = useTranslation();
  const tell = useTell();
  const run = useMutation({
    mutationFn: (step: Step) => step.go(),
    onSuccess: async (came, { say, back }) => {
      await readAgain('roster');
      tell(
        came?.say ?? say,
        back === undefined || came !== undefined
          ? {}
          : {
              takeBack: () => {
                run.mutate({ say: t('app.takenBack'), go: plainly(back) });
              },
            },
      );
    },
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  return [useOnce(run), run.isPending];
}

type Doing = 'rename' | 'details' | 'join' | 'same' | null;

/** What can be done with a student's record: a name, groups, a pause, off the list, or two records of one person. */
export function KeepRecord({ data }: { data: StudentPage }) {
  const { t } = useTranslation();
  const [doing, setDoing] = useState<Doing>(null);
  const [step, isBusy] = useSteps();
  const navigate = useNavigate();
  const { id, name } = data;
  const current = data.groups.filter((one) => one.leftOn === null);
  const pause = (isPaused: boolean) => () => ask(api.PUT('/api/students/{student}/pause', { ...path(id), body: { isPaused } }));
  const list = (isOff: boolean) => () => ask(api.PUT('/api/students/{student}/list', { ...path(id), body: { isOff } }));
  const joins = (group: string) => () =>
    ask(
      api.POST('/api/groups/{group}/students', {
        params: { path: { group }, header: asNew() },
        body: { students: [name], same: { [name]: id } },
      }),
    );
  /** Whether they are still there, once they are in no group: if not, so is this page. */
  const left = async (): Promise<Came | undefined> => {
    if (await isThere(id)) return undefined;
    await navigate('/students');
    return { say: t('students.keep.gone', { name }) };
  };
  const close = () => {
    setDoing(null);
  };
  const entry = (text: string, onSelect: () => void, isOff = false): ReactNode => (
    <MenuItem key={text} disabled={isOff || isBusy} onSelect={onSelect}>
      {text}
    </MenuItem>
  );
  return (
    <>
      <Menu opener={<Button>{t('students.keep.open')}</Button>}>
        {entry(t('students.keep.rename'), () => {
          setDoing('rename');
        })}
        {data.sameAs !== null
          ? null
          : [
              entry(t('students.keep.details'), () => {
                setDoing('details');
              }),
              entry(t('students.keep.join'), () => {
                setDoing('join');
              }),
              ...current.map((group) =>
                entry(t('students.keep.leave', { group: group.name }), () => {
                  step({
                    say: t('students.keep.left', { name, group: group.name }),
                    go: async () => {
                      await ask(
                        api.DELETE('/api/groups/{group}/students', {
                          params: { path: { group: group.id } },
                          body: { students: [id] },
                        }),
                      );
                      return left();
                    },
                    back: joins(group.id),
                  });
                }),
              ),
              data.isPaused
                ? entry(t('students.keep.back'), () => {
                    step({ say: t('students.keep.cameBack', { name }), go: plainly(pause(false)), back: pause(true) });
                  })
                : entry(
                    t('students.keep.pause'),
                    () => {
                      step({ say: t('students.keep.paused', { name }), go: plainly(pause(true)), back: pause(false) });
                    },
                    current.length === 0,
                  ),
              data.isOffList
                ? entry(t('students.keep.on'), () => {
                    step({ say: t('students.keep.onDone', { name }), go: plainly(list(false)) });
                  })
                : entry(t('students.keep.off'), () => {
                    const groups = current.map((one) => one.id);
                    step({
                      say: t('students.keep.offDone', { name }),
                      go: async () => {
                        await list(true)();
                        return left();
                      },
                      back: async () => {
                        await list(false)();
                        for (const group of groups) await joins(group)();
                      },
                    });
                  }),
              entry(t('students.keep.same'), () => {
                setDoing('same');
              }),
            ]}
      </Menu>
      <Dialog open={doing === 'rename'} onOpenChange={close} title={t('students.keep.renameTitle', { name })}>
        <Rename data={data} step={step} onDone={close} />
      </Dialog>
      <Dialog open={doing === 'details'} onOpenChange={close} title={t('students.keep.detailsTitle', { name })}>
        <Details data={data} onDone={close} />
      </Dialog>
      <Dialog open={doing === 'join'} onOpenChange={close} title={t('students.keep.joinTitle', { name })}>
        <Join data={data} joins={joins} step={step} onDone={close} />
      </Dialog>
      <Dialog open={doing === 'same'} onOpenChange={close} title={t('students.keep.sameTitle', { name })}>
        <Same data={data} step={step} onDone={close} />
      </Dialog>
    </>
  );
}

/** Whether the server still knows them. */
async function isThere(student: string): Promise<boolean> {
  try {
    await ask(api.GET('/api/students/{student}', { params: { path: { student }, query: {} } }));
    return true;
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return false;
    throw error;
  }
}

/** That a student stays away, is off the list, or is on record twice. */
export function RecordState({ data }: { data: StudentPage }) {
  const { t } = useTranslation();
  const [step, isBusy] = useSteps();
  const apart = (other: { id: string; name: string }, kept: string) => {
    step({
      say: t('students.keep.tookApart', { name: kept, other: other.name }),
      go: plainly(() => ask(api.POST('/api/students/{student}/apart', path(other.id)))),
    });
  };
  const says = [data.isPaused ? t('students.keep.pausedNow') : '', data.isOffList ? t('students.keep.offNow') : ''].filter(
    Boolean,
  );
  if (says.length === 0 && data.also.length === 0 && data.sameAs === null) return null;
  const { sameAs } = data;
  return (
    <Notice tone="calm" className="no-print mb-3">
      {says.map((one) => (
        <p key={one}>{one}.</p>
      ))}
      {data.also.map((one) => (
        <p key={one.id}>
          {t('students.keep.also', { name: one.name })}{' '}
          <Button
            look="quiet"
            disabled={isBusy}
            onClick={() => {
              apart(one, data.name);
            }}
          >
            {t('students.keep.apart')}
          </Button>
        </p>
      ))}
      {sameAs === null ? null : (
        <p>
          {t('students.keep.sameAs', { name: sameAs.name })}{' '}
          <TextLink to={`/students/${sameAs.id}`}>{t('students.keep.toOther', { name: sameAs.name })}</TextLink>{' '}
          <Button
            look="quiet"
            disabled={isBusy}
            onClick={() => {
              apart(data, sameAs.name);
            }}
          >
            {t('students.keep.apart')}
          </Button>
        </p>
      )}
    </Notice>
  );
}

interface DialogProps {
  data: StudentPage;
  step: (step: Step) => void;
  onDone: () => void;
}

const renamed = z.object({ name: written(120) });

function Rename({ data, step, onDone }: DialogProps) {
  const { t } = useTranslation();
  const tell = useTell();
  const same = useSamePeople();
  const { control, send, refusal, refuse } = useFields(renamed, { name: data.name }, { onTyped: same.forget });
  const put = (as: string, isOther: boolean) =>
    ask(api.PATCH('/api/students/{student}', { ...path(data.id), body: { name: as, isOther } }));
  const rename = useMutation({
    mutationFn: ({ name }: z.output<typeof renamed>) => put(name, same.known.length > 0 && told(same.meant).others.length > 0),
    onSuccess: async (_, { name }) => {
      await readAgain('roster');
      tell(t('students.keep.renamed', { name }), {
        takeBack: () => {
          step({ say: t('app.takenBack'), go: plainly(() => put(data.name, true)) });
        },
      });
      onDone();
    },
    onError: (error) => {
      if (!same.asks(error)) refuse(error);
    },
  });
  const once = useOnce(rename);
  return (
    <Form className="flex flex-col gap-3" onSend={send(once)}>
      <FormText control={control} name="name" label={t('students.keep.name')} maxLength={120} />
      <SamePeople known={same.known} meant={same.meant} onMean={same.setMeant} />
      <RefusalLine refusal={refusal} />
      <Button type="submit" look="primary" disabled={rename.isPending}>
        {t('students.keep.save')}
      </Button>
    </Form>
  );
}

interface JoinProps extends DialogProps {
  joins: (group: string) => () => Promise<unknown>;
}

function Join({ data, joins, step, onDone }: JoinProps) {
  const { t } = useTranslation();
  const groups = useQuery(groupsQuery).data ?? [];
  const free = groups.filter((one) => data.groups.every((other) => other.id !== one.id || other.leftOn !== null));
  const [chosen, setChosen] = useState('');
  const group = free.find((one) => one.id === chosen) ?? free[0];
  if (group === undefined) return <p className="text-soft">{t('students.keep.noGroups')}</p>;
  return (
    <>
      <Select
        label={t('students.group')}
        value={group.id}
        onValue={setChosen}
        of={free.map((one) => ({ value: one.id, text: one.name }))}
      />
      <Button
        look="primary"
        className="mt-3"
        onClick={() => {
          step({
            say: t('students.keep.joined', { name: data.name, group: group.name }),
            go: plainly(joins(group.id)),
            back: () =>
              ask(
                api.DELETE('/api/groups/{group}/students', {
                  params: { path: { group: group.id } },
                  body: { students: [data.id] },
                }),
              ),
          });
          onDone();
        }}
      >
        {t('students.keep.join')}
      </Button>
    </>
  );
}

function Same({ data, step, onDone }: DialogProps) {
  const { t } = useTranslation();
  const tell = useTell();
  const rows = (useQuery(studentsQuery).data ?? []).filter((one) => one.id !== data.id);
  const [other, setOther] = useState('');
  const [refusal, setProblem] = useProblem();
  const [isAsked, setAsked] = useState(false);
  const named = rows.find((one) => one.id === other)?.name ?? '';
  const join = useMutation({
    mutationFn: (isSure: boolean) =>
      ask(api.POST('/api/students/{student}/joined', { ...path(data.id), body: { other, isSure } })),
    onSuccess: async () => {
      await readAgain('roster');
      tell(t('students.keep.madeOne', { name: data.name, other: named }), {
        takeBack: () => {
          step({
            say: t('students.keep.tookApart', { name: data.name, other: named }),
            go: plainly(() => ask(api.POST('/api/students/{student}/apart', path(other)))),
          });
        },
      });
      onDone();
    },
    onError: (error) => {
      if (error instanceof Problem && error.code === 'students.together') setAsked(true);
      setProblem(error);
    },
  });
  const once = useOnce(join);
  return (
    <>
      <p className="mb-3 text-soft">{t('students.keep.sameHint', { name: data.name })}</p>
      <Select
        label={t('students.keep.other')}
        value={other}
        onValue={(id) => {
          setOther(id);
          setAsked(false);
          setProblem(null);
        }}
        of={[{ value: '', text: t('students.keep.choose') }, ...rows.map((one) => ({ value: one.id, text: one.name }))]}
      />
      <RefusalLine refusal={refusal} />
      <Button
        look="primary"
        className="mt-3"
        disabled={other === '' || join.isPending}
        onClick={() => {
          once(isAsked);
        }}
      >
        {t(isAsked ? 'students.keep.sure' : 'students.keep.makeOne')}
      </Button>
    </>
  );
}
