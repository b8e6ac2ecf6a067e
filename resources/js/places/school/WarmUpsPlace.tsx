import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { ulid } from 'ulid';
import { api, ask, Problem, type WarmUp, type WarmUpList } from '../../api/client';
import { sessionQuery, warmUpsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { queryClient } from '../../api/queryClient';
import { Button } from '../../kit/controls';
import { number } from '../../kit/format';
import { Asked, Empty, Heading } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { SchoolPages } from './SchoolPages';
import { KINDS, WarmUpEditor } from './WarmUpEditor';
import { useBodyWords } from '../care/useBodyWords';

/** What the school warms up, opens, closes and rests with, in its order. */
export function WarmUpsPlace() {
  const query = useQuery(warmUpsQuery);
  return <Asked query={query}>{(data) => <Shown data={data} />}</Asked>;
}

/** Saves the whole list as it is now; what another device saved meanwhile is refused and shown. */
function useSaving(data: WarmUpList) {
  const { t } = useTranslation();
  const tell = useTell();
  const send = async (items: WarmUp[], version: number) =>
    ask(api.PUT('/api/school/warm-ups', { body: { version, list: { format: 'gorvan.warm_ups/1', items: items.map(written) } } }));
  const save = useMutation({
    mutationFn: ({ items, version }: { items: WarmUp[]; version: number; before: WarmUp[] | null }) => send(items, version),
    onSuccess: async (now, { before }) => {
      queryClient.setQueryData(warmUpsQuery.queryKey, now);
      await readAgain('warmUps');
      tell(
        before === null ? t('app.takenBack') : t('school.warm.saved'),
        before === null
          ? {}
          : {
              takeBack: () => {
                save.mutate({ items: before, version: now.version, before: null });
              },
            },
      );
    },
    onError: async (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
      if (error instanceof Problem && error.status === 409) await readAgain('warmUps');
    },
  });
  return {
    isSaving: save.isPending,
    /** Whether the list was taken. */
    put: async (items: WarmUp[]): Promise<boolean> => {
      if (save.isPending) return false;
      try {
        await save.mutateAsync({ items, version: data.version, before: data.items });
        return true;
      } catch {
        return false; // told above
      }
    },
  };
}

/** What is empty is left out, as in the file. */
function written({ note, joints, cautions, ...rest }: WarmUp) {
  return {
    ...rest,
    ...(note === null ? {} : { note }),
    ...(joints.length === 0 ? {} : { joints }),
    ...(cautions.length === 0 ? {} : { cautions: cautions.map(({ text, ...one }) => (text === null ? one : { ...one, text })) }),
  };
}

function Shown({ data }: { data: WarmUpList }) {
  const { t } = useTranslation();
  const may = (useQuery(sessionQuery).data?.person?.may ?? []).includes('edit-forms');
  const { isSaving, put } = useSaving(data);
  const [open, setOpen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<WarmUp | null>(null);
  const move = (id: string, by: number) => {
    const at = data.items.findIndex((one) => one.id === id);
    const kind = data.items[at]?.kind;
    // One goes past the next of its own kind: the others stand elsewhere on this page.
    let to = at + by;
    while (data.items[to] !== undefined && data.items[to]?.kind !== kind) to += by;
    const items = [...data.items];
    const [one] = items.splice(at, 1);
    if (one === undefined || data.items[to] === undefined) return;
    items.splice(to, 0, one);
    void put(items);
  };
  return (
    <SchoolPages
      actions={
        may ? (
          <Button
            look="primary"
            disabled={data.items.length >= data.most}
            onClick={() => {
              setFresh({
                id: `w${ulid().slice(-8).toLowerCase()}`,
                title: '',
                kind: 'joint',
                joints: [],
                minutes: 1.5,
                note: null,
                cautions: [],
              });
            }}
          >
            {t('school.warm.add')}
          </Button>
        ) : null
      }
    >
      {data.items.length >= data.most ? <p className="mb-2 font-medium">{t('school.warm.full', { most: data.most })}</p> : null}
      <p className="max-w-3xl text-soft">
        {t('school.warm.hint')} {data.isOwn ? '' : t('school.warm.generic')}
      </p>
      {fresh === null ? null : (
        <WarmUpEditor
          key={fresh.id}
          title={t('school.warm.fresh')}
          from={fresh}
          isSaving={isSaving}
          onSave={async (one) => {
            if (await put([...data.items, one])) setFresh(null);
          }}
          onClose={() => {
            setFresh(null);
          }}
        />
      )}
      {data.items.length === 0 ? <Empty title={t('school.warm.empty')} hint={t('school.warm.emptyHint')} /> : null}
      {KINDS.map((kind) => {
        const items = data.items.filter((one) => one.kind === kind);
        return items.length === 0 ? null : (
          <section key={kind} aria-label={t(`school.warm.kinds.${kind}`)}>
            <Heading>{t(`school.warm.kinds.${kind}`)}</Heading>
            <ol className="m-0 list-none p-0">
              {items.map((one, at) => (
                <li key={one.id} className="border-b border-line py-2">
                  <div className="grid gap-x-8 lg:grid-cols-[1fr_auto]">
                    <One of={one} />
                    {may ? (
                      <div className="no-print flex flex-wrap items-start gap-1">
                        {(
                          [
                            [
                              open === one.id ? 'close' : 'edit',
                              false,
                              () => {
                                setOpen(open === one.id ? null : one.id);
                              },
                            ],
                            [
                              'up',
                              at === 0,
                              () => {
                                move(one.id, -1);
                              },
                            ],
                            [
                              'down',
                              at === items.length - 1,
                              () => {
                                move(one.id, 1);
                              },
                            ],
                            [
                              'remove',
                              false,
                              () => {
                                void put(data.items.filter((other) => other.id !== one.id));
                              },
                            ],
                          ] as const
                        ).map(([what, isOff, go]) => (
                          <Button
                            key={what}
                            look="quiet"
                            className="px-2"
                            disabled={isOff || isSaving}
                            aria-label={`${t(`school.warm.${what}`)}: ${one.title}`}
                            onClick={go}
                          >
                            {t(`school.warm.${what}`)}
                          </Button>
                        ))}
                      </div>
                    ) : null}
                  </div>
                  {open === one.id ? (
                    <WarmUpEditor
                      title={one.title}
                      from={one}
                      isSaving={isSaving}
                      onSave={async (now) => {
                        if (await put(data.items.map((other) => (other.id === one.id ? now : other)))) setOpen(null);
                      }}
                      onClose={() => {
                        setOpen(null);
                      }}
                    />
                  ) : null}
                </li>
              ))}
            </ol>
          </section>
        );
      })}
      <p className="mt-6 max-w-3xl text-sm text-soft">{t('plan.care')}</p>
    </SchoolPages>
  );
}

function One({ of }: { of: WarmUp }) {
  const { t } = useTranslation();
  const { joints, considerations: bodies } = useBodyWords();
  return (
    <div className="max-w-3xl min-w-0">
      <h3 className="inline text-lg break-words">{of.title}</h3>{' '}
      <span className="text-sm text-soft">
        · {t('warmUps.minutes', { minutes: number(of.minutes, 2) })}
        {of.joints.length === 0
          ? ''
          : ` · ${t('school.warm.reaches', { joints: of.joints.map((one) => joints[one]).join(', ') })}`}
      </span>
      {of.note === null ? null : <p>{of.note}</p>}
      {of.cautions.length === 0 ? null : (
        <p className="text-sm text-soft">
          {of.cautions
            .map((one) =>
              t(one.text === null ? 'school.warm.caution' : 'school.warm.cautionText', {
                for: bodies[one.for],
                do: t(`care.variantDo.${one.do as 'skip'}`),
                text: one.text,
              }),
            )
            .join(' · ')}
        </p>
      )}
    </div>
  );
}
