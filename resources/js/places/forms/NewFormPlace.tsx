import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate } from '../../kit/router';
import { api, ask, type FormPreview } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { dropDraft } from '../../kit/draft';
import { Form } from '../../kit/Form';
import { FormArea, FormText } from '../../kit/formFields';
import { share } from '../../kit/format';
import { Fold } from '../../kit/Fold';
import { Heading, Page, Warnings } from '../../kit/page';
import { z } from '../../kit/schema';
import { useAsOne } from '../../kit/useAsOne';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { type Refusal, useProblem } from '../../kit/useProblem';
import { Ribbon } from '../../pictures/Ribbon';
import { useUnmaking } from '../useUnmaking';
import { findingsByPosition, SeverityMark } from '../score/Findings';
import { Problems } from './Problems';
import { Starters } from './Starters';
import { Supposed } from './Supposed';
import { useEntryWords } from './useEntryWords';
import { sentence } from '../../messages/say';

const DRAFT = 'form';
/** A form of so few entries is shown as it was read without asking. */
const FEW = 12;
export const MOST_BYTES = 2_097_152;
const EXAMPLE =
  '# A first short form\nAt the gate:\n1. Opening\n2. Gather the mist\n3. Heron looks up (L)\n4. Heron looks up (R)\nOn the water:\n5. Part the reeds (L-R-L)\n6. Heron looks up (L)\n7. Stand in the shallows (20 s)\n8. Closing\n';

const pasted = z.object({ text: z.string(), title: z.string() });
/** What a preview was read from; the same is saved, so that nobody saves what they have not seen. */
type Source = z.output<typeof pasted>;

/** Pasting or importing a form: what would be made is shown, and what was supposed is confirmed, before anything is saved. */
export function NewFormPlace() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const unmaking = useUnmaking();
  const { asOne, made } = useAsOne(DRAFT);
  const [read, setRead] = useState<{ found: FormPreview; from: Source } | null>(null);
  const [declined, setDeclined] = useState<string[]>([]);
  const [unread, setUnread] = useProblem();
  const { control, form, put, send } = useFields(
    pasted,
    { text: '', title: '' },
    {
      draft: DRAFT,
      onTyped: () => {
        setUnread(null);
      },
    },
  );
  const [refusal, setProblem] = useProblem();
  const isEmpty = useWatch({ control, name: 'text' }) === '';

  const reading = useMutation({
    mutationFn: (from: Source) => ask(api.POST('/api/forms/preview', { body: from })),
    onSuccess: (found, from) => {
      setDeclined([]);
      setRead({ found, from });
      window.scrollTo(0, 0);
    },
    onError: (error) => {
      // Whatever cannot be read stands in the text, wherever that came from.
      form.setError('text', { message: setUnread(error)?.message ?? '' });
    },
  });
  const save = useMutation({
    mutationFn: (from: Source) => {
      const body = { ...from, declined };
      return ask(api.POST('/api/forms', { params: { header: asOne(body) }, body }));
    },
    onSuccess: async (saved, from) => {
      dropDraft(DRAFT);
      made();
      await readAgain('form');
      await navigate(`/forms/${saved.id}`);
      unmaking({
        text: t('forms.saved'),
        remove: () => ask(api.DELETE('/api/forms/{form}', { params: { path: { form: saved.id } } })),
        touches: 'form',
        back: { to: '/forms/new', draft: DRAFT, typed: from },
      });
    },
    onError: setProblem,
  });
  const keep = useOnce(save);

  async function choose(file: File) {
    if (file.size > MOST_BYTES) {
      form.setError('text', { message: t('forms.fileTooLarge') });
      return;
    }
    form.clearErrors();
    put('text', await file.text());
    put('title', file.name.replace(/\.[^.]*$/, ''));
  }

  if (read) {
    return (
      <Preview
        preview={read.found}
        declined={declined}
        onDecline={setDeclined}
        onBack={() => {
          setRead(null);
        }}
        onSave={() => {
          keep(read.from);
        }}
        isSaving={save.isPending}
        refusal={refusal}
      />
    );
  }
  return (
    <Page title={t('forms.pasteTitle')}>
      <Form
        onSend={send((from) => {
          setUnread(null);
          reading.mutate(from);
        })}
        className="grid max-w-5xl gap-6 md:grid-cols-[1fr_17rem]"
      >
        <FormArea
          control={control}
          name="text"
          label={t('forms.pasteLabel')}
          hint={t('forms.pasteHint')}
          rows={18}
          readOnly={reading.isPending}
          spellCheck={false}
          className="font-sans leading-relaxed"
        />
        <Problems problems={unread?.problems ?? []} />
        <div className="flex flex-col gap-5 md:col-start-2 md:row-start-1">
          <FileField
            label={t('forms.file')}
            hint={t('forms.fileHint')}
            accept=".txt,.json,.csv,text/plain,application/json"
            disabled={reading.isPending}
            onFile={(file) => void choose(file)}
          />
          <FormText control={control} name="title" label={t('forms.name')} readOnly={reading.isPending} />
          <Button look="primary" type="submit" disabled={reading.isPending}>
            {t(reading.isPending ? 'forms.reading' : 'forms.read')}
          </Button>
          {isEmpty ? (
            <Button
              look="quiet"
              onClick={() => {
                put('text', EXAMPLE);
              }}
            >
              {t('forms.example')}
            </Button>
          ) : null}
        </div>
      </Form>
      <Starters
        isBusy={reading.isPending}
        onUse={(starter) => {
          form.clearErrors();
          put('text', starter);
          reading.mutate({ text: starter, title: form.getValues('title') });
        }}
      />
    </Page>
  );
}

