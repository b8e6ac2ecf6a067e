import { useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import type { Principle, PrincipleSet } from '../../api/client';
import { Button, TextArea, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { Select } from '../../kit/Select';
import { linesOf, pairsOf } from './lines';
import type { SetEdits } from './useSetEdits';

interface Props {
  set: PrincipleSet;
  principle: Principle;
  edits: SetEdits;
  onRemoved: () => void;
}

interface Typed {
  title: string;
  family: string;
  says: string;
  look: string;
  errors: string;
  states: string;
  after: string[];
}

const typedOf = (one: Principle): Typed => ({
  title: one.title,
  family: one.family ?? '',
  says: one.says ?? '',
  look: one.look.join('\n'),
  errors: one.errors.map((error) => `${error.wrong} => ${error.right}`).join('\n'),
  states: one.states.map((state) => `${state.part} = ${state.state}`).join('\n'),
  after: one.after,
});

/** One principle in the hand: what is typed is saved when its field is left. */
export function PrincipleEditor({ set, principle, edits, onRemoved }: Props) {
  const { t } = useTranslation();
  const draft = `principle.${set.id}.${principle.key}`;
  const [typed, setTyped] = useState(() => readDraft<Typed>(draft) ?? typedOf(principle));
  const saved = useRef(JSON.stringify(typedOf(principle)));
  // What is typed outlives a reload until the server has it.
  const [now, there] = [JSON.stringify(typed), JSON.stringify(typedOf(principle))];
  useEffect(() => {
    if (now === there) dropDraft(draft);
    else keepDraft(draft, JSON.parse(now));
  }, [draft, now, there]);
  const errors = pairsOf(typed.errors, '=>');
  const states = pairsOf(typed.states, '=');
  const isSound = typed.title.trim() !== '' && typeof errors !== 'number' && typeof states !== 'number';

  function save(now: Typed) {
    if (JSON.stringify(now) === saved.current || now.title.trim() === '') return;
    const [wrongs, parts] = [pairsOf(now.errors, '=>'), pairsOf(now.states, '=')];
    if (typeof wrongs === 'number' || typeof parts === 'number') return;
    saved.current = JSON.stringify(now);
    edits.save([
      {
        what: 'put',
        principle: {
          id: principle.key,
          title: now.title.trim(),
          family: now.family === '' ? null : now.family,
          says: now.says.trim() === '' ? null : now.says.trim(),
          look: linesOf(now.look),
          errors: wrongs.map(([wrong, right]) => ({ wrong, right })),
          after: now.after,
          states: parts.map(([part, state]) => ({ part, state })),
        },
      },
    ]);
  }
  const type = (change: Partial<Typed>) => {
    setTyped((was) => ({ ...was, ...change }));
  };
  const choose = (change: Partial<Typed>) => {
    const now = { ...typed, ...change };
    setTyped(now);
    save(now);
  };
  const leave = () => {
    save(typed);
  };
  const others = set.principles.filter((one) => one.key !== principle.key);
  return (
    <div className="mt-3 grid gap-3 border-l-4 border-pine bg-sheet p-4 md:grid-cols-2" data-testid="principle-editor">
      <TextField
        label={t('principles.edit.title')}
        value={typed.title}
        maxLength={300}
        error={typed.title.trim() === '' ? t('fields.required') : undefined}
        onChange={(event) => {
          type({ title: event.target.value });
        }}
        onBlur={leave}
      />
      <Select
        label={t('principles.edit.family')}
        value={typed.family}
        onValue={(family) => {
          choose({ family });
        }}
        of={[{ value: '', text: t('principles.edit.noFamily') }, ...set.families.map((one) => ({ value: one, text: one }))]}
      />
      {(
        [
          ['says', undefined],
          ['look', undefined],
          ['errors', typeof errors === 'number' ? t('principles.edit.pair', { line: errors, by: '=>' }) : undefined],
          ['states', typeof states === 'number' ? t('principles.edit.pair', { line: states, by: '=' }) : undefined],
        ] as const
      ).map(([field, error]) => (
        <TextArea
          key={field}
          label={t(`principles.edit.${field}`)}
          rows={3}
          maxLength={2000}
          value={typed[field]}
          error={error}
          onChange={(event) => {
            type({ [field]: event.target.value });
          }}
          onBlur={leave}
        />
      ))}
      <fieldset className="border-0 p-0 md:col-span-2">
        <legend className="text-sm font-medium">{t('principles.edit.after')}</legend>
        <div className="flex flex-wrap gap-x-6">
          {others.map((one) => (
            <Tick
              key={one.key}
              checked={typed.after.includes(one.key)}
              onTick={(is) => {
                choose({ after: is ? [...typed.after, one.key] : typed.after.filter((key) => key !== one.key) });
              }}
            >
              {one.title}
            </Tick>
          ))}
        </div>
      </fieldset>
      <div className="md:col-span-2">
        <Button
          look="quiet"
          disabled={!isSound && others.length === 0}
          onClick={() => {
            edits.save([{ what: 'remove', id: principle.key }], t('principles.edit.removed', { title: principle.title }));
            onRemoved();
          }}
        >
          {t('principles.edit.remove')}
        </Button>
      </div>
    </div>
  );
}
