import { useMutation } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type Form } from '../../api/client';
import { type TriedSize } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { useTell } from '../../kit/toasts';
import { type Refusal, useProblem } from '../../kit/useProblem';

export type Pin = 'always' | 'never' | null;
export interface JoinPin {
  after: number;
  pin: Pin;
  /** Of a form with lessons of its own: whether one ends there. */
  isCut?: boolean;
}

interface Cutting {
  refusal: Refusal | null;
  isBusy: boolean;
  /** Sets pins and bars, and offers to put back what stood there. */
  setPins: (joins: JoinPin[]) => void;
  /** A notch was moved by hand: it is pinned where it is put down. */
  moveNotch: (from: number, to: number) => void;
  setSize: (size: TriedSize) => void;
  /** Takes every pin and bar of the hand out; the lessons a form keeps become the best ones, where they are known. */
  free: (best?: { to: number }[]) => void;
}

/** Changes how a form, or a course of it, is cut. What a change moved in running terms is in `changed`. */
export function useCutting(
  form: Pick<Form, 'id' | 'joins'> & { lessons: { to: number }[] },
  course: string | null,
  changed?: (form: Form) => void,
): Cutting {
  const { t } = useTranslation();
  const tell = useTell();
  const [refusal, setProblem] = useProblem();
  const done = async () => {
    setProblem(null);
    await readAgain('cut');
    if (course !== null) await readAgain('plan');
  };
  // One after the other, so that the last change made is the last one answered.
  const scope = { id: `cut-${form.id}-${course ?? ''}` };
  const onCourse = (body: { joins?: JoinPin[]; size?: TriedSize; isFree?: boolean }) =>
    ask(api.PATCH('/api/courses/{course}', { params: { path: { course: course ?? '' } }, body }));
  const onForm = async (sent: Promise<Form>) => {
    const answer = await sent;
    changed?.(answer);
  };
  const pin = useMutation({
    scope,
    mutationFn: (joins: JoinPin[]): Promise<unknown> =>
      course === null
        ? onForm(ask(api.PUT('/api/forms/{form}/joins', { params: { path: { form: form.id } }, body: { joins } })))
        : onCourse({ joins }),
    onSuccess: done,
    onError: setProblem,
  });
  const size = useMutation({
    scope,
    mutationFn: (body: TriedSize): Promise<unknown> =>
      course === null
        ? onForm(ask(api.PUT('/api/forms/{form}/cutting', { params: { path: { form: form.id } }, body })))
        : onCourse({ size: body }),
    onSuccess: async () => {
      await done();
      tell(t('lessons.kept'));
    },
    onError: setProblem,
  });
  const pins = () => form.joins.filter((join) => join.pin !== null) as JoinPin[];
  const setPins = (joins: JoinPin[], says = t('forms.pinned')) => {
    const before = joins.map(({ after }) => ({
      after,
      pin: (form.joins[after - 1]?.pin ?? null) as Pin,
      ...(course === null ? { isCut: form.lessons.some((one) => one.to === after) } : {}),
    }));
    pin.mutate(joins, {
      onSuccess: () => {
        tell(says, {
          takeBack: () => {
            pin.mutate(before);
          },
        });
      },
    });
  };
  return {
    refusal,
    isBusy: pin.isPending || size.isPending,
    setPins,
    moveNotch: (from, to) => {
      const isPinned = form.joins[from - 1]?.pin === 'always';
      setPins([{ after: to, pin: 'always' }, ...(isPinned || course === null ? [{ after: from, pin: null, isCut: false }] : [])]);
    },
    setSize: (body) => {
      size.mutate(body);
    },
    free: (best) => {
      const ends = (of: { to: number }[]) => of.map((one) => one.to).filter((to) => to <= form.joins.length);
      const cut = course === null && best !== undefined ? [...ends(best), ...ends(form.lessons)] : [];
      setPins(
        [...new Set([...pins().map(({ after }) => after), ...cut])].map((after) => ({
          after,
          pin: null,
          ...(course === null && best !== undefined ? { isCut: ends(best).includes(after) } : {}),
        })),
        t('lessons.freed'),
      );
    },
  };
}
