import { bestAt } from '@/core/skill/expect/mark';
import {
  doubledIn,
  fasterIn,
  findings,
  homeFarAbove,
  pausesIn,
  type Doubt,
  type Finding,
  type Tapped,
} from '@/core/skill/honest';
import type { Level } from '@/core/skill/level/squad';
import { measures } from '@/core/counting/measure';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { Tap } from '@/core/counting/tap';
import { groupBy } from '@/core/group-by';
import type { Book } from '@/drills/book';
import type { Drill } from '@/drills/types';
import { dayOf, levelOn, type Skill } from './judging';
import { atHome, goalOf } from './levels';

/** The one step on which counts at home lie furthest above those on court, where any does. */
function homeAboveCourt(book: Book, skill: Skill, playerId: string): Finding[] {
  const found = skill.levels.flatMap((home) => {
    if (home.playerId !== playerId || home.condition !== atHome) return [];
    const court = levelOn(skill, playerId, home.ladder, home.step);
    const step = book.step(home.ladder, home.step, playerId);
    // Of times and spreads less is better.
    if (!court || !step || measures[step.measure].lowerIsBetter || home.dated.length < fewDays) return [];
    const dose = step.doses['10-12'];
    const best = (level: Level) => Math.round(bestAt(goalOf(step, dose, step.gate), dayOf(level).mean));
    return homeFarAbove(dayOf(home), dayOf(court), best(home), best(court)) ?? [];
  });
  return found.sort((a, b) => a.chance - b.chance).slice(0, 1);
}

/** Fewer days at home say too little. Ours. */
const fewDays = 5;

/** Nobody bounces a ball lower than this on purpose, metres. Ours. */
const lowestM = 0.05;
/** The shortest time a ball allows between two touches of a drill; 0 where none sets it. Every ball falls as fast from so low. */
const ballTime = ({ family }: Drill): number =>
  family === 'touch' ? tapping('yellow', 'strings', lowestM).periodS : 0;

/** What is found, and the blocks that have most of it. */
export interface Found extends Finding {
  /** At most three, the one with most first; none where it lies in no single block. */
  readonly blockIds: readonly string[];
}
const mostBlocks = 3;

/** A count told, what was aimed at where that is known, and the block it is of. */
interface ToldIn {
  readonly result: number;
  readonly aim: number;
  readonly blockId: string;
}

/** The blocks in which most of a doubt was found. */
function blocksOf(
  doubt: Doubt,
  tapped: ReadonlyMap<string, Tapped>,
  counts: readonly ToldIn[],
  aims: readonly ToldIn[],
): string[] {
  const tappedBy = (of: (one: Tapped) => number) =>
    [...tapped].map(([blockId, one]) => [blockId, of(one)] as const);
  const toldBy = (told: readonly ToldIn[], doubtful: (one: ToldIn) => boolean) =>
    [...groupBy(told, (one) => one.blockId)].map(
      ([blockId, own]) => [blockId, own.filter(doubtful).length] as const,
    );
  const found = {
    doubled: () => tappedBy(doubledIn),
    'passed drops': () => tappedBy(pausesIn),
    'faster than the ball': () => tappedBy(fasterIn),
    'round numbers': () => toldBy(counts, ({ result }) => result % 5 === 0),
    'always the aim': () => toldBy(aims, ({ result, aim }) => result === aim),
    'home far above court': () => [],
  }[doubt]();
  return found
    .filter(([, n]) => n > 0)
    .sort(([, a], [, b]) => b - a)
    .slice(0, mostBlocks)
    .map(([blockId]) => blockId);
}

/** What is found in how players' touches were tapped, and in what they told, by player. */
export function honestyOf(
  book: Book,
  taps: readonly Tap[],
  told: readonly (readonly [playerId: string, result: number, blockId: string])[],
  aimed: readonly (readonly [playerId: string, result: number, aim: number, blockId: string])[] = [],
  skill: Skill = { done: [], levels: [] },
): Map<string, Found[]> {
  const tapped = new Map<
    string,
    Map<string, { gaps: number[]; drops: number; dropCostS: number; ballS: number }>
  >();
  let before: Tap | null = null;
  for (const tap of taps) {
    const [playerId, blockId, drillId, stepId, drop, attempt, monoMs, device] = tap;
    const blocks = tapped.get(playerId) ?? new Map();
    tapped.set(playerId, blocks);
    let block = blocks.get(blockId);
    if (!block) {
      const drill = book.drill(drillId, playerId);
      const step = book.step(drillId, stepId, playerId);
      block = {
        gaps: [],
        drops: 0,
        dropCostS: step?.dropCostS.value ?? 0,
        ballS: drill ? ballTime(drill) : 0,
      };
      blocks.set(blockId, block);
    }
    if (drop) block.drops += 1;
    else if (
      before &&
      before[0] === playerId &&
      before[1] === blockId &&
      before[4] === 0 &&
      before[5] === attempt &&
      before[7] === device
    )
      block.gaps.push((monoMs - before[6]) / 1000);
    before = tap;
  }
  const counts = groupBy(
    told.map(([playerId, result, blockId]) => ({ playerId, result, aim: NaN, blockId })),
    (one) => one.playerId,
  );
  const aims = groupBy(
    aimed.map(([playerId, result, aim, blockId]) => ({ playerId, result, aim, blockId })),
    (one) => one.playerId,
  );
  const found = new Map<string, Found[]>();
  for (const playerId of new Set([...tapped.keys(), ...counts.keys(), ...aims.keys()])) {
    const blocks: ReadonlyMap<string, Tapped> = tapped.get(playerId) ?? new Map<string, Tapped>();
    const [ownCounts, ownAims] = [counts.get(playerId) ?? [], aims.get(playerId) ?? []];
    const ofCounts = findings(
      [...blocks.values()],
      ownCounts.map(({ result }) => result),
      // A dose ends at its aim on court: only vows say what was aimed at beside what was told.
      ownAims,
    );
    const all = [...ofCounts, ...homeAboveCourt(book, skill, playerId)];
    found.set(
      playerId,
      all.map((one) => ({ ...one, blockIds: blocksOf(one.doubt, blocks, ownCounts, ownAims) })),
    );
  }
  return found;
}
