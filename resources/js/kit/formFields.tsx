import type { ComponentProps } from 'react';
import { type Control, type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { TextField } from './controls';
import { DateField, TimeField } from './DateField';
import { Select } from './Select';

interface Owned<V extends FieldValues> {
  control: Control<V>;
  name: FieldPath<V>;
}

/** A line of text in a form. */
export function FormText<V extends FieldValues>({
  control,
  name,
  ...rest
}: Owned<V> & Omit<ComponentProps<typeof TextField>, 'value' | 'onChange' | 'onBlur' | 'error' | 'name'>) {
  const { field, fieldState } = useController({ control, name });
  return <TextField {...rest} {...field} value={String(field.value)} error={fieldState.error?.message} />;
}

/** A day of a form. */
export function FormDate<V extends FieldValues>({
  control,
  name,
  ...rest
}: Owned<V> & Omit<ComponentProps<typeof DateField>, 'value' | 'onValue' | 'error'>) {
  const { field, fieldState } = useController({ control, name });
  return <DateField {...rest} value={field.value as string} onValue={field.onChange} error={fieldState.error?.message} />;
}

/** A time of a form. */
export function FormTime<V extends FieldValues>({
  control,
  name,
  ...rest
}: Owned<V> & Omit<ComponentProps<typeof TimeField>, 'value' | 'onValue' | 'error'>) {
  const { field, fieldState } = useController({ control, name });
  return <TimeField {...rest} value={field.value as string} onValue={field.onChange} error={fieldState.error?.message} />;
}

/** One of many, in a form; numbers are chosen by how they are written. */
export function FormSelect<V extends FieldValues>({
  control,
  name,
  ...rest
}: Owned<V> & Omit<ComponentProps<typeof Select>, 'value' | 'onValue' | 'error'>) {
  const { field, fieldState } = useController({ control, name });
  return <Select {...rest} value={String(field.value)} onValue={field.onChange} error={fieldState.error?.message} />;
}
