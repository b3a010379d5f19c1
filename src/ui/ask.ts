import type { Outcome } from '@/core/base/outcome';
import { refused } from '@/core/base/outcome';

let confirm: (() => Promise<boolean>) | null = null;

/** Says who asks for the passcode where the server wants it once more. @returns ends that */
export function confirmBy(ask: () => Promise<boolean>): () => void {
  confirm = ask;
  return () => {
    if (confirm === ask) confirm = null;
  };
}

/**
 * Asks the server for something; when it cannot be reached or takes too much, that is an outcome too,
 * so that a form keeps what was typed and says what to do. What wants the passcode once more is asked for again when it was typed.
 */
export async function ask<T>(request: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    const outcome = await request();
    const wanted = !outcome.ok && outcome.problems[0]?.field === 'anew';
    return wanted && confirm && (await confirm()) ? await request() : outcome;
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
