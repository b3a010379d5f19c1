import type { Outcome } from '@/core/base/outcome';

/** How far long work is. */
export interface Progress {
  readonly checked: number;
  readonly of: number;
}

/**
 * An answer to long work: one JSON object a line (`application/x-ndjson`), how far it is, and last how it went. The work
 * is told when nobody listens any more.
 */
export function newsResponse<T>(
  asked: AbortSignal,
  work: (say: (progress: Progress) => void, signal: AbortSignal) => Promise<Outcome<T>>,
): Response {
  const gone = new AbortController();
  const signal = AbortSignal.any([asked, gone.signal]);
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start: async (controller) => {
      const line = (news: unknown) => {
        if (!signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(news)}\n`));
      };
      try {
        const outcome = await work(line, signal);
        line(outcome.ok ? { done: outcome.value } : { problems: outcome.problems });
      } catch (error) {
        console.error(error);
        line({
          problems: [
            { field: 'server', message: 'Something went wrong on the server. Nothing was brought in.' },
          ],
        });
      }
      if (!signal.aborted) controller.close();
    },
    cancel: () => gone.abort(),
  });
  return new Response(body, { headers: { 'content-type': 'application/x-ndjson; charset=utf-8' } });
}
