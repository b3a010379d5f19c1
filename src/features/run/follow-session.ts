import type { TouchEvent } from '@/core/counting/event';

export interface FollowPorts {
  /** Asks for what was stored after a place; null when the server cannot be reached. */
  readonly ask: (after: number) => Promise<Answer | null>;
  readonly later: (work: () => void, ms: number) => () => void;
  readonly onEvents: (events: readonly TouchEvent[]) => void;
  readonly onClosed: (message: string) => void;
  /** Told the server's clock with every answer, milliseconds. */
  readonly onTime?: (nowMs: number) => void;
}

export type Answer =
  | {
      readonly kind: 'news';
      readonly events: readonly TouchEvent[];
      readonly after: number;
      readonly nowMs: number;
    }
  | { readonly kind: 'closed'; readonly message: string };

const everyMs = 2000;
const longestMs = 16_000;

/** Keeps up with what other devices count: asks every two seconds, less often while the server is away. */
export function followSession(
  from: number,
  { ask, later, onEvents, onClosed, onTime }: FollowPorts,
): () => void {
  let after = from;
  let waitMs = everyMs;
  let stopped = false;
  let cancel = () => undefined as void;
  const again = () => {
    cancel = later(() => void next(), waitMs);
  };
  const next = async () => {
    const answer = await ask(after);
    if (stopped) return;
    if (answer?.kind === 'closed') return onClosed(answer.message);
    waitMs = answer ? everyMs : Math.min(longestMs, waitMs * 2);
    if (answer) onTime?.(answer.nowMs);
    if (answer && answer.events.length > 0) onEvents(answer.events);
    if (answer) after = answer.after;
    again();
  };
  again();
  return () => {
    stopped = true;
    cancel();
  };
}

/** Asks an address of the server for news. */
export function askAt(address: string): FollowPorts['ask'] {
  return async (after) => {
    try {
      const response = await fetch(`${address}?after=${after}`, { signal: AbortSignal.timeout(10_000) });
      const body = (await response.json()) as {
        events?: TouchEvent[];
        after?: number;
        nowMs?: number;
        problems?: { message: string }[];
      };
      if (response.status === 410)
        return { kind: 'closed', message: body.problems?.[0]?.message ?? 'This link is closed.' };
      const { events, after: next, nowMs } = body;
      if (!response.ok || !events || next === undefined || nowMs === undefined) return null;
      return { kind: 'news', events, after: next, nowMs };
    } catch {
      return null;
    }
  };
}
