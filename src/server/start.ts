import { putIntoOneFile } from '@/data/client';
import { listCoaches } from '@/data/coaches';
import type { Database } from '@/data/database';
import { troubleOf } from '@/data/trouble';
import { closing } from '@/data/write';
import { contextIn } from './base/context';
import { isLoopback } from './http/hosts';
import { answerTheGate } from './access/ask-first';
import { copyDaily } from './files/copies';
import { upgradeRecords } from './court/complete-records';
import { refreshSoon } from './court/results';
import { warm } from './views/warm';

/** Telling the courts and ending what is under way may take so long, milliseconds. Ours. */
const longestEndMs = 5000;

/** A server others can reach opens to nobody without a passcode: while there is none, it does not start. */
async function refuseOpenDoors(db: Database): Promise<void> {
  const { HOST = '127.0.0.1', VOWSTEP_ALLOWED_HOSTS: others = '' } = process.env;
  if ((await listCoaches(db)).length > 0) return;
  if (!isLoopback(HOST)) {
    console.error(
      `On HOST=${HOST} others can reach Vow Step, and nobody has a passcode yet. Type npm run passcode first.`,
    );
    process.exit(1);
  }
  if (others.trim() !== '')
    console.error(
      'VOWSTEP_ALLOWED_HOSTS is set and nobody has a passcode: whoever reaches Vow Step through a proxy sees everything. Type npm run passcode.',
    );
}

/**
 * Opens the database before the first request. What makes it unusable is said in one sentence, and the server ends; a
 * lock may go, so that one is only said.
 */
export async function openOrEnd(): Promise<void> {
  answerTheGate();
  try {
    const { db } = await contextIn();
    await refuseOpenDoors(db);
    await upgradeRecords(db);
    refreshSoon(db);
    copyDaily({ db });
    if (db.$direct)
      void contextIn()
        .then(warm)
        .catch(() => undefined);
    for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const)
      process.once(signal, () => {
        // What is still stored while requests end is put into the file as well.
        closing(db, () => putIntoOneFile(db));
        // The framework waits for connections to end, which a tablet that asks for news all the time never does.
        setTimeout(() => process.exit(0), longestEndMs).unref();
      });
  } catch (error) {
    const known = troubleOf(error);
    // Nothing of anybody's is in what goes wrong here: the sentence is printed, and where it came from.
    console.error(known ? known.message : (error as Error).message, ...(known ? [] : [error]));
    if (known?.kind !== 'locked') process.exit(1);
  }
  // Started by one of our scripts: when that one is gone, however it went, this server goes too.
  if (process.env.VOWSTEP_LIFELINE && process.connected)
    process.once('disconnect', () => process.kill(process.pid, 'SIGTERM'));
}
