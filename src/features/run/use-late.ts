'use client';

import { useState } from 'react';
import type { Book } from '@/drills';
import { kitAtHand } from '@/drills/kit';
import { timePlan } from '@/session/plan';
import { scaled } from '@/core/dose/scale';
import { liveEvents } from '@/core/counting/live';
import { blockClock, elapsedS } from '@/core/run/block-clock';
import { courtChanges } from '@/core/run/court-changes';
import {
  bookingEndMs,
  overrunS,
  shortShare,
  trimOffers,
  type BlockToCome,
  type TrimOffer,
} from '@/core/run/late';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import { useBook } from '@/ui/house';
import type { RunLog } from '@/court/run-log';
import type { BlockRun } from './use-block';

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

/** The session against its booking: what is left, and what could be trimmed. */
export function useSessionTime(
  view: SessionRunView,
  order: readonly RunBlock[],
  run: BlockRun | null,
  log: RunLog,
  nowMs: number,
): SessionTime {
  const book = useBook(view.session.coach);
  const states = statesOf(order, log);
  const [toComeOf] = useState(() => remembered(blocksToCome));
  const toCome = toComeOf(view, book, keyOf(states, run?.block.id));

  const startedMs = states
    .flatMap(({ events }) => liveEvents(events).filter((event) => event.kind === 'start'))
    .reduce((first, event) => Math.min(first, event.atMs), Infinity);
  const endMs = Number.isFinite(startedMs)
    ? bookingEndMs(view.bookedStartMs, view.session.bookedMin, startedMs)
    : null;
  const totalS = run ? run.phases.reduce((sum, phase) => sum + phase.seconds, 0) : 0;
  const runningLeftS =
    run && run.clock.state !== 'ended' ? Math.max(0, totalS - elapsedS(run.clock, nowMs)) : 0;
  const leftS = endMs === null ? view.session.bookedMin * 60 : (endMs - nowMs) / 1000;
  return {
    endMs,
    leftS,
    overS: overrunS(runningLeftS, toCome, leftS),
    offers: endMs === null ? [] : trimOffers(runningLeftS, toCome, leftS),
    trimmed: states.flatMap<SessionTime['trimmed'][number]>(({ block, clock, changes }) => {
      if (clock.state !== 'ready') return [];
      if (changes.out) return [{ blockId: block.id, kind: 'out' }];
      return changes.share < 1 ? [{ blockId: block.id, kind: 'share' }] : [];
    }),
  };
}

/** Every block with its clock and what was decided about it. */
const statesOf = (order: readonly RunBlock[], log: RunLog) =>
  order.map((block) => {
    const events = log.events(block.id, null);
    return { block, events, clock: blockClock(events), changes: courtChanges(events) };
  });

/** The blocks after the running one that are still to be run, as `id:share`: times are worked out anew only when they change. */
function keyOf(states: ReturnType<typeof statesOf>, runningId: string | undefined): string {
  const at = states.findIndex(({ block }) => block.id === runningId);
  return states
    .flatMap(({ block, clock, changes }, index) =>
      index > at && clock.state === 'ready' && !changes.out ? [`${block.id}:${changes.share}`] : [],
    )
    .join(' ');
}

/** The blocks named in a key of `id:share`, with the seconds they take whole and shortened. */
function blocksToCome(view: SessionRunView, book: Book, key: string): BlockToCome[] {
  const ground = { place: view.care.place, atHand: kitAtHand(view.care.kit) };
  const seconds = (block: RunBlock, share: number) =>
    timePlan(
      book,
      [share < 1 ? { ...block, dose: scaled(block.dose, share) } : block],
      view.players,
      view.care.records,
      view.session.bookedMin,
      ground,
    ).totalS;
  return key
    .split(' ')
    .filter(Boolean)
    .map((one) => {
      const [id, shared] = one.split(':');
      const block = view.blocks.find((known) => known.id === id)!;
      const share = Number(shared);
      const now = seconds(block, share);
      return {
        blockId: block.id,
        seconds: now,
        shortS: share < 1 ? now : seconds(block, shortShare),
        keep: block.retest || book.drill(block.drillId)?.family === 'loosen',
      };
    });
}

/** A function that works out its answer anew only when it is asked something else than before. */
function remembered<A extends readonly unknown[], R>(work: (...asked: A) => R): (...asked: A) => R {
  let last: { asked: A; answer: R } | null = null;
  return (...asked) => {
    if (!last || asked.some((one, index) => one !== last!.asked[index]))
      last = { asked, answer: work(...asked) };
    return last.answer;
  };
}
