import type { FitOverrides } from '@/core/players/fit';
import { measures } from '@/core/counting/measure';
import { liveEvents } from '@/core/counting/live';
import { notesOnCourt, resultsOn, type DatedResult } from '@/data/log';
import { fitOverridesOf } from '@/data/house';
import { totalsOfPlayer } from '@/data/results';
import { sessionsOfPlayer } from '@/data/session';
import { decisionsOfPlayer, getPlayer, placesOf, type PlayerWithFocus } from '@/data/squad';
import type { Context } from '../base/context';
import { bookFor } from '../readers/book';
import { recentSince } from '../base/days';
import { playerNotes, type Note } from '../readers/notes';
import { resultsReady } from '../court/results';
import type { PlayerForm } from '@/schemas/player';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';

/** One attempt as a mark on the chart. */
export type ChartAttempt = DatedResult;

export interface StepBest {
  readonly drillId: string;
  readonly stepId: string;
  /** On court, and at home. */
  readonly best: number | null;
  readonly homeBest: number | null;
  readonly attempts: number;
  readonly touches: number;
  readonly drops: number;
  readonly lastDay: string;
}

export interface PlayerView {
  readonly facts: PlayerFacts;
  readonly removed: boolean;
  readonly form: PlayerForm;
  readonly year: number;
  /** The coach's own numbers of the fit. */
  readonly fit: FitOverrides;
  readonly bests: readonly StepBest[];
  /** Drill, step, reason. */
  readonly places: readonly (readonly [drillId: string, stepId: string, why: string])[];
  readonly sessions: readonly {
    readonly id: string;
    readonly title: string;
    readonly day: string;
    readonly state: string;
  }[];
  readonly decisions: readonly {
    readonly drillId: string;
    readonly stepId: string;
    readonly verdict: string;
    readonly reason: string;
    readonly atMs: number;
  }[];
  /** The newest notes on them, and what was noted about them on court lately. */
  readonly notes: readonly Note[];
  readonly onCourt: readonly { readonly day: string; readonly drillId: string; readonly text: string }[];
  readonly chart: {
    readonly drillId: string;
    readonly attempts: readonly ChartAttempt[];
    readonly whole: boolean;
  } | null;
}

function formOf({
  id: _id,
  createdAtMs: _created,
  removedAtMs: _removed,
  erasedAtMs: _erased,
  ...form
}: PlayerWithFocus): PlayerForm {
  return form;
}

/**
 * A player's page.
 * @param drillId the drill on the chart; when none is given, the one practised last
 * @param whole show all attempts ever, not only the last twelve weeks
 */
export async function playerView(
  context: Context,
  id: string,
  drillId?: string,
  whole = false,
): Promise<PlayerView | null> {
  const { db, today } = context;
  const player = await getPlayer(db, id);
  if (!player || player.erasedAtMs !== null) return null;
  await resultsReady(db);
  const [totals, places, sessions, decisions, book, overrides, notes] = await Promise.all([
    totalsOfPlayer(db, id),
    placesOf(db, [id]),
    sessionsOfPlayer(db, id, 6),
    decisionsOfPlayer(db, id, 6),
    bookFor(db),
    fitOverridesOf(db, [id]),
    playerNotes(db, [id], 0, mostNotes),
  ]);
  const onCourt = await notedOnCourt(db, id, sessions);
  const bests = totals
    .flatMap<StepBest>(({ highest, lowest, homeHighest, homeLowest, ...rest }) => {
      const step = book.step(rest.drillId, rest.stepId, id);
      if (!step) return [];
      const { lowerIsBetter } = measures[step.measure];
      const best = lowerIsBetter ? lowest : highest;
      return [{ ...rest, best, homeBest: lowerIsBetter ? homeLowest : homeHighest }];
    })
    .sort((a, b) => (a.lastDay < b.lastDay ? 1 : a.lastDay > b.lastDay ? -1 : b.touches - a.touches));

  const shown = bests.some((best) => best.drillId === drillId) ? drillId : bests[0]?.drillId;
  const attempts = shown ? await resultsOn(db, id, shown, whole ? '' : recentSince(today)) : [];
  return {
    facts: playerFacts(player, today),
    removed: player.removedAtMs !== null,
    form: formOf(player),
    year: Number(today.slice(0, 4)),
    fit: (overrides[id] ?? {}) as FitOverrides,
    bests,
    places: places.map((place) => [place.drillId, place.stepId, place.why]),
    sessions: sessions.map(({ id: sessionId, title, day, state }) => ({ id: sessionId, title, day, state })),
    decisions: decisions.map((d) => ({
      drillId: d.drillId,
      stepId: d.stepId,
      verdict: d.verdict,
      reason: d.reason,
      atMs: d.decidedAtMs,
    })),
    notes,
    onCourt,
    chart: shown
      ? {
          drillId: shown,
          whole,
          attempts,
        }
      : null,
  };
}

/** So many notes stand on a player's page: ours. */
const mostNotes = 20;

/** What was noted about a player on court in sessions, the newest first. */
async function notedOnCourt(
  db: Context['db'],
  playerId: string,
  sessions: readonly { readonly id: string; readonly day: string }[],
): Promise<PlayerView['onCourt']> {
  const events = await notesOnCourt(
    db,
    playerId,
    sessions.map((session) => session.id),
  );
  const of = new Map(events.map((event) => [event.id, event]));
  return liveEvents(events)
    .flatMap(({ id, kind, text }) => {
      const { drillId, sessionId } = of.get(id)!;
      const session = sessions.find((one) => one.id === sessionId);
      return kind === 'note' && text && session ? [{ day: session.day, drillId, text }] : [];
    })
    .sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0))
    .slice(0, mostNotes);
}
