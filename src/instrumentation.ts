/** Runs once when the server starts: the database is opened and brought up to date before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openOrEnd } = await import('@/server/start');
  await openOrEnd();
}
