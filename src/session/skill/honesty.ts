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
  type Told,
} from '@/core/skill/honest';
import type { Level } from '@/core/skill/level/squad';
import { inTenths, measures } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { Tap } from '@/core/counting/tap';
import { groupBy } from '@/core/base/group-by';
import type { Book } from '@/drills/book';
import type { Drill } from '@/drills/base/types';
import { dayOf, levelOn, type Skill } from './judging';
import { goalsOf } from '../base/goals';
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

/** A count told or typed in, with the dose it was counted under. */
export interface ToldOfStep {
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly result: number;
  readonly dose: Dose;
  readonly blockId: string;
  /** Counted at home: only a vow says what is to be reached beside where the number is typed. */
  readonly home: boolean;
  /** The player's age on that day, years. */
  readonly age: number;
}

interface ToldIn extends Told {
  readonly blockId: string;
}

/** A count as far as its number can be judged; null of a step nobody knows, and of what is read off a watch or a tape. */
function toldIn(book: Book, one: ToldOfStep): ToldIn | null {
  const { playerId, drillId, stepId, result, dose, blockId, home, age } = one;
  const step = book.step(drillId, stepId, playerId);
  if (!step || inTenths(step.measure)) return null;
  const { aim, most } = goalsOf({ step, dose }, age);
  return { step: `${drillId} ${stepId}`, result, end: most, aim: home ? aim : null, blockId };
}

/** The blocks in which most of a doubt was found. */
function blocksOf(doubt: Doubt, tapped: ReadonlyMap<string, Tapped>, told: readonly ToldIn[]): string[] {
  const tappedBy = (of: (one: Tapped) => number) =>
    [...tapped].map(([blockId, one]) => [blockId, of(one)] as const);
  const toldBy = (doubtful: (one: ToldIn) => boolean) =>
    [...groupBy(told, (one) => one.blockId)].map(
      ([blockId, own]) => [blockId, own.filter(doubtful).length] as const,
    );
  const found = {
    doubled: () => tappedBy(doubledIn),
    'passed drops': () => tappedBy(pausesIn),
    'faster than the ball': () => tappedBy(fasterIn),
    'round numbers': () => toldBy(({ result, end }) => result % 5 === 0 && result !== end),
    'always the aim': () => toldBy(({ result, aim, end }) => result === aim && result !== end),
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
  told: readonly ToldOfStep[],
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
  const toldBy = groupBy(told, (one) => one.playerId);
  const found = new Map<string, Found[]>();
  for (const playerId of new Set([...tapped.keys(), ...toldBy.keys()])) {
    const blocks: ReadonlyMap<string, Tapped> = tapped.get(playerId) ?? new Map<string, Tapped>();
    const own = (toldBy.get(playerId) ?? []).flatMap((one) => toldIn(book, one) ?? []);
    const all = [...findings([...blocks.values()], own), ...homeAboveCourt(book, skill, playerId)];
    found.set(
      playerId,
      all.map((one) => ({ ...one, blockIds: blocksOf(one.doubt, blocks, own) })),
    );
  }
  return found;
}
