'use client';

import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Signal } from '@/core/run/phases';
import type { SessionRunView } from '@/server/views/session-run';
import { deviceName, deviceStore, sendBatch } from './device';
import { RunLog, type LogState } from './run-log';
import { scheduleSignals } from './sound';

/** The session's log on this device. Made in the browser only: the server has no store to keep events in. */
export function useRunLog(view: SessionRunView): { log: RunLog; state: LogState } {
  const [log] = useState(
    () =>
      new RunLog(view.events, {
        store: typeof indexedDB === 'undefined' ? noStore : deviceStore(),
        send: sendBatch,
        later: (work, ms) => {
          if (typeof window !== 'undefined') setTimeout(work, ms);
        },
        clock: { now: () => Date.now(), mono: () => performance.now() },
        device: typeof window === 'undefined' ? 'server' : deviceName(),
      }),
  );
  const state = useSyncExternalStore(log.subscribe, log.state, log.state);
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
  return { log, state };
}

const noStore = { all: async () => [], put: async () => undefined, remove: async () => undefined };

/** The time, read anew several times a second while something is running. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    const read = () => setNow(Date.now());
    read();
    if (!running) return;
    const timer = setInterval(read, 100);
    return () => clearInterval(timer);
  }, [running]);
  return now;
}

/** Sounds the signals of a running block; they are scheduled again whenever it starts, pauses or changes. */
export function useSignals(
  key: string,
  running: boolean,
  signals: readonly Signal[],
  elapsedS: () => number,
): void {
  const context = useRef<AudioContext | null>(null);
  const latest = useRef({ signals, elapsedS });
  useEffect(() => {
    latest.current = { signals, elapsedS };
  });
  useEffect(() => {
    if (!running || typeof AudioContext === 'undefined') return;
    let takeBack: (() => void) | undefined;
    const schedule = () => {
      context.current ??= new AudioContext();
      void context.current.resume();
      takeBack = scheduleSignals(context.current, latest.current.signals, latest.current.elapsedS());
    };
    // Browsers let a page sound only after a press. Starting a block is one; after a reload the next press will do.
    const waits = navigator.userActivation && !navigator.userActivation.hasBeenActive;
    const pressed = new AbortController();
    if (waits) {
      for (const press of ['pointerup', 'keyup'] as const)
        window.addEventListener(press, () => (pressed.abort(), schedule()), { signal: pressed.signal });
    } else schedule();
    return () => {
      pressed.abort();
      takeBack?.();
    };
  }, [key, running]);
}
