import { noLoadSum } from '@/core/dose/load';
import type { Book } from '@/drills';
import { kitAtHand } from '@/drills/base/kit';
import type { SessionPlanView } from '@/server/views/session-plan';
import { evaluatePlan, type CarefulPlayer, type Evaluation } from '@/session/plan/evaluate';
import type { TimeSetting } from '@/session/plan/fit-time';
import type { PlanBlock } from '@/session/base/plan';
import type { Ground } from '@/session/plan/time-plan';
import type { PlanDoc } from './plan-store';

const nothingBefore = { weekLoad: noLoadSum, dayLoad: noLoadSum, lastDone: {} };

/** What the time of this plan's blocks hangs on: who comes, how they do, where it is. */
export function timeSettingOf(
  view: SessionPlanView,
  book: Book,
  { playerIds, placeId }: Pick<PlanDoc, 'playerIds' | 'placeId'>,
): TimeSetting {
  const players = playerIds.flatMap(
    (id) => view.squad.find((one) => one.id === id && !view.absent.includes(id)) ?? [],
  );
  return { book, players, records: view.records, ground: groundOf(view, placeId) };
}

const groundOf = (view: SessionPlanView, placeId: string | null): Ground => ({
  place: view.grounds.find((one) => one.id === placeId) ?? null,
  atHand: kitAtHand(view.kit),
});

/** Who comes, as the care rules know them. */
export const carefulPlayers = (view: SessionPlanView, playerIds: readonly string[]): CarefulPlayer[] =>
  playerIds.flatMap((id) => {
    const player = view.absent.includes(id) ? undefined : view.squad.find((one) => one.id === id);
    return player ? [{ ...player, ...(view.history[id] ?? nothingBefore) }] : [];
  });

/** What a plan comes to: times, fit, care, shares. The plan screen and its paper ask here. */
export function evaluationOf(
  view: SessionPlanView,
  book: Book,
  doc: Pick<PlanDoc, 'bookedMin' | 'startTime' | 'airC' | 'placeId'> & {
    readonly blocks: readonly PlanBlock[];
    readonly playerIds: readonly string[];
  },
): Evaluation {
  const { blocks, playerIds, bookedMin, startTime, airC, placeId } = doc;
  const players = carefulPlayers(view, playerIds);
  return evaluatePlan(blocks, {
    book,
    players,
    bookedMin,
    startTime,
    airC,
    records: view.records,
    ground: groundOf(view, placeId),
  });
}
