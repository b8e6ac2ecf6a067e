import { t } from '../../messages';
import type { LessonPage } from '../../api/client';
import { number } from '../../kit/format';
import { written, z } from '../../kit/schema';
import { FADINGS, KINDS, MODES, type Partner, type Step, type View, type WrittenLesson } from './lesson';

const ARROW = '=>';
/** The time limit at the last step of a partner drill, seconds. */
const [LEAST, MOST] = [2, 5];

/** Words that may be left out. */
const words = (most: number) =>
  z
    .string()
    .trim()
    .max(most)
    .transform((text) => (text === '' ? undefined : text));
const linesOf = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** The first line, from 1, on which nothing parts what goes wrong from what is right. */
export function lineWithoutArrow(errors: string): number | null {
  const at = errors.split('\n').findIndex((line) => line.trim() !== '' && !/\S\s*=>\s*\S/.test(line));
  return at < 0 ? null : at + 1;
}

const errorLines = z
  .string()
  .superRefine((text, context) => {
    const line = lineWithoutArrow(text);
    if (line !== null) context.addIssue({ code: 'custom', message: t('lessons.edit.errorsWrong', { line }) });
  })
  .transform((text) =>
    linesOf(text).map((line) => {
      const [wrong = '', ...right] = line.split(ARROW);
      return { wrong: wrong.trim(), right: right.join(ARROW).trim() };
    }),
  );

/** As it was, with what the page does not know: a newer file's words are carried along. */
const was = z.custom<object>();

const partner = z.object({
  was,
  entry: z.string(),
  contact: words(300),
  limit: z.string().transform((typed) => (typed.trim() === '' ? undefined : Number(typed.replace(',', '.')))),
  steps: z.array(z.object({ id: z.string(), was, title: z.string().trim().max(300) })),
  not_for: z.array(z.string()),
});

/** What is typed of a lesson: lists as lines of text, what is as usual marked as such. */
export const lessonFields = z
  .object({
    title: words(300),
    kind: z.enum(KINDS),
    note: words(2000),
    bite: words(2000),
    checks: z.string().transform(linesOf),
    errors: errorLines,
    views: z.array(z.string()),
    runFrom: z.string(),
    isUsual: z.boolean(),
    steps: z.array(z.object({ was, mode: z.enum(MODES), cues: z.enum(FADINGS), text: words(2000) })),
    drills: z.array(
      z.object({ was, id: z.string(), title: written(300), parent: z.string(), after: z.array(z.string()), text: words(2000) }),
    ),
    partner,
  })
  .superRefine(({ kind, partner: drill }, context) => {
    // What is written for a partner counts only in a lesson with one.
    if (kind !== 'partner') return;
    if (drill.limit !== undefined && !(drill.limit >= LEAST && drill.limit <= MOST))
      context.addIssue({ code: 'custom', path: ['partner', 'limit'], message: t('lessons.edit.limitWrong') });
    for (const [at, step] of drill.steps.entries())
      if (step.title === '')
        context.addIssue({ code: 'custom', path: ['partner', 'steps', at, 'title'], message: t('fields.required') });
  });
export type TypedLesson = z.input<typeof lessonFields>;
export type SaidLesson = z.output<typeof lessonFields>;

/** As a partner drill begins: not for those at risk. */
const newPartner = (entry: string): Partner => ({
  entry,
  steps: [{ id: crypto.randomUUID(), title: '' }],
  not_for: ['first_time', 'dizziness', 'balance', 'neck', 'breath_or_heart', 'pregnancy', 'recent_surgery'],
});

/** A step as it is typed. */
export const typedStep = (step: Step): TypedLesson['steps'][number] => ({ ...step, was: step, text: step.text ?? '' });

/** A lesson as it is typed. */
export function typedOf(lesson: WrittenLesson, page: LessonPage): TypedLesson {
  const { partner = newPartner(lesson.entries[0] ?? '') } = lesson;
  return {
    title: lesson.title ?? '',
    kind: lesson.kind,
    note: lesson.note ?? '',
    bite: lesson.bite ?? '',
    checks: (lesson.checks ?? []).join('\n'),
    errors: (lesson.errors ?? []).map((one) => `${one.wrong} ${ARROW} ${one.right}`).join('\n'),
    views: lesson.views ?? (page.views as View[]),
    runFrom: lesson.run_from ?? '',
    isUsual: lesson.steps === undefined,
    steps: (lesson.steps ?? (page.steps as Step[])).map(typedStep),
    drills: (lesson.drills ?? []).map((drill) => ({ ...drill, was: drill, after: drill.after ?? [], text: drill.text ?? '' })),
    partner: {
      ...partner,
      was: partner,
      steps: partner.steps.map((step) => ({ ...step, was: step })),
      contact: partner.contact ?? '',
      limit: partner.limit === undefined ? '' : number(partner.limit),
    },
  };
}

/** One part as it is said, with what the page does not know of it as it was. */
const whole = <T extends { was: object }>({ was: before, ...said }: T) => ({ ...before, ...said });

/** The lesson that was said, with what the page does not know of it as it was. */
export function lessonOf(said: SaidLesson, kept: WrittenLesson, page: LessonPage): WrittenLesson {
  const { runFrom, isUsual, views, steps, drills, partner, ...rest } = said;
  const areUsual = kept.views === undefined && [...views].sort().join() === [...page.views].sort().join();
  const lesson: Record<string, unknown> = {
    ...kept,
    ...rest,
    views: areUsual ? undefined : views,
    run_from: runFrom === '' ? undefined : runFrom,
    steps: isUsual ? undefined : steps.map(whole),
    drills: drills.length === 0 && kept.drills === undefined ? undefined : drills.map(whole),
    partner: rest.kind === 'partner' ? { ...whole(partner), steps: partner.steps.map(whole) } : undefined,
  };
  return lesson as unknown as WrittenLesson;
}
