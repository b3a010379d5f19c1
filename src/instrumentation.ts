import type { Instrumentation } from 'next';

/** Runs once when the server starts: the database is opened and brought up to date before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepTheLogClean } = await import('@/server/base/safe-log');
  keepTheLogClean();
  const { openOrEnd } = await import('@/server/start');
  await openOrEnd();
}

/** What nobody should cause is printed with the id of its request, never with what was asked in it (server/base/safe-log.ts). */
export const onRequestError: Instrumentation.onRequestError = (error, { method, headers }, { routePath }) => {
  const id = String(headers['x-request-id'] ?? '-');
  console.error(`${method} ${routePath} (request ${id}):`, error);
};
