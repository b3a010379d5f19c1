import type { BallKind } from '@/core/ballistics/balls';
import { groupBy } from '@/core/base/group-by';
import type { FitOverrides } from '@/core/players/fit';
import type { BlockSetting, WallSetting } from '@/core/calculators/setting';
import type { Sport } from '@/drills/base/types';
import { listFeeders } from '@/data/feeders';
import { takenOff, type TakenOff } from '@/data/taken-off';
import { fitOverridesOf } from '@/data/house';
import { listPlaces } from '@/data/places';
import { loggedRows } from '@/data/rallies';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import { listPlayers, placesOf } from '@/data/squad';
import { plannedBlocks } from '../readers/blocks';
import { bookFor } from '../readers/book';
import type { Context } from '../base/context';
import { dayAfter, recentSince } from '../base/days';
import { resultsReady } from '../court/results';
import type { FeederForm } from '@/schemas/setting';
import { knownPlace, type KnownPlace } from '../readers/known-place';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';

/** A block a bench can write into. */
export interface BenchBlock {
  readonly id: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly setting: BlockSetting | null;
}

export interface BenchSession {
  readonly id: string;
  readonly title: string;
  readonly day: string;
  readonly placeId: string | null;
  readonly playerIds: readonly string[];
  readonly blocks: readonly BenchBlock[];
}

export interface SavedFeeder extends FeederForm {
  readonly id: string;
}

/** Who, where and what the benches can be set up for. */
export interface BenchesView {
  readonly players: readonly PlayerFacts[];
  /** The coach's own numbers of the fit, by player. */
  readonly fits: Readonly<Record<string, FitOverrides>>;
  readonly places: readonly KnownPlace[];
  readonly sessions: readonly BenchSession[];
  readonly feeders: readonly SavedFeeder[];
  /** Settings of the feeder that were taken off the list. */
  readonly takenOff: readonly TakenOff[];
}

/** Plans ahead that a bench offers to write into. */
const mostSessions = 12;
const daysAhead = 60;

/**
 * What a bench is set up with.
 * @param writes true for a bench that writes into plans: plans ahead and kept settings come along
 */
export async function benchesView(context: Context, writes = true): Promise<BenchesView> {
  const { db, today } = context;
  const [players, places, sessions, feeders, gone] = await Promise.all([
    listPlayers(db),
    listPlaces(db),
    writes ? plansAhead(context) : [],
    writes ? listFeeders(db) : [],
    writes ? takenOff(db, 'feeder') : [],
  ]);
  const fits = await fitOverridesOf(
    db,
    players.map((one) => one.id),
  );
  return {
    players: players.map((one) => playerFacts(one, today)),
    fits: fits as Record<string, FitOverrides>,
    places: places.map(knownPlace),
    sessions,
    takenOff: gone,
    feeders: feeders.map(({ id, name, drillId, settings }) => ({
      id,
      name,
      drillId,
      settings: JSON.parse(settings) as FeederForm['settings'],
    })),
  };
}

async function plansAhead({ db, today }: Context): Promise<BenchSession[]> {
  const all = await sessionsBetween(db, today, dayAfter(today, daysAhead));
  const ahead = all.filter((one) => one.state !== 'finished').slice(0, mostSessions);
  const ids = ahead.map((one) => one.id);
  const [blocks, playersOf] = await Promise.all([plannedBlocks(db, ids), playersOfSessions(db, ids)]);
  const blocksOf = groupBy(blocks, (one) => one.sessionId);
  return ahead.map(({ id, title, day, placeId }) => ({
    id,
    title,
    day,
    placeId,
    playerIds: playersOf.get(id) ?? [],
    blocks: (blocksOf.get(id) ?? []).map(({ id: blockId, drillId, stepId, setting }) => ({
      id: blockId,
      drillId,
      stepId,
      setting,
    })),
  }));
}

/** A player's rows made under the same conditions. */
export interface RowGroup {
  readonly drillId: string;
  readonly stepId: string;
  /** The ball as it was changed on court; null for the player's own. */
  readonly ball: BallKind | null;
  readonly setting: WallSetting | null;
  readonly placeId: string | null;
  readonly rows: readonly { readonly hits: number; readonly missed: boolean }[];
}

export interface RallyView {
  readonly playerId: string;
  readonly groups: readonly RowGroup[];
  /** The step they stand on, by drill. */
  readonly standsOn: Readonly<Record<string, string>>;
}

/** A player's rows on steps that are rallies with a wall, of the last twelve weeks. */
export async function rallyView(context: Context, playerId: string, sport: Sport): Promise<RallyView> {
  const { db, today } = context;
  await resultsReady(db);
  const [book, places] = await Promise.all([bookFor(db), placesOf(db, [playerId])]);
  const steps = book.drills.flatMap((drill) =>
    drill.sports.includes(sport)
      ? drill.steps.flatMap((step) =>
          step.rally && step.measure === 'row' ? [[drill.id, step.id] as const] : [],
        )
      : [],
  );
  const rows = await loggedRows(db, playerId, steps, recentSince(today));
  const groups = new Map<string, { readonly group: RowGroup; readonly rows: RowGroup['rows'][number][] }>();
  for (const [drillId, stepId, ball, text, placeId, touches, drops] of rows) {
    const key = JSON.stringify([drillId, stepId, ball, text, placeId]);
    let known = groups.get(key);
    if (!known) {
      const setting = text === null ? null : (JSON.parse(text) as BlockSetting);
      const made: RowGroup['rows'][number][] = [];
      known = {
        rows: made,
        group: {
          drillId,
          stepId,
          ball: ball as BallKind | null,
          setting: setting?.kind === 'wall' ? setting : null,
          placeId,
          rows: made,
        },
      };
      groups.set(key, known);
    }
    known.rows.push({ hits: touches, missed: drops > 0 });
  }
  return {
    playerId,
    groups: [...groups.values()].map(({ group }) => group),
    standsOn: Object.fromEntries(places.map((place) => [place.drillId, place.stepId])),
  };
}
