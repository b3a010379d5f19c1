import { readFileSync } from 'node:fs';
import path from 'node:path';

const shared = globalThis as typeof globalThis & { vowstepBuildId?: string };

/** The build that is running, as Next named it; 'dev' while there is none. */
export function buildId(): string {
  return (shared.vowstepBuildId ??= readBuildId());
}

function readBuildId(): string {
  if (process.env.NODE_ENV !== 'production') return 'dev';
  try {
    return readFileSync(path.join(process.cwd(), '.next', 'BUILD_ID'), 'utf8').trim();
  } catch {
    return 'dev';
  }
}
