'use client';

import type { ComponentProps } from 'react';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';
import { LengthInput } from './length-input';

interface Props<T extends FieldValues> extends Omit<
  ComponentProps<typeof LengthInput>,
  'value' | 'onChange' | 'name'
> {
  readonly control: Control<T>;
  readonly name: Path<T>;
}

/** A length among the fields of a form. */
export function FormLength<T extends FieldValues>({ control, name, ...rest }: Props<T>) {
  const {
    field: { ref, value, onChange, onBlur },
  } = useController({ control, name });
  const given = value as string | number | null;
  return <LengthInput {...rest} ref={ref} name={name} onChange={onChange} onBlur={onBlur} value={given} />;
}
