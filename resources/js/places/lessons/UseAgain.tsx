import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useNavigate } from '../../kit/router';
import { api, ask, type Form } from '../../api/client';
import { formCoursesQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { Asked } from '../../kit/page';
import { Select } from '../../kit/Select';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';
import type { WrittenLesson } from './lesson';

/** Uses a written lesson for another group and term, or takes what was written away. */
export function UseAgain({ form, written, course }: { form: Form; written: WrittenLesson; course: string | null }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const [isOpen, setOpen] = useState(false);
  const [refusal, setProblem] = useProblem();
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/lessons/{lesson}', { params: { path: { lesson: written.id } } })),
    onSuccess: async () => {
      await readAgain('lesson');
      unmaking({
        text: t('lessons.page.removed'),
        remove: () =>
          ask(
            api.PUT('/api/forms/{form}/lessons', {
              params: { path: { form: form.id } },
              body: { course, version: 0, lesson: written as never },
            }),
          ),
        touches: 'lesson',
      });
    },
    onError: setProblem,
  });
  const drop = useOnce(remove);
  return (
    <>
      <Button
        onClick={() => {
          setOpen(true);
        }}
      >
        {t('lessons.page.use')}
      </Button>
      <Button
        look="quiet"
        disabled={remove.isPending}
        onClick={() => {
          drop(undefined);
        }}
      >
        {t('lessons.page.remove')}
      </Button>
      <RefusalLine refusal={refusal} className="" />
      <Dialog open={isOpen} onOpenChange={setOpen} title={t('lessons.page.use')}>
        <Choosing
          form={form}
          written={written}
          course={course}
          onDone={() => {
            setOpen(false);
          }}
        />
      </Dialog>
    </>
  );
}

interface ChoosingProps {
  form: Form;
  written: WrittenLesson;
  course: string | null;
  onDone: () => void;
}

function Choosing({ form, written, course, onDone }: ChoosingProps) {
  const { t } = useTranslation();
  const tell = useTell();
  const navigate = useNavigate();
  const courses = useQuery(formCoursesQuery(form.id));
  const [refusal, setProblem] = useProblem();
  const { asOne } = useAsOne();
  const [id] = useState(() => crypto.randomUUID());
  const [chosen, setChosen] = useState<string | null>(null);
  const use = useMutation({
    mutationFn: (to: string) =>
      ask(
        api.POST('/api/lessons/{lesson}/use', {
          params: { path: { lesson: written.id }, header: asOne(to) },
          body: { id, course: to === '' ? null : to },
        }),
      ),
    onSuccess: async (page, to) => {
      await readAgain('lesson');
      onDone();
      tell(t('lessons.page.used'));
      const at = page.number === null ? (page.lesson as unknown as WrittenLesson).id : String(page.number);
      void navigate(`/forms/${form.id}/lessons/${at}${to === '' ? '' : `?course=${to}`}`);
    },
    onError: setProblem,
  });
  const send = useOnce(use);
  return (
    <Asked query={courses}>
      {(all) => {
        const others = [
          ...(course === null ? [] : [{ value: '', text: t('lessons.page.useHere') }]),
          ...all.filter((one) => one.id !== course).map((one) => ({ value: one.id, text: `${one.group}, ${one.term}` })),
        ];
        const first = others[0];
        if (first === undefined) return <p>{t('lessons.page.useNone')}</p>;
        return (
          <div className="flex flex-col gap-3">
            <Select label={t('lessons.page.useFor')} value={chosen ?? first.value} onValue={setChosen} of={others} />
            <RefusalLine refusal={refusal} />
            <Button
              look="primary"
              disabled={use.isPending}
              onClick={() => {
                send(chosen ?? first.value);
              }}
            >
              {t('lessons.page.use')}
            </Button>
          </div>
        );
      }}
    </Asked>
  );
}
