import type { Book } from '@/drills';
import { ageIn } from '@/session/base/held';
import { markFor } from '@/session/base/goals';
import { ageBandOf } from '@/drills/base/age-band';
import { workOnCourt } from '@/session/court/on-court';
import type { PlanBlock, PlanPlayer, Work } from '@/session/base/plan';
import { asPlanned } from '@/core/counting/conditions';
import { measures } from '@/core/counting/measure';
import type { JudgedStep } from '@/data/results';
import type { BlockAttempt } from '@/data/log';

/** Key of a player's evidence in a block. */
export const judgedKey = (blockId: string, playerId: string): string => `${blockId} ${playerId}`;

/** The last step each player was counted on in each block, by {@link judgedKey}. */
export type CountedOn = ReadonlyMap<string, string>;

/** The steps attempts were made on; the last attempt of a player in a block says where they got to. */
export const countedOn = (
  attempts: readonly Pick<BlockAttempt, 'blockId' | 'playerId' | 'stepId'>[],
): CountedOn =>
  new Map(attempts.map(({ blockId, playerId, stepId }) => [judgedKey(blockId, playerId), stepId]));

/** A player as old as they were when a block was held. */
export const asThen = (block: PlanBlock, player: PlanPlayer): PlanPlayer => ({
  id: player.id,
  age: ageIn(block, player),
});

/** A player's step and dose as they are judged: on court they may have been moved to another step than planned. */
export function judgedWork(
  book: Book,
  block: PlanBlock,
  player: PlanPlayer,
  counted: CountedOn,
): Work | undefined {
  const stepId = counted.get(judgedKey(block.id, player.id)) ?? null;
  return workOnCourt(book, block, asThen(block, player), { ...asPlanned, stepId });
}

/** What players are judged on in blocks, each on their own step under their own dose; unknown drills are left out. */
export function judgedSteps(
  book: Book,
  blocks: readonly PlanBlock[],
  players: readonly PlanPlayer[],
  counted: CountedOn = new Map(),
): JudgedStep[] {
  return blocks.flatMap((block) =>
    players.flatMap((player) => {
      const work = judgedWork(book, block, player, counted);
      return work ? [judgedStep(book, judgedKey(block.id, player.id), asThen(block, player), work)] : [];
    }),
  );
}

/** Does a coach let what was done at home show a mark? */
export const homeCountsFor = (book: Book, drillId: string, playerId: string): boolean =>
  book.school('homeCounts', drillId, playerId).answer === 'home days too';

/** One step of a player, as evidence is asked for. */
export function judgedStep(
  book: Book,
  key: string,
  { id, age }: PlanPlayer,
  { drill, step }: Work,
): JudgedStep {
  const { lowerIsBetter } = measures[step.measure];
  return {
    key,
    playerId: id,
    drillId: drill.id,
    stepId: step.id,
    gate: markFor(step, ageBandOf(age)).result,
    lowerIsBetter,
    habit: step.habit !== undefined,
    homeCounts: homeCountsFor(book, drill.id, id),
  };
}
