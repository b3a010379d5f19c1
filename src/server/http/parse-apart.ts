import { Worker } from 'node:worker_threads';

/** Entries of a list that come over at once: some milliseconds of this thread. Ours. */
const atOnce = 1000;

/*
 * What the other thread runs. It reads the whole and gives it back a piece at a time, each when it is asked for, so that
 * this thread goes on with other work in between. It is plain text because a bundler would look for a file of it.
 */
const code = `
const { parentPort, workerData } = require('node:worker_threads');
const { bytes, atOnce } = workerData;
const isList = (value) => Array.isArray(value) && value.length > atOnce;
const isThing = (value) => typeof value === 'object' && value !== null && !Array.isArray(value);
function* pieces(path, value, deep) {
  if (isList(value)) {
    yield { path, list: [] };
    for (let from = 0; from < value.length; from += atOnce) yield { path, more: value.slice(from, from + atOnce) };
  } else if (isThing(value) && deep > 0) {
    yield { path, thing: true };
    for (const key of Object.keys(value)) yield* pieces([...path, key], value[key], deep - 1);
  } else yield { path, value };
}
let rest;
try {
  rest = pieces([], JSON.parse(Buffer.from(bytes).toString('utf8')), 2);
} catch {
  parentPort.postMessage({ broken: true });
}
if (rest) {
  const give = () => {
    const next = rest.next();
    parentPort.postMessage(next.done ? { end: true } : { piece: next.value });
    if (next.done) parentPort.close();
  };
  parentPort.on('message', give);
  give();
}
`;

type Key = string;
interface Piece {
  readonly path: readonly Key[];
  readonly list?: unknown[];
  readonly more?: readonly unknown[];
  readonly thing?: true;
  readonly value?: unknown;
}
type Said = { readonly piece: Piece } | { readonly end: true } | { readonly broken: true };

/**
 * Parses JSON in another thread and takes it over in pieces, so that a file of any size holds nobody up.
 * @returns what it says; undefined for what is no JSON, and for what was left off
 */
export async function parseApart(
  bytes: Uint8Array,
  signal?: AbortSignal,
): Promise<{ readonly value: unknown } | undefined> {
  if (signal?.aborted) return undefined;
  const worker = new Worker(code, { eval: true, workerData: { bytes, atOnce } });
  const leave = () => void worker.terminate();
  signal?.addEventListener('abort', leave, { once: true });
  let whole: unknown;
  try {
    return await new Promise((resolve, reject) => {
      worker.on('message', (said: Said) => {
        if ('broken' in said) return resolve(undefined);
        if ('end' in said) return resolve({ value: whole });
        whole = placed(whole, said.piece);
        setImmediate(() => worker.postMessage('more'));
      });
      worker.once('error', reject);
      // Leaving off ends it without an answer.
      worker.once('exit', () => resolve(undefined));
    });
  } finally {
    signal?.removeEventListener('abort', leave);
    await worker.terminate();
  }
}

/** What is there so far, with a piece at its place. A key is only ever the thing's own, whatever it is called. */
function placed(whole: unknown, { path, list, more, thing, value }: Piece): unknown {
  const [last, ...before] = [...path].reverse();
  const fresh = list ?? (thing ? {} : value);
  if (last === undefined && !more) return fresh;
  const holder = before.reverse().reduce<unknown>((at, key) => ownOf(at, key), whole);
  if (more) (last === undefined ? (whole as unknown[]) : (ownOf(holder, last) as unknown[])).push(...more);
  else
    Object.defineProperty(holder, last!, {
      value: fresh,
      enumerable: true,
      writable: true,
      configurable: true,
    });
  return whole;
}

const ownOf = (holder: unknown, key: Key): unknown => Object.getOwnPropertyDescriptor(holder, key)?.value;
