import { bestAt } from '@/core/skill/expect/mark';
import { findings, homeFarAbove, type Finding, type Tapped, type Told } from '@/core/skill/honest';
import type { Level } from '@/core/skill/level/squad';
import { measures } from '@/core/counting/measure';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { Tap } from '@/core/counting/tap';
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

/** What is found in how players' touches were tapped, and in what they told, by player. */
export function honestyOf(
  book: Book,
  taps: readonly Tap[],
  told: readonly (readonly [playerId: string, result: number])[],
  aimed: readonly (readonly [playerId: string, result: number, aim: number])[] = [],
  skill: Skill = { done: [], levels: [] },
): Map<string, Finding[]> {
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
  const counts = new Map<string, number[]>();
  for (const [playerId, result] of told) counts.set(playerId, [...(counts.get(playerId) ?? []), result]);
  const aims = new Map<string, Told[]>();
  for (const [playerId, result, aim] of aimed)
    aims.set(playerId, [...(aims.get(playerId) ?? []), { result, aim }]);
  const found = new Map<string, Finding[]>();
  for (const playerId of new Set([...tapped.keys(), ...counts.keys(), ...aims.keys()])) {
    const own: Tapped[] = [...(tapped.get(playerId)?.values() ?? [])];
    // A dose ends at its aim on court: only vows say what was aimed at beside what was told.
    const ofCounts = findings(own, counts.get(playerId) ?? [], aims.get(playerId) ?? []);
    found.set(playerId, [...ofCounts, ...homeAboveCourt(book, skill, playerId)]);
  }
  return found;
}
