import { type Control, type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { FormSelect, FormText } from '../../kit/formFields';
import { z } from '../../kit/schema';

export const PACES = ['', 'movements', 'minutes'] as const;

/** What is said of a pace: nothing, movements an evening, or minutes a simple movement takes; and how lessons lie. */
export const paceFields = {
  paceBy: z.enum(PACES),
  pace: z.string(),
  spread: z.enum(['', 'even', 'pace']),
};

interface Said {
  paceBy: (typeof PACES)[number];
  pace: string;
  spread: '' | 'even' | 'pace';
}

/** As the fields begin, of a course that says something or nothing. */
export function paceSaid(movements: number | null, minutes: number | null, spread: boolean | null): Said {
  return {
    paceBy: movements !== null ? 'movements' : minutes !== null ? 'minutes' : '',
    pace: String(movements ?? minutes ?? ''),
    spread: spread === null ? '' : spread ? 'even' : 'pace',
  };
}

/** What the server is told; nothing of a number that cannot be read. */
export function paceBody({ paceBy, pace, spread }: Said): {
  pace: { movements?: number; minutes?: number };
  spread: boolean | null;
} {
  const amount = Number(pace.replace(',', '.'));
  return {
    pace: paceBy === '' || pace.trim() === '' || !(amount > 0) ? {} : { [paceBy]: amount },
    spread: spread === '' ? null : spread === 'even',
  };
}

/** What of it differs from what was said before. */
export function paceChanged(now: Said, before: Said): Partial<ReturnType<typeof paceBody>> {
  const [is, was] = [paceBody(now), paceBody(before)];
  return {
    ...(JSON.stringify(is.pace) === JSON.stringify(was.pace) ? {} : { pace: is.pace }),
    ...(is.spread === was.spread ? {} : { spread: is.spread }),
  };
}

/** How fast a course goes and how its lessons lie: what an ordinary class does, unless one says otherwise. */
export function PaceFields<V extends FieldValues & Said, S>({ control }: { control: Control<V, unknown, S> }) {
  const { t } = useTranslation();
  const by: Said['paceBy'] = useController({ control, name: 'paceBy' as FieldPath<V> }).field.value;
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_7rem] items-end gap-3">
        <FormSelect
          control={control}
          name={'paceBy' as FieldPath<V>}
          label={t('terms.pacing')}
          of={PACES.map((one) => ({ value: one, text: t(`terms.pacings.${one === '' ? 'usual' : one}`) }))}
        />
        {by === '' ? null : (
          <FormText control={control} name={'pace' as FieldPath<V>} label={t(`terms.pacingAmount.${by}`)} inputMode="decimal" />
        )}
      </div>
      <FormSelect
        control={control}
        name={'spread' as FieldPath<V>}
        label={t('terms.spread')}
        of={(['', 'even', 'pace'] as const).map((one) => ({
          value: one,
          text: t(`terms.spreads.${one === '' ? 'usual' : one}`),
        }))}
      />
    </>
  );
}
