import { dayIn, serverZone } from '../base/zone';
import { ledgerForecast, rateWeeks, type LedgerForecast } from '@/core/skill/ledger';
import type { Transfer } from '@/core/skill/transfer';
import { mondayOf } from '@/core/plan/weekly';
import { touchesByDay } from '@/data/results';
import { fociOf, goodTouches, type FocusRow } from '@/data/ledger';
import { getPlayer } from '@/data/squad';
import type { Book } from '@/drills';
import type { Family } from '@/drills/base/types';
import { type Skill } from '@/session/skill/judging';
import { usualTouchS } from '@/session/base/pace';
import { comparisonsOf, transferOf, type Comparison } from '@/session/skill/transfer';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { resultsReady } from '../court/results';
import { bookFor } from '../readers/book';
import { laddersOf, type LadderLine } from '../readers/ladders';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { skillUntil } from '../readers/skill';

export interface WeekOfTouches {
  /** Its Monday, local ISO. */
  readonly week: string;
  readonly families: Partial<Readonly<Record<Family, number>>>;
}

export type { LadderLine };

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
    foci: await ledgersOf(context, book, skill, facts),
  };
}

/** What a good repetition of some drills takes a player, drops and all, seconds: the middle of their steps of late. */
function secondsEach(
  book: Book,
  skill: Skill,
  { id: playerId, age }: Pick<PlayerFacts, 'id' | 'age'>,
  drillIds: readonly string[],
): number {
  const each = drillIds.flatMap((drillId) => {
    const last = skill.done.findLast((one) => one.playerId === playerId && one.drillId === drillId);
    const drill = book.drill(drillId, playerId);
    const step = drill?.steps.find(({ id }) => id === last?.stepId) ?? drill?.steps[0];
    if (!step) return [];
    const { dropCostS, usualRate } = step;
    return [usualTouchS(step, age) + (1 / usualRate.value - 1) * dropCostS.value];
  });
  return each.length === 0 ? 3 : each.reduce((sum, one) => sum + one, 0) / each.length;
}

async function ledgersOf(
  context: Context,
  book: Book,
  skill: Skill,
  player: Pick<PlayerFacts, 'id' | 'age'>,
): Promise<FocusLedger[]> {
  const { db, today, zone = serverZone() } = context;
  const playerId = player.id;
  const foci = await fociOf(db, playerId);
  const ledgers = await Promise.all(
    foci.map(async (one): Promise<FocusLedger> => {
      if (one.goal === null) return { ...one, forecast: null, weeks: [], atHome: 0 };
      const since = dayIn(one.sinceMs, zone);
      const until = one.untilMs === null ? today : dayIn(one.untilMs, zone);
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
        forecast: ledgerForecast(done, one.goal, weeks, secondsEach(book, skill, player, one.drillIds)),
      };
    }),
  );
  return ledgers.reverse();
}