interface PreviewProps {
  preview: FormPreview;
  declined: string[];
  onDecline: (declined: string[]) => void;
  onBack: () => void;
  onSave: () => void;
  isSaving: boolean;
  refusal: Refusal | null;
}

function Preview({ preview, declined, onDecline, onBack, onSave, isSaving, refusal }: PreviewProps) {
  const { t } = useTranslation();
  const { form, inferred, warnings } = preview;
  const said = useEntryWords();
  const doubts = warnings.length + inferred.length + preview.audit.findings.length;
  return (
    <Page
      title={form.title}
      kicker={
        <>
          {t('forms.found')} · {t('forms.lines', { count: preview.lines })} · {t('forms.entries', { count: form.entries.length })}{' '}
          · {t('forms.lessons', { count: form.lessons.length })}
        </>
      }
      actions={
        <>
          <Button onClick={onBack}>{t('forms.change')}</Button>
          <Button look="primary" onClick={onSave} disabled={isSaving}>
            {t(isSaving ? 'forms.saving' : 'forms.saveForm')}
          </Button>
        </>
      }
    >
      <RefusalLine refusal={refusal} className="mb-3" />
      <Ribbon form={form} findings={findingsByPosition(preview.audit.findings)} />
      <p className="mt-2">{doubts === 0 ? t('forms.noDoubts') : t('forms.doubts', { count: doubts })}</p>
      <Fold look="heading" isHeading title={t('forms.readTitle')} isOpen={form.entries.length <= FEW} className="mt-4">
        <div className="relative overflow-x-auto">
          <table className="w-full max-w-4xl border-collapse text-[0.95rem]">
            <thead>
              <tr className="text-left text-sm text-soft">
                {(['numberCol', 'titleCol', 'saidCol', 'loadCol'] as const).map((key) => (
                  <th key={key} scope="col" className="py-1 pr-4 font-normal last:pr-0 last:text-right">
                    {t(`forms.${key}`)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {form.entries.map((entry) => (
                <tr key={entry.position} className="border-t border-line">
                  <td className="py-1.5 pr-4 text-soft">{entry.number ?? '·'}</td>
                  <th scope="row" className="pr-4 text-left font-medium">
                    {entry.title}
                  </th>
                  <td className="pr-4 text-soft">{said(entry)}</td>
                  <td className="text-right">{share(entry.load / (form.target || 1))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Fold>
      <Warnings title={t('forms.warnings')} lines={warnings.map(sentence)} />
      <Supposed form={form} inferred={inferred} declined={declined} onDecline={onDecline} />
      {preview.audit.findings.length === 0 ? null : (
        <>
          <Heading>{t('forms.findings', { count: preview.audit.findings.length })}</Heading>
          <ul className="m-0 list-none p-0 text-[0.95rem]">
            {preview.audit.findings.map((finding, n) => (
              <li key={n} className="flex gap-2 border-t border-line py-1 first:border-t-0">
                <SeverityMark severity={finding.severity} />
                <span>{sentence(finding.says)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </Page>
  );
}
