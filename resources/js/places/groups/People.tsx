import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, Problem, type Student } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Menu, MenuItem } from '../../kit/Menu';
import { Select } from '../../kit/Select';
import { Form } from '../../kit/Form';
import { FormText } from '../../kit/formFields';
import { written, z } from '../../kit/schema';
import { Dialog } from '../../kit/Dialog';
import { useTell } from '../../kit/toasts';
import { asNew } from '../../kit/useAsOne';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';
import { useSamePeople } from './SamePeople';

interface Props {
  group: string;
  students: Student[];
}

type Doing = { what: 'rename' | 'move'; student: Student } | null;

/** Who is in the group, each to be renamed, moved or taken off the list. */
export function People({ group, students }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const unmaking = useUnmaking();
  const [doing, setDoing] = useState<Doing>(null);
  const close = () => {
    setDoing(null);
  };
  const off = useMutation({
    mutationFn: (student: Student) =>
      ask(api.DELETE('/api/groups/{group}/students', { params: { path: { group } }, body: { students: [student.id] } })),
    onSuccess: async (_, { id, name }) => {
      await readAgain('roster');
      unmaking({ text: t('groups.offDone', { name }), remove: () => backOn(group, id, name), touches: 'roster' });
    },
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  return (
    <>
      <ul className="m-0 grid list-none gap-x-10 p-0 sm:grid-cols-2 xl:grid-cols-3">
        {students.map((student) => (
          <li key={student.id} className="flex min-h-11 items-center justify-between gap-3 border-b border-line">
            <span className="min-w-0 break-words">{student.name}</span>
            <Menu
              opener={
                <Button look="quiet" className="no-print shrink-0" aria-label={`${t('groups.people')}: ${student.name}`}>
                  {t('groups.people')}
                </Button>
              }
            >
              {(['rename', 'move'] as const).map((what) => (
                <MenuItem
                  key={what}
                  onSelect={() => {
                    setDoing({ what, student });
                  }}
                >
                  {t(`groups.${what}`)}
                </MenuItem>
              ))}
              <MenuItem
                onSelect={() => {
                  off.mutate(student);
                }}
              >
                {t('groups.off')}
              </MenuItem>
            </Menu>
          </li>
        ))}
      </ul>
      <Dialog
        open={doing !== null}
        onOpenChange={close}
        title={
          doing === null
            ? ''
            : t(doing.what === 'rename' ? 'groups.renameTitle' : 'groups.moveTitle', { name: doing.student.name })
        }
      >
        {doing?.what === 'rename' ? <Renaming key={doing.student.id} student={doing.student} onDone={close} /> : null}
        {doing?.what === 'move' ? <Moving key={doing.student.id} group={group} student={doing.student} onDone={close} /> : null}
      </Dialog>
    </>
  );
}

/** On the list again as the same person; one who had no record went altogether, and is made anew. */
async function backOn(group: string, id: string, name: string): Promise<unknown> {
  const add = (people: { same?: Record<string, string>; others?: string[] }) => {
    const params = { path: { group }, header: asNew() };
    return ask(api.POST('/api/groups/{group}/students', { params, body: { students: [name], ...people } }));
  };
  try {
    return await add({ same: { [name]: id } });
  } catch (error) {
    if (error instanceof Problem && error.place === 'same') return add({ others: [name] });
    throw error;
  }
}

const renamed = z.object({ name: written(120) });

function Renaming({ student, onDone }: { student: Student; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const people = useSamePeople();
  const { control, send, refusal, refuse } = useFields(renamed, { name: student.name }, { onTyped: people.forget });
  const call = (to: string, isOther: boolean) =>
    ask(api.PATCH('/api/students/{student}', { params: { path: { student: student.id } }, body: { name: to, isOther } }));
  const rename = useMutation({
    // Somebody else has the name, and that was said: two people may be called the same.
    mutationFn: ({ name }: z.output<typeof renamed>) => call(name, people.known.length > 0),
    onSuccess: async (_, { name }) => {
      await readAgain('roster');
      onDone();
      unmaking({
        text: t('groups.renamed', { before: student.name, name }),
        remove: () => call(student.name, true),
        touches: 'roster',
      });
    },
    onError: (error) => {
      people.asks(error);
      refuse(error);
    },
  });
  const once = useOnce(rename);
  return (
    <Form onSend={send(once)} className="flex flex-col gap-3">
      <FormText control={control} name="name" label={t('groups.newName')} maxLength={120} />
      <RefusalLine refusal={refusal} className="" />
      <Button look="primary" type="submit" disabled={rename.isPending}>
        {t(people.known.length > 0 ? 'groups.renameAnyway' : 'groups.rename')}
      </Button>
    </Form>
  );
}

function Moving({ group, student, onDone }: { group: string; student: Student; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const groups = useQuery(groupsQuery);
  const others = (groups.data ?? []).filter((one) => one.id !== group);
  const [chosen, setChosen] = useState('');
  const [refusal, setProblem] = useProblem();
  const to = others.find((one) => one.id === chosen) ?? others[0];
  const go = (from: string, into: string) =>
    ask(api.POST('/api/groups/{group}/move', { params: { path: { group: from } }, body: { student: student.id, to: into } }));
  const move = useMutation({
    mutationFn: (into: { id: string; name: string }) => go(group, into.id),
    onSuccess: async (_, into) => {
      await readAgain('roster');
      onDone();
      unmaking({
        text: t('groups.moved', { name: student.name, group: into.name }),
        remove: () => go(into.id, group),
        touches: 'roster',
      });
    },
    onError: setProblem,
  });
  const once = useOnce(move);
  if (groups.data !== undefined && to === undefined) return <p>{t('groups.noOtherGroup')}</p>;
  return (
    <Form
      onSend={() => {
        if (to) once(to);
      }}
      className="flex flex-col gap-3"
    >
      <p className="text-soft">{t('groups.moveHint')}</p>
      <Select
        label={t('groups.moveTo')}
        value={to?.id ?? ''}
        onValue={setChosen}
        of={others.map((one) => ({ value: one.id, text: one.name }))}
      />
      <RefusalLine refusal={refusal} />
      <Button look="primary" type="submit" disabled={move.isPending || to === undefined}>
        {t('groups.move')}
      </Button>
    </Form>
  );
}
