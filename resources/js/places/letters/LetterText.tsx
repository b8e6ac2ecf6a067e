import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { Button, RefusalLine, TextArea } from '../../kit/controls';
import { Notice } from '../../kit/Notice';
import { useOnce } from '../../kit/useOnce';
import type { useLetter } from './useLetter';

interface Props {
  writing: ReturnType<typeof useLetter>;
  label: string;
  /** The letter as the record has it. */
  proposed: string;
  /** What else can be done with it. */
  children?: ReactNode;
}

/** The text of a letter, typed, kept, and beside what somebody else kept meanwhile. */
export function LetterText({ writing, label, proposed, children }: Props) {
  const { t } = useTranslation();
  const keep = useOnce(writing.keep);
  return (
    <>
      {writing.theirs === null ? null : (
        <Notice tone="decision" className="mb-3">
          <p className="font-medium">{t('letters.changed')}</p>
          <p className="my-2 whitespace-pre-wrap">{writing.theirs}</p>
          <div className="flex flex-wrap gap-2">
            <Button onClick={writing.drop}>{t('letters.takeTheirs')}</Button>
            <Button
              look="quiet"
              onClick={() => {
                writing.type(writing.text, writing.version);
              }}
            >
              {t('letters.mine')}
            </Button>
          </div>
        </Notice>
      )}
      <TextArea
        label={label}
        rows={13}
        maxLength={8000}
        value={writing.text}
        className="max-w-3xl"
        onChange={(event) => {
          writing.type(event.target.value);
        }}
      />
      <RefusalLine refusal={writing.theirs === null ? writing.refusal : null} />
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button
          look="primary"
          disabled={
            writing.keep.isPending ||
            writing.theirs !== null ||
            writing.text.trim() === '' ||
            (!writing.isTyped && writing.version > 0)
          }
          onClick={() => {
            keep(writing.toKeep);
          }}
        >
          {t(writing.keep.isPending ? 'letters.keeping' : 'letters.keep')}
        </Button>
        {writing.text === proposed ? null : (
          <Button
            look="quiet"
            onClick={() => {
              writing.type(proposed);
            }}
          >
            {t('letters.again')}
          </Button>
        )}
        {children}
      </div>
    </>
  );
}
