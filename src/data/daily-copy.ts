import { existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { copiesToKeep, isDay } from '@/core/files/copies-to-keep';
import { done, type Outcome } from '@/core/base/outcome';
import { backup } from './backup';
import { copiesFolder } from './copies';

const prefix = 'daily-';
const nameOf = (day: string) => `${prefix}${day}.db`;
const dayOf = (name: string): string => name.slice(prefix.length, -'.db'.length);

/**
 * Makes today's copy of a book, where there is none yet, and lets go of older ones (see {@link copiesToKeep}). Copies
 * made by hand are left alone.
 * @param today local ISO
 * @returns the copy that was made; null where today has one
 */
export async function dailyCopy(book: string, today: string): Promise<Outcome<string | null>> {
  const folder = copiesFolder(book);
  const file = path.join(folder, nameOf(today));
  if (existsSync(file)) return done(null);
  const made = await backup(book, file);
  if (!made.ok) return made;
  // Only once the new one stands: a full disk must not cost the old ones.
  const days = readdirSync(folder)
    .filter((name) => name.startsWith(prefix) && name.endsWith('.db') && isDay(dayOf(name)))
    .map(dayOf);
  const kept = copiesToKeep(days, today);
  for (const day of days) if (!kept.has(day)) rmSync(path.join(folder, nameOf(day)), { force: true });
  return done(file);
}
