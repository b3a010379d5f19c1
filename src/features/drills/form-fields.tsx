import type { UseFormRegisterReturn } from 'react-hook-form';
import { cx } from '@/ui/class-names';
import { Field } from '@/ui/field';

interface Base {
  readonly label: string;
  readonly hint?: string;
  readonly field: UseFormRegisterReturn;
  readonly className?: string;
}

export function Text({
  label,
  hint,
  field,
  number = false,
  className,
}: Base & { readonly number?: boolean }) {
  return (
    <Field label={label} hint={hint} className={className}>
      <input {...field} autoComplete="off" inputMode={number ? 'decimal' : undefined} />
    </Field>
  );
}

/** A text of several lines: a list takes one thing a line. */
export function Lines({ label, hint, field, rows = 3, className }: Base & { readonly rows?: number }) {
  return (
    <Field label={label} hint={hint} className={className}>
      <textarea {...field} rows={rows} className="py-2" />
    </Field>
  );
}

export function Options({
  label,
  hint,
  field,
  options,
  className,
}: Base & { readonly options: readonly string[] }) {
  return (
    <Field label={label} hint={hint} className={className}>
      <select {...field} className="px-1">
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </Field>
  );
}

/** Several of a list. */
export function Ticks({ label, field, options, className }: Base & { readonly options: readonly string[] }) {
  return (
    <fieldset className={cx('flex flex-col gap-1', className)}>
      <legend className="font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-x-3">
        {options.map((option) => (
          <label key={option} className="flex min-h-8 touch:min-h-11 items-center gap-1.5 text-sm">
            <input type="checkbox" value={option} {...field} className="size-5 accent-[var(--now)]" />
            {option}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
