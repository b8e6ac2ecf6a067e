import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, type ReactNode, useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Form, type LessonPage } from '../../api/client';
import { lessonQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextArea, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { entryName } from '../../kit/entryName';
import { Select } from '../../kit/Select';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { type Drill, FADINGS, KINDS, MODES, type Partner, type Step, VIEWS, type WrittenLesson } from './lesson';

interface Props {
  form: Form;
  page: LessonPage;
  course: string | null;
  which: string;
  onClose: () => void;
}

/** What is typed: lists as lines of text, the rest as it is kept. */
interface Typed {
  lesson: WrittenLesson;
  checks: string;
  errors: string;
  limit: string;
}

const ARROW = '=>';

function typedOf(lesson: WrittenLesson): Typed {
  return {
    lesson,
    checks: (lesson.checks ?? []).join('\n'),
    errors: (lesson.errors ?? []).map((one) => `${one.wrong} ${ARROW} ${one.right}`).join('\n'),
    limit: lesson.partner?.limit === undefined ? '' : String(lesson.partner.limit),
  };
}

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** The first line, from 1, on which nothing parts what goes wrong from what is right. */
export function lineWithoutArrow(errors: string): number | null {
  const at = errors.split('\n').findIndex((line) => line.trim() !== '' && !/\S\s*=>\s*\S/.test(line));
  return at < 0 ? null : at + 1;
}

function lessonOf({ lesson, checks, errors, limit }: Typed): WrittenLesson {
  const filled = (text: string | undefined) => (text === undefined || text.trim() === '' ? undefined : text.trim());
  const whole: Record<string, unknown> = {
    ...lesson,
    title: filled(lesson.title),
    note: filled(lesson.note),
    bite: filled(lesson.bite),
    checks: lines(checks),
    errors: lines(errors).map((line) => {
      const [wrong = '', ...right] = line.split(ARROW);
      return { wrong: wrong.trim(), right: right.join(ARROW).trim() };
    }),
    steps: lesson.steps?.map((step) => ({ ...step, text: filled(step.text) })),
    drills: lesson.drills?.map((drill) => ({ ...drill, title: drill.title.trim(), text: filled(drill.text) })),
    partner:
      lesson.kind !== 'partner' || lesson.partner === undefined
        ? undefined
        : {
            ...lesson.partner,
            contact: filled(lesson.partner.contact),
            limit: limit.trim() === '' ? undefined : Number(limit.replace(',', '.')),
          },
  };
  return whole as unknown as WrittenLesson;
}

/** What a teacher adds to a lesson; what is typed is kept in this tab until it is kept for good. */
export function LessonEditor({ form, page, course, which, onClose }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  const [refusal, setProblem] = useProblem();
  const name = `lesson.${form.id}.${course ?? ''}.${which}`;
  const kept = page.lesson as unknown as WrittenLesson;
  const [drafted] = useState(() => readDraft<{ version: number; typed: Typed }>(name));
  const [typed, setTyped] = useState<Typed>(() => drafted?.typed ?? typedOf(kept));
  const [isTouched, setTouched] = useState(drafted !== null);
  const [isTried, setTried] = useState(false);
  useEffect(() => {
    if (isTouched) keepDraft(name, { version: page.version, typed });
  }, [isTouched, name, page.version, typed]);
  const type = (part: Partial<Typed>) => {
    setTouched(true);
    setTyped((was) => ({ ...was, ...part }));
  };
  const set = (part: Partial<WrittenLesson>) => {
    type({ lesson: { ...typed.lesson, ...part } });
  };
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
    onError: setProblem,
  });
  const send = useOnce(save);
  const lesson = typed.lesson;
  const wrongLine = lineWithoutArrow(typed.errors);
  const limit = Number(typed.limit.replace(',', '.'));
  const isLimitWrong = lesson.kind === 'partner' && typed.limit.trim() !== '' && !(limit >= 2 && limit <= 5);
  const entries = form.entries.map((entry) => ({ value: entry.key, text: entryName(entry) }));
  const own = form.entries
    .filter((entry) => kept.entries.includes(entry.key))
    .map((entry) => ({ value: entry.key, text: entryName(entry) }));
  return (
    <form
      aria-label={t('lessons.edit.title', { number: page.number ?? '' })}
      className="no-print mb-6 grid gap-4 border-l-4 border-pine bg-sheet p-4"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        setTried(true);
        if (wrongLine !== null || isLimitWrong) return;
        send(lessonOf(typed));
      }}
    >
      <p className="text-soft">{drafted === null ? t('lessons.edit.hint') : t('lessons.edit.draft')}</p>
      <div className="grid gap-4 md:grid-cols-2">
        <TextField
          label={t('lessons.edit.name')}
          maxLength={300}
          value={lesson.title ?? ''}
          onChange={(event) => set({ title: event.target.value })}
        />
        <Select
          label={t('lessons.edit.kind')}
          value={lesson.kind}
          onValue={(kind) => {
            set({
              kind: kind as WrittenLesson['kind'],
              ...(kind === 'partner' && lesson.partner === undefined ? { partner: newPartner(own[0]?.value ?? '') } : {}),
            });
          }}
          of={KINDS.map((value) => ({ value, text: t(`lessons.page.kinds.${value}`) }))}
        />
        <TextArea
          label={t('lessons.edit.note')}
          rows={2}
          maxLength={2000}
          value={lesson.note ?? ''}
          onChange={(event) => set({ note: event.target.value })}
        />
        <TextArea
          label={t('lessons.edit.bite')}
          rows={2}
          maxLength={2000}
          value={lesson.bite ?? ''}
          onChange={(event) => set({ bite: event.target.value })}
        />
        <TextArea
          label={t('lessons.edit.checks')}
          rows={3}
          value={typed.checks}
          onChange={(event) => type({ checks: event.target.value })}
        />
        <TextArea
          label={t('lessons.edit.errors')}
          rows={3}
          value={typed.errors}
          error={isTried && wrongLine !== null ? t('lessons.edit.errorsWrong', { line: wrongLine }) : undefined}
          onChange={(event) => type({ errors: event.target.value })}
        />
        <fieldset>
          <legend className="text-sm font-medium">{t('lessons.edit.views')}</legend>
          {VIEWS.map((view) => (
            <Tick
              key={view}
              checked={(lesson.views ?? (page.views as WrittenLesson['views']) ?? []).includes(view)}
              onTick={(is) => {
                const now = lesson.views ?? (page.views as WrittenLesson['views']) ?? [];
                set({ views: is ? [...now, view] : now.filter((other) => other !== view) });
              }}
            >
              {t(`lessons.page.viewNames.${view}`)}
            </Tick>
          ))}
        </fieldset>
        <Select
          label={t('lessons.edit.runFrom')}
          value={lesson.run_from ?? ''}
          onValue={(value) => {
            set({ run_from: value === '' ? undefined : value } as Partial<WrittenLesson>);
          }}
          of={[{ value: '', text: t('lessons.edit.runUsual') }, ...entries]}
        />
      </div>
      <Steps
        steps={lesson.steps ?? (page.steps as Step[])}
        isUsual={lesson.steps === undefined}
        onSteps={(steps) => {
          set({ steps } as Partial<WrittenLesson>);
        }}
      />
      <Drills drills={lesson.drills ?? []} entries={entries} own={own} onDrills={(drills) => set({ drills })} />
      {lesson.kind === 'partner' && lesson.partner !== undefined ? (
        <PartnerFields
          partner={lesson.partner}
          own={own}
          limit={typed.limit}
          error={isTried && isLimitWrong ? t('lessons.edit.limitWrong') : undefined}
          onLimit={(value) => type({ limit: value })}
          onPartner={(partner) => set({ partner })}
        />
      ) : null}
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
    </form>
  );
}

