import { database } from '@/data/open-book';
import type { FirstDay } from '@/core/plan/weekly';
import type { Database } from '@/data/database';
import { sameFile } from '@/data/identity';
import { ulid } from 'ulid';
import type { Actor } from './actor';
import { now, serverZone } from './zone';

/** What a use case needs from the outside: the database, the time, and new ids. */
export interface Context {
  readonly db: Database;
  readonly nowMs: number;
  /** The machine's own clock where it is another: the day can be fixed, and devices go by the real time all the same. */
  readonly clockMs?: number;
  /** The coach's own day, local ISO. */
  readonly today: string;
  /** The coach's time zone; the server's own where it is left out. */
  readonly zone?: string;
  /** The day the coach's weeks begin with; Monday where it is left out. */
  readonly firstDay?: FirstDay;
  readonly newId: () => string;
  /** Where the request came from, where a link was asked. */
  readonly address?: string;
  /** Who acts; the session's own coach where it is left out. */
  readonly actor?: Actor;
}

/** The latest it can be for what a device sends, UTC milliseconds: devices go by the real time, even where the day is fixed. */
export const latestMs = ({ nowMs, clockMs = nowMs }: Pick<Context, 'nowMs' | 'clockMs'>): number =>
  Math.max(nowMs, clockMs);

/**
 * What a use case needs, before it is known who asks: at the start, and at the doors (`doors/door.ts`).
 * @throws DatabaseTrouble when the database cannot be used, or its file is no longer the one that was opened
 */
export async function contextIn(zone = serverZone()): Promise<Context> {
  const db = await database();
  sameFile(db);
  return { db, ...now(zone), clockMs: Date.now(), zone, newId: () => ulid() };
}
