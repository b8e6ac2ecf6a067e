import { useMutation } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import type { TermEnd, TermEndStudent } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextLink } from '../../kit/controls';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { LetterText } from './LetterText';
import { mailLetters, useLetter } from './useLetter';

interface Props {
  end: TermEnd;
  student: TermEndStudent;
  /** The letter as the record has it. */
  proposed: string;
  onTyped: (isTyped: boolean) => void;
}

/** One student's letter. */
export function LetterEditor({ end, student, proposed, onTyped }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const { letter } = student;
  const [refusal, setProblem] = useProblem();
  const writing = useLetter(end.term.id, student.id, letter, proposed, {
    onKept: () => {
      tell(t('letters.kept', { name: student.name }));
    },
    onTyped,
  });
  const mail = useMutation({
    mutationFn: (id: string) => mailLetters(end.term.id, [id]),
    onSuccess: async ([sent]) => {
      await readAgain('letters');
      if (sent?.sentAt) tell(t('letters.sentOne', { name: student.name }));
      else tell(t('letters.notSent', { count: 1 }), { isProblem: true });
    },
    onError: setProblem,
  });
  const send = useOnce(mail);
  return (
    <section aria-label={student.name}>
      <h2 className="text-xl">{student.name}</h2>
      <p className="mb-2 text-sm text-soft">
        {letter === null && !writing.isTyped
          ? t('letters.fromRecord')
          : writing.isTyped && writing.text === proposed
            ? t('letters.anew')
            : ''}
      </p>
      <LetterText writing={writing} proposed={proposed} label={t('letters.text', { name: student.name })}>
        {letter === null || letter.sentAt !== null || writing.isTyped ? null : student.hasAddress ? (
          <Button
            disabled={mail.isPending}
            onClick={() => {
              send(letter.id);
            }}
          >
            {t(mail.isPending ? 'letters.sending' : 'letters.send')}
          </Button>
        ) : (
          <span className="text-soft">
            {t('letters.noAddress')} <TextLink to={`/students/${student.id}`}>{t('letters.addAddress')}</TextLink>.
          </span>
        )}
      </LetterText>
      <RefusalLine refusal={refusal} />
    </section>
  );
}
