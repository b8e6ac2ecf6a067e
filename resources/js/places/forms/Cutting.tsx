import { type FormEvent, type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Form } from '../../api/client';
import { Button, TextField } from '../../kit/controls';
import { number } from '../../kit/format';

interface Props {
  form: Form;
  isBusy: boolean;
  onSize: (body: { target?: number | null; lessons?: number | null }) => void;
  children: ReactNode;
}

/** How large, or how many, the lessons should be; one is said, never both. */
export function Cutting({ form, isBusy, onSize, children }: Props) {
  const { t } = useTranslation();
  const [target, setTarget] = useState(form.chosenTarget === null ? '' : String(form.chosenTarget));
  const [count, setCount] = useState(form.chosenLessons === null ? '' : String(form.chosenLessons));
  function submit(event: FormEvent) {
    event.preventDefault();
    onSize(count === '' ? { target: target === '' ? null : Number(target) } : { lessons: Number(count) });
  }
  return (
    <form onSubmit={submit} className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={t('forms.target')}
          type="number"
          min={0.25}
          step="any"
          inputMode="decimal"
          placeholder={number(form.target)}
          value={target}
          onChange={(event) => {
            setTarget(event.target.value);
            setCount('');
          }}
        />
        <TextField
          label={t('forms.count')}
          type="number"
          min={1}
          max={form.entries.length}
          inputMode="numeric"
          placeholder={String(form.lessons.length)}
          value={count}
          onChange={(event) => {
            setCount(event.target.value);
            setTarget('');
          }}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={isBusy}>
          {t('forms.apply')}
        </Button>
        {form.chosenTarget !== null || form.chosenLessons !== null ? (
          <Button
            look="quiet"
            disabled={isBusy}
            onClick={() => {
              setTarget('');
              setCount('');
              onSize({});
            }}
          >
            {t('forms.automatic')}
          </Button>
        ) : null}
      </div>
      <p className="text-sm text-soft">{t('forms.cutWhy', { target: number(form.target), lambda: number(form.lambda) })}</p>
      {children}
    </form>
  );
}
