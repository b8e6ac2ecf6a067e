import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useEffectEvent } from 'react';
import {
  type Control,
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  useForm,
  type UseFormReturn,
  type UseFormSetValue,
} from 'react-hook-form';
import { keepDraft, readDraft } from './draft';
import type { z } from './schema';
import { type Refusal, useProblem } from './useProblem';

export interface Fields<Typed extends FieldValues, Said> {
  control: Control<Typed, unknown, Said>;
  form: UseFormReturn<Typed, unknown, Said>;
  /** Writes into a field as a person would: what was wrong with it is looked at again. */
  put: UseFormSetValue<Typed>;
  /** For a form's `onSend`: what is said goes on once every field is right; else the first that is wrong is gone to. */
  send: (go: (said: Said) => void) => () => void;
  /** Why the server refused, where that is not beside one of the fields; gone with the next thing that is typed. */
  refusal: Refusal | null;
  /** What came back instead of an answer: said beside the field it is about, else beside what was asked. */
  refuse: (error: unknown) => void;
}

interface Options<Typed extends FieldValues> {
  /** What is typed is kept in this tab under this name until that is dropped. */
  draft?: string;
  /** What is asked for now, whatever was typed before. */
  over?: Partial<Typed>;
  /** What is wrong is said as it is typed, and not only once it was sent. */
  isCheckedAtOnce?: boolean;
  /** What hangs on a field that says something else now. */
  onTyped?: (name: FieldPath<Typed> | undefined) => void;
}

/**
 * Fields that are read by one schema, of what was typed before or of what is there. What the schema finds wrong stands
 * beside its field once it was sent, and what the server finds wrong stands at the same place.
 *
 * @param schema what may be typed, and what is read from it
 * @param from what the fields hold at first
 */
export function useFields<Typed extends FieldValues, Said>(
  schema: z.ZodType<Said, Typed>,
  from: Typed,
  { draft, over, isCheckedAtOnce = false, onTyped }: Options<Typed> = {},
): Fields<Typed, Said> {
  const form = useForm<Typed, unknown, Said>({
    defaultValues: { ...from, ...(draft === undefined ? null : readDraft<Typed>(draft)), ...over } as DefaultValues<Typed>,
    resolver: zodResolver(schema),
    mode: isCheckedAtOnce ? 'onChange' : 'onSubmit',
  });
  const [refusal, setRefusal] = useProblem();
  const {
    subscribe,
    formState: { isSubmitted },
  } = form;
  const typed = useEffectEvent((values: Typed, name: FieldPath<Typed> | undefined) => {
    if (draft !== undefined) keepDraft(draft, values);
    setRefusal(null);
    onTyped?.(name);
  });
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values, name }) => {
          typed(values, name as FieldPath<Typed> | undefined);
        },
      }),
    [subscribe],
  );
  // Only what is written in one field stands beside it; what is said of several stands beside what was asked.
  const isOurs = (place: string) => ['string', 'number', 'boolean'].includes(typeof form.getValues(place as FieldPath<Typed>));
  return {
    control: form.control,
    form,
    put: (name, value) => {
      form.setValue(name, value, { shouldDirty: true, shouldValidate: isSubmitted || isCheckedAtOnce });
    },
    send: (go) => () => {
      setRefusal(null);
      void form.handleSubmit(go)();
    },
    refusal,
    refuse: (error) => {
      const said = setRefusal(error);
      if (said === null) return;
      const fields = Object.entries(said.fields).flatMap(([place, messages]) => messages.slice(0, 1).map((one) => [place, one]));
      const placed = [...fields, ...(said.place === '' || fields.length > 0 ? [] : [[said.place, said.message]])];
      const ours = placed.filter(([place = '']) => isOurs(place));
      for (const [place, message] of ours) form.setError(place as FieldPath<Typed>, { message: message as string });
      if (ours.length > 0 && ours.length === placed.length) setRefusal(null);
    },
  };
}
