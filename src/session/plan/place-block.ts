import type { Book } from '@/drills/book';
import { ageBandOf } from '@/drills/base/age-band';
import { blockOf, ownWorkFor, type PlanBlock, type PlanPlayer } from '../base/plan';
import type { Drill, Step } from '@/drills/base/types';

/** Where players stand on a ladder: their step's id, if they have begun it. */
export type StandsOn = (playerId: string) => string | undefined;

/** The lowest step any of the players stands on: one that everybody can do. */
export function commonStep(drill: Drill, players: readonly PlanPlayer[], standsOn: StandsOn): Step {
  const places = players.map(({ id }) =>
    Math.max(
      0,
      drill.steps.findIndex((step) => step.id === standsOn(id)),
    ),
  );
  return drill.steps[Math.min(...places, drill.steps.length - 1)]!;
}

/**
 * A new block of a drill: on the step that everybody can do, in the dose of the youngest one's age, and each player on
 * their own step with the amount of their own age.
 */
export function newBlock(
  book: Book,
  drillId: string,
  players: readonly PlanPlayer[],
  standsOn: StandsOn,
  id: string,
  stepId?: string,
): PlanBlock {
  const drill = book.drill(drillId)!;
  const step = drill.steps.find((one) => one.id === stepId) ?? commonStep(drill, players, standsOn);
  const youngest = Math.min(...players.map((player) => player.age));
  const core = { id, drillId, stepId: step.id, dose: step.doses[ageBandOf(youngest)] };
  return blockOf({
    ...core,
    own: players.map((player) => ownWorkFor(book, core, player, standsOn(player.id))),
  });
}
