import { BodySide, Consideration as CONSIDERATIONS } from '../../api/enums';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { v4 as uuid } from 'uuid';
import { api, ask, Problem, type Consideration } from '../../api/client';
import { considerationsQuery } from './queries';
import { sessionQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { Form } from '../../kit/Form';
import { FormArea, FormDate, FormSelect } from '../../kit/formFields';
import { day } from '../../kit/format';
import { Asked, Heading } from '../../kit/page';
import { z } from '../../kit/schema';
import { useTell } from '../../kit/toasts';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { useSeen } from '../../kit/useSeen';
import { useBodyWords } from '../care/useBodyWords';

/** What has a left and a right. */
const SIDED = ['knee', 'hip', 'ankle', 'shoulder', 'elbow', 'wrist'];

type Draft = Omit<Consideration, 'holds' | 'isReadable'>;
/** One that is being written, and whether it is there already. */
type Writing = Draft & { isNew?: true };
const draftOf = ({ id, what, side, since, until, note }: Consideration): Draft => ({ id, what, side, since, until, note });
const put = (student: string, { id, ...body }: Draft, seen: { was?: Omit<Draft, 'id'> } = {}) =>
  ask(
    api.PUT('/api/students/{student}/considerations/{consideration}', {
      params: { path: { student, consideration: id } },
      body: { ...body, ...seen },
    }),
  );

/** What is planned around of a student, for those who may see it. */
export function Considerations({ student }: { student: string }) {
  const may = useQuery(sessionQuery).data?.person?.may ?? [];
  return may.includes('see-considerations') ? <Noted student={student} /> : null;
}

function Noted({ student }: { student: string }) {
  const { t } = useTranslation();
  const tell = useTell();
  const query = useQuery(considerationsQuery(student));
  const [draft, setDraft] = useState<Writing | null>(null);
  const { considerations: bodies } = useBodyWords();
  const failed = (error: unknown) => {
    tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
  };
  const backAgain = async (one: Draft) => {
    try {
      await put(student, one);
      await readAgain('care');
      tell(t('app.takenBack'));
    } catch (error) {
      failed(error);
    }
  };
  const remove = useMutation({
    mutationFn: (one: Consideration) =>
      ask(
        api.DELETE('/api/students/{student}/considerations/{consideration}', {
          params: { path: { student, consideration: one.id } },
        }),
      ),
    onSuccess: async (_, one) => {
      await readAgain('care');
      tell(t('students.considers.removed'), { takeBack: () => void backAgain(draftOf(one)) });
    },
    onError: failed,
  });
  const when = (one: Consideration, today: string) =>
    [
      one.since !== null && one.since > today
        ? t('students.considers.ahead', { day: day(one.since, 'numbered') })
        : one.since === null
          ? ''
          : t('students.considers.from', { day: day(one.since, 'numbered') }),
      one.until === null
        ? t('students.considers.lasting')
        : one.until < today
          ? t('students.considers.over')
          : t('students.considers.to', { day: day(one.until, 'numbered') }),
    ]
      .filter(Boolean)
      .join(', ');
  const today = useQuery(sessionQuery).data?.school?.today ?? '';
  return (
    <section aria-label={t('students.considers.notes')} className="no-print">
      <Heading>{t('students.considers.notes')}</Heading>
      <p className="max-w-3xl text-sm text-soft">{t('students.considers.notesHint')}</p>
      <Asked query={query}>
        {(all) => (
          <>
            {all.length === 0 ? <p className="mt-2 text-soft">{t('students.considers.none')}</p> : null}
            <ul className="m-0 mt-2 list-none p-0">
              {all.map((one) => (
                <li key={one.id} className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line py-1">
                  <span className={`min-w-0 grow basis-72 ${one.holds ? '' : 'text-soft'}`}>
                    <strong>
                      {t('students.considers.line', {
                        what: bodies[one.what],
                        side: one.side === null ? '' : `, ${t(`students.considers.sides.${one.side as 'left'}`)}`,
                      })}
                    </strong>{' '}
                    <span className="text-soft">· {when(one, today)}</span>
                    {one.note === null ? null : <span className="block break-words">{one.note}</span>}
                    {one.isReadable ? null : <span className="block text-persimmon">{t('students.considers.unreadable')}</span>}
                  </span>
                  <span className="flex gap-3">
                    <Button
                      look="quiet"
                      aria-label={`${t('students.considers.edit')}: ${bodies[one.what] ?? one.what}`}
                      onClick={() => {
                        setDraft(draftOf(one));
                      }}
                    >
                      {t('students.considers.edit')}
                    </Button>
                    <Button
                      look="quiet"
                      aria-label={`${t('students.considers.remove')}: ${bodies[one.what] ?? one.what}`}
                      disabled={remove.isPending}
                      onClick={() => {
                        remove.mutate(one);
                      }}
                    >
                      {t('students.considers.remove')}
                    </Button>
                  </span>
                </li>
              ))}
            </ul>
            <Button
              className="mt-2"
              onClick={() => {
                setDraft({ id: uuid(), isNew: true, what: 'knee', side: null, since: today, until: null, note: null });
              }}
            >
              {t('students.considers.add')}
            </Button>
          </>
        )}
      </Asked>
      <p className="mt-2 max-w-3xl text-sm text-soft">{t('plan.care')}</p>
      <Dialog
        open={draft !== null}
        onOpenChange={(open) => {
          if (!open) setDraft(null);
        }}
        title={t('students.considers.notes')}
      >
        {draft === null ? null : (
          <Editor
            key={draft.id}
            student={student}
            from={draft}
            onDone={() => {
              setDraft(null);
            }}
          />
        )}
      </Dialog>
    </section>
  );
}

const noted = z.object({
  what: z.enum(CONSIDERATIONS),
  side: z.enum(['', ...BodySide]),
  since: z.string(),
  until: z.string(),
  note: z.string().trim().max(2000),
});

function Editor({ student, from, onDone }: { student: string; from: Writing; onDone: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const { control, send, refusal, refuse } = useFields(noted, {
    what: from.what,
    side: from.side ?? '',
    since: from.since ?? '',
    until: from.until ?? '',
    note: from.note ?? '',
  });
  const { what: said, side, since, until, note } = from;
  const seen = useSeen({ what: said, side, since, until, note });
  const what = useWatch({ control, name: 'what' });
  const { considerations: bodies } = useBodyWords();
  const save = useMutation({
    mutationFn: ({ side, since, until, note, ...one }: z.output<typeof noted>) =>
      put(
        student,
        {
          id: from.id,
          ...one,
          side: SIDED.includes(one.what) && side !== '' ? side : null,
          since: since === '' ? null : since,
          until: until === '' ? null : until,
          note: note === '' ? null : note,
        },
        from.isNew === true ? {} : seen.was,
      ),
    onSuccess: async () => {
      await readAgain('care');
      tell(t('students.considers.saved'));
      onDone();
    },
    onError: (error) => {
      seen.isTold(error);
      refuse(error);
      void readAgain('care');
    },
  });
  const once = useOnce(save);
  return (
    <Form className="flex flex-col gap-3" onSend={send(once)}>
      <FormSelect
        control={control}
        name="what"
        label={t('students.considers.what')}
        of={Object.entries(bodies).map(([value, text]) => ({ value, text }))}
      />
      {SIDED.includes(what) ? (
        <FormSelect
          control={control}
          name="side"
          label={t('students.considers.side')}
          of={(['none', 'left', 'right'] as const).map((one) => ({
            value: one === 'none' ? '' : one,
            text: t(`students.considers.sides.${one}`),
          }))}
        />
      ) : null}
      <div className="grid gap-3 sm:grid-cols-2">
        {(['since', 'until'] as const).map((which) => (
          <FormDate key={which} control={control} name={which} label={t(`students.considers.${which}`)} />
        ))}
      </div>
      <FormArea control={control} name="note" label={t('students.considers.note')} rows={3} maxLength={2000} />
      <RefusalLine refusal={refusal} />
      <Button type="submit" look="primary" disabled={save.isPending}>
        {t('students.considers.save')}
      </Button>
    </Form>
  );
}
