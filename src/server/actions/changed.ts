import { revalidatePath } from 'next/cache';
import type { Outcome } from '@/core/base/outcome';

/** Pages are read again after a change, in every window that asks. */
export function changed<T>(outcome: Outcome<T>): Outcome<T> {
  if (outcome.ok) revalidatePath('/', 'layout');
  return outcome;
}
