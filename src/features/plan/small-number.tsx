'use client';

import { cx } from '@/ui/class-names';
import { useTypedNumber } from '@/ui/typing';

interface SmallNumberProps {
  readonly name: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly disabled?: boolean;
  readonly onChange: (value: number) => void;
}

/** A small whole number, taken as it is typed. What cannot be stays in the field, and is said. */
export function SmallNumber({ name, value, min, max, disabled = false, onChange }: SmallNumberProps) {
  const troubleOf = (typed: number) =>
    Number.isInteger(typed) && typed >= min && typed <= max
      ? null
      : `${name} must be a whole number from ${min} to ${max}.`;
  const { input, error } = useTypedNumber(value, troubleOf, onChange);
  return (
    <span className="inline-block">
      <input
        {...input}
        aria-label={name}
        disabled={disabled}
        aria-invalid={error ? true : undefined}
        className={cx(
          'tabular min-h-8 touch:min-h-11 w-16 rounded-md border-2 border-edge bg-sheet px-2 disabled:opacity-60',
          'aria-[invalid=true]:border-stop aria-[invalid=true]:bg-stop-bg',
        )}
      />
      {error && (
        <span role="alert" className="block max-w-48 text-sm font-semibold whitespace-normal text-stop">
          {error}
        </span>
      )}
    </span>
  );
}

export function LabelledNumber({
  label,
  ...rest
}: Omit<SmallNumberProps, 'name'> & { readonly label: string }) {
  return (
    <label className="flex items-center gap-2 text-sm font-semibold">
      {label}
      <SmallNumber name={label} {...rest} />
    </label>
  );
}
