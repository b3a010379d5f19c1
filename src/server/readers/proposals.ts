import type { FourSchools } from '@/core/skill/four-schools';
import type { Judged, Verdict } from '@/core/skill/next-target';
import { groupBy } from '@/core/base/group-by';
import type { Executor } from '@/data/database';
import type { BlockAttempt } from '@/data/log';
import { evidenceOn } from '@/data/results';
import { stepAfter, type Book } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { ageIn } from '@/session/base/held';
import { goalsOf, judgedOn, markFor, type Goals } from '@/session/base/goals';
import { schoolsOn, type Manner, type Skill } from '@/session/skill/judging';
import type { PlanBlock, PlanPlayer, Work } from '@/session/base/plan';
import { recentSince } from '../base/days';
import { countedOn, judgedKey, judgedSteps, judgedWork } from './judged';
import { mannerOf } from './skill';

/** What was shown on a step, as the database answers it. */
type Shown = Awaited<ReturnType<typeof evidenceOn>>[number];

/** What is proposed for a player on a step: every screen and every decision that proposes something asks here. */
export interface Proposal {
  readonly goals: Goals;
  readonly judged: Judged;
  readonly manner: Manner;
  readonly schools: FourSchools;
}

/**
 * What is proposed for a player on a step.
 * @param age at which they did it, years
 * @param shown what they have shown on it; undefined where nothing was counted
 */
export function proposalOn(
  book: Book,
  skill: Skill,
  { work, playerId, age }: { readonly work: Work; readonly playerId: string; readonly age: number },
  shown: Shown | undefined,
): Proposal {
  const { drill, step } = work;
  const goals = goalsOf(work, age);
  const judged = judgedOn(drill, step, goals, shown);
  const manner = mannerOf(book, drill.id, playerId);
  return { goals, judged, manner, schools: schoolsOn(work, judged, playerId, skill, manner) };
}

/** What is proposed for a player after a block. */
export interface BlockProposal extends Proposal {
  readonly work: Work;
  readonly shown: Shown | undefined;
  /** Results of the step they were counted on, in the order made. */
  readonly onStep: readonly BlockAttempt[];
  /** Where each verdict leads: the step, and the score that moves up from it. */
  readonly leads: Readonly<Record<Verdict, { readonly stepId: string; readonly target: number }>>;
}

/** A session's blocks with who was in them and what was counted. */
export interface Judging {
  readonly book: Book;
  readonly skill: Skill;
  readonly session: { readonly id: string; readonly day: string };
  readonly blocks: readonly PlanBlock[];
  readonly players: readonly PlanPlayer[];
  readonly attempts: readonly BlockAttempt[];
}

/** What is proposed for each player after each block of a session; undefined where the drill is not known or they sat out. */
export async function proposalsIn(
  db: Executor,
  { book, skill, session, blocks, players, attempts }: Judging,
): Promise<(block: PlanBlock, player: PlanPlayer) => BlockProposal | undefined> {
  const counted = countedOn(attempts);
  const evidence = await evidenceOn(
    db,
    judgedSteps(book, blocks, players, counted),
    session,
    recentSince(session.day),
  );
  const shownOn = new Map(evidence.map((one) => [one.key, one]));
  const own = groupBy(attempts, ({ blockId, playerId }) => judgedKey(blockId, playerId));
  return (block, player) => {
    const work = judgedWork(book, block, player, counted);
    if (!work) return undefined;
    const { drill, step } = work;
    const age = ageIn(block, player);
    const key = judgedKey(block.id, player.id);
    const shown = shownOn.get(key);
    const lead = (verdict: Verdict) => {
      const next = stepAfter(drill, step.id, verdict);
      return { stepId: next.id, target: markFor(next, ageBandOf(age)).result };
    };
    return {
      ...proposalOn(book, skill, { work, playerId: player.id, age }, shown),
      work,
      shown,
      onStep: (own.get(key) ?? []).filter(({ stepId }) => stepId === step.id),
      leads: { up: lead('up'), hold: lead('hold'), back: lead('back') },
    };
  };
}
