import { useTranslation } from '../messages';
import { useNavigate } from '../kit/router';
import { Problem } from '../api/client';
import { readAgain, type Touched } from '../api/touched';
import { keepDraft } from '../kit/draft';
import { useTell } from '../kit/toasts';

interface Made {
  /** What the toast says. */
  text: string;
  remove: () => Promise<unknown>;
  touches: Touched;
  /** Where it was made, and what was typed there; the page it is on now would no longer be there. */
  back?: { to: string; draft?: string; typed?: unknown };
}

/** Says that something was made, and takes it back when asked: one is where one was, with what was typed. */
export function useUnmaking(): (made: Made) => void {
  const { t } = useTranslation();
  const tell = useTell();
  const navigate = useNavigate();
  return ({ text, remove, touches, back }) => {
    const takeBack = async () => {
      try {
        await remove();
      } catch (error) {
        tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
        return;
      }
      if (back) {
        if (back.draft !== undefined) keepDraft(back.draft, back.typed);
        await navigate(back.to);
      }
      await readAgain(touches);
      tell(t(back?.draft ? 'app.takenBackTyped' : 'app.takenBack'));
    };
    tell(text, { takeBack: () => void takeBack() });
  };
}
