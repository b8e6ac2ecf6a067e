import type { ComponentProps } from 'react';
import { type Control, type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { TextArea, TextField } from './controls';
import { DateField, TimeField } from './DateField';
import { Segmented } from './Segmented';
import { Select } from './Select';
import { Tick } from './Tick';

interface Owned<V extends FieldValues, S> {
  control: Control<V, unknown, S>;
  name: FieldPath<V>;
}

type Rest<C extends (props: never) => unknown, K extends string> = Omit<Parameters<C>[0], K | 'error' | 'name'>;

/** A line of text in a form. */
export function FormText<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Rest<typeof TextField, 'value' | 'onChange' | 'onBlur'>) {
  const { field, fieldState } = useController({ control, name });
  return <TextField {...rest} {...field} value={String(field.value)} error={fieldState.error?.message} />;
}

/** Lines of text in a form. */
export function FormArea<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Rest<typeof TextArea, 'value' | 'onChange' | 'onBlur'>) {
  const { field, fieldState } = useController({ control, name });
  return <TextArea {...rest} {...field} value={String(field.value)} error={fieldState.error?.message} />;
}

/** A day of a form. */
export function FormDate<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Rest<typeof DateField, 'value' | 'onValue'>) {
  const { field, fieldState } = useController({ control, name });
  return <DateField {...rest} value={field.value as string} onValue={field.onChange} error={fieldState.error?.message} />;
}

/** A time of a form. */
export function FormTime<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Rest<typeof TimeField, 'value' | 'onValue'>) {
  const { field, fieldState } = useController({ control, name });
  return <TimeField {...rest} value={field.value as string} onValue={field.onChange} error={fieldState.error?.message} />;
}

/** One of many, in a form; numbers are chosen by how they are written. */
export function FormSelect<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Rest<typeof Select, 'value' | 'onValue'>) {
  const { field, fieldState } = useController({ control, name });
  return <Select {...rest} value={String(field.value)} onValue={field.onChange} error={fieldState.error?.message} />;
}

/** One of a few, all of them in sight, in a form. */
export function FormSegmented<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Omit<ComponentProps<typeof Segmented<string>>, 'value' | 'onValue'>) {
  const { field } = useController({ control, name });
  return <Segmented {...rest} value={String(field.value)} onValue={field.onChange} />;
}

/** What is or is not, in a form. */
export function FormTick<V extends FieldValues, S>({
  control,
  name,
  ...rest
}: Owned<V, S> & Omit<ComponentProps<typeof Tick>, 'checked' | 'onTick'>) {
  const { field } = useController({ control, name });
  return <Tick {...rest} checked={field.value === true} onTick={field.onChange} />;
}

/** Those that are ticked of many, in the order they were ticked. */
export function FormTicks<V extends FieldValues, S>({
  control,
  name,
  of,
}: Owned<V, S> & { of: { value: string; text: string }[] }) {
  const { field } = useController({ control, name });
  const ticked = field.value as string[];
  return of.map(({ value, text }) => (
    <Tick
      key={value}
      checked={ticked.includes(value)}
      onTick={(is) => {
        field.onChange(is ? [...ticked, value] : ticked.filter((other) => other !== value));
      }}
    >
      {text}
    </Tick>
  ));
}
