'use client';

import { startTransition, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { clipName } from '@/core/calls/call-sets';
import type { Cue } from '@/core/calls/timeline';
import type { TouchEvent } from '@/core/counting/event';
import { SteadyClock } from '@/core/run/steady-clock';
import type { SessionRunView } from '@/server/views/session-run';
import { whoCounts } from './court-settings';
import { deviceName, deviceStore, sendTo } from './device';
import { askAt, followSession } from './follow-session';
import { RunLog, type EventStore, type LogState } from './run-log';
import { SoundPlayer, webAudioPlay } from './sound-player';
import { findTwins, type Twins } from './twins';

export interface Court {
  readonly log: RunLog;
  readonly clock: SteadyClock;
  /** Other tabs of this device with the same session. */
  readonly twins: number;
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

/** The session's log on this device. Made in the browser only: the server has no store to keep events in. */
export function useCourt(view: SessionRunView): Court {
  const twinsRef = useRef<Twins | null>(null);
  const [{ log, clock }] = useState(() => {
    const device = inBrowser ? deviceName() : 'server';
    const clocks = { now: () => Date.now(), mono: () => performance.now() };
    const clock = new SteadyClock(clocks, newestOf(view.events, device));
    const [playerId] = view.players.map((player) => player.id);
    const blockIds = view.blocks.map((block) => block.id);
    const log = new RunLog(view.events, {
      store: typeof indexedDB === 'undefined' ? noStore : deviceStore(),
      send: sendTo(view.helper ? `/api/help/${view.helper.token}/touches` : '/api/touches'),
      later: (work, ms) => {
        if (inBrowser) setTimeout(work, ms);
      },
      clock: { now: () => clock.now(), mono: clocks.mono },
      device,
      by: whoCounts,
      blockIds,
      // A helper's link counts one child: what a coach left on this device is not theirs to send.
      mine: view.helper
        ? (event) => event.playerId === playerId && blockIds.includes(event.blockId)
        : undefined,
      drawn: afterPaint,
      share: (event) => twinsRef.current?.share(event),
    });
    void log.opened.then(() => {
      const kept = blockIds.flatMap((id) => [
        ...log.events(id, null),
        ...view.players.flatMap((player) => log.events(id, player.id)),
      ]);
      clock.notBefore(newestOf(kept, device));
    });
    return { log, clock };
  });
  useLater(log);
  const [twins, setTwins] = useState(0);
  useEffect(() => {
    const found = findTwins(view.session.id, (event) => log.receive([event], 'tab'), setTwins);
    twinsRef.current = found;
    const bye = () => found.close();
    window.addEventListener('pagehide', bye);
    return () => {
      window.removeEventListener('pagehide', bye);
      found.close();
    };
  }, [log, view.session.id]);
  useEffect(() => {
    const blockIds = view.blocks.map((block) => block.id);
    const address = view.helper
      ? `/api/help/${view.helper.token}/touches`
      : `/api/sessions/${view.session.id}/touches`;
    return followSession(view.logEnd, {
      ask: askAt(address),
      later: (work, ms) => {
        const timer = setTimeout(work, ms);
        return () => clearTimeout(timer);
      },
      onEvents: (events) => log.receive(events, 'server'),
      onClosed: (message) => log.close(message),
      // A helper's phone may be minutes off; until it has counted, it can take over the server's time.
      onTime: (nowMs) => {
        const { waiting, loose } = log.state();
        const counted = view.players.some((player) =>
          blockIds.some((id) => log.events(id, player.id).some((event) => event.device === log.device)),
        );
        const off = Math.abs(clock.now() - nowMs) > farOffMs;
        if (view.helper && off && !counted && waiting + loose === 0) clock.alignTo(nowMs);
      },
    });
  }, [log, clock, view]);
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
  return { log, clock, twins };
}

/**
 * Draws what surrounds the counts anew when something was logged, as soon as there is time for it: the tile that was
 * pressed draws its own count at once.
 */
function useLater(log: RunLog): void {
  const [, setVersion] = useState(0);
  useEffect(() => {
    let gone = false;
    let waits = false;
    const draw = () => {
      waits = false;
      if (!gone) startTransition(() => setVersion(log.version()));
    };
    const later = () => {
      if (waits) return;
      waits = true;
      void afterPaint().then(draw);
    };
    draw();
    const stop = log.subscribe(later);
    return () => {
      gone = true;
      stop();
    };
  }, [log]);
}

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

const noStore: EventStore = {
  waiting: async () => [],
  put: async () => undefined,
  settle: async () => undefined,
  settled: async () => [],
};

/** The steady time, read anew several times a second while something is running, else every second. */
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

const alwaysSpoken = ['last-ten-seconds', 'rest', 'time'];

/** Sounds the cues of a running block; they are scheduled again whenever it starts, pauses or changes. */
export function useCues(running: boolean, cues: readonly Cue[], elapsedS: () => number): void {
  const elapsed = useRef(elapsedS);
  useEffect(() => {
    elapsed.current = elapsedS;
  });
  useEffect(() => {
    if (!running || cues.length === 0 || typeof AudioContext === 'undefined') return;
    let stop: (() => void) | undefined;
    let gone = false;
    const words = [...new Set(cues.flatMap((cue) => (cue.call ? [clipName(cue.call.word)] : [])))];
    const start = async () => {
      const context = audioContext();
      void context.resume();
      const player = new SoundPlayer({
        now: () => context.currentTime,
        play: webAudioPlay(context, (name) => clips.get(name)),
        every: (work, ms) => {
          const timer = setInterval(work, ms);
          return () => clearInterval(timer);
        },
      });
      stop = () => player.stop();
      if (!gone) player.start(cues, elapsed.current());
      // Words that are not here yet join in as soon as they are.
      if ((await loadClips(context, [...alwaysSpoken, ...words])) && !gone)
        player.start(cues, elapsed.current());
    };
    // Browsers let a page sound only after a press. Starting a block is one; after a reload the next press will do.
    const waits = navigator.userActivation && !navigator.userActivation.hasBeenActive;
    const pressed = new AbortController();
    if (waits) {
      for (const press of ['pointerup', 'keyup'] as const)
        window.addEventListener(press, () => (pressed.abort(), void start()), { signal: pressed.signal });
    } else void start();
    return () => {
      gone = true;
      pressed.abort();
      stop?.();
    };
  }, [running, cues]);
}

let shared: AudioContext | null = null;
const audioContext = (): AudioContext => (shared ??= new AudioContext());
const clips = new Map<string, AudioBuffer>();

/** Fetches and decodes clips; true when there were new ones. One that cannot be had stays silent: the screen shows the word. */
async function loadClips(context: AudioContext, names: readonly string[]): Promise<boolean> {
  const missing = names.filter((name) => !clips.has(name));
  await Promise.all(
    missing.map(async (name) => {
      try {
        const response = await fetch(`/calls/${name}.wav`);
        if (response.ok) clips.set(name, await context.decodeAudioData(await response.arrayBuffer()));
      } catch {
        // See above.
      }
    }),
  );
  return missing.some((name) => clips.has(name));
}
