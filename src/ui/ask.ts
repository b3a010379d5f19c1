import type { Outcome } from '@/core/outcome';
import { refused } from '@/core/outcome';

/**
 * Asks the server for something; when it cannot be reached or takes too much, that is an outcome too,
 * so that a form keeps what was typed and says what to do.
 */
export async function ask<T>(request: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    return await request();
  } catch {
    return refused('server', await whyNot());
  }
}

const patienceMs = 3000;

/** Why the server did not answer as it should: it is away, in trouble, or newer than this page. */
async function whyNot(): Promise<string> {
  try {
    const answer = await fetch('/api/health', { signal: AbortSignal.timeout(patienceMs) });
    const { build, trouble } = (await answer.json()) as { build?: string; trouble?: string | null };
    if (trouble) return `${trouble} Nothing here is lost.`;
    const { build: own } = document.documentElement.dataset;
    if (build && own && build !== own)
      return 'Vow Step was renewed on the server, and this page is the older one. What is on it is kept: load the page again.';
  } catch {
    // It is away.
  }
  return 'The server could not be reached or could not take this. Nothing here is lost: try again.';
}

/** What was wrong, as one text. */
export function problemsText(outcome: Outcome<unknown>): string {
  return outcome.ok ? '' : outcome.problems.map((problem) => problem.message).join(' ');
}
