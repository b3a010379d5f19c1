import { beginBlock, shapeOf } from '@/session/court/begun';
import { heldUnder } from '@/session/base/held';
import { comeTo, timePlan } from '@/session/plan/time-plan';
import type { WholeRecord } from '@/session/court/rebuild';
import type { Executor } from '@/data/database';
import { getSession, playersOfSessions, type SessionRow } from '@/data/session';
import { getPlayers, type PlayerWithFocus } from '@/data/squad';
import { begunBlocks, plannedBlocksByIds } from './blocks';
import { bookFor } from './book';

/** How old a player was, or is, in the year of a day. */
const ageOn = (day: string, { birthYear }: PlayerWithFocus): number => Number(day.slice(0, 4)) - birthYear;

/**
 * What blocks were held under, each as one whole record. Where the log has none, or only half of one (an earlier version
 * wrote less down, a helper counted in a block nobody began), the rest is taken from the plan and the drills as they
 * are; what cannot be known any more (a drill that is gone) leaves the block out.
 */
export async function wholeRecords(
  db: Executor,
  blockIds: readonly string[],
): Promise<Map<string, WholeRecord>> {
  const [begun, planned] = await Promise.all([begunBlocks(db, blockIds), plannedBlocksByIds(db, blockIds)]);
  const whole = new Map<string, WholeRecord>();
  const sessions = new Map<string, Promise<Around>>();
  for (const block of planned) {
    const record = begun.get(block.id);
    if (record?.held) {
      whole.set(block.id, { ...record, held: record.held });
      continue;
    }
    if (!sessions.has(block.sessionId)) sessions.set(block.sessionId, aroundOf(db, block.sessionId));
    const { session, people, book } = await sessions.get(block.sessionId)!;
    const { day, placeName: place, placeId, coach } = session;
    const players = people.map((one) => ({
      id: one.id,
      age: ageOn(day, one),
      target: null,
      ball: one.stage,
    }));
    const at = { day, place, placeId, coach };
    const held = heldUnder(book, record?.drillId ?? block.drillId, players, at);
    if (!held) continue;
    if (record) {
      whole.set(block.id, { ...record, held });
      continue;
    }
    const [time] = timePlan(book, [block], players, [], session.bookedMin).blocks;
    const begins = beginBlock(
      book,
      block,
      players,
      shapeOf(
        time,
        comeTo(
          block,
          players.map(({ id }) => id),
        ),
      ),
      at,
    );
    whole.set(block.id, { ...begins, held });
  }
  return whole;
}

interface Around {
  readonly session: SessionRow;
  readonly people: readonly PlayerWithFocus[];
  readonly book: Awaited<ReturnType<typeof bookFor>>;
}

async function aroundOf(db: Executor, sessionId: string): Promise<Around> {
  const session = (await getSession(db, sessionId))!;
  const ids = (await playersOfSessions(db, [sessionId])).get(sessionId) ?? [];
  const [people, book] = await Promise.all([getPlayers(db, ids), bookFor(db, session.coach)]);
  return { session, people, book };
}
