import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createClient, LibsqlError, type Client, type InValue, type Transaction } from '@libsql/client';

/*
 * A small stand-in for a libSQL server: it speaks the HTTP protocol its client speaks (Hrana 2, JSON, `POST
 * /v2/pipeline`) over a SQLite file of its own, with a delay and faults that can be dialled. It is for tests and benches;
 * what it says is checked by the real client.
 */

export interface Dials {
  /** Every answer waits so long, milliseconds. */
  delayMs: number;
  /** Share of requests that are answered 503 before anything is done. */
  refuse: number;
  /** Share of requests whose answer is lost after everything was done. */
  lose: number;
  /** True while nobody answers at all. */
  away: boolean;
  /** A stream nobody uses for so long is given up, with what it had begun, milliseconds. */
  streamMs: number;
}

export interface StandIn {
  readonly url: string;
  readonly dials: Dials;
  /** Requests since it was asked last. */
  readonly trips: () => number;
  /** Asks the database itself, beside the protocol: no request, no delay. */
  readonly query: (sql: string, args?: InValue[]) => Promise<unknown>;
  readonly close: () => Promise<void>;
}

interface Value {
  type: 'null' | 'integer' | 'float' | 'text' | 'blob';
  value?: string | number;
  base64?: string;
}
interface Stmt {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  named_args?: { name: string; value: Value }[];
  want_rows?: boolean;
}
type Cond =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Cond }
  | { type: 'and' | 'or'; conds: Cond[] }
  | { type: 'is_autocommit' };
interface Asked {
  type:
    'execute' | 'batch' | 'sequence' | 'describe' | 'store_sql' | 'close_sql' | 'close' | 'get_autocommit';
  stmt?: Stmt;
  batch?: { steps: { condition?: Cond; stmt: Stmt }[] };
  sql?: string;
  sql_id?: number;
}

/** A stream: statements that belong together, on one connection once a transaction is begun. */
interface Stream {
  tx: Transaction | null;
  readonly sqls: Map<number, string>;
  usedAt: number;
}

/**
 * @param file of the database
 * @param seed of the faults: the same ones come each time
 */
export async function libsqlStandIn(
  file: string,
  { token, random = Math.random }: { readonly token?: string; readonly random?: () => number } = {},
): Promise<StandIn> {
  const client = createClient({ url: `file:${file}`, timeout: 20 });
  await client.execute('PRAGMA journal_mode = WAL');
  const dials: Dials = { delayMs: 0, refuse: 0, lose: 0, away: false, streamMs: 10_000 };
  const streams = new Map<string, Stream>();
  let trips = 0;

  const server: Server = createServer((request, response) => {
    void answer(request, response).catch((error: unknown) => {
      response.writeHead(500).end(String(error));
    });
  });

  async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const body = await bodyOf(request);
    trips += 1;
    if (dials.away) return void request.socket.destroy();
    if (dials.delayMs > 0) await new Promise((resolve) => setTimeout(resolve, dials.delayMs));
    if (token && request.headers.authorization !== `Bearer ${token}`)
      return void response.writeHead(401).end();
    if (request.method !== 'POST' || request.url !== '/v2/pipeline')
      return void response.writeHead(404).end();
    if (random() < dials.refuse) return void response.writeHead(503).end('busy');
    const { baton, requests } = JSON.parse(body) as { baton: string | null; requests: Asked[] };
    expire();
    const known = baton ? streams.get(baton) : undefined;
    if (baton) streams.delete(baton);
    if (baton && !known)
      return void response
        .writeHead(400, { 'content-type': 'application/json' })
        .end(JSON.stringify({ message: 'The stream has expired', code: 'STREAM_EXPIRED' }));
    const stream = known ?? { tx: null, sqls: new Map<number, string>(), usedAt: 0 };
    const results: unknown[] = [];
    let closed = false;
    for (const one of requests) {
      if (one.type === 'close') {
        closed = true;
        stream.tx?.close();
      }
      results.push(await resultOf(stream, one));
    }
    stream.usedAt = Date.now();
    const next = closed ? null : randomBytes(12).toString('base64url');
    if (next) streams.set(next, stream);
    // All of it was done, and nobody hears of it.
    if (random() < dials.lose) return void request.socket.destroy();
    response.writeHead(200, { 'content-type': 'application/json' });
    response.end(JSON.stringify({ baton: next, base_url: null, results }));
  }

  function expire(): void {
    for (const [baton, stream] of streams)
      if (Date.now() - stream.usedAt > dials.streamMs) {
        stream.tx?.close();
        streams.delete(baton);
      }
  }

  async function resultOf(stream: Stream, asked: Asked): Promise<unknown> {
    try {
      return { type: 'ok', response: { type: asked.type, ...(await done(stream, asked)) } };
    } catch (error) {
      return { type: 'error', error: errorOf(error) };
    }
  }

  async function done(stream: Stream, asked: Asked): Promise<object> {
    switch (asked.type) {
      case 'execute':
        return { result: await execute(client, stream, asked.stmt!) };
      case 'batch':
        return { result: await batch(client, stream, asked.batch!.steps) };
      case 'sequence': {
        await (stream.tx ?? client).executeMultiple(asked.sql ?? stream.sqls.get(asked.sql_id!) ?? '');
        return {};
      }
      case 'store_sql':
        stream.sqls.set(asked.sql_id!, asked.sql!);
        return {};
      case 'close_sql':
        stream.sqls.delete(asked.sql_id!);
        return {};
      case 'get_autocommit':
        return { is_autocommit: stream.tx === null };
      case 'close':
        return {};
      case 'describe':
        throw new Error('The stand-in describes nothing.');
    }
  }

  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    dials,
    trips: () => {
      const made = trips;
      trips = 0;
      return made;
    },
    query: (sql, args = []) => client.execute({ sql, args }),
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      for (const { tx } of streams.values()) tx?.close();
      client.close();
    },
  };
}

