import type { Instrumentation } from 'next';

/** Runs once when the server starts: the database is opened and brought up to date before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openOrEnd } = await import('@/server/start');
  await openOrEnd();
}

/** A failed query says in its message what was asked, names and all: what lies under it is enough. */
function unasked(error: unknown): unknown {
  const query = error instanceof Error && 'params' in error;
  return query ? (error.cause ?? 'A query failed.') : error;
}

/** What nobody should cause is printed with the id of its request, never with what was asked in it. */
export const onRequestError: Instrumentation.onRequestError = (error, { method, headers }, { routePath }) => {
  const id = String(headers['x-request-id'] ?? '-');
  console.error(`${method} ${routePath} (request ${id}):`, unasked(error));
};
