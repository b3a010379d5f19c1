import { putIntoOneFile } from '@/data/client';
import { troubleOf } from '@/data/trouble';
import { closing } from '@/data/write';
import { contextIn } from './context';
import { copyDaily } from './copies';
import { upgradeRecords } from './log/complete-records';
import { refreshSoon } from './log/results';

/** Requests that are under way when the server is ended have so long, milliseconds. Ours. */
const longestEndMs = 3000;

/**
 * Opens the database before the first request. What makes it unusable is said in one sentence, and the server ends; a
 * lock may go, so that one is only said.
 */
export async function openOrEnd(): Promise<void> {
  try {
    const { db } = await contextIn();
    await upgradeRecords(db);
    refreshSoon(db);
    copyDaily({ db });
    for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const)
      process.once(signal, () => {
        // What is still stored while requests end is put into the file as well.
        closing(db, () => putIntoOneFile(db));
        // The framework waits for connections to end, which a tablet that asks for news all the time never does.
        setTimeout(() => process.exit(0), longestEndMs).unref();
      });
  } catch (error) {
    const known = troubleOf(error);
    console.error(known ? known.message : error);
    if (known?.kind !== 'locked') process.exit(1);
  }
  // Started by one of our scripts: when that one is gone, however it went, this server goes too.
  if (process.env.VOWSTEP_LIFELINE && process.connected)
    process.once('disconnect', () => process.kill(process.pid, 'SIGTERM'));
}
