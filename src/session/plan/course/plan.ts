import type { Book } from '@/drills/book';
import { soonBuilt } from '../build/soon';
import type { ChildFacts } from '../build/needs';
import type { PlanSetting } from '../evaluate';
import { fitToBooking } from '../fit-time';
import { newBlock, type StandsOn } from '../place-block';
import { ownWorkFor, type PlanBlock, type PlanPlayer } from '@/session/base/plan';
import type { CourseGoal } from './paths';

/** Where everybody is planned on the ladder of the course, by player id. */
export type Rungs = Readonly<Record<string, string>>;

/**
 * One session of a course: a retest of what the session before worked on, the goal's drill a rung on, and round it what
 * these children need most; what the session before had besides is given a rest.
 * @param before the session before, and where everybody was planned in it; null for the first
 */
export async function courseSession(
  setting: PlanSetting,
  facts: readonly ChildFacts[],
  standsOn: (drillId: string) => StandsOn,
  goal: CourseGoal,
  rungs: Rungs,
  before: { readonly drillIds: readonly string[]; readonly rungs: Rungs } | null,
  newId: () => string,
): Promise<PlanBlock[]> {
  const { book, players, bookedMin } = setting;
  const stands = (drillId: string): StandsOn =>
    drillId === goal.drillId ? (playerId) => rungs[playerId] : standsOn(drillId);
  const rested = (before?.drillIds ?? []).filter((id) => id !== goal.drillId);
  const session = soonBuilt(setting, facts, stands, [goal.drillId], rested);
  const chosen = session?.blocks ?? [newBlock(book, goal.drillId, players, stands(goal.drillId), newId())];
  const own = chosen.map((block) => ({ ...block, id: newId() }));
  if (!before) return own;
  const retest = {
    ...newBlock(book, goal.drillId, players, (playerId) => before.rungs[playerId], newId()),
    retest: true,
  };
  return [...fitToBooking(setting, [retest, ...own], bookedMin * 60, 'by phase').blocks];
}

/** The blocks of a course's own drill in a plan: its retest of the session before, and its work on the rung of the day. */
export const courseBlocks = (blocks: readonly PlanBlock[], { drillId }: CourseGoal) => ({
  retest: blocks.find((block) => block.drillId === drillId && block.retest),
  work: blocks.find((block) => block.drillId === drillId && !block.retest),
});

/** Does a block still have a child where the course put them? Else a coach has said otherwise. */
function isAsWritten(book: Book, block: PlanBlock, written: Rungs, player: PlanPlayer): boolean {
  const own = ownIn(block, player.id);
  const rung = written[player.id];
  if (!own || !rung) return true;
  return !own.out && own.stepId === ownWorkFor(book, block, player, rung).stepId;
}

const ownIn = (block: PlanBlock, playerId: string) => block.own.find((one) => one.playerId === playerId);

/** A block of a course planned again, and where everybody now is as the course has it. */
export interface Moved {
  readonly block: PlanBlock;
  readonly rungs: Rungs;
}

/**
 * Moves children to other rungs, each of whom the course itself had put where they are: whoever a coach has put elsewhere,
 * or out, stays there. The very same block where nobody moves; else what the coach made of it stays as long as its step does.
 * @param written where the course had everybody, @param after where it wants them
 */
export function moveTo(
  book: Book,
  block: PlanBlock,
  written: Rungs,
  after: Rungs,
  players: readonly PlanPlayer[],
): Moved {
  const stays = new Set(
    players.filter((player) => !isAsWritten(book, block, written, player)).map(({ id }) => id),
  );
  const rungs = Object.fromEntries(
    players.flatMap(({ id }) => {
      const rung = stays.has(id) ? written[id] : (after[id] ?? written[id]);
      return rung ? [[id, rung]] : [];
    }),
  );
  const moves = players.filter((player) => {
    const [from, to] = [written[player.id], after[player.id]];
    if (stays.has(player.id) || !to) return false;
    return from
      ? to !== from
      : ownWorkFor(book, block, player, to).stepId !== ownIn(block, player.id)?.stepId;
  });
  if (moves.length === 0) return { block, rungs };
  const stepOf: StandsOn = (id) => (stays.has(id) ? ownIn(block, id)?.stepId : rungs[id]);
  const fresh = newBlock(book, block.drillId, players, stepOf, block.id);
  const sameStep = fresh.stepId === block.stepId;
  const core = sameStep
    ? block
    : { ...block, stepId: fresh.stepId, dose: fresh.dose, setting: fresh.setting };
  // Another step of the block may count in another way: then everybody's part is new, but for what a coach said.
  const renewed = sameStep ? moves : players.filter(({ id }) => !stays.has(id));
  const ids = new Set(renewed.map(({ id }) => id));
  return {
    block: {
      ...core,
      own: [
        ...block.own.filter(({ playerId }) => !ids.has(playerId)),
        ...renewed.map((player) => ownWorkFor(book, core, player, stepOf(player.id))),
      ],
    },
    rungs,
  };
}

/** A challenge for the days until the next session: the rung of the day, in a few words for a family. */
export function homeChallenge(book: Book, goal: CourseGoal, rungs: Rungs, untilDay: string | null): string {
  const drill = book.drill(goal.drillId);
  const steps = [...new Set(Object.values(rungs))].flatMap(
    (id) => drill?.steps.find((step) => step.id === id) ?? [],
  );
  if (!drill || steps.length === 0) return '';
  const named = steps.map((step) => `“${step.title}”`).join(' or ');
  const until = untilDay === null ? 'from now on' : `until ${untilDay}`;
  return `Home challenge: ${drill.title}, ${named}, ${until}: three goes a day, and tell us your best.`;
}
