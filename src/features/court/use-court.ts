'use client';

import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { begunOf } from '@/session/court/begun';
import { mostAheadMs } from '@/core/counting/check';
import type { TouchEvent } from '@/core/counting/event';
import { SteadyClock } from '@/core/court/steady-clock';
import { clearDevice } from '@/court/clear-device';
import { deviceName, deviceStore, sendTo } from '@/court/device';
import { askAt, followSession, type News } from '@/court/follow-session';
import { isFromHome } from '@/court/from-home';
import { noStore } from '@/court/held-back';
import { RunLog, type LogState, type RunPorts } from '@/court/run-log';
import { findTwins, type Twins } from '@/court/twins';
import { usePageBook } from '@/ui/house';
import { recordOf, shownBlocks, underIn, whereIn } from './begun-view';
import { whoCounts } from './court-settings';
import type { CourtView } from './court-view';

export interface Court<V extends CourtView = CourtView> {
  readonly log: RunLog;
  readonly clock: SteadyClock;
  /** The view with its blocks as they are run. */
  readonly view: V;
  /** Other tabs of this device with the same session. */
  readonly twins: number;
  /** What the server said last besides events; null before it said anything. */
  readonly news: Pick<News, 'build' | 'plan' | 'ending'> | null;
  /** Days this device's clock was found ahead of the server's; 0 when it was not. */
  readonly daysAhead: number;
  /** Set when the server's book was put back: how many marks of this device were offered to it again. */
  readonly offered: number | null;
  readonly dismissOffered: () => void;
}

/** Two devices whose clocks differ by more than this do not agree on a block's clock, milliseconds. Ours. */
const farOffMs = 1500;

const inBrowser = typeof window !== 'undefined';

function newestOf(events: readonly TouchEvent[], device: string): number {
  return events.reduce(
    (newest, event) => (event.device === device ? Math.max(newest, event.atMs) : newest),
    0,
  );
}

/**
 * The session's log on this device, the clock it is run by, and what the server and other devices say.
 * @param renew fetches the view again
 */
export function useCourt<V extends CourtView>(given: V, renew: () => Promise<void>): Court<V> {
  const { helper } = given;
  const book = usePageBook(given.session.coach);
  const twinsRef = useRef<Twins | null>(null);
  const [{ log, clock, facts, follow, stand }] = useState(() => {
    let stand = () => {};
    const stands = new Promise<void>((resolve) => (stand = resolve));
    // What the log asks for follows the newest view.
    const facts = { view: given as CourtView, book };
    const follow = (view: CourtView, now: typeof book) => Object.assign(facts, { view, book: now });
    const own = inBrowser ? deviceName() : 'server';
    const device = helper && !own.startsWith(helper.sign) ? (helper.sign + own).slice(0, 64) : own;
    const clocks = { now: () => Date.now(), mono: () => performance.now() };
    const clock = new SteadyClock(clocks, newestOf(given.events, device));
    const begun = (blockId: string) => begunOf(log.events(blockId, null));
    const ports: RunPorts = {
      store: typeof indexedDB === 'undefined' ? noStore : deviceStore(),
      send: sendTo(helper ? `/api/help/${helper.token}/touches` : '/api/touches'),
      later: (work, ms) => {
        if (inBrowser) setTimeout(work, ms);
      },
      clock: { now: () => clock.now(), mono: clocks.mono },
      device,
      by: helper ? () => helper.by : whoCounts,
      blockIds: given.blocks.map((block) => block.id),
      sessionId: given.session.id,
      // A helper's link counts one child: what anybody else left on this device is not theirs to send or take back.
      mine: (event) => (helper ? event.device.startsWith(helper.sign) : !isFromHome(event)),
      begin: helper ? undefined : (blockId) => recordOf(facts.view, facts.book, blockId),
      under: (blockId, playerId) => underIn(facts.view, begun(blockId), blockId, playerId),
      where: (event) => whereIn(facts.view, facts.book, event),
      stands,
      drawn: afterPaint,
      share: (event) => twinsRef.current?.share(event),
    };
    const log: RunLog = new RunLog(given.events, ports);
    void log.opened.then(() => {
      const kept = given.blocks.flatMap(({ id }) => [
        ...log.events(id, null),
        ...given.players.flatMap((player) => log.events(id, player.id)),
      ]);
      clock.notBefore(Math.min(newestOf(kept, device), Date.now() + mostAheadMs));
    });
    return { log, clock, facts, follow, stand };
  });
  const version = useLater(log);
  const view = useMemo(
    () => ({ ...given, blocks: shownBlocks(given.blocks, (id) => log.events(id, null)) }),
    // The blocks follow the records in the log.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [given, log, version],
  );
  useEffect(() => void follow(given, book), [follow, given, book]);
  useEffect(() => stand(), [stand]);

  const [twins, setTwins] = useState(0);
  const sessionId = given.session.id;
  useEffect(() => {
    const found = findTwins(sessionId, (event) => log.receive([event], 'tab'), setTwins);
    twinsRef.current = found;
    const bye = () => found.close();
    window.addEventListener('pagehide', bye);
    return () => {
      window.removeEventListener('pagehide', bye);
      found.close();
    };
  }, [log, sessionId]);

  const [news, setNews] = useState<Court['news']>(null);
  const [offered, setOffered] = useState<number | null>(null);
  const [daysAhead, setDaysAhead] = useState(0);
  const [from] = useState(given.logEnd);
  const token = helper?.token;
  useEffect(() => {
    const address = token ? `/api/help/${token}/touches` : `/api/sessions/${sessionId}/touches`;
    return followSession(from, {
      ask: askAt(address),
      later: (work, ms) => {
        const timer = setTimeout(work, ms);
        return () => clearTimeout(timer);
      },
      onEvents: (events) => log.receive(events, 'server'),
      onReset: (events) => setOffered(log.reconcile(events)),
      onClosed: (message) => log.close(message),
      onReach: (reachable) => log.reached(reachable),
      onNews: ({ nowMs, build, plan, ending }) => {
        const said = { build, plan, ending };
        setNews((before) => (same(before, said) ? before : said));
        // A clock that is days ahead would make marks the server does not take.
        const aheadMs = clock.now() - nowMs;
        if (aheadMs > mostAheadMs / 2) {
          setDaysAhead(Math.max(1, Math.round(aheadMs / mostAheadMs)));
          clock.alignTo(nowMs);
        } else if (token && Math.abs(aheadMs) > farOffMs && !hasCounted(facts.view, log)) {
          // A helper's phone may be minutes off; until it has counted, it can take over the server's time.
          clock.alignTo(nowMs);
        }
      },
    });
  }, [log, clock, facts, from, sessionId, token]);

  useEffect(() => {
    const online = () => void log.flush();
    // Loose touches are gone with the page: ask before that happens.
    const leave = (event: BeforeUnloadEvent) => {
      if (log.state().loose > 0) event.preventDefault();
    };
    window.addEventListener('online', online);
    window.addEventListener('beforeunload', leave);
    return () => {
      window.removeEventListener('online', online);
      window.removeEventListener('beforeunload', leave);
    };
  }, [log]);
  usePresentPlan(given, news, renew);
  const closed = useSyncExternalStore(
    log.subscribe,
    () => log.state().closed,
    () => null,
  );
  useEffect(() => {
    // A link that was withdrawn leaves nothing here but what is nowhere else.
    if (closed !== null) void clearDevice();
  }, [closed]);
  return { log, clock, view, twins, news, daysAhead, offered, dismissOffered: () => setOffered(null) };
}

