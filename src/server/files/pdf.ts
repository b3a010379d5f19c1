import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { oneInProcess } from '../base/one';
import { pdfThread } from './pdf-thread';

/* Documents as PDF, by a kept library. Its typeface is the application's own, cut to what is used. */

const folder = path.join(
  process.cwd(),
  'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-',
);
const face = (letters: string) => ({
  normal: `${folder}${letters}-400-normal.woff`,
  bold: `${folder}${letters}-700-normal.woff`,
});

/** Letters of the plain face; those of the rest of the Latin script stand in the other one. Range as the typeface is cut. */
const plain =
  /[\u0000-\u00ff\u0131\u0152\u0153\u02bb\u02bc\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122\u2190-\u2193\u2212\u2215]/;

/** A text in runs, each with the face that has its letters. */
export function runsOf(text: string): { text: string; font: 'Body' | 'More' }[] {
  const runs: { text: string; font: 'Body' | 'More' }[] = [];
  for (const letter of text) {
    const font = plain.test(letter) ? 'Body' : 'More';
    const last = runs.at(-1);
    if (last?.font === font) last.text += letter;
    else runs.push({ text: letter, font });
  }
  return runs;
}

/** The same document with every text in the faces that have its letters. */
function faced(value: unknown, key = ''): unknown {
  if (typeof value === 'string') {
    if (key !== 'text' && key !== 'stack' && key !== 'content') return value;
    const runs = runsOf(value);
    const same = runs.every(({ font }) => font === 'Body');
    if (same) return value;
    return key === 'text' ? runs : { text: runs };
  }
  if (Array.isArray(value)) return value.map((one) => faced(one, key));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, faced(one, name)]));
}

/** So long the thread stays without work, milliseconds. Ours. */
const restMs = 60_000;

/** The thread that makes documents, while there is one. */
const thread = oneInProcess('pdf-thread', () => ({
  worker: null as Worker | null,
  waiting: new Map<number, (said: Said) => void>(),
  next: 0,
  resting: undefined as ReturnType<typeof setTimeout> | undefined,
}));
interface Said {
  readonly id: number;
  readonly bytes?: Uint8Array;
  readonly fault?: string;
}

function running(): Worker {
  clearTimeout(thread.resting);
  if (thread.worker) return thread.worker;
  const fonts = { Body: face('latin'), More: face('latin-ext') };
  const worker = new Worker(pdfThread, { eval: true, execArgv: [], workerData: { folder, fonts } });
  thread.worker = worker;
  worker.on('message', (said: Said) => {
    thread.waiting.get(said.id)?.(said);
    thread.waiting.delete(said.id);
    if (thread.waiting.size > 0) return;
    worker.unref();
    thread.resting = setTimeout(() => void worker.terminate(), restMs).unref();
  });
  const end = (why: string) => {
    if (thread.worker === worker) thread.worker = null;
    for (const [id, tell] of thread.waiting) tell({ id, fault: why });
    thread.waiting.clear();
  };
  worker.on('error', (error) => end(String(error)));
  worker.on('exit', () => end('The thread that makes documents ended.'));
  return worker;
}

/** A document as the bytes of a PDF file: made in another thread, one after the other. */
export async function pdfBytes(document: TDocumentDefinitions): Promise<Uint8Array> {
  const { content, ...rest } = document;
  const worker = running();
  const id = thread.next++;
  worker.ref();
  const said = await new Promise<Said>((resolve) => {
    thread.waiting.set(id, resolve);
    worker.postMessage({ id, document: { ...rest, content: faced(content, 'content') } });
  });
  if (said.bytes) return said.bytes;
  throw new Error(said.fault);
}
