import { setImmediate as turn } from 'node:timers/promises';
import { aged, yearsBetween } from '@/core/base/aged';
import { makeBook } from '@/drills';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { insertSession, getSession, playersOfSessions, setSessionPlayers } from '@/data/session';
import { getPlace } from '@/data/places';
import type { Executor } from '@/data/database';
import { getPlayers } from '@/data/squad';
import { write } from '@/data/write';
import { againSchema } from '@/schemas/session';
import { check } from '@/schemas/check';
import { agedBlock } from '@/session/plan/age-block';
import { soonBuilt } from '@/session/plan/build/soon';
import type { PlanBlock } from '@/session/base/plan';
import type { Context } from '../base/context';
import { asPlanForm, runBlocks } from '../readers/blocks';
import { bookContents } from '../readers/book';
import { childFacts } from '../readers/child-facts';
import { buildGround, settingsOn } from '../readers/build-ground';
import { playerFacts } from '../readers/player-facts';
import { refreshAttempts } from '../court/results';
import { placeAgain } from './place-again';
import { putPlan } from './put-plan';
import { unknownSession } from './sessions';

/** A session planned again, and what could not come along. */
export interface Again {
  readonly ids: readonly string[];
  /** Blocks whose drill is no longer known. */
  readonly leftOut: number;
}

/**
 * Plans a session again on other days: the same hour, place, coach and group. Its blocks come as they were last done,
 * everybody on the step they stand on now; or each day is built anew, with a rest for what the day before had. All of the
 * days or none.
 */
export async function planAgain(context: Context, id: string, input: unknown): Promise<Outcome<Again>> {
  const checked = check(againSchema, input);
  if (!checked.ok) return checked;
  const { days, build } = checked.value;
  const contents = await bookContents(context.db);
  const anew = build ? await builtAnew(context, id, days) : null;
  if (anew && !anew.ok) return anew;
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    const [playersOf, before] = await Promise.all([playersOfSessions(tx, [id]), runBlocks(tx, [id])]);
    const listed = await getPlayers(tx, playersOf.get(id) ?? []);
    const players = listed
      .filter((player) => player.removedAtMs === null)
      .map((one) => playerFacts(one, session.day));
    if (players.length === 0) return nobodyLeft;
    const ids = players.map((player) => player.id);
    const book = makeBook(contents, session.coach);
    const { title, startTime, bookedMin, coach, placeName } = session;
    const placeId = await placeOnList(tx, session.placeId);
    const made: string[] = [];
    let leftOut = 0;
    for (const [n, day] of days.entries()) {
      const next = context.newId();
      await insertSession(
        tx,
        next,
        { title, day, startTime, bookedMin, coach, placeName, placeId, airC: null },
        context.nowMs,
      );
      await setSessionPlayers(tx, next, ids);
      if (anew) await putPlan(tx, book, next, ids, anew.value[n]!);
      else {
        const years = yearsBetween(session.day, day);
        const then = before.map((block) => agedBlock(book, asPlanForm(block), players, years));
        leftOut = await placeAgain(tx, context, book, next, aged(players, years), then);
      }
      made.push(next);
    }
    return done({ ids: made, leftOut });
  });
}

const nobodyLeft = refused('playerIds', 'Nobody of that session is on the squad any more: plan a new one.');

/** A place that was taken off the list keeps its name only. */
async function placeOnList(db: Executor, placeId: string | null): Promise<string | null> {
  const place = placeId === null ? undefined : await getPlace(db, placeId);
  return place?.removedAtMs === null ? place.id : null;
}

/** The blocks of each day, built for what these children need. */
async function builtAnew(
  context: Context,
  id: string,
  days: readonly string[],
): Promise<Outcome<readonly (readonly PlanBlock[])[]>> {
  const { db } = context;
  await refreshAttempts(db);
  const session = await getSession(db, id);
  if (!session) return unknownSession;
  const listed = (await playersOfSessions(db, [id])).get(id) ?? [];
  const ground = await buildGround(db, context.today, session.coach, listed);
  if (ground.players.length === 0) return nobodyLeft;
  const { bookedMin, startTime } = session;
  const placeId = await placeOnList(db, session.placeId);
  const [facts, settingOn] = await Promise.all([
    childFacts(
      context,
      ground.players.map((player) => player.id),
    ),
    settingsOn(db, ground, { bookedMin, startTime, placeId }, days),
  ]);
  const planned: PlanBlock[][] = [];
  for (const day of days) {
    const rested = planned.at(-1)?.map(({ drillId }) => drillId) ?? [];
    const found = soonBuilt(settingOn(day), facts, ground.standsOn, [], rested);
    if (!found)
      return refused(
        'days',
        'Nothing can be built for this group in this place and time: open one plan and press Build, it says why.',
      );
    planned.push(found.blocks.map((block) => ({ ...block, id: context.newId() })));
    // Others are served between two days: each takes a moment to build.
    await turn();
  }
  return done(planned);
}
