import { makeBook } from '@/drills';
import type { FitOverrides } from '@/core/players/fit';
import { fitOverridesOf } from '@/data/house';
import { kitCounts, listPlaces } from '@/data/places';
import { sessionsBetween } from '@/data/session';
import { listPlayers, placesOf } from '@/data/squad';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Records } from '@/session/base/plan';
import { bookContents } from '../readers/book';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { knownPlace, type KnownPlace } from '../readers/known-place';
import { resultsReady } from '../court/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { recentRecords } from '../readers/records';

/** Where drills can be done and by whom: what the list of drills is searched with. */
export interface DrillsView {
  readonly grounds: readonly KnownPlace[];
  readonly kit: Readonly<Record<string, number>>;
  readonly squad: readonly PlayerFacts[];
}

async function groundsAndSquad({ db, today }: Context): Promise<DrillsView> {
  const [grounds, kit, squad] = await Promise.all([listPlaces(db), kitCounts(db), listPlayers(db)]);
  return { grounds: grounds.map(knownPlace), kit, squad: squad.map((player) => playerFacts(player, today)) };
}

export interface DrillListView extends DrillsView {
  readonly takenOff: readonly TakenOff[];
}

export async function drillsView(context: Context): Promise<DrillListView> {
  const [view, gone] = await Promise.all([groundsAndSquad(context), takenOff(context.db, 'drill')]);
  return { ...view, takenOff: gone };
}

export interface DrillView extends DrillsView {
  readonly drillId: string;
  /** Where each player stands on this ladder; those who have not begun it are left out. */
  readonly standing: readonly {
    readonly playerId: string;
    readonly stepId: string;
    readonly target: number;
  }[];
  readonly records: Records;
  /** The coach's own numbers of the fit, by player. */
  readonly fit: Readonly<Record<string, FitOverrides>>;
  /** Planned sessions of the next weeks it can be added to. */
  readonly sessions: readonly { readonly id: string; readonly title: string; readonly day: string }[];
  readonly own: boolean;
  readonly retired: boolean;
}

/** One drill with everybody on its ladder; null when there is no such drill. */
export async function drillView(context: Context, drillId: string): Promise<DrillView | null> {
  const { db, today } = context;
  const contents = await bookContents(db);
  const drill = makeBook(contents).drill(drillId);
  if (!drill) return null;
  await resultsReady(db);
  const about = await groundsAndSquad(context);
  const ids = about.squad.map((player) => player.id);
  const steps = drill.steps.map((step) => ({ drillId, stepId: step.id }));
  const [places, records, soon, fit] = await Promise.all([
    placesOf(db, ids),
    recentRecords(db, ids, steps, today),
    sessionsBetween(db, today, dayAfter(today, 21)),
    fitOverridesOf(db, ids),
  ]);
  return {
    ...about,
    drillId,
    standing: places
      .filter((place) => place.drillId === drillId)
      .map(({ playerId, stepId, target }) => ({ playerId, stepId, target })),
    records,
    fit: fit as Record<string, FitOverrides>,
    sessions: soon
      .filter((session) => session.state === 'planned')
      .map(({ id, title, day }) => ({ id, title, day })),
    own: contents.own.some((one) => one.id === drillId),
    retired: contents.retired.includes(drillId),
  };
}
