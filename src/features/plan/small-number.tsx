'use client';

interface SmallNumberProps {
  readonly name: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly disabled?: boolean;
  readonly onChange: (value: number) => void;
}

/** A small whole number: taken when it is left or Enter is pressed; what cannot be goes back to what was. */
export function SmallNumber({ name, value, min, max, disabled = false, onChange }: SmallNumberProps) {
  return (
    <input
      key={value}
      type="number"
      aria-label={name}
      defaultValue={value}
      min={min}
      max={max}
      disabled={disabled}
      onBlur={(event) => {
        const typed = Number(event.target.value);
        if (Number.isInteger(typed) && typed >= min && typed <= max) {
          if (typed !== value) onChange(typed);
        } else event.target.value = String(value);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
      className="tabular min-h-8 w-16 rounded-md border-2 border-edge bg-sheet px-2 disabled:opacity-60"
    />
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
