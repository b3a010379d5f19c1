'use client';

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { tally, type Tally } from '@/core/counting/tally';
import type { Measure } from '@/core/counting/measure';
import { dayNumber, isoDay } from '@/core/base/days';
import { liveEvents } from '@/core/counting/live';
import { clearDevice } from '@/court/clear-device';
import { deviceName, deviceStore, sendTo } from '@/court/device';
import { noStore } from '@/court/held-back';
import { RunLog, type LogState } from '@/court/run-log';
import type { HomeView } from '@/session/vows/home-view';

/** A child's log at home: the court's own, with its store and its outbox. */
export interface HomeLog {
  readonly log: RunLog;
  readonly state: LogState;
  /** Goes up with every mark: what is drawn follows it. */
  readonly version: number;
  readonly device: string;
}

const inBrowser = typeof window !== 'undefined';

/**
 * @param address where counts are sent; null for a file, which sends nothing and keeps all of it
 */
export function useHome(view: HomeView, address: string | null): HomeLog {
  const [log] = useState(() => {
    const own = inBrowser ? deviceName() : 'server';
    const device = own.startsWith(view.sign) ? own : (view.sign + own).slice(0, 64);
    const blockIds = view.vows.flatMap(({ days }) =>
      days.flatMap(({ parts }) => parts.map(({ blockId }) => blockId)),
    );
    const ours = new Set(blockIds);
    return new RunLog(view.events, {
      store: typeof indexedDB === 'undefined' ? noStore : deviceStore(),
      send: address ? sendTo(address) : () => Promise.resolve({ kind: 'unreachable' as const }),
      later: (work, ms) => {
        if (inBrowser && address) setTimeout(work, ms);
      },
      clock: { now: () => Date.now(), mono: () => performance.now() },
      device,
      by: () => view.by,
      blockIds,
      // Whatever else rests on this device is none of this page's.
      mine: (event) => ours.has(event.blockId) && event.device.startsWith(view.sign),
    });
  });
  const state = useSyncExternalStore(log.subscribe, log.state, log.state);
  const version = useSyncExternalStore(log.subscribe, log.version, log.version);
  useEffect(() => {
    // A link that was withdrawn leaves nothing here but what is nowhere else.
    if (state.closed !== null) void clearDevice();
  }, [state.closed]);
  return { log, state, version, device: log.device };
}

/** What was counted in one part of a day. */
export function usePartTally(home: HomeLog, blockId: string, playerId: string, measure: Measure): Tally {
  const { log, version } = home;
  return useMemo(
    () => tally(log.eventsOf(blockId, playerId), measure),
    // The version says when the log has changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [log, version, blockId, playerId, measure],
  );
}

/** What was said about a day: how it felt, and a line. The last word holds. */
export function saidOn(
  log: RunLog,
  blockId: string,
  playerId: string,
): { felt: number | null; text: string } {
  const notes = liveEvents(log.events(blockId, playerId)).filter(({ kind }) => kind === 'note');
  return {
    felt: notes.findLast(({ value }) => value !== null)?.value ?? null,
    text: notes.findLast(({ text }) => text)?.text ?? '',
  };
}

/** The day it is here: as many days after the page was made as this device’s calendar says. */
export function homeToday(view: Pick<HomeView, 'today' | 'madeAtMs'>, nowMs: number): string {
  const made = dayNumber(localDay(view.madeAtMs));
  const passed = Math.max(0, dayNumber(localDay(nowMs)) - made);
  return isoDay(dayNumber(view.today) + passed);
}

const two = (n: number) => String(n).padStart(2, '0');
/** The local day of a moment, by this device’s clock. */
export function localDay(atMs: number): string {
  const date = new Date(atMs);
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}
