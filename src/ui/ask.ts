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
    return refused(
      'server',
      'The server could not be reached or could not take this. Nothing here is lost: try again.',
    );
  }
}

/** What was wrong, as one text. */
export function problemsText(outcome: Outcome<unknown>): string {
  return outcome.ok ? '' : outcome.problems.map((problem) => problem.message).join(' ');
}
