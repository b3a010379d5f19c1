'use client';

import { paceProblem } from '@/core/movement/paces';
import { useKeptText } from '@/ui/kept-text';
import { numberIn } from '@/ui/typing';

/** The coach's own paces over ten metres: kept on this device, because they are its owner's legs. */
export function usePaces() {
  const [text, change] = useKeptText('vowstep-paces');
  const number = text.trim() === '' ? null : numberIn(text);
  const problem = number === null ? null : paceProblem(number);
  return { text, change, problem: problem ?? undefined, paces: problem ? null : number };
}
