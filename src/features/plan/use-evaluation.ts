import { useMemo } from 'react';
import type { Book } from '@/drills';
import type { Evaluation } from '@/session/plan/evaluate';
import type { SessionPlanView } from '@/server/views/session-plan';
import { evaluationOf } from './evaluation-of';
import type { Knows } from '@/session/plan/edits';
import type { PlanDoc } from './plan-store';

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

/** What plans come to as they were opened. The server draws a kept view again for every look, and works this out once. */
const opened = new WeakMap<SessionPlanView, Evaluation>();

function isAsOpened({ session, blocks, playerIds }: SessionPlanView, doc: PlanDoc): boolean {
  if (doc.blocks !== blocks || doc.playerIds.join() !== playerIds.join()) return false;
  return (['coach', 'bookedMin', 'startTime', 'airC', 'placeId'] as const).every(
    (field) => doc[field] === session[field],
  );
}

/** The whole plan evaluated again with every change: times, fit, care, shares. */
export function useEvaluation(view: SessionPlanView, book: Book, doc: PlanDoc): Evaluation {
  const { blocks, playerIds, bookedMin, startTime, airC, placeId } = doc;
  const asOpened = isAsOpened(view, doc);
  return useMemo(() => {
    const known = asOpened && opened.get(view);
    if (known) return known;
    const evaluation = evaluationOf(view, book, { blocks, playerIds, bookedMin, startTime, airC, placeId });
    if (asOpened) opened.set(view, evaluation);
    return evaluation;
  }, [asOpened, blocks, playerIds, bookedMin, startTime, airC, placeId, view, book]);
}
