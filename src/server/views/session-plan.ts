import { makeBook } from '@/drills';
import type { PlanBlock, Records } from '@/session/base/plan';
import { blockOf } from '@/session/base/plan';
import { loggedBlocks } from '@/data/log';
import { absentFrom, getSession, playersOfSessions, sessionsOfPlayer } from '@/data/session';
import { kitCounts, listPlaces } from '@/data/places';
import { allRecordsSince } from '@/data/results';
import { getPlayers, listPlayers, placesOf } from '@/data/squad';
import { asPlanForm, plannedBlocks, runBlocks } from '../readers/blocks';
import { bookContents } from '../readers/book';
import { careHistory, type CareDays } from '../readers/care-history';
import type { Context } from '../base/context';
import { recentSince } from '../base/days';
import { knownPlace, type KnownPlace } from '../readers/known-place';
import { sessionNotes, type Note } from '../readers/notes';
import { resultsReady } from '../court/results';
import { playerFacts, type PlayerFacts } from '../readers/player-facts';
import { sessionFacts, type SessionFacts } from './session-facts';

/** The step each player stands on, and what they aim at there. */
export type Standing = readonly (readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  target: number,
])[];

export interface SessionPlanView {
  readonly session: SessionFacts;
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
  /** Everybody who could come: the squad, and who is on the list already. */
  readonly squad: readonly PlayerFacts[];
  readonly records: Records;
  readonly places: Standing;
  /** Blocks that were held: they are shown as they were, and stay so. */
  readonly held: readonly string[];
  /** What begun blocks were held under, by id: their marks and points are those of their day. */
  readonly heldAs: Readonly<Record<string, Pick<PlanBlock, 'held' | 'scoring'>>>;
  /** Who gets no turn, because they are absent. */
  readonly absent: readonly string[];
  readonly year: number;
  /** The coach's own day. */
  readonly today: string;
  readonly grounds: readonly KnownPlace[];
  readonly kit: Readonly<Record<string, number>>;
  /** What players did in the days before, for the care rules. */
  readonly history: Readonly<Record<string, CareDays>>;
  /** What was written about this session. */
  readonly notes: readonly Note[];
  /** The last session of these players that was held, and its blocks: what a retest can be taken from. */
  readonly last: {
    readonly id: string;
    readonly title: string;
    readonly day: string;
    readonly blocks: readonly PlanBlock[];
  } | null;
}

export async function sessionPlanView(context: Context, id: string): Promise<SessionPlanView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await resultsReady(db);
  const [blocks, players, squad, held, contents, grounds, kit] = await Promise.all([
    runBlocks(db, [id]),
    playersOfSessions(db, [id]),
    listPlayers(db),
    loggedBlocks(db, id),
    bookContents(db),
    listPlaces(db),
    kitCounts(db),
  ]);
  const playerIds = players.get(id) ?? [];
  const gone = await getPlayers(
    db,
    playerIds.filter((player) => !squad.some((known) => known.id === player)),
  );
  const everyone = [...squad, ...gone];
  const ids = everyone.map((player) => player.id);
  const book = makeBook(contents, session.coach);
  const [records, places, history, last, absent, written] = await Promise.all([
    allRecordsSince(db, ids, recentSince(session.day)),
    placesOf(db, ids),
    careHistory(db, book, ids, session),
    lastHeld(context, playerIds[0], session.day),
    absentFrom(db, [id]),
    sessionNotes(db, id),
  ]);
  return {
    session: sessionFacts(session),
    playerIds,
    blocks: blocks.map(asPlanForm),
    squad: everyone.map((player) => playerFacts(player, session.day)),
    records,
    places: places.map((place) => [place.playerId, place.drillId, place.stepId, place.target]),
    held,
    heldAs: Object.fromEntries(
      blocks.flatMap(({ id: blockId, held: under, scoring }) =>
        under ? [[blockId, { held: under, scoring }] as const] : [],
      ),
    ),
    absent: absent.map((one) => one.playerId),
    year: Number(context.today.slice(0, 4)),
    today: context.today,
    grounds: grounds.map(knownPlace),
    kit,
    history,
    last,
    notes: written.notes,
  };
}

/** The last finished session of a player before a day: the group's, taken by its first player. */
async function lastHeld(
  { db }: Context,
  playerId: string | undefined,
  day: string,
): Promise<SessionPlanView['last']> {
  if (!playerId) return null;
  const held = (await sessionsOfPlayer(db, playerId, 12)).find(
    (one) => one.state === 'finished' && one.day < day,
  );
  if (!held) return null;
  const blocks = await plannedBlocks(db, [held.id]);
  // Only what was to be done: nobody's own part travels into another session.
  return {
    id: held.id,
    title: held.title,
    day: held.day,
    blocks: blocks.map((block) => blockOf({ ...block, own: [] })),
  };
}
