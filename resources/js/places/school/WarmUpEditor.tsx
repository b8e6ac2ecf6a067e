import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import type { WarmUp } from '../../api/client';
import { Button, TextArea, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { Select } from '../../kit/Select';
import { ADAPTATIONS } from '../care/care';
import { useBodyWords } from '../care/useBodyWords';

export const KINDS = ['general', 'joint', 'opening', 'check_in', 'closing', 'rest'] as const;
const MOST_MINUTES = 60;

interface Props {
  title: string;
  from: WarmUp;
  isSaving: boolean;
  onSave: (one: WarmUp) => Promise<void>;
  onClose: () => void;
}

/** One warm-up: what it is, how long, which joints, and who does it otherwise. */
export function WarmUpEditor({ title, from, isSaving, onSave, onClose }: Props) {
  const { t } = useTranslation();
  const [one, setOne] = useState(from);
  const [minutes, setMinutes] = useState(String(from.minutes));
  const [isTried, setTried] = useState(false);
  const { joints, considerations: bodies } = useBodyWords();
  const change = (part: Partial<WarmUp>) => {
    setOne((was) => ({ ...was, ...part }));
  };
  const length = Number(minutes.replace(',', '.'));
  const isWrong = !(length >= 0.25 && length <= MOST_MINUTES);
  const caution = (at: number, part: Partial<WarmUp['cautions'][number]>) => {
    change({ cautions: one.cautions.map((old, nth) => (nth === at ? { ...old, ...part } : old)) });
  };
  return (
    <form
      aria-label={title}
      className="my-3 grid max-w-3xl gap-3 border-l-4 border-pine bg-sheet p-4"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        setTried(true);
        if (one.title.trim() === '' || isWrong) return;
        const note = one.note?.trim() ?? '';
        void onSave({
          ...one,
          title: one.title.trim(),
          minutes: length,
          note: note === '' ? null : note,
          cautions: one.cautions.map((old) => ({
            ...old,
            text: old.text === null || old.text.trim() === '' ? null : old.text.trim(),
          })),
        });
      }}
    >
      <TextField
        label={t('school.warm.name')}
        value={one.title}
        maxLength={300}
        error={isTried && one.title.trim() === '' ? t('fields.required') : undefined}
        onChange={(event) => {
          change({ title: event.target.value });
        }}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <Select
          label={t('school.warm.kind')}
          value={one.kind}
          onValue={(kind) => {
            change({ kind });
          }}
          of={KINDS.map((value) => ({ value, text: t(`school.warm.kinds.${value}`) }))}
        />
        <TextField
          label={t('school.warm.minutes')}
          inputMode="decimal"
          value={minutes}
          error={isTried && isWrong ? t('school.warm.minutesWrong') : undefined}
          onChange={(event) => {
            setMinutes(event.target.value);
          }}
        />
      </div>
      <fieldset>
        <legend className="text-sm font-medium">{t('school.warm.joints')}</legend>
        <div className="grid grid-cols-2 sm:grid-cols-4">
          {Object.entries(joints).map(([joint, text]) => (
            <Tick
              key={joint}
              checked={one.joints.includes(joint)}
              onTick={(is) => {
                change({ joints: is ? [...one.joints, joint] : one.joints.filter((other) => other !== joint) });
              }}
            >
              {text}
            </Tick>
          ))}
        </div>
      </fieldset>
      <TextArea
        label={t('school.warm.note')}
        rows={2}
        maxLength={2000}
        value={one.note ?? ''}
        onChange={(event) => {
          change({ note: event.target.value });
        }}
      />
      <fieldset>
        <legend className="text-sm font-medium">{t('school.warm.cautions')}</legend>
        {one.cautions.map((old, at) => (
          // Cautions have no names of their own: they are known by their place.
          <div key={at} className="mb-2 grid items-end gap-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_minmax(0,1.6fr)_auto]">
            <Select
              label={t('school.warm.who')}
              value={old.for}
              onValue={(value) => {
                caution(at, { for: value });
              }}
              of={Object.entries(bodies).map(([value, text]) => ({ value, text }))}
            />
            <Select
              label={t('school.warm.doWhat')}
              value={old.do}
              onValue={(value) => {
                caution(at, { do: value });
              }}
              of={ADAPTATIONS.map((value) => ({ value, text: t(`care.variantDo.${value}`) }))}
            />
            <TextField
              label={t('school.warm.text')}
              value={old.text ?? ''}
              maxLength={2000}
              onChange={(event) => {
                caution(at, { text: event.target.value });
              }}
            />
            <Button
              look="quiet"
              onClick={() => {
                change({ cautions: one.cautions.filter((_, nth) => nth !== at) });
              }}
            >
              {t('school.warm.removeCaution')}
            </Button>
          </div>
        ))}
        <Button
          onClick={() => {
            change({ cautions: [...one.cautions, { for: 'knee', do: 'smaller', text: null }] });
          }}
        >
          {t('school.warm.addCaution')}
        </Button>
      </fieldset>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={isSaving}>
          {t('school.warm.save')}
        </Button>
        <Button onClick={onClose}>{t('school.warm.close')}</Button>
      </div>
    </form>
  );
}
