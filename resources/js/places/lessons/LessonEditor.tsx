import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { api, ask, type Form as FormData, type LessonPage } from '../../api/client';
import { lessonQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { dropDraft, readDraft } from '../../kit/draft';
import { entryName } from '../../kit/entryName';
import { Form } from '../../kit/Form';
import { FormArea, FormSelect, FormText, FormTicks } from '../../kit/formFields';
import { useTell } from '../../kit/toasts';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { KINDS, type Step, VIEWS, type WrittenLesson } from './lesson';
import { lessonFields, lessonOf, typedOf } from './lessonFields';
import { Drills, PartnerFields, Steps } from './LessonParts';

interface Props {
  form: FormData;
  page: LessonPage;
  course: string | null;
  which: string;
  onClose: () => void;
}

/** What a teacher adds to a lesson; what is typed is kept in this tab until it is kept for good. */
export function LessonEditor({ form, page, course, which, onClose }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  const name = `lesson.${form.id}.${course ?? ''}.${which}`;
  const kept = page.lesson as unknown as WrittenLesson;
  const [isDrafted] = useState(() => readDraft(name) !== null);
  const fields = useFields(lessonFields, typedOf(kept, page), {
    draft: name,
    onTyped: (typed) => {
      if (typed?.startsWith('steps')) fields.put('isUsual', false);
    },
  });
  const { control, form: typing, send, refusal, refuse } = fields;
  const kind = useWatch({ control, name: 'kind' });
  const isTouched = typing.formState.isDirty || isDrafted;
  const save = useMutation({
    mutationFn: (lesson: WrittenLesson) =>
      ask(
        api.PUT('/api/forms/{form}/lessons', {
          params: { path: { form: form.id } },
          body: { course, version: page.version, lesson: lesson as never },
        }),
      ),
    onSuccess: (answer) => {
      dropDraft(name);
      client.setQueryData(lessonQuery(form.id, which, course).queryKey, answer);
      void readAgain('lesson');
      tell(t('lessons.edit.saved'));
      onClose();
    },
    onError: refuse,
  });
  const once = useOnce(save);
  const entries = form.entries.map((entry) => ({ value: entry.key, text: entryName(entry) }));
  const own = form.entries
    .filter((entry) => kept.entries.includes(entry.key))
    .map((entry) => ({ value: entry.key, text: entryName(entry) }));
  return (
    <Form
      aria-label={t('lessons.edit.title', { number: page.number ?? '' })}
      className="no-print mb-6 grid gap-4 border-l-4 border-pine bg-sheet p-4"
      onSend={send((said) => {
        once(lessonOf(said, kept, page));
      })}
    >
      <p className="text-soft">{isDrafted ? t('lessons.edit.draft') : t('lessons.edit.hint')}</p>
      <div className="grid gap-4 md:grid-cols-2">
        <FormText control={control} name="title" label={t('lessons.edit.name')} maxLength={300} />
        <FormSelect
          control={control}
          name="kind"
          label={t('lessons.edit.kind')}
          of={KINDS.map((value) => ({ value, text: t(`lessons.page.kinds.${value}`) }))}
        />
        <FormArea control={control} name="note" label={t('lessons.edit.note')} rows={2} maxLength={2000} />
        <FormArea control={control} name="bite" label={t('lessons.edit.bite')} rows={2} maxLength={2000} />
        <FormArea control={control} name="checks" label={t('lessons.edit.checks')} rows={3} />
        <FormArea control={control} name="errors" label={t('lessons.edit.errors')} rows={3} />
        <fieldset>
          <legend className="text-sm font-medium">{t('lessons.edit.views')}</legend>
          <FormTicks
            control={control}
            name="views"
            of={VIEWS.map((value) => ({ value, text: t(`lessons.page.viewNames.${value}`) }))}
          />
        </fieldset>
        <FormSelect
          control={control}
          name="runFrom"
          label={t('lessons.edit.runFrom')}
          of={[{ value: '', text: t('lessons.edit.runUsual') }, ...entries]}
        />
      </div>
      <Steps control={control} put={fields.put} usual={page.steps as Step[]} />
      <Drills control={control} put={fields.put} entries={entries} own={own} />
      {kind === 'partner' ? <PartnerFields control={control} own={own} /> : null}
      <RefusalLine refusal={refusal} className="" />
      <div className="flex flex-wrap gap-2">
        <Button look="primary" type="submit" disabled={save.isPending}>
          {t(save.isPending ? 'lessons.edit.saving' : 'lessons.edit.save')}
        </Button>
        <Button onClick={onClose}>{t('lessons.edit.close')}</Button>
        {isTouched ? (
          <Button
            look="quiet"
            onClick={() => {
              dropDraft(name);
              onClose();
            }}
          >
            {t('lessons.edit.dropped')}
          </Button>
        ) : null}
      </div>
    </Form>
  );
}
