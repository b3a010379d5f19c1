'use client';

import { useId, useState } from 'react';
import { feetInWords, metresTypedIn } from '@/core/base/units';
import { useUnits } from '@/ui/units';
import { cx } from '@/ui/class-names';

export interface DialProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** What the number is in a word: "firm". */
  readonly words?: string;
  readonly onChange: (value: number) => void;
}

/** How a dial says and reads its numbers: lengths as this coach reads them, anything else as it is. */
function useDialUnits(unit: string, step: number) {
  const { lengths } = useUnits();
  const digits = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  const plain = (value: number) => String(Number(value.toFixed(digits)));
  if (lengths === 'metres' || (unit !== 'm' && unit !== 'cm'))
    return {
      said: plain,
      read: (text: string) => (text.trim() === '' ? null : finite(Number(text.replace(',', '.')))),
      beside: unit,
      range: (min: number, max: number) => `${min} to ${max} ${unit}`.trimEnd(),
    };
  const perMetre = unit === 'cm' ? 100 : 1;
  const said = (value: number) => feetInWords(value / perMetre);
  return {
    said,
    read: (text: string) => {
      const metres = metresTypedIn(text, lengths);
      return metres === null ? null : Number((metres * perMetre).toFixed(digits + 1));
    },
    beside: 'ft',
    range: (min: number, max: number) => `${said(min)} to ${said(max)}`,
  };
}
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** A number that can be dragged or typed. What cannot be stays in its field and is said; the last good one is computed with. */
export function Dial({ label, unit, value, min, max, step, words, onChange }: DialProps) {
  const id = useId();
  // The text belongs to the value it was typed over: another value is another's doing.
  const [own, setTyped] = useState<{ readonly text: string; readonly over: number } | null>(null);
  const typed = own !== null && own.over === value ? own.text : null;
  const { said, read, beside, range } = useDialUnits(unit, step);
  const shown = typed ?? said(value);
  const inside = (number: number | null): number is number =>
    number !== null && number >= min && number <= max;
  const wrong = typed !== null && !inside(read(typed));
  return (
    <div className="grid grid-cols-[1fr_auto] items-center gap-x-2">
      <span className="text-sm">
        <label htmlFor={id} className="font-semibold">
          {label}
        </label>
        {words && <span className="text-soft"> {words}</span>}
      </span>
      <span className="flex items-center gap-1 text-sm">
        <input
          id={id}
          inputMode={beside === 'ft' ? 'text' : 'decimal'}
          autoComplete="off"
          value={shown}
          aria-invalid={wrong || undefined}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(event) => {
            const text = event.target.value;
            const next = read(text);
            setTyped({ text, over: inside(next) ? next : value });
            if (inside(next)) onChange(next);
          }}
          // What cannot be stays to be seen, with its reason; Escape gives it up.
          onBlur={() => !wrong && setTyped(null)}
          onKeyDown={({ key }) => key === 'Escape' && setTyped(null)}
          className={cx(
            'tabular min-h-8 touch:min-h-11 rounded-md border-2 border-edge bg-sheet px-2 text-right aria-[invalid=true]:border-stop aria-[invalid=true]:bg-stop-bg',
            beside === 'ft' ? 'w-28' : 'w-16',
          )}
        />
        {beside !== 'ft' && <span className="w-9 text-soft">{beside}</span>}
      </span>
      <input
        type="range"
        aria-label={`${label}, ${beside}, by dragging`}
        min={min}
        max={max}
        step={step}
        value={Math.min(max, Math.max(min, value))}
        onChange={(event) => {
          setTyped(null);
          onChange(Number(event.target.value));
        }}
        className="col-span-2 h-6 w-full touch:h-11 accent-[var(--now)]"
      />
      {wrong && (
        <p id={`${id}-wrong`} className="col-span-2 text-sm font-semibold text-stop">
          {label} must be from {range(min, max)}.
        </p>
      )}
    </div>
  );
}

export interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <label className="grid grid-cols-[5.2rem_minmax(0,1fr)] items-center gap-2 text-sm font-semibold">
      {label}
      <select
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
        className="min-h-9 touch:min-h-11 w-full min-w-0 rounded-md border-2 border-edge bg-sheet px-2 font-normal"
      >
        {options.map((one) => (
          <option key={one.value} value={one.value}>
            {one.text}
          </option>
        ))}
      </select>
    </label>
  );
}
