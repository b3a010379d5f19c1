import { done, refused, type Outcome, type Problem } from '@/core/outcome';

/** An answer that says what was wrong. */
export const refusal = (
  { problems, status = 400 }: { readonly problems: readonly Problem[]; readonly status?: number },
  headers: HeadersInit = {},
): Response => Response.json({ problems }, { status, headers });

/**
 * Reads a JSON body of at most `maxBytes`, and stops reading as soon as there is more.
 * The declared length is not trusted.
 */
export async function readJson(
  request: Request,
  maxBytes: number,
): Promise<Outcome<unknown> & { status?: number }> {
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    return { ...refused('content-type', 'content-type must be application/json.'), status: 415 };
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done: end, value } = await reader.read();
    if (end) break;
    size += value.byteLength;
    if (size > maxBytes) {
      await reader.cancel();
      const message = `body is over ${Math.round(maxBytes / 1024)} KB: send it in smaller batches. Nothing of it was stored.`;
      return { ...refused('body', message), status: 413 };
    }
    chunks.push(value);
  }
  try {
    return done(JSON.parse(Buffer.concat(chunks).toString('utf8')) as unknown);
  } catch {
    return {
      ...refused('body', 'body must be JSON: it could not be read. Nothing of it was stored.'),
      status: 400,
    };
  }
}
