import type { FourSchools } from '@/core/skill/four-schools';
import type { Odds } from '@/core/skill/four-schools';
import { measures } from '@/core/counting/measure';
import { evidenceOn } from '@/data/results';
import { placesOf } from '@/data/squad';
import { ageBandOf } from '@/drills/base/age-band';
import type { Book } from '@/drills';
import type { Drill, Step } from '@/drills/base/types';
import { type Goals } from '@/session/base/goals';
import { doneOn, levelOn, oddsOf, type Skill } from '@/session/skill/judging';
import { dayNumber } from '@/core/base/days';
import { progressOn, type StepProgress } from '@/session/skill/progress';
import type { Context } from '../base/context';
import { recentSince } from '../base/days';
import { daysPlanned } from './ahead';
import { homeCountsFor, judgedStep } from './judged';
import { type PlayerFacts } from './player-facts';
import { proposalOn } from './proposals';

/** One ladder of a player: the step they stand on, the chance of its mark, and what the schools say. */
export interface LadderLine {
  readonly drillId: string;
  readonly stepId: string;
  readonly mark: Goals['mark'];
  /** Null while nothing was counted on this step lately. */
  readonly odds: Odds | null;
  readonly progress: StepProgress | null;
  readonly schools: FourSchools;
  /** The smallest result that would be a new best, and the chance of it on a day; null without a best. */
  readonly nextBest: { readonly result: number; readonly chance: number } | null;
  readonly lastDay: string;
}

/** Where a player is on each ladder of late, in the order last practised: the step they stand on, or last did. */
function standings(book: Book, skill: Skill, playerId: string, places: ReadonlyMap<string, string>) {
  const last = new Map<string, { stepId: string; day: string }>();
  for (const { playerId: whose, drillId, stepId, day } of skill.done)
    if (whose === playerId) last.set(drillId, { stepId, day });
  return [...last]
    .flatMap(([drillId, { stepId, day }]) => {
      const drill = book.drill(drillId, playerId);
      const stands = drill?.steps.find(({ id }) => id === (places.get(drillId) ?? stepId));
      return drill && stands ? [{ drill, step: stands, lastDay: day }] : [];
    })
    .sort((a, b) => (a.lastDay < b.lastDay ? 1 : a.lastDay > b.lastDay ? -1 : 0));
}

/** What a player's ladders come to: used by their own page and by the squad's. */
export async function laddersOf(
  context: Pick<Context, 'db' | 'today'>,
  book: Book,
  skill: Skill,
  players: readonly PlayerFacts[],
  foreseeing = true,
): Promise<Map<string, LadderLine[]>> {
  const { db, today } = context;
  const ids = players.map(({ id }) => id);
  const [places, planned] = await Promise.all([placesOf(db, ids), daysPlanned(db, today)]);
  const all = players.flatMap((player) => {
    const own = new Map(
      places.filter(({ playerId }) => playerId === player.id).map((one) => [one.drillId, one.stepId]),
    );
    return standings(book, skill, player.id, own).map((one) => ({ ...one, player }));
  });
  const workOf = ({ player, drill, step }: { player: PlayerFacts; drill: Drill; step: Step }) => ({
    drill,
    step,
    dose: step.doses[ageBandOf(player.age)],
    out: false,
  });
  const evidence = await evidenceOn(
    db,
    all.map((one) => judgedStep(book, `${one.player.id} ${one.drill.id}`, one.player, workOf(one))),
    { id: '', day: today },
    recentSince(today),
  );
  const shownOn = new Map(evidence.map((one) => [one.key, one]));
  const lines = new Map<string, LadderLine[]>();
  for (const one of all) {
    const { player, drill, step, lastDay } = one;
    const work = workOf(one);
    const shown = shownOn.get(`${player.id} ${drill.id}`);
    const whose = { work, playerId: player.id, age: player.age };
    const { goals, manner, schools } = proposalOn(book, skill, whose, shown);
    const homeToo = homeCountsFor(book, drill.id, player.id);
    const level = levelOn(skill, player.id, drill.id, step.id);
    const done = doneOn(skill, player.id, drill.id, step.id);
    const oddsFor = (result: number) => oddsOf(step, goals.dose, result, level!, done, manner.band);
    const nextBestOf = (best: number) => {
      const { lowerIsBetter, increment } = measures[step.measure];
      const result = Math.round((best + (lowerIsBetter ? -increment : increment)) * 10) / 10;
      return result > goals.most ? null : { result, chance: oddsFor(result).chance };
    };
    const line: LadderLine = {
      drillId: drill.id,
      stepId: step.id,
      mark: goals.mark,
      odds: level ? oddsFor(goals.mark.result) : null,
      progress: progressOn(
        skill,
        player.id,
        drill.id,
        step,
        goals,
        shown?.reachedDays ?? 0,
        planned(player.id, drill.id, homeToo),
        dayNumber(today),
        { foreseeing, homeToo },
      ),
      schools,
      nextBest: level && shown && shown.best !== null ? nextBestOf(shown.best) : null,
      lastDay,
    };
    lines.set(player.id, [...(lines.get(player.id) ?? []), line]);
  }
  return lines;
}
