import { chmodSync, closeSync, existsSync, mkdirSync, openSync, statSync } from 'node:fs';
import path from 'node:path';
import { trouble } from './trouble';

/** For whoever runs Vow Step, and nobody else on the computer. */
const [fileMode, folderMode] = [0o600, 0o700] as const;

/** Makes the folder of a file, where there is none, for this user alone. */
export function privateFolder(file: string): void {
  mkdirSync(path.dirname(file), { recursive: true, mode: folderMode });
}

/** Leaves a file to this user alone; where that is not ours to say, it stays as it is. */
export function closeToOthers(...files: readonly string[]): void {
  for (const file of files)
    try {
      if (existsSync(file)) chmodSync(file, fileMode);
    } catch {
      // Somebody else's file, or a disk that knows no such thing.
    }
}

/**
 * Makes a file for this user alone, empty where there is none: what the database writes beside it gets the same rights.
 * @throws DatabaseTrouble where a folder stands there
 */
export function privateFile(file: string): void {
  if (statSync(file, { throwIfNoEntry: false })?.isDirectory()) throw trouble('folder');
  privateFolder(file);
  // Only one that is new is opened: closing a file gives up the locks that the driver has on it (apart.ts).
  try {
    closeSync(openSync(file, 'wx', fileMode));
  } catch {
    // It is there; or it cannot be made, which is said when it is opened.
  }
}
