import { probe, schemaVersion } from '@/data/health';
import { troubleOf } from '@/data/trouble';
import packageJson from '../../package.json';
import { buildId } from './base/build-id';
import { contextIn } from './base/context';

export interface Health {
  readonly ok: boolean;
  readonly version: string;
  /** Which build of that version is running: pages of another one are older or newer. */
  readonly build: string;
  readonly schemaVersion: number | null;
  /** What is wrong with the database, in one sentence; null when nothing is. */
  readonly trouble: string | null;
}

/** Asked again within this time the database is not written to once more, milliseconds. */
const probedForMs = 5000;
const shared = globalThis as typeof globalThis & { vowstepProbedMs?: number };

/** Is the application up, is its database the one it opened, and can it be written to? */
export async function health(): Promise<Health> {
  const { version } = packageJson;
  const facts = { version, build: buildId() };
  try {
    const { db } = await contextIn();
    const nowMs = Date.now();
    if (nowMs - (shared.vowstepProbedMs ?? 0) > probedForMs) {
      await probe(db, nowMs);
      shared.vowstepProbedMs = nowMs;
    }
    return { ok: true, ...facts, schemaVersion: await schemaVersion(db), trouble: null };
  } catch (error) {
    const trouble = troubleOf(error)?.message ?? 'Something went wrong on the server: see what it printed.';
    return { ok: false, ...facts, schemaVersion: null, trouble };
  }
}
