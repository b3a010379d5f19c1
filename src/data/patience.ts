import type { Client } from '@libsql/client';
import { troubleOf } from './trouble';

/**
 * The file driver waits for a lock without letting other work go on: it is told to wait this long at most,
 * milliseconds. The rest of the waiting is done here, beside other work.
 */
export const driverWaitMs = 20;

/** So long a lock is waited for in all, milliseconds. Ours: a page may take a moment, a person does not wait longer. */
const patienceMs = 5000;
const [firstPauseMs, longestPauseMs] = [10, 200];

const patiently = ['execute', 'batch', 'migrate', 'transaction', 'executeMultiple'] as const;

/**
 * The same client, waiting for locks without standing in the way of other work. Each of these calls is all or nothing
 * (a transaction: its beginning), so it can be made again.
 *
 * A statement of the file driver that met a lock is never reset: what its connection does afterwards looks done and is
 * not committed. Such a connection is given up, with all others of the client, and new ones are opened.
 */
export function patient(client: Client, onClose: () => void = () => undefined): Client {
  const again = async (call: () => Promise<unknown>): Promise<unknown> => {
    const until = performance.now() + patienceMs;
    for (let pauseMs = firstPauseMs; ; pauseMs = Math.min(longestPauseMs, 2 * pauseMs)) {
      try {
        return await call();
      } catch (error) {
        const kind = troubleOf(error)?.kind;
        const locked = kind === 'locked' || (kind === 'away' && client.protocol !== 'file');
        if (locked && client.protocol === 'file' && !client.closed) await client.reconnect();
        const givenUp = (error as { code?: unknown }).code === 'CLIENT_CLOSED' && !client.closed;
        if (!(locked || givenUp) || performance.now() + pauseMs > until) throw error;
        await new Promise((resolve) => setTimeout(resolve, pauseMs));
      }
    }
  };
  return new Proxy(client, {
    get(target, name) {
      const own: unknown = Reflect.get(target, name, target);
      if (typeof own !== 'function') return own;
      const call = own.bind(target) as (...args: unknown[]) => Promise<unknown>;
      if (name === 'close')
        return () => {
          void call();
          onClose();
        };
      if (!patiently.includes(name as never)) return call;
      return (...args: unknown[]) => again(() => call(...args));
    },
  });
}
