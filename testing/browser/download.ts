import { readdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { patienceMs } from './page';

/** A file a browser has saved. */
export interface Download {
  readonly name: string;
  readonly bytes: Buffer;
}

/** What a browser calls a file it has not got whole, or not named yet. */
const unfinished = /\.crdownload$|^\.|\.tmp$/;

/** How often a file that a browser has not called finished is looked at, and as large as before, until it is taken as whole. */
const looksUntilWhole = 20;

/**
 * Presses something, and waits for the one file that arrives in a folder; it is taken out of there.
 * @param asksToKeep at plain-http names browsers ask whether documents are to be kept: they lie there whole until somebody
 *   has answered, which a headless browser has no way to ask
 */
export async function downloaded(
  folder: string,
  press: () => Promise<void>,
  asksToKeep = false,
): Promise<Download> {
  for (const left of readdirSync(folder)) rmSync(path.join(folder, left));
  await press();
  const end = Date.now() + patienceMs;
  let [size, looks] = [-1, 0];
  for (;;) {
    const names = readdirSync(folder);
    const [name] = names;
    if (name !== undefined && !names.some((one) => unfinished.test(one)))
      return { name, bytes: readFileSync(path.join(folder, name)) };
    if (asksToKeep && name?.endsWith('.crdownload') && names.length === 1) {
      const bytes = readFileSync(path.join(folder, name));
      looks = bytes.length === size ? looks + 1 : 0;
      size = bytes.length;
      if (size > 0 && looks >= looksUntilWhole) return { name: name.replace('.crdownload', ''), bytes };
    }
    if (Date.now() > end) throw new Error(`No file has arrived. There is: ${names.join(', ') || 'nothing'}.`);
    await new Promise((later) => setTimeout(later, 50));
  }
}
