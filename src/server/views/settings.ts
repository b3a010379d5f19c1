import { copiesWithFacts, holdsOf, type CopyFacts } from '@/data/copies';
import { schemaVersion } from '@/data/health';
import packageJson from '../../../package.json';
import { buildId } from '../build-id';
import type { Context } from '../context';

export type { CopyFacts };

/** Where the book is, what it holds, and its copies. */
export interface SettingsView {
  /** The book's file; null on a libSQL server, where copies are made there. */
  readonly file: string | null;
  readonly holds: CopyFacts['holds'];
  readonly copies: readonly CopyFacts[];
  readonly version: string;
  readonly build: string;
  readonly schema: number | null;
  readonly zone: string;
}

export async function settingsView({ db, zone = '' }: Context): Promise<SettingsView> {
  const file = db.$file?.path ?? null;
  const [holds, copies, schema] = await Promise.all([
    file ? holdsOf(file) : null,
    file ? copiesWithFacts(file) : [],
    schemaVersion(db),
  ]);
  return { file, holds, copies, schema, zone, version: packageJson.version, build: buildId() };
}
