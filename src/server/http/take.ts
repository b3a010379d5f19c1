import type { FileToTake } from '../track';

/** Who takes nothing of a file for so long has gone, milliseconds. Ours. */
const stallMs = 20_000;

/**
 * Gives a file away piece by piece, as fast as it is taken; ends when nobody takes it any more.
 * @param onEnd called once, however it ends
 */
export function fileResponse({ name, type, bytes, pieces }: FileToTake, onEnd: () => void): Response {
  const rest = pieces()[Symbol.iterator]();
  let stalled: ReturnType<typeof setTimeout> | undefined;
  const end = () => {
    clearTimeout(stalled);
    onEnd();
  };
  const body = new ReadableStream<Uint8Array>(
    {
      pull: (controller) => {
        clearTimeout(stalled);
        const next = rest.next();
        if (next.done) {
          end();
          return controller.close();
        }
        controller.enqueue(next.value);
        stalled = setTimeout(() => {
          end();
          controller.error(new Error('Nobody takes this file any more.'));
        }, stallMs);
      },
      cancel: end,
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
