import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';
import { sizeInWords } from './body-limits';

/** An answer that says what was wrong. */
export const refusal = (
  { problems, status = 400 }: { readonly problems: readonly Problem[]; readonly status?: number },
  headers: HeadersInit = {},
): Response => Response.json({ problems }, { status, headers });

export const noJson = refused('body', 'body must be JSON: it could not be read. Nothing of it was stored.');

/**
 * Reads a JSON body of at most `maxBytes`, and stops reading as soon as there is more.
 * The declared length is not trusted.
 */
export async function readJson(
  request: Request,
  maxBytes: number,
): Promise<Outcome<unknown> & { status?: number }> {
  const read = await readJsonBytes(request, maxBytes);
  if (!read.ok) return read;
  try {
    return done(JSON.parse(Buffer.from(read.value).toString('utf8')) as unknown);
  } catch {
    return { ...noJson, status: 400 };
  }
}

/** Reads a body that says it is JSON and leaves the parsing to whoever takes it. */
export async function readJsonBytes(
  request: Request,
  maxBytes: number,
): Promise<Outcome<Uint8Array> & { status?: number }> {
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    return { ...refused('content-type', 'content-type must be application/json.'), status: 415 };
  return readBytes(request, maxBytes);
}

/** Reads a body of at most `maxBytes`, as {@link readJson} does, whatever is in it. */
export async function readBytes(
  request: Request,
  maxBytes: number,
): Promise<Outcome<Uint8Array> & { status?: number }> {
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done: end, value } = await reader.read();
    if (end) break;
    size += value.byteLength;
    if (size > maxBytes) {
      await reader.cancel();
      const message = `body is over ${sizeInWords(maxBytes)}: send it in smaller ${maxBytes < 1e6 ? 'batches' : 'parts'}. Nothing of it was stored.`;
      return { ...refused('body', message), status: 413 };
    }
    chunks.push(value);
  }
  return done(Buffer.concat(chunks));
}
