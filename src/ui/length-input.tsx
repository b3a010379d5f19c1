'use client';

import { useState, type ComponentProps } from 'react';
import { feetInWords, metresTypedIn } from '@/core/base/units';
import { useUnits } from './units';

interface Props extends Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'type'> {
  /** The length as its form keeps it: a number, its text, or nothing. */
  readonly value: string | number | null | undefined;
  /** What its form keeps lengths in. */
  readonly keptIn?: 'm' | 'cm';
  /** Told the length as text; what is no length is told as it was typed, for the form to refuse. */
  readonly onChange: (text: string) => void;
}

/** A length, typed in what this coach reads; the form keeps it as it always does. */
export function LengthInput({ value, keptIn = 'm', onChange, ...rest }: Props) {
  const { lengths } = useUnits();
  // The text belongs to the length it was typed for: another one is shown in its own words.
  const [typed, setTyped] = useState<{ readonly text: string; readonly kept: string } | null>(null);
  const perMetre = keptIn === 'cm' ? 100 : 1;
  const kept = value === null || value === undefined ? '' : String(value);
  const number = kept.trim() === '' ? NaN : Number(kept.replace(',', '.'));
  const shown = lengths === 'feet' && Number.isFinite(number) ? feetInWords(number / perMetre) : kept;
  const read = (text: string): string => {
    const metres = lengths === 'feet' ? metresTypedIn(text, lengths) : null;
    if (metres === null) return text;
    return String(keptIn === 'cm' ? Math.round(metres * perMetre) : metres);
  };
  return (
    <input
      {...rest}
      autoComplete="off"
      inputMode={lengths === 'feet' ? 'text' : 'decimal'}
      value={typed?.kept === kept ? typed.text : shown}
      onChange={({ target }) => {
        const next = read(target.value);
        setTyped({ text: target.value, kept: next });
        onChange(next);
      }}
    />
  );
}
