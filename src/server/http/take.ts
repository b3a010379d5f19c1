import type { FileToTake } from '../base/track';

/** A file of which the pieces may still have to be fetched. */
type File = Omit<FileToTake, 'pieces'> & {
  readonly pieces: () => Iterable<Uint8Array> | AsyncIterable<Uint8Array>;
};

/** Who takes nothing of a file for so long has gone, milliseconds. Ours. */
const stallMs = 20_000;

/**
 * Gives a file away piece by piece, as fast as it is taken; ends when nobody takes it any more.
 * @param onEnd called once, however it ends
 */
export function fileResponse({ name, type, bytes, pieces }: File, onEnd: () => void): Response {
  const all = pieces();
  const rest = Symbol.asyncIterator in all ? all[Symbol.asyncIterator]() : all[Symbol.iterator]();
  let stalled: ReturnType<typeof setTimeout> | undefined;
  const end = () => {
    clearTimeout(stalled);
    onEnd();
  };
  const body = new ReadableStream<Uint8Array>(
    {
      pull: async (controller) => {
        clearTimeout(stalled);
        const next = await rest.next();
        if (next.done) {
          end();
          return controller.close();
        }
        controller.enqueue(next.value);
        stalled = setTimeout(() => {
          end();
          void rest.return?.();
          controller.error(new Error('Nobody takes this file any more.'));
        }, stallMs);
      },
      cancel: () => {
        end();
        void rest.return?.();
      },
    },
    { highWaterMark: 1 },
  );
  return new Response(body, {
    headers: {
      'content-type': type,
      // Where the answer goes through in pieces, its length is not said otherwise.
      ...(bytes !== undefined && { 'x-bytes': String(bytes) }),
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}

/** A piece that goes over the line at once, letters. Ours. */
const pieceLength = 256 * 1024;

/** Text as bytes, in pieces of a good size. */
export async function* inBytes(texts: AsyncIterable<string>): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let gathered = '';
  for await (const text of texts) {
    gathered += text;
    if (gathered.length < pieceLength) continue;
    yield encoder.encode(gathered);
    gathered = '';
  }
  if (gathered !== '') yield encoder.encode(gathered);
}
