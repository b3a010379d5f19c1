import type { Doing } from '@/data/audit';
import type { Context } from '../base/context';

/** What is being done, for the audit. */
export const doing = (context: Context, what: string, about: readonly string[]): Doing => ({
  id: context.newId(),
  atMs: context.nowMs,
  who: context.actor?.name ?? '',
  what,
  about: about.filter((one) => one !== ''),
});
