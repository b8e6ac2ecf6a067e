import { useFieldArray } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { Adaptation, Consideration, Joint, WarmUpKind } from '../../api/enums';
import type { WarmUp } from '../../api/client';
import { Button } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { FormArea, FormSelect, FormText, FormTicks } from '../../kit/formFields';
import { number } from '../../kit/format';
import { decimal, written, z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { ADAPTATIONS } from '../care/care';
import { useBodyWords } from '../care/useBodyWords';

export { WarmUpKind as KINDS };
const MOST_MINUTES = 60;

interface Props {
  title: string;
  from: WarmUp;
  isSaving: boolean;
  onSave: (one: WarmUp) => Promise<void>;
  onClose: () => void;
}

const filled = z
  .string()
  .trim()
  .max(2000)
  .transform((text) => (text === '' ? null : text));
const warmUp = z.object({
  title: written(300),
  kind: z.enum(WarmUpKind),
  minutes: decimal(0.25, MOST_MINUTES),
  joints: z.array(z.enum(Joint)),
  note: filled,
  cautions: z.array(z.object({ for: z.enum(Consideration), do: z.enum(Adaptation), text: filled })),
});

/** One warm-up: what it is, how long, which joints, and who does it otherwise. */
export function WarmUpEditor({ title, from, isSaving, onSave, onClose }: Props) {
  const { t } = useTranslation();
  const { joints, considerations: bodies } = useBodyWords();
  const { control, send } = useFields(warmUp, {
    title: from.title,
    kind: from.kind,
    minutes: number(from.minutes),
    joints: from.joints,
    note: from.note ?? '',
    cautions: from.cautions.map((one) => ({ for: one.for, do: one.do, text: one.text ?? '' })),
  });
  const { fields: cautions, append, remove } = useFieldArray({ control, name: 'cautions' });
  return (
    <Form
      aria-label={title}
      className="my-3 grid max-w-3xl gap-3 border-l-4 border-pine bg-sheet p-4"
      onSend={send((said) => void onSave({ ...from, ...said }))}
    >
      <FormText control={control} name="title" label={t('school.warm.name')} maxLength={300} />
      <div className="grid gap-3 sm:grid-cols-2">
        <FormSelect
          control={control}
          name="kind"
          label={t('school.warm.kind')}
          of={WarmUpKind.map((value) => ({ value, text: t(`school.warm.kinds.${value}`) }))}
        />
        <FormText control={control} name="minutes" label={t('school.warm.minutes')} inputMode="decimal" />
      </div>
      <fieldset>
        <legend className="text-sm font-medium">{t('school.warm.joints')}</legend>
        <div className="grid grid-cols-2 sm:grid-cols-4">
          <FormTicks control={control} name="joints" of={Object.entries(joints).map(([value, text]) => ({ value, text }))} />
        </div>
      </fieldset>
      <FormArea control={control} name="note" label={t('school.warm.note')} rows={2} maxLength={2000} />
      <fieldset>
        <legend className="text-sm font-medium">{t('school.warm.cautions')}</legend>
        {cautions.map((one, at) => (
          <div
            key={one.id}
            className="mb-2 grid items-end gap-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_minmax(0,1.6fr)_auto]"
          >
            <FormSelect
              control={control}
              name={`cautions.${at}.for`}
              label={t('school.warm.who')}
              of={Object.entries(bodies).map(([value, text]) => ({ value, text }))}
            />
            <FormSelect
              control={control}
              name={`cautions.${at}.do`}
              label={t('school.warm.doWhat')}
              of={ADAPTATIONS.map((value) => ({ value, text: t(`care.variantDo.${value}`) }))}
            />
            <FormText control={control} name={`cautions.${at}.text`} label={t('school.warm.text')} maxLength={2000} />
            <Button
              look="quiet"
              onClick={() => {
                remove(at);
              }}
            >
              {t('school.warm.removeCaution')}
            </Button>
          </div>
        ))}
        <Button
          onClick={() => {
            append({ for: 'knee', do: 'smaller', text: '' });
          }}
        >
          {t('school.warm.addCaution')}
        </Button>
      </fieldset>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={isSaving}>
          {t('school.warm.save')}
        </Button>
        <Button onClick={onClose}>{t('school.warm.close')}</Button>
      </div>
    </Form>
  );
}
