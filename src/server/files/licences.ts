import { readFileSync } from 'node:fs';
import path from 'node:path';

interface Locked {
  readonly version?: string;
  readonly license?: string;
  readonly dev?: boolean;
  readonly link?: boolean;
}

export interface Licence {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
}

let read: readonly Licence[] | null = null;

/** The packages that ship with the application, and the licence of each, as the lock names them. */
export function licences(): readonly Licence[] {
  return (read ??= readLock());
}

function readLock(): readonly Licence[] {
  try {
    const lock = JSON.parse(readFileSync(path.join(process.cwd(), 'package-lock.json'), 'utf8')) as {
      readonly packages: Readonly<Record<string, Locked>>;
    };
    return Object.entries(lock.packages).flatMap(
      ([where, { version = '', license = 'see the package', dev, link }]) =>
        where.startsWith('node_modules/') && !dev && !link
          ? [
              {
                name: where.slice(where.lastIndexOf('node_modules/') + 'node_modules/'.length),
                version,
                licence: license,
              },
            ]
          : [],
    );
  } catch {
    return [];
  }
}
