import type { TouchEvent } from '@/core/counting/event';

/** Where this device has got to in the server's log, and of which history. */
export interface Place {
  readonly seq: number;
  readonly id: string | null;
  readonly epoch: string;
}

/** What is new on the server. */
export interface News {
  readonly kind: 'news';
  readonly events: readonly TouchEvent[];
  readonly place: Place;
  /** True when the server has another history than this device knows: these are the first of all its events. */
  readonly reset: boolean;
  readonly more: boolean;
  readonly nowMs: number;
  readonly build: string;
  /** The server is being ended by somebody: this is its last answer for a while. */
  readonly ending?: boolean;
  readonly plan: { readonly revision: number; readonly removed: boolean; readonly presence?: string } | null;
}

export type Answer = News | { readonly kind: 'closed'; readonly message: string };

export interface FollowPorts {
  /** Asks for what was stored after a place; null when the server cannot be reached. */
  readonly ask: (from: Place) => Promise<Answer | null>;
  readonly later: (work: () => void, ms: number) => () => void;
  readonly onEvents: (events: readonly TouchEvent[]) => void;
  /** Told everything the server has, when it has another history. */
  readonly onReset: (events: readonly TouchEvent[]) => void;
  readonly onClosed: (message: string) => void;
  /** Told what every answer says besides events. */
  readonly onNews?: (news: Pick<News, 'nowMs' | 'build' | 'plan' | 'ending'>) => void;
  /** Told after every question whether the server is there: where nothing waits to be sent, nobody else would notice. */
  readonly onReach?: (reachable: boolean) => void;
}

const everyMs = 2000;
const longestMs = 16_000;
/** One question that is lost is a hall's radio; two in a row are a server that is away. Ours. */
const awayAfter = 2;

/** Keeps up with what other devices count: asks every two seconds, less often while the server is away. */
export function followSession(from: Place, ports: FollowPorts): () => void {
  const { ask, later, onEvents, onReset, onClosed, onNews, onReach } = ports;
  let place = from;
  let lost = 0;
  let waitMs = everyMs;
  let stopped = false;
  let cancel = () => undefined as void;
  /** All of another history so far; null while the server's is the one that is known. */
  let anew: TouchEvent[] | null = null;
  const again = (ms = waitMs) => {
    cancel = later(() => void next(), ms);
  };
  const take = (news: News) => {
    place = news.place;
    if (news.reset) anew = [];
    if (anew) anew.push(...news.events);
    if (news.more) return;
    const all = anew;
    anew = null;
    if (all) onReset(all);
    else onEvents(news.events);
    onNews?.(news);
  };
  const next = async () => {
    const answer = await ask(place);
    if (stopped) return;
    if (answer?.kind === 'closed') return onClosed(answer.message);
    lost = answer ? 0 : lost + 1;
    onReach?.(lost < awayAfter);
    waitMs = answer ? everyMs : Math.min(longestMs, waitMs * 2);
    try {
      if (answer) {
        if (answer.more && !anew && !answer.reset) onEvents(answer.events);
        take(answer);
      }
    } catch (error) {
      // One bad event must not end the following: it is left to the counts to make nothing of it.
      console.error('What other devices counted could not be taken in:', error);
    }
    again(answer?.more ? 0 : waitMs);
  };
  again();
  return () => {
    stopped = true;
    cancel();
  };
}

/** Asks an address of the server for news. */
export function askAt(address: string): FollowPorts['ask'] {
  return async ({ seq, id, epoch }) => {
    try {
      const asked = new URLSearchParams({ after: String(seq), id: id ?? '', epoch });
      const response = await fetch(`${address}?${asked}`, { signal: AbortSignal.timeout(10_000) });
      const body = (await response.json()) as Partial<News> & { problems?: { message: string }[] };
      if (response.status === 410)
        return { kind: 'closed', message: body.problems?.[0]?.message ?? 'This link is closed.' };
      const { events, place, nowMs } = body;
      if (!response.ok || !Array.isArray(events) || !place || nowMs === undefined) return null;
      const { reset = false, more = false, build = '', plan = null, ending = false } = body;
      return { kind: 'news', events, place, reset, more, nowMs, build, plan, ending };
    } catch {
      return null;
    }
  };
}
