import { useMemo } from 'react';
import type { Book } from '@/drills';
import { evaluatePlan, type Evaluation } from '@/session/evaluate';
import { kitAtHand } from '@/drills/kit';
import { noLoadSum } from '@/core/dose/load';
import type { SessionPlanView } from '@/server/views/session-plan';
import type { Knows } from '@/session/edits';
import type { PlanDoc } from './plan-store';

const nothingBefore = { weekLoad: noLoadSum, dayLoad: noLoadSum, lastDone: {} };

/** What edits need to know, for as long as the view and the book stay the same. */
export function useKnows(view: SessionPlanView, book: Book): Knows {
  return useMemo(() => {
    const standing = new Map(view.places.map(([player, drill, step]) => [`${drill} ${player}`, step]));
    return {
      book,
      squad: view.squad,
      standsOn: (drillId) => (playerId) => standing.get(`${drillId} ${playerId}`),
    };
  }, [view, book]);
}

/** The whole plan evaluated again with every change: times, fit, care, shares. */
export function useEvaluation(view: SessionPlanView, book: Book, doc: PlanDoc): Evaluation {
  const atHand = useMemo(() => kitAtHand(view.kit), [view.kit]);
  const { blocks, playerIds, bookedMin, startTime, airC, placeId } = doc;
  return useMemo(() => {
    const players = playerIds.flatMap((id) => {
      const player = view.absent.includes(id) ? undefined : view.squad.find((one) => one.id === id);
      return player ? [{ ...player, ...(view.history[id] ?? nothingBefore) }] : [];
    });
    const place = view.grounds.find((one) => one.id === placeId) ?? null;
    const { records } = view;
    return evaluatePlan(blocks, {
      book,
      players,
      records,
      ground: { place, atHand },
      bookedMin,
      startTime,
      airC,
    });
  }, [blocks, playerIds, bookedMin, startTime, airC, placeId, view, book, atHand]);
}
