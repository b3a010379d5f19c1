import { enterLine, lineIsFull, type Heavy } from '../base/turns';
import { refusal } from './body';

/** Waits for one's turn: what gives it on, or the answer for whoever comes when too many wait, or has left. */
export async function inLine(
  kind: Heavy,
  signal: AbortSignal,
): Promise<{ readonly leave: () => void } | { readonly refusal: Response }> {
  const leave = await enterLine(kind, signal);
  if (leave) return { leave };
  const problems = [{ field: kind, message: lineIsFull(kind) }];
  return { refusal: refusal({ problems, status: 503 }, { 'retry-after': '10' }) };
}