const same = (a: Court['news'], b: Court['news']): boolean => JSON.stringify(a) === JSON.stringify(b);

function hasCounted({ blocks, players }: CourtView, log: RunLog): boolean {
  const { waiting, loose } = log.state();
  const own = (event: TouchEvent) => event.device === log.device;
  return (
    waiting + loose > 0 ||
    blocks.some(({ id }) => players.some((player) => log.events(id, player.id).some(own)))
  );
}

/** How often a plan that has changed is asked for, milliseconds. Ours. */
const askAgainMs = 5000;

/** Fetches the plan again when the server says that it has changed. */
function usePresentPlan(
  { session, presence }: CourtView,
  news: Court['news'],
  renew: () => Promise<void>,
): void {
  const plan = news?.plan ?? null;
  const other = plan?.presence !== undefined && presence !== undefined && plan.presence !== presence;
  const changed = plan !== null && (plan.revision !== session.revision || other);
  useEffect(() => {
    if (!changed) return;
    void renew();
    const timer = setInterval(() => void renew(), askAgainMs);
    return () => clearInterval(timer);
  }, [changed, renew]);
}

/**
 * Redraws what surrounds the counts when something was logged, as soon as the screen has had its turn: the tile that
 * was pressed draws its own count at once. A drawing for another reason in between has the newest version too: the log
 * it reads is as new, and React must know of the change, or it leaves out the effects that follow from it.
 */
function useLater(log: RunLog): number {
  const [subscribe] = useState(() => afterTurn(log));
  return useSyncExternalStore(subscribe, log.version, log.version);
}

const afterTurn = (log: RunLog) => (listener: () => void) => {
  let gone = false;
  let waits = false;
  const draw = () => {
    waits = false;
    if (!gone) listener();
  };
  const wait = () => {
    if (waits) return;
    waits = true;
    void afterPaint().then(draw);
  };
  const stop = log.subscribe(wait);
  return () => {
    gone = true;
    stop();
  };
};

/** What a player's count is made of, drawn the moment it grows. */
export const useEventsOf = (log: RunLog, blockId: string, playerId: string): readonly TouchEvent[] => {
  const events = () => log.eventsOf(blockId, playerId);
  return useSyncExternalStore(log.subscribe, events, events);
};

/** Where the counts of a log are: changes several times with every touch. */
export const useLogState = (log: RunLog): LogState =>
  useSyncExternalStore(log.subscribe, log.state, log.state);

/** A hidden page draws nothing: it does not wait longer than this, milliseconds. */
const hiddenMs = 60;

/** Resolves when what was changed on the page has been painted. */
const afterPaint = (): Promise<void> =>
  new Promise((done) => {
    const timer = setTimeout(done, hiddenMs);
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => {
        port1.close();
        clearTimeout(timer);
        done();
      };
      port2.postMessage(null);
    });
  });

/** The steady time, read several times a second while something is running, else every second. */
export function useNow(clock: SteadyClock, running: boolean): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    const read = () => setNow(clock.now());
    read();
    const timer = setInterval(read, running ? 100 : 1000);
    return () => clearInterval(timer);
  }, [clock, running]);
  return now;
}