/** As a partner drill begins: not for those at risk. */
const newPartner = (entry: string): Partner => ({
  entry,
  steps: [{ id: crypto.randomUUID(), title: '' }],
  not_for: ['first_time', 'dizziness', 'balance', 'neck', 'breath_or_heart', 'pregnancy', 'recent_surgery'],
});

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

interface StepsProps {
  steps: Step[];
  isUsual: boolean;
  onSteps: (steps: Step[] | undefined) => void;
}

function Steps({ steps, isUsual, onSteps }: StepsProps) {
  const { t } = useTranslation();
  const change = (at: number, part: Partial<Step>) => {
    onSteps(steps.map((step, nth) => (nth === at ? { ...step, ...part } : step)));
  };
  return (
    <Group title={t('lessons.edit.steps')}>
      {steps.map((step, at) => (
        // Steps have no names of their own: they are known by their place.
        <div key={at} className="grid items-end gap-2 md:grid-cols-[11rem_11rem_1fr_auto]">
          <Select
            label={t('lessons.edit.mode')}
            value={step.mode}
            onValue={(mode) => {
              change(at, { mode: mode as Step['mode'] });
            }}
            of={MODES.map((value) => ({ value, text: t(`lessons.page.modes.${value}`) }))}
          />
          <Select
            label={t('lessons.edit.cues')}
            value={step.cues}
            onValue={(cues) => {
              change(at, { cues: cues as Step['cues'] });
            }}
            of={FADINGS.map((value) => ({ value, text: t(`lessons.page.fading.${value}`) }))}
          />
          <TextField
            label={t('lessons.edit.stepText')}
            maxLength={2000}
            value={step.text ?? ''}
            onChange={(event) => {
              change(at, { text: event.target.value });
            }}
          />
          <Button
            look="quiet"
            className="mb-1"
            onClick={() => {
              onSteps(steps.filter((_, nth) => nth !== at));
            }}
          >
            {t('lessons.edit.removeStep', { nth: at + 1 })}
          </Button>
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => {
            onSteps([...steps, { mode: 'together', cues: steps.at(-1)?.cues ?? 'all' }]);
          }}
        >
          {t('lessons.edit.addStep')}
        </Button>
        {isUsual ? null : (
          <Button
            look="quiet"
            onClick={() => {
              onSteps(undefined);
            }}
          >
            {t('lessons.edit.stepsUsual')}
          </Button>
        )}
      </div>
    </Group>
  );
}

interface Choice {
  value: string;
  text: string;
}

interface DrillsProps {
  drills: Drill[];
  entries: Choice[];
  own: Choice[];
  onDrills: (drills: Drill[]) => void;
}

function Drills({ drills, entries, own, onDrills }: DrillsProps) {
  const { t } = useTranslation();
  const change = (at: number, part: Partial<Drill>) => {
    onDrills(drills.map((drill, nth) => (nth === at ? { ...drill, ...part } : drill)));
  };
  return (
    <Group title={t('lessons.edit.drills')}>
      {drills.map((drill, at) => (
        <div
          key={drill.id}
          className="grid items-end gap-2 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_auto]"
        >
          <TextField
            label={t('lessons.edit.drillTitle')}
            maxLength={300}
            required
            value={drill.title}
            onChange={(event) => {
              change(at, { title: event.target.value });
            }}
          />
          <Select
            label={t('lessons.edit.drillParent')}
            value={drill.parent}
            onValue={(parent) => {
              change(at, { parent });
            }}
            of={own}
          />
          <Select
            label={t('lessons.edit.drillAfter')}
            value={drill.after?.[0] ?? ''}
            onValue={(after) => {
              // A file may name several: the others stay.
              const others = (drill.after ?? []).slice(1).filter((one) => one !== after);
              change(at, { after: after === '' ? others : [after, ...others] });
            }}
            of={[
              { value: '', text: t('lessons.edit.drillAfterNone') },
              ...drills
                .filter((other) => other.id !== drill.id && other.title.trim() !== '')
                .map((other) => ({ value: other.id, text: other.title })),
              ...entries,
            ]}
          />
          <TextField
            label={t('lessons.edit.drillText')}
            maxLength={2000}
            value={drill.text ?? ''}
            onChange={(event) => {
              change(at, { text: event.target.value });
            }}
          />
          <Button
            look="quiet"
            className="mb-1"
            onClick={() => {
              onDrills(
                drills
                  .filter((other) => other.id !== drill.id)
                  .map((other) => ({ ...other, after: (other.after ?? []).filter((id) => id !== drill.id) })),
              );
            }}
          >
            {t('lessons.edit.removeDrill', { nth: at + 1 })}
          </Button>
        </div>
      ))}
      <Button
        className="justify-self-start"
        onClick={() => {
          onDrills([...drills, { id: crypto.randomUUID(), title: '', parent: own[0]?.value ?? '', after: [] }]);
        }}
      >
        {t('lessons.edit.addDrill')}
      </Button>
    </Group>
  );
}

interface PartnerProps {
  partner: Partner;
  own: Choice[];
  limit: string;
  error: string | undefined;
  onLimit: (value: string) => void;
  onPartner: (partner: Partner) => void;
}

function PartnerFields({ partner, own, limit, error, onLimit, onPartner }: PartnerProps) {
  const { t } = useTranslation();
  return (
    <Group title={t('lessons.edit.partner')} aside={<span className="font-normal text-soft">{t('lessons.partner.safety')}</span>}>
      <div className="grid gap-2 md:grid-cols-3">
        <Select
          label={t('lessons.edit.partnerEntry')}
          value={partner.entry}
          onValue={(entry) => {
            onPartner({ ...partner, entry });
          }}
          of={own}
        />
        <TextField
          label={t('lessons.edit.contact')}
          maxLength={300}
          value={partner.contact ?? ''}
          onChange={(event) => {
            onPartner({ ...partner, contact: event.target.value });
          }}
        />
        <TextField
          label={t('lessons.edit.limit')}
          hint={t('lessons.edit.limitHint')}
          inputMode="decimal"
          value={limit}
          error={error}
          onChange={(event) => {
            onLimit(event.target.value);
          }}
        />
      </div>
      {partner.steps.map((step, at) => (
        <TextField
          key={step.id}
          label={t('lessons.edit.pressure', { nth: at + 1 })}
          maxLength={300}
          required
          value={step.title}
          onChange={(event) => {
            onPartner({
              ...partner,
              steps: partner.steps.map((other) => (other.id === step.id ? { ...other, title: event.target.value } : other)),
            });
          }}
        />
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => {
            onPartner({ ...partner, steps: [...partner.steps, { id: crypto.randomUUID(), title: '' }] });
          }}
        >
          {t('lessons.edit.addPressure')}
        </Button>
        {partner.steps.length > 1 ? (
          <Button
            look="quiet"
            onClick={() => {
              onPartner({ ...partner, steps: partner.steps.slice(0, -1) });
            }}
          >
            {t('lessons.edit.removePressure')}
          </Button>
        ) : null}
      </div>
    </Group>
  );
}
