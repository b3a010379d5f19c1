import { aged, yearsBetween } from '@/core/base/aged';
import type { SessionPlanView } from '@/server/views/session-plan';

/** What is known of a plan, with everybody at the age they have on another day it is moved to. */
export function viewOn(view: SessionPlanView, day: string): SessionPlanView {
  const years = yearsBetween(view.session.day, day);
  return years === 0 ? view : { ...view, squad: aged(view.squad, years) };
}

/** The place by its name on the list, or by what was typed. */
export const placeName = (
  view: SessionPlanView,
  doc: Pick<SessionPlanView['session'], 'placeId' | 'placeName'>,
): string => view.grounds.find((place) => place.id === doc.placeId)?.name ?? doc.placeName;

/** What the last review aimed at, for a player who stands on that step. */
export const decidedIn = (
  view: SessionPlanView,
  playerId: string,
  drillId: string,
  stepId: string,
): number | undefined =>
  view.places.find(([id, drill, step]) => id === playerId && drill === drillId && step === stepId)?.[3];
