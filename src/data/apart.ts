import { spawn } from 'node:child_process';
import {
  LibsqlError,
  type Client,
  type ResultSet,
  type Row,
  type Transaction,
  type Value,
} from '@libsql/client';
import { driverWaitMs } from './patience';

/*
 * A connection to a file in a process of its own. The file driver does what it is asked at once and lets nothing else go on
 * meanwhile: what goes through a whole book (a copy, a restore, an export) would hold up everybody who counts. A thread
 * would do, but for the driver: threads that had it open do not always come to an end.
 *
 * Between processes a book is kept by its locks, and a process loses all of its locks on a file when it opens and closes that
 * file by any other way than the driver. So nothing else here ever opens a book that is in use.
 */

/** What the other process runs, as plain text: a bundler would look for a file of it. */
const code = `
const { createClient } = require('@libsql/client');
const client = createClient(JSON.parse(process.argv[1]));
let tx = null;
const flat = ({ columns, columnTypes, rows, rowsAffected, lastInsertRowid }) =>
  ({ columns, columnTypes, rows: rows.map((row) => Array.from(row)), rowsAffected, lastInsertRowid });
const calls = {
  execute: async (...args) => flat(await (tx ?? client).execute(...args)),
  executeMultiple: (text) => (tx ?? client).executeMultiple(text),
  batch: async (...args) => (await (tx ?? client).batch(...args)).map(flat),
  migrate: async (...args) => (await client.migrate(...args)).map(flat),
  begin: async (mode) => void (tx = await client.transaction(mode)),
  commit: async () => { const one = tx; tx = null; await one.commit(); one.close(); },
  rollback: async () => { const one = tx; tx = null; await one.rollback(); one.close(); },
  end: async () => { tx?.close(); client.close(); },
};
// Whoever asked is gone.
process.on('disconnect', () => process.exit(0));
const tell = (said) => process.connected && process.send(said, () => undefined);
process.on('message', async ({ id, what, args }) => {
  try {
    tell({ id, value: await calls[what](...args) });
  } catch (error) {
    const { name, message, code, extendedCode, rawCode } = error;
    tell({ id, fault: { name, message, code, extendedCode, rawCode } });
  }
});
`;

interface Flat extends Omit<ResultSet, 'rows' | 'toJSON'> {
  readonly rows: readonly (readonly Value[])[];
}
interface Fault {
  readonly name: string;
  readonly message: string;
  readonly code?: string;
  readonly extendedCode?: string;
  readonly rawCode?: number;
}
type Said = { readonly id: number; readonly value?: unknown; readonly fault?: Fault };

/** A row as the driver makes it: its values by place and by name. */
function rowOf(columns: readonly string[], values: readonly Value[]): Row {
  const row = {} as Row;
  Object.defineProperty(row, 'length', { value: values.length });
  for (const [index, value] of values.entries()) {
    Object.defineProperty(row, index, { value, enumerable: false, configurable: true, writable: true });
    const column = columns[index]!;
    if (!Object.hasOwn(row, column))
      Object.defineProperty(row, column, { value, enumerable: true, configurable: true, writable: true });
  }
  return row;
}
const resultOf = (flat: Flat): ResultSet => ({
  ...flat,
  rows: flat.rows.map((values) => rowOf(flat.columns, values)),
  toJSON: () => ({ ...flat }),
});

const faultOf = ({ message, code, extendedCode, rawCode }: Fault): Error =>
  code === undefined ? new Error(message) : new LibsqlError(message, code, extendedCode, rawCode);

/** Its file is let go of once `end` resolves. */
export interface ClientApart extends Client {
  readonly end: () => Promise<void>;
}

/**
 * Opens a file in a process of its own. One thing at a time: a transaction is the whole connection's until it ends.
 * @param waitMs how long it waits for a lock
 */
export function clientApart(file: string, waitMs: number = driverWaitMs): ClientApart {
  // One connection: a file that is attached is attached to one, and a transaction is on the one there is.
  const config = JSON.stringify({ url: `file:${file}`, timeout: waitMs, concurrency: 1 });
  const child = spawn(process.execPath, ['-e', code, config], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    serialization: 'advanced',
  });
  const waiting = new Map<number, (said: Said) => void>();
  let [next, ended]: [number, Error | null] = [0, null];
  const idle = () => {
    child.unref();
    child.channel?.unref();
  };
  idle();
  child.on('message', (message) => {
    const said = message as Said;
    waiting.get(said.id)?.(said);
    waiting.delete(said.id);
    if (waiting.size === 0) idle();
  });
  const end = (error: Error) => {
    ended = error;
    for (const [id, tell] of waiting) tell({ id, fault: { name: error.name, message: error.message } });
    waiting.clear();
  };
  child.on('error', end);
  const gone = new Promise<void>((resolve) => child.on('exit', () => resolve()));
  void gone.then(() => end(new Error('The connection was closed.')));
  const call = <T>(what: string, ...args: unknown[]): Promise<T> =>
    new Promise((resolve, reject) => {
      if (ended) return reject(ended);
      const id = next++;
      child.ref();
      child.channel?.ref();
      waiting.set(id, ({ value, fault }) => (fault ? reject(faultOf(fault)) : resolve(value as T)));
      child.send({ id, what, args }, (error) => error && end(error));
    });
  const execute = async (...args: unknown[]) => resultOf(await call<Flat>('execute', ...args));
  const batch = async (...args: unknown[]) => (await call<Flat[]>('batch', ...args)).map(resultOf);
  const executeMultiple = (text: string) => call<void>('executeMultiple', text);
  let closing: Promise<void> | null = null;
  const close = () =>
    (closing ??= call('end')
      .catch(() => undefined)
      .then(() => {
        child.ref();
        child.kill();
        return gone;
      }));
  const transaction = async (mode?: string): Promise<Transaction> => {
    await call('begin', mode ?? 'write');
    let open = true;
    const finish = (what: 'commit' | 'rollback') => async () => {
      if (open) await call(what);
      open = false;
    };
    return {
      execute,
      batch,
      executeMultiple,
      commit: finish('commit'),
      rollback: finish('rollback'),
      close: () => void finish('rollback')().catch(() => undefined),
      get closed() {
        return !open;
      },
    } as Transaction;
  };
  return {
    execute,
    batch,
    executeMultiple,
    transaction,
    end: close,
    protocol: 'file',
    close: () => void close(),
    migrate: async (...args: unknown[]) => (await call<Flat[]>('migrate', ...args)).map(resultOf),
    sync: () => Promise.resolve(undefined),
    reconnect: () => undefined,
    get closed() {
      return closing !== null;
    },
  } as unknown as ClientApart;
}
