import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../messages';
import { useNavigate } from '../kit/router';
import { readAgain, type Touched } from '../api/touched';
import { Button, RefusalLine } from '../kit/controls';
import { Dialog } from '../kit/Dialog';
import { useTell } from '../kit/toasts';
import { useProblem } from '../kit/useProblem';

interface Props {
  label: string;
  /** What goes with it, and what makes it stay. */
  hint: string;
  remove: () => Promise<unknown>;
  touches: Touched;
  to: string;
}

/** Takes away what was made by mistake, after asking; the server refuses where something is recorded in it. */
export function Removing({ label, hint, remove, touches, to }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [refusal, setProblem] = useProblem();
  const removing = useMutation({
    mutationFn: remove,
    onSuccess: async () => {
      await navigate(to);
      await readAgain(touches);
      tell(t('app.removed'));
    },
    onError: setProblem,
  });
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setProblem(null);
          setOpen(true);
        }}
      >
        {label}
      </Button>
      <Dialog open={isOpen} onOpenChange={setOpen} title={label}>
        <p>{hint}</p>
        <RefusalLine refusal={refusal} />
        <Button
          look="primary"
          className="mt-4"
          disabled={removing.isPending}
          onClick={() => {
            removing.mutate();
          }}
        >
          {t('app.remove')}
        </Button>
      </Dialog>
    </>
  );
}
