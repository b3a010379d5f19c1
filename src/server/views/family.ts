import { measures, type Measure } from '@/core/counting/measure';
import type { Family } from '@/drills/base/types';
import { isoDay } from '@/core/base/days';
import { attendedSince } from '@/data/session';
import { touchesByDay } from '@/data/results';
import { decisionsOfPlayer, getPlayer, placesOf } from '@/data/squad';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { resultsReady } from '../court/results';
import { bookFor } from '../readers/book';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { skillUntil } from '../readers/skill';
import { laddersOf } from '../readers/ladders';

/** What a family reads about their child: nothing but their own, and what is good and next of it. */
export interface FamilyView {
  readonly player: Pick<PlayerFacts, 'id' | 'name' | 'focus'>;
  readonly fromDay: string;
  readonly today: string;
  readonly sessions: number;
  readonly touches: number;
  /** Touches by family, the most first. */
  readonly families: readonly (readonly [Family, number])[];
  /** Steps moved up to, the newest first. */
  readonly movedUp: readonly { readonly drill: string; readonly step: string }[];
  /** What a good day brings now, and what it brought. */
  readonly better: readonly {
    readonly drill: string;
    readonly step: string;
    readonly measure: Measure;
    readonly was: number;
    readonly is: number;
  }[];
  readonly next: readonly {
    readonly drill: string;
    readonly step: string;
    readonly measure: Measure;
    readonly mark: number;
    /** The day to expect it, local ISO; null where it lies far off. */
    readonly likely: string | null;
  }[];
}

/** Weeks that are told of. Ours: about half a term. */
const weeksTold = 8;
const [mostBetter, mostNext, mostUp] = [5, 4, 8];
/** A gain is told from a tenth on. Ours: less is hardly seen. */
const leastGain = 0.1;

/** Of several steps up one ladder the highest says it all. */
const newestOf = <T extends { readonly drill: string }>(newestFirst: readonly T[]): T[] =>
  newestFirst.filter((one, at) => newestFirst.findIndex(({ drill }) => drill === one.drill) === at);

/** What was practised, what got better, what is next: for one child's family. */
export async function familyView(context: Context, id: string): Promise<FamilyView | null> {
  const { db, today } = context;
  const player = await getPlayer(db, id);
  if (!player || player.erasedAtMs !== null) return null;
  await resultsReady(db);
  const fromDay = dayAfter(today, -7 * weeksTold);
  const facts = playerFacts(player, today);
  const [book, skill, touches, attended, decisions, places] = await Promise.all([
    bookFor(db),
    skillUntil(db, today),
    touchesByDay(db, id, fromDay),
    attendedSince(db, fromDay),
    decisionsOfPlayer(db, id, 200),
    placesOf(db, [id]),
  ]);
  const ladders = (await laddersOf(context, book, skill, [facts])).get(id) ?? [];
  const families = new Map<Family, number>();
  for (const [, drillId, count] of touches) {
    const family = book.drill(drillId)?.family;
    if (family) families.set(family, (families.get(family) ?? 0) + count);
  }
  const named = (drillId: string, stepId: string) => ({
    drill: book.drill(drillId, id)?.title ?? '',
    step: book.step(drillId, stepId, id)?.title ?? '',
  });
  /** A step they were taken back from is not told as one they moved up to. */
  const standsOnOrAbove = (drillId: string, stepId: string): boolean => {
    const steps = book.drill(drillId, id)?.steps ?? [];
    const at = (wanted: string | undefined) => steps.findIndex((step) => step.id === wanted);
    return at(places.find((one) => one.drillId === drillId)?.stepId) >= at(stepId);
  };
  const fromMs = Date.parse(`${fromDay}T00:00:00Z`);
  const movedUp = decisions
    .filter(({ verdict, decidedAtMs }) => verdict === 'up' && decidedAtMs >= fromMs)
    .filter(({ drillId, nextStepId }) => standsOnOrAbove(drillId, nextStepId))
    .map(({ drillId, nextStepId }) => named(drillId, nextStepId))
    .filter(({ drill, step }) => drill && step);
  const better = ladders.flatMap(({ drillId, stepId, progress }) => {
    const step = book.step(drillId, stepId, id);
    const [first, last] = [progress?.past[0], progress?.past.at(-1)];
    if (!step || !first || !last || first === last) return [];
    const { lowerIsBetter } = measures[step.measure];
    const gain = (last.level / first.level - 1) * (lowerIsBetter ? -1 : 1);
    if (!(gain >= leastGain)) return [];
    return [{ ...named(drillId, stepId), measure: step.measure, was: first.level, is: last.level, gain }];
  });
  const next = ladders.flatMap(({ drillId, stepId, mark, progress }) => {
    const step = book.step(drillId, stepId, id);
    if (!step || step.habit || !progress || progress.passed) return [];
    const middle = progress.forecast?.middle ?? null;
    return [
      {
        ...named(drillId, stepId),
        measure: step.measure,
        mark: mark.result,
        likely: middle === null ? null : isoDay(middle),
      },
    ];
  });
  const soon = ({ likely }: (typeof next)[number]) => likely ?? '9999';
  return {
    player: { id, name: facts.name, focus: facts.focus },
    fromDay,
    today,
    sessions: attended.find((one) => one.playerId === id)?.sessions ?? 0,
    touches: touches.reduce((sum, [, , count]) => sum + count, 0),
    families: [...families].sort(([, a], [, b]) => b - a),
    movedUp: newestOf(movedUp).slice(0, mostUp),
    better: better
      .sort((a, b) => b.gain - a.gain)
      .slice(0, mostBetter)
      .map(({ gain: _gain, ...one }) => one),
    next: next.sort((a, b) => soon(a).localeCompare(soon(b))).slice(0, mostNext),
  };
}
