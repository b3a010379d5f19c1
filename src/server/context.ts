import { database } from '@/data/client';
import type { Database } from '@/data/database';
import { sameFile } from '@/data/identity';
import { ulid } from 'ulid';

/** What a use case needs from the outside: the database, the time, and new ids. */
export interface Context {
  readonly db: Database;
  readonly nowMs: number;
  /** The local day, ISO. */
  readonly today: string;
  readonly newId: () => string;
}

/** Local ISO date of a moment. */
export function localDay(date: Date): string {
  const pad = (n: number) => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
}

/** The moment it is: `VOWSTEP_TODAY` (ISO date) fixes the day, the time of day runs on. */
export function now(): Date {
  const date = new Date();
  const fixed = /^(\d{4})-(\d{2})-(\d{2})$/.exec(process.env.VOWSTEP_TODAY ?? '');
  if (fixed) date.setFullYear(Number(fixed[1]), Number(fixed[2]) - 1, Number(fixed[3]));
  return date;
}

/**
 * The latest it can be for what a device sends, UTC milliseconds: devices go by the real time, even where the day is
 * fixed; the demo writes on its own days.
 */
export const latestMs = ({ nowMs }: Pick<Context, 'nowMs'>): number => Math.max(nowMs, Date.now());

/** @throws DatabaseTrouble when the database cannot be used, or its file is no longer the one that was opened */
export async function requestContext(): Promise<Context> {
  const date = now();
  const db = await database();
  sameFile(db);
  return { db, nowMs: date.getTime(), today: localDay(date), newId: () => ulid() };
}
