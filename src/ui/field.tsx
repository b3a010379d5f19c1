import { useId, type ReactElement } from 'react';
import { cloneElement } from 'react';
import { cx } from './class-names';

export const inputClass =
  'min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3 aria-[invalid=true]:border-stop aria-[invalid=true]:bg-stop-bg';

export interface FieldProps {
  readonly label: string;
  readonly hint?: string;
  readonly error?: string;
  readonly className?: string;
  readonly children: ReactElement<{
    id?: string;
    'aria-invalid'?: boolean;
    'aria-describedby'?: string;
    className?: string;
  }>;
}

/** A label, its input, and what is wrong with it, tied together for screen readers. */
export function Field({ label, hint, error, className, children }: FieldProps) {
  const id = useId();
  const notes = [hint && `${id}-hint`, error && `${id}-error`].filter(Boolean).join(' ');
  return (
    <div className={cx('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {cloneElement(children, {
        id,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': notes || undefined,
        className: cx(inputClass, children.props.className),
      })}
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} className="text-sm font-semibold text-stop">
          {error}
        </p>
      )}
    </div>
  );
}

export { ErrorNote } from './error-note';
