import { useMutation } from '@tanstack/react-query';
import { api, ask, Problem } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Tick } from '../../kit/Tick';
import { useTell } from '../../kit/toasts';
import { useTranslation } from '../../messages';

/** Marks the room of a group as cold, so that its warm-ups begin more gently. */
export function ColdRoom({ group, isCold }: { group: string; isCold: boolean }) {
  const { t } = useTranslation();
  const tell = useTell();
  const mark = useMutation({
    mutationFn: (is: boolean) => ask(api.PUT('/api/groups/{group}/room', { params: { path: { group } }, body: { isCold: is } })),
    onSuccess: () => readAgain('warmUps'),
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  return (
    <Tick
      className="no-print text-[0.95rem]"
      checked={mark.isPending ? mark.variables : isCold}
      onTick={(is) => {
        mark.mutate(is);
      }}
    >
      {t('warmUps.cold')}
    </Tick>
  );
}
