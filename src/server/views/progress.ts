import type { FourSchools } from '@/core/skill/four-schools';
import type { Odds } from '@/core/skill/four-schools';
import { ledgerForecast, rateWeeks, type LedgerForecast } from '@/core/skill/ledger';
import type { Transfer } from '@/core/skill/transfer';
import { measures } from '@/core/counting/measure';
import { mondayOf } from '@/core/planning/weekly';
import { evidenceOn, touchesByDay } from '@/data/results';
import { fociOf, goodTouches, type FocusRow } from '@/data/ledger';
import { getPlayer, placesOf } from '@/data/squad';
import { ageBandOf } from '@/drills/age-band';
import type { Book } from '@/drills';
import type { Drill, Family, Step } from '@/drills/types';
import { goalsOf, judgedOn, type Goals } from '@/session/goals';
import { doneOn, levelOn, oddsOf, schoolsOn, type Skill } from '@/session/judging';
import { dayNumber } from '@/core/days';
import { progressOn, type StepProgress } from '@/session/progress';
import { comparisonsOf, transferOf, type Comparison } from '@/session/transfer';
import type { Context } from '../context';
import { dayAfter, recentSince } from '../days';
import { resultsReady } from '../log/results';
import { daysPlanned } from '../readers/ahead';
import { bookFor } from '../readers/book';
import { homeCountsFor, judgedStep } from '../readers/judged';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { mannerOf, skillUntil } from '../readers/skill';

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

export interface WeekOfTouches {
  /** Its Monday, local ISO. */
  readonly week: string;
  readonly families: Partial<Readonly<Record<Family, number>>>;
}

/** A focus, with what counts towards it and how far it is. */
export interface FocusLedger extends FocusRow {
  /** Null while nobody has said what counts. */
  readonly forecast: LedgerForecast | null;
  /** Good repetitions of its weeks of late, the newest last. */
  readonly weeks: readonly number[];
  /** How many of them were made at home. */
  readonly atHome: number;
}

export interface ProgressView {
  /** Foci, the newest first: the open one is what they work on. */
  readonly foci: readonly FocusLedger[];
  readonly facts: PlayerFacts;
  readonly removed: boolean;
  readonly today: string;
  readonly ladders: readonly LadderLine[];
  /** The drill that is shown whole. */
  readonly shown: string | null;
  readonly transfer: Transfer;
  readonly comparisons: readonly Comparison[];
  readonly weeks: readonly WeekOfTouches[];
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
    const goals = goalsOf(work, player.age);
    const shown = shownOn.get(`${player.id} ${drill.id}`);
    const manner = mannerOf(book, drill.id, player.id);
    const homeToo = homeCountsFor(book, drill.id, player.id);
    const level = levelOn(skill, player.id, drill.id, step.id);
    const schools = schoolsOn(work, judgedOn(drill, step, goals, shown), player.id, skill, manner);
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

/** Weeks that are shown, and how many. Ours. */
const weeksShown = 12;

/**
 * A player's progress.
 * @param drillId the ladder that is shown whole; the one practised last where it is left out
 */
export async function progressView(
  context: Context,
  id: string,
  drillId?: string,
): Promise<ProgressView | null> {
  const { db, today } = context;
  const player = await getPlayer(db, id);
  if (!player || player.erasedAtMs !== null) return null;
  await resultsReady(db);
  const facts = playerFacts(player, today);
  const firstWeek = dayAfter(mondayOf(today), -7 * (weeksShown - 1));
  const [book, skill, touches] = await Promise.all([
    bookFor(db),
    skillUntil(db, today),
    touchesByDay(db, id, firstWeek),
  ]);
  const ladders = (await laddersOf(context, book, skill, [facts])).get(id) ?? [];
  const weeks = Array.from({ length: weeksShown }, (_, n) => {
    const week = dayAfter(firstWeek, 7 * n);
    const families: Partial<Record<Family, number>> = {};
    for (const [day, drill, count] of touches) {
      const family = book.drill(drill)?.family;
      if (family && mondayOf(day) === week) families[family] = (families[family] ?? 0) + count;
    }
    return { week, families };
  });
  const shown = ladders.find((line) => line.drillId === drillId) ?? ladders.find(({ progress }) => progress);
  return {
    facts,
    removed: player.removedAtMs !== null,
    today,
    ladders,
    shown: shown?.drillId ?? null,
    transfer: transferOf(book, skill, id),
    comparisons: comparisonsOf(book, skill, id),
    weeks,
    foci: await ledgersOf(context, book, skill, id),
  };
}

/** What a good repetition of some drills takes a player, drops and all, seconds: the middle of their steps of late. */
function secondsEach(book: Book, skill: Skill, playerId: string, drillIds: readonly string[]): number {
  const each = drillIds.flatMap((drillId) => {
    const last = skill.done.findLast((one) => one.playerId === playerId && one.drillId === drillId);
    const drill = book.drill(drillId, playerId);
    const step = drill?.steps.find(({ id }) => id === last?.stepId) ?? drill?.steps[0];
    if (!step) return [];
    const { perTouchS, dropCostS, usualRate } = step;
    return [perTouchS.value + (1 / usualRate.value - 1) * dropCostS.value];
  });
  return each.length === 0 ? 3 : each.reduce((sum, one) => sum + one, 0) / each.length;
}

async function ledgersOf(
  context: Context,
  book: Book,
  skill: Skill,
  playerId: string,
): Promise<FocusLedger[]> {
  const { db, today } = context;
  const foci = await fociOf(db, playerId);
  const ledgers = await Promise.all(
    foci.map(async (one): Promise<FocusLedger> => {
      if (one.goal === null) return { ...one, forecast: null, weeks: [], atHome: 0 };
      const since = new Date(one.sinceMs).toISOString().slice(0, 10);
      const until = one.untilMs === null ? today : new Date(one.untilMs).toISOString().slice(0, 10);
      const days = (await goodTouches(db, playerId, one.drillIds, since)).filter(([day]) => day <= until);
      const done = days.reduce((sum, [, touches]) => sum + touches, 0);
      // Whole weeks, back from the last day, none from before it began.
      const weeks = Array.from({ length: rateWeeks }, (_, n) => {
        const to = dayAfter(until, -7 * n);
        const from = dayAfter(to, -6);
        return to < since
          ? null
          : days.reduce((sum, [day, t]) => (day >= from && day <= to ? sum + t : sum), 0);
      })
        .filter((week) => week !== null)
        .reverse();
      return {
        ...one,
        weeks,
        atHome: days.reduce((sum, [, , home]) => sum + home, 0),
        forecast: ledgerForecast(done, one.goal, weeks, secondsEach(book, skill, playerId, one.drillIds)),
      };
    }),
  );
  return ledgers.reverse();
}
