import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate } from '../../kit/router';
import { api, ask } from '../../api/client';
import { principleSetsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { queryClient } from '../../api/queryClient';
import { keys } from '../../api/keys';
import { Button, RefusalLine } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormText } from '../../kit/formFields';
import { z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { Notice } from '../../kit/Notice';
import { Asked, Heading, Listing, Page } from '../../kit/page';
import { StarterList } from '../../kit/StarterList';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { sentence } from '../../messages/say';
import { useUnmaking } from '../useUnmaking';

const startersQuery = {
  queryKey: keys.principleStarters(),
  queryFn: () => ask(api.GET('/api/principle-starters')),
  staleTime: Infinity,
};

/** A set that is made of a file, and what is told of it. */
function useMaking() {
  const { t } = useTranslation();
  const go = useNavigate();
  const unmake = useUnmaking();
  const { asOne, made } = useAsOne();
  const [refusal, setRefusal] = useProblem();
  const [warnings, setWarnings] = useState<string[]>([]);
  const make = useMutation({
    mutationFn: (body: { text: string; title?: string }) =>
      ask(api.POST('/api/principle-sets', { params: { header: asOne(body) }, body })),
    onSuccess: async ({ set, warnings: told }) => {
      made();
      setRefusal(null);
      setWarnings(told.map(sentence));
      queryClient.setQueryData(keys.principleSet(set.id), set);
      await readAgain('principles');
      unmake({
        text: t('principles.taken', { title: set.title }),
        remove: () => ask(api.DELETE('/api/principle-sets/{principleSet}', { params: { path: { principleSet: set.id } } })),
        touches: 'principles',
        back: { to: '/principles' },
      });
      if (told.length === 0) await go(`/principles/${set.id}`);
    },
    onError: setRefusal,
  });
  return { make: useOnce(make), isBusy: make.isPending, refusal, warnings };
}

/** Without a name of its own it keeps the one in the file. */
const named = z.object({ title: z.string().trim().max(300) });

/** The sets of principles of the school, and where to begin. */
export function PrinciplesPlace() {
  const { t } = useTranslation();
  const query = useQuery(principleSetsQuery);
  const starters = useQuery(startersQuery).data ?? [];
  const making = useMaking();
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const { control, form, put, send } = useFields(named, { title: '' });
  const choose = (chosen: File) => {
    void chosen.text().then((text) => {
      setFile({ name: chosen.name, text });
      if (form.getValues('title') === '') put('title', chosen.name.replace(/\.[a-z.]+$/i, ''));
    });
  };
  return (
    <Page
      title={t('principles.title')}
      actions={
        <Button
          look="primary"
          disabled={making.isBusy}
          onClick={() => {
            making.make({
              text: JSON.stringify({
                format: 'gorvan.principles/1',
                title: t('principles.new'),
                principles: [{ id: 'p01', title: t('principles.edit.newTitle') }],
              }),
            });
          }}
        >
          {t('principles.new')}
        </Button>
      }
    >
      <Asked query={query}>
        {(sets) => (
          <Listing
            rows={sets.map((set) => ({
              to: `/principles/${set.id}`,
              title: set.title,
              detail: [
                t('principles.count', { count: set.principles }),
                set.families.join(', '),
                set.groups.length > 0 ? t('principles.usedBy', { groups: set.groups.join(', ') }) : '',
              ]
                .filter((one) => one !== '')
                .join(' · '),
            }))}
            empty={t('principles.empty')}
            hint={t('principles.emptyHint')}
            first={null}
          />
        )}
      </Asked>
      <RefusalLine refusal={making.refusal} />
      {making.warnings.length > 0 ? (
        <Notice tone="attention" label={t('principles.importWarnings')} className="my-3">
          <ul className="list-disc pl-5">
            {making.warnings.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <StarterList
        title={t('principles.startersTitle')}
        hint={t('principles.startersHint')}
        use={t('principles.take')}
        of={starters}
        isBusy={making.isBusy}
        onUse={(text) => {
          making.make({ text });
        }}
      />
      <section className="max-w-3xl">
        <Heading aside={t('principles.importHint')}>{t('principles.importTitle')}</Heading>
        <div className="flex flex-wrap items-end gap-3">
          <FileField label={t('principles.importChoose')} accept=".json,.csv,application/json,text/csv" onFile={choose} />
          {file === null ? null : (
            <Form
              className="flex grow flex-wrap items-end gap-3"
              onSend={send(({ title }) => {
                making.make({ text: file.text, title });
              })}
            >
              <div className="min-w-64 grow">
                <FormText control={control} name="title" label={t('principles.importName')} maxLength={300} />
              </div>
              <Button look="primary" type="submit" disabled={making.isBusy}>
                {t('principles.take')}
              </Button>
            </Form>
          )}
        </div>
      </section>
    </Page>
  );
}
