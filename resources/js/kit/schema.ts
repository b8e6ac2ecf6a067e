import { z } from 'zod';
import { t } from '../messages';
import { dayLike, timeLike } from './format';

/** What is wrong with a field, in the words of the catalogue. */
const said: z.core.$ZodErrorMap = (issue) => {
  const letters = 'origin' in issue && issue.origin === 'string';
  if (issue.code === 'too_small' && letters && issue.minimum === 1) return t('fields.required');
  if (issue.code === 'too_small') return t('fields.tooFew', { number: Number(issue.minimum) });
  if (issue.code === 'too_big') return t(letters ? 'fields.tooLong' : 'fields.tooMany', { number: Number(issue.maximum) });
  if (issue.code === 'invalid_format')
    return issue.format === 'date' ? t('fields.dayWrong', { like: dayLike() }) : t('fields.timeWrong', { like: timeLike() });
  if (issue.code === 'invalid_type') return t(issue.expected === 'int' ? 'fields.wholeWrong' : 'fields.numberWrong');
  return undefined;
};

// Checks are walked and not compiled: nothing here may make code out of text.
z.config({ jitless: true, customError: said });

/** A time of day, `HH:MM`. */
export const timeOfDay = z.string().regex(/^\d{2}:\d{2}$/);

/** Something that has to be written, without the room around it. */
export const written = (most: number) => z.string().trim().min(1).max(most);

/** A number typed as the school writes it, with a comma or a point. */
export const decimal = (least: number, most: number) =>
  z
    .string()
    .trim()
    .min(1)
    .transform((typed) => Number(typed.replace(',', '.')))
    .pipe(z.number().min(least).max(most));

/** A whole number, typed. */
export const whole = (least: number, most: number) =>
  z.string().trim().min(1).transform(Number).pipe(z.number().int().min(least).max(most));

export { z };
