import { schemaVersion } from '@/data/health';
import packageJson from '../../package.json';
import { requestContext } from './context';

export interface Health {
  readonly ok: boolean;
  readonly version: string;
  readonly schemaVersion: number | null;
}

/** Is the application up, and can it read its database? */
export async function health(): Promise<Health> {
  const { version } = packageJson;
  try {
    return { ok: true, version, schemaVersion: await schemaVersion((await requestContext()).db) };
  } catch {
    return { ok: false, version, schemaVersion: null };
  }
}
