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

/** Presses something, and waits for the one file that arrives in a folder; it is taken out of there. */
export async function downloaded(folder: string, press: () => Promise<void>): Promise<Download> {
  for (const left of readdirSync(folder)) rmSync(path.join(folder, left));
  await press();
  const end = Date.now() + patienceMs;
  for (;;) {
    const names = readdirSync(folder);
    const [name] = names;
    if (name !== undefined && !names.some((one) => unfinished.test(one)))
      return { name, bytes: readFileSync(path.join(folder, name)) };
    if (Date.now() > end) throw new Error(`No file has arrived. There is: ${names.join(', ') || 'nothing'}.`);
    await new Promise((later) => setTimeout(later, 50));
  }
}
