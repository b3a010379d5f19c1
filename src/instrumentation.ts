/** Runs once when the server starts: the schema is brought up to date before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { requestContext } = await import('@/server/context');
  await requestContext();
}
