'use client';

import { useState } from 'react';
import { liveEvents } from '@/core/counting/live';
import { slotsOf } from '@/core/plan/circuit/circuit';
import { blockClock, elapsedS } from '@/core/court/block-clock';
import { courtChanges } from '@/core/court/court-changes';
import type { TrimOffer } from '@/core/court/late';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import { usePageBook } from '@/ui/house';
import type { RunLog } from '@/court/run-log';
import type { BlockRun } from './use-block';

/** What times the rest of a plan: it comes once the court can count. */
type Timing = Pick<typeof import('@/core/court/late'), 'bookingEndMs' | 'overrunS' | 'trimOffers'> &
  Pick<typeof import('./left-by'), 'leftBy'>;

export interface SessionTime {
  /** When the booking ends, UTC milliseconds; null before the session has begun. */
  readonly endMs: number | null;
  readonly leftS: number;
  /** Seconds over the booking as things stand; under 0 when time is left. */
  readonly overS: number;
  readonly offers: readonly TrimOffer[];
  /** Blocks that were shortened or left out and have not been run: they can be put back. */
  readonly trimmed: readonly { readonly blockId: string; readonly kind: 'share' | 'out' }[];
}

/**
 * The session against its booking: what is left, and what could be trimmed.
 * @param timing times the rest of a plan; until it is there the session counts as not begun
 */
export function useSessionTime(
  view: SessionRunView,
  order: readonly RunBlock[],
  run: BlockRun | null,
  log: RunLog,
  nowMs: number,
  timing: Timing | null,
): SessionTime {
  const book = usePageBook(view.session.coach);
  const states = statesOf(order, log);
  const [leftOf] = useState(() => remembered(leftIn));
  const { toCome, afterRunningS } = leftOf(timing, view, book, keyOf(states, run));

  const startedMs = states
    .flatMap(({ events }) => liveEvents(events).filter((event) => event.kind === 'start'))
    .reduce((first, event) => Math.min(first, event.atMs), Infinity);
  const endMs =
    timing && Number.isFinite(startedMs)
      ? timing.bookingEndMs(view.bookedStartMs, view.session.bookedMin, startedMs)
      : null;
  const totalS = run ? run.phases.reduce((sum, phase) => sum + phase.seconds, 0) : 0;
  const runningLeftS =
    run && run.clock.state !== 'ended' ? Math.max(0, totalS - elapsedS(run.clock, nowMs)) + afterRunningS : 0;
  const leftS = endMs === null ? view.session.bookedMin * 60 : (endMs - nowMs) / 1000;
  return {
    endMs,
    leftS,
    overS: timing?.overrunS(runningLeftS, toCome, leftS) ?? 0,
    offers: timing && endMs !== null ? timing.trimOffers(runningLeftS, toCome, leftS) : [],
    trimmed: states.flatMap<SessionTime['trimmed'][number]>(({ block, clock, changes }) => {
      if (clock.state !== 'ready') return [];
      if (changes.out) return [{ blockId: block.id, kind: 'out' }];
      return changes.share < 1 ? [{ blockId: block.id, kind: 'share' }] : [];
    }),
  };
}

/** Every block with its clock and what was decided about it; a circuit goes by its first station. */
const statesOf = (order: readonly RunBlock[], log: RunLog) =>
  slotsOf(order).map(([first]) => {
    const block = first!;
    const events = log.events(block.id, null);
    return { block, events, clock: blockClock(events), changes: courtChanges(events) };
  });

/** The running block and those after it that are still to be run, as `id` and `id:share`: times are recomputed only when they change. */
function keyOf(states: ReturnType<typeof statesOf>, run: BlockRun | null): string {
  const at = states.findIndex(({ block }) => block.id === run?.block.id);
  const running = run && run.clock.state !== 'ended' ? run.block.id : '';
  return [
    running,
    ...states.flatMap(({ block, clock, changes }, index) =>
      index > at && clock.state === 'ready' && !changes.out ? [`${block.id}:${changes.share}`] : [],
    ),
  ].join(' ');
}

const leftIn = (timing: Timing | null, ...asked: Parameters<Timing['leftBy']>) =>
  timing?.leftBy(...asked) ?? { toCome: [], afterRunningS: 0 };

/** A function that recomputes its answer only when it is asked something else than before. */
function remembered<A extends readonly unknown[], R>(work: (...asked: A) => R): (...asked: A) => R {
  let last: { asked: A; answer: R } | null = null;
  return (...asked) => {
    if (!last || asked.some((one, index) => one !== last!.asked[index]))
      last = { asked, answer: work(...asked) };
    return last.answer;
  };
}
