'use client';

import { useContext, useMemo } from 'react';
import { feetMarked, inLengths, lengthInWords, type Lengths } from '@/core/base/units';
import { LengthsContext } from './units-provider';

export interface Units {
  readonly lengths: Lengths;
  /** What stands beside a field for a length: "m" or "ft". */
  readonly unit: string;
  /** A length, from metres. */
  readonly length: (metres: number) => string;
  /** A text with its lengths in what this coach reads. */
  readonly say: (text: string) => string;
}

export function useUnits(): Units {
  const lengths = useContext(LengthsContext);
  return useMemo(
    () => ({
      lengths,
      unit: lengths === 'feet' ? 'ft' : 'm',
      length: (metres) => lengthInWords(metres, lengths),
      say: (text) => inLengths(text, lengths),
    }),
    [lengths],
  );
}

/** What stands at an axis: as {@link Said}, with the marks of a drawing. */
export function Marked({ children }: { children: string }) {
  const { lengths, say } = useUnits();
  return lengths === 'feet' ? feetMarked(say(children)) : children;
}

/** A text with its lengths in what this coach reads. */
export function Said({ children }: { children: string }) {
  return useUnits().say(children);
}