function bodyOf(request: IncomingMessage): Promise<string> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    request.on('data', (chunk: Buffer) => chunks.push(chunk));
    request.on('end', () => resolve(Buffer.concat(chunks).toString('utf8')));
    request.on('error', reject);
  });
}

async function batch(
  client: Client,
  stream: Stream,
  steps: { condition?: Cond; stmt: Stmt }[],
): Promise<object> {
  const results: (object | null)[] = [];
  const errors: (object | null)[] = [];
  const holds = (cond: Cond): boolean => {
    switch (cond.type) {
      case 'ok':
        return (results[cond.step] ?? null) !== null;
      case 'error':
        return (errors[cond.step] ?? null) !== null;
      case 'not':
        return !holds(cond.cond);
      case 'and':
        return cond.conds.every(holds);
      case 'or':
        return cond.conds.some(holds);
      case 'is_autocommit':
        return stream.tx === null;
    }
  };
  for (const { condition, stmt } of steps) {
    const [result, error] = condition && !holds(condition) ? [null, null] : await tried(client, stream, stmt);
    results.push(result);
    errors.push(error);
  }
  return { step_results: results, step_errors: errors };
}

async function tried(client: Client, stream: Stream, stmt: Stmt): Promise<[object | null, object | null]> {
  try {
    return [await execute(client, stream, stmt), null];
  } catch (error) {
    return [null, errorOf(error)];
  }
}

const empty = { cols: [], rows: [], affected_row_count: 0, last_insert_rowid: null };

/** Beginning and ending a transaction is the stream's; the driver below has calls of its own for it. */
async function execute(client: Client, stream: Stream, stmt: Stmt): Promise<object> {
  const text = (stmt.sql ?? stream.sqls.get(stmt.sql_id!) ?? '').trim();
  const [, verb = ''] = /^(BEGIN|COMMIT|ROLLBACK)\b/i.exec(text) ?? [];
  switch (verb.toUpperCase()) {
    case 'BEGIN':
      stream.tx = await client.transaction(/IMMEDIATE/i.test(text) ? 'write' : 'deferred');
      return empty;
    case 'COMMIT':
      if (!stream.tx) throw new LibsqlError('cannot commit - no transaction is active', 'SQLITE_ERROR');
      await stream.tx.commit();
      stream.tx = null;
      return empty;
    case 'ROLLBACK':
      await stream.tx?.rollback();
      stream.tx = null;
      return empty;
  }
  const args = stmt.named_args?.length
    ? Object.fromEntries(stmt.named_args.map(({ name, value }) => [name, plain(value)]))
    : (stmt.args ?? []).map(plain);
  const { columns, columnTypes, rows, rowsAffected, lastInsertRowid } = await (stream.tx ?? client).execute({
    sql: text,
    args,
  });
  return {
    cols: columns.map((name, index) => ({ name, decltype: columnTypes[index] || null })),
    rows: rows.map((row) => columns.map((_, index) => wire(row[index]))),
    affected_row_count: rowsAffected,
    last_insert_rowid: lastInsertRowid === undefined ? null : String(lastInsertRowid),
  };
}

const errorOf = (error: unknown) => ({
  message: error instanceof Error ? error.message : String(error),
  code: error instanceof LibsqlError ? error.code : 'SQLITE_ERROR',
});

function plain({ type, value, base64 }: Value): InValue {
  switch (type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(value!);
    case 'float':
      return Number(value);
    case 'text':
      return String(value);
    case 'blob':
      return Buffer.from(base64!, 'base64');
  }
}

function wire(value: unknown): Value {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: value.toString() };
  if (typeof value === 'number')
    return Number.isSafeInteger(value) ? { type: 'integer', value: String(value) } : { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as ArrayBuffer).toString('base64') };
}
