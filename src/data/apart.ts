import { Worker } from 'node:worker_threads';
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
 * A connection to a file in a thread of its own. The file driver does what it is asked at once and lets nothing else go on
 * meanwhile: what goes through a whole book (a copy, a restore, an export) would hold up everybody who counts.
 */

/** What the other thread runs, as plain text: a bundler would look for a file of it. */
const code = `
const { parentPort, workerData } = require('node:worker_threads');
const { createClient } = require('@libsql/client');
const client = createClient(workerData);
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
  end: async () => { tx?.close(); client.close(); parentPort.close(); },
};
parentPort.on('message', async ({ id, what, args }) => {
  try {
    parentPort.postMessage({ id, value: await calls[what](...args) });
  } catch (error) {
    const { name, message, code, extendedCode, rawCode } = error;
    parentPort.postMessage({ id, fault: { name, message, code, extendedCode, rawCode } });
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

/**
 * Opens a file in a thread of its own. One thing at a time: a transaction is the whole connection's until it ends.
 * @param waitMs how long it waits for a lock
 */
export function clientApart(file: string, waitMs: number = driverWaitMs): Client {
  // One connection: a file that is attached is attached to one, and a transaction is on the one there is.
  const worker = new Worker(code, {
    eval: true,
    execArgv: [],
    workerData: { url: `file:${file}`, timeout: waitMs, concurrency: 1 },
  });
  worker.unref();
  const waiting = new Map<number, (said: Said) => void>();
  let [next, ended]: [number, Error | null] = [0, null];
  worker.on('message', (said: Said) => {
    waiting.get(said.id)?.(said);
    waiting.delete(said.id);
    if (waiting.size === 0) worker.unref();
  });
  const end = (error: Error) => {
    ended = error;
    for (const [id, tell] of waiting) tell({ id, fault: { name: error.name, message: error.message } });
    waiting.clear();
  };
  worker.on('error', end);
  worker.on('exit', () => end(new Error('The connection was closed.')));
  const call = <T>(what: string, ...args: unknown[]): Promise<T> =>
    new Promise((resolve, reject) => {
      if (ended) return reject(ended);
      const id = next++;
      worker.ref();
      waiting.set(id, ({ value, fault }) => (fault ? reject(faultOf(fault)) : resolve(value as T)));
      worker.postMessage({ id, what, args });
    });
  const execute = async (...args: unknown[]) => resultOf(await call<Flat>('execute', ...args));
  const batch = async (...args: unknown[]) => (await call<Flat[]>('batch', ...args)).map(resultOf);
  const executeMultiple = (text: string) => call<void>('executeMultiple', text);
  const state = { closed: false };
  const close = () => {
    if (!state.closed) void call('end').catch(() => undefined);
    state.closed = true;
  };
  const transaction = async (mode?: string): Promise<Transaction> => {
    await call('begin', mode ?? 'write');
    let open = true;
    const finish = (what: 'commit' | 'rollback') => async () => {
      if (open) await call(what);
      open = false;
    };
    return {
      ...{ execute, batch, executeMultiple, commit: finish('commit'), rollback: finish('rollback') },
      close: () => void finish('rollback')().catch(() => undefined),
      get closed() {
        return !open;
      },
    } as Transaction;
  };
  return {
    ...{ execute, batch, executeMultiple, transaction, close, protocol: 'file' },
    migrate: async (...args: unknown[]) => (await call<Flat[]>('migrate', ...args)).map(resultOf),
    sync: () => Promise.resolve(undefined),
    reconnect: () => undefined,
    get closed() {
      return state.closed;
    },
  } as unknown as Client;
}
