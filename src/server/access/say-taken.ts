import { insertAudit } from '@/data/audit';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { doing } from './doing';

/** Writes down that something was taken away: reading changes nothing, so it has to be said. */
export const sayTaken = (context: Context, what: string, ...about: readonly string[]): Promise<void> =>
  write(context.db, (tx) => insertAudit(tx, doing(context, what, about)));
