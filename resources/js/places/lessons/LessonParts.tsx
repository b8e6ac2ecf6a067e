import type { ReactNode } from 'react';
import { type Control, type UseFormSetValue, useFieldArray, useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { Button } from '../../kit/controls';
import { FormSelect, FormText } from '../../kit/formFields';
import { Select } from '../../kit/Select';
import { FADINGS, MODES, type Step } from './lesson';
import { type SaidLesson, type TypedLesson, typedStep } from './lessonFields';

interface Choice {
  value: string;
  text: string;
}

interface Props {
  control: Control<TypedLesson, unknown, SaidLesson>;
  put: UseFormSetValue<TypedLesson>;
}

function Group({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <fieldset className="grid gap-2 border-t border-line pt-2">
      <legend className="float-left mb-1 w-full text-sm font-medium">
        {title} {aside}
      </legend>
      {children}
    </fieldset>
  );
}

/** The steps a lesson is practised in, as they usually are until one is changed. */
export function Steps({ control, put, usual }: Props & { usual: Step[] }) {
  const { t } = useTranslation();
  const { fields, append, remove } = useFieldArray({ control, name: 'steps' });
  const isUsual = useWatch({ control, name: 'isUsual' });
  return (
    <Group title={t('lessons.edit.steps')}>
      {fields.map((step, at) => (
        <div key={step.id} className="grid items-end gap-2 md:grid-cols-[11rem_11rem_1fr_auto]">
          <FormSelect
            control={control}
            name={`steps.${at}.mode`}
            label={t('lessons.edit.mode')}
            of={MODES.map((value) => ({ value, text: t(`lessons.page.modes.${value}`) }))}
          />
          <FormSelect
            control={control}
            name={`steps.${at}.cues`}
            label={t('lessons.edit.cues')}
            of={FADINGS.map((value) => ({ value, text: t(`lessons.page.fading.${value}`) }))}
          />
          <FormText control={control} name={`steps.${at}.text`} label={t('lessons.edit.stepText')} maxLength={2000} />
          <Button
            look="quiet"
            className="mb-1"
            onClick={() => {
              remove(at);
              put('isUsual', false);
            }}
          >
            {t('lessons.edit.removeStep', { nth: at + 1 })}
          </Button>
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => {
            append(typedStep({ mode: 'together', cues: fields.at(-1)?.cues ?? 'all' }));
            put('isUsual', false);
          }}
        >
          {t('lessons.edit.addStep')}
        </Button>
        {isUsual ? null : (
          <Button
            look="quiet"
            onClick={() => {
              put('steps', usual.map(typedStep));
              put('isUsual', true);
            }}
          >
            {t('lessons.edit.stepsUsual')}
          </Button>
        )}
      </div>
    </Group>
  );
}

/** Parts practised by themselves, each of one movement, and after another where that comes first. */
export function Drills({ control, put, entries, own }: Props & { entries: Choice[]; own: Choice[] }) {
  const { t } = useTranslation();
  // Drills have names of their own: what tells their fields apart is kept beside them.
  const { fields, append, remove } = useFieldArray({ control, name: 'drills', keyName: 'key' });
  const drills = useWatch({ control, name: 'drills' });
  return (
    <Group title={t('lessons.edit.drills')}>
      {fields.map((field, at) => {
        const drill = drills[at] ?? field;
        return (
          <div
            key={field.key}
            className="grid items-start gap-2 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_auto]"
          >
            <FormText control={control} name={`drills.${at}.title`} label={t('lessons.edit.drillTitle')} maxLength={300} />
            <FormSelect control={control} name={`drills.${at}.parent`} label={t('lessons.edit.drillParent')} of={own} />
            <Select
              label={t('lessons.edit.drillAfter')}
              value={drill.after[0] ?? ''}
              onValue={(after) => {
                // A file may name several: the others stay.
                const others = drill.after.slice(1).filter((one) => one !== after);
                put(`drills.${at}.after`, after === '' ? others : [after, ...others]);
              }}
              of={[
                { value: '', text: t('lessons.edit.drillAfterNone') },
                ...drills
                  .filter((other) => other.id !== drill.id && other.title.trim() !== '')
                  .map((other) => ({ value: other.id, text: other.title })),
                ...entries,
              ]}
            />
            <FormText control={control} name={`drills.${at}.text`} label={t('lessons.edit.drillText')} maxLength={2000} />
            <Button
              look="quiet"
              className="mt-6"
              onClick={() => {
                // Nothing comes after what is no longer there.
                for (const [nth, other] of drills.entries())
                  if (other.after.includes(drill.id))
                    put(
                      `drills.${nth}.after`,
                      other.after.filter((id) => id !== drill.id),
                    );
                remove(at);
              }}
            >
              {t('lessons.edit.removeDrill', { nth: at + 1 })}
            </Button>
          </div>
        );
      })}
      <Button
        className="justify-self-start"
        onClick={() => {
          append({ was: {}, id: crypto.randomUUID(), title: '', parent: own[0]?.value ?? '', after: [], text: '' });
        }}
      >
        {t('lessons.edit.addDrill')}
      </Button>
    </Group>
  );
}

/** What two people do with each other, step by step, and how hard at most. */
export function PartnerFields({ control, own }: Pick<Props, 'control'> & { own: Choice[] }) {
  const { t } = useTranslation();
  const { fields, append, remove } = useFieldArray({ control, name: 'partner.steps', keyName: 'key' });
  return (
    <Group title={t('lessons.edit.partner')} aside={<span className="font-normal text-soft">{t('lessons.partner.safety')}</span>}>
      <div className="grid gap-2 md:grid-cols-3">
        <FormSelect control={control} name="partner.entry" label={t('lessons.edit.partnerEntry')} of={own} />
        <FormText control={control} name="partner.contact" label={t('lessons.edit.contact')} maxLength={300} />
        <FormText
          control={control}
          name="partner.limit"
          label={t('lessons.edit.limit')}
          hint={t('lessons.edit.limitHint')}
          inputMode="decimal"
        />
      </div>
      {fields.map((step, at) => (
        <FormText
          key={step.key}
          control={control}
          name={`partner.steps.${at}.title`}
          label={t('lessons.edit.pressure', { nth: at + 1 })}
          maxLength={300}
        />
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => {
            append({ was: {}, id: crypto.randomUUID(), title: '' });
          }}
        >
          {t('lessons.edit.addPressure')}
        </Button>
        {fields.length > 1 ? (
          <Button
            look="quiet"
            onClick={() => {
              remove(fields.length - 1);
            }}
          >
            {t('lessons.edit.removePressure')}
          </Button>
        ) : null}
      </div>
    </Group>
  );
}
