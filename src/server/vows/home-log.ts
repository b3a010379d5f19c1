import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { amountOf } from '@/core/dose/amount';
import { shortDay } from '@/core/base/day-words';
import { groupBy } from '@/core/base/group-by';
import { beginBlock, shapeOf, writeBegun } from '@/session/court/begun';
import { blockOf } from '@/session/base/plan';
import { timePlan } from '@/session/plan/time-plan';
import type { Executor } from '@/data/database';
import { appendEvents, storedAs } from '@/data/log';
import {
  blocksByIds,
  getSession,
  insertSession,
  putBlockPlayers,
  putBlocks,
  setSessionPlayers,
  blocksOfSessions,
} from '@/data/session';
import { getPlayer } from '@/data/squad';
import { daysByBlocks, getVow } from '@/data/vows';
import { asOne } from '@/data/write';
import { refusedEvents, type RefusedEvent } from '@/schemas/touches';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { storeIn, type Ingested } from '../court/ingest';
import { refreshSoon } from '../court/results';
import { besideAnswers, bookFor } from '../readers/book';
import { playerFacts } from '../readers/player-facts';
import { readDay, readVow, titleOf, type DayPart, type KeptVow } from '../readers/vows';

/** Who counted at home, and on what. */
export interface FromHome {
  readonly playerId: string;
  readonly by: string;
  /** The beginning of every device's name this comes from. */
  readonly sign: string;
}

const longestDevice = 64;

/**
 * Stores what was counted at home: events of the same log as on court. The session and the blocks of a day are made when
 * the first of its counts arrives, dated on the day they are for, whenever that is.
 */
export async function storeHome(
  context: Pick<Context, 'db' | 'nowMs' | 'today' | 'newId'>,
  { playerId, by, sign }: FromHome,
  events: readonly TouchEvent[],
): Promise<Ingested> {
  const signed = events.map((event) => ({
    ...event,
    by,
    device: event.device.startsWith(sign) ? event.device : (sign + event.device).slice(0, longestDevice),
  }));
  const strange = await notTheirs(context, { playerId, sign, by }, signed);
  if (strange.length > 0) return refusedEvents(strange, signed.length);
  const outcome = await asOne(context, async ({ db }) => {
    await makeBlocks(db, context, new Set(signed.map(({ blockId }) => blockId)));
    return storeIn(db, context.nowMs, signed);
  });
  if (outcome.ok && outcome.value.stored > 0) refreshSoon(context.db);
  return outcome;
}

/** Events that are not of this child's vows, each with a sentence that says why. */
async function notTheirs(
  { db, today }: Pick<Context, 'db' | 'today'>,
  { playerId, sign }: FromHome,
  events: readonly TouchEvent[],
): Promise<RefusedEvent[]> {
  const days = await daysByBlocks(db, [...new Set(events.map(({ blockId }) => blockId))]);
  const vows = new Map<string, KeptVow>();
  for (const id of new Set(days.map(({ vowId }) => vowId))) {
    const row = await getVow(db, id);
    if (row && row.playerId === playerId) vows.set(id, readVow(row));
  }
  const dayOf = new Map(days.map((one) => [one.blockId, one]));
  const refs = events.flatMap(({ ref }) => (ref === null ? [] : [ref]));
  const known = refs.length === 0 ? [] : await storedAs(db, refs);
  const own = new Set([
    ...known.filter(({ device }) => device.startsWith(sign)).map(({ id }) => id),
    ...events.map(({ id }) => id),
  ]);
  const answers = events.some(({ kind }) => kind === 'beside') ? await besideAnswers(db) : null;
  return events.flatMap<RefusedEvent>((event, index) => {
    const refuse = (message: string) => [{ index, id: event.id, why: 'closed' as const, message }];
    const day = dayOf.get(event.blockId);
    const vow = day && vows.get(day.vowId);
    if (event.playerId !== playerId) return refuse('is about somebody else');
    if (!day || !vow) return refuse('is of no vow of this child: it may have been changed meanwhile');
    if (vow.removedAtMs !== null) return refuse('is of a vow that was taken away');
    if (vow.endedOn !== null && day.day > vow.endedOn)
      return refuse(`is of a vow that was ended on ${shortDay(vow.endedOn)}`);
    // A phone may be half a day ahead of the coach.
    if (day.day > dayAfter(today, 1)) return refuse(`is for ${shortDay(day.day)}, which has not come yet`);
    if (!ruleOf(event.kind).alsoLoggedBy.includes('home'))
      return refuse(`is a ${event.kind}: at home it is counted, and nothing else`);
    const now = vow.vow.parts[day.part];
    const part = now?.drillId === day.drillId ? now : undefined;
    const inRange = (stepId: string | null | undefined) =>
      stepId === day.stepId ||
      part?.stepId === stepId ||
      (part?.choices.some((one) => one.stepId === stepId) ?? false);
    if (event.kind === 'step' && !inRange(event.text))
      return refuse('chooses a step outside the coach’s range');
    if (event.kind === 'beside' && !answers?.has(event.text ?? ''))
      return refuse('answers what no step asks');
    if (event.ref !== null && !own.has(event.ref)) return refuse('corrects a mark that was not made at home');
    return [];
  });
}

/** Makes the sessions and blocks of days of vows that have none yet. */
async function makeBlocks(
  tx: Executor,
  context: Pick<Context, 'nowMs' | 'today' | 'newId'>,
  blockIds: ReadonlySet<string>,
): Promise<null> {
  const there = new Set((await blocksByIds(tx, [...blockIds])).map(({ id }) => id));
  const lacking = (await daysByBlocks(tx, [...blockIds]))
    .filter(({ blockId }) => !there.has(blockId))
    .map(readDay);
  for (const [vowId, parts] of groupBy(lacking, (one) => one.vowId)) {
    const row = await getVow(tx, vowId);
    const player = row && (await getPlayer(tx, row.playerId));
    if (!row || !player) continue;
    const book = await bookFor(tx);
    const kept = readVow(row);
    for (const [sessionId, own] of groupBy(parts, (one) => one.sessionId)) {
      const { day } = own[0]!;
      const title = titleOf(book, kept.vow);
      if (!(await getSession(tx, sessionId))) {
        await insertSession(
          tx,
          sessionId,
          {
            kind: 'home',
            title: title.slice(0, 80),
            day,
            startTime: kept.vow.atTime ?? '00:00',
            bookedMin: Math.max(5, kept.vow.minutes),
            coach: '',
            placeName: '',
            placeId: null,
            airC: null,
            state: 'finished',
            startedAtMs: context.nowMs,
            finishedAtMs: context.nowMs,
          },
          context.nowMs,
        );
        await setSessionPlayers(tx, sessionId, [player.id]);
      }
      const age = playerFacts(player, day).age;
      const before = await blocksOfSessions(tx, [sessionId]);
      await putBlocks(tx, sessionId, [...before, ...own.map(blockRow)]);
      for (const part of own) {
        await putBlockPlayers(tx, part.blockId, [
          { playerId: player.id, stepId: part.stepId, amount: amountOf(part.dose), sitsOut: false },
        ]);
        const { blockId: id, stepId, dose } = part;
        const { drillId } = part;
        const block = blockOf({ id, drillId, stepId, dose });
        const [timed] = timePlan(book, [block], [{ id: player.id, age }], [], 60).blocks;
        const record = beginBlock(
          book,
          block,
          [{ id: player.id, age, target: null, ball: player.stage }],
          shapeOf(timed, 1),
          { day, place: '', placeId: null, coach: '', home: true },
        );
        const nothing = { playerId: null, value: null, ref: null, by: null, monoMs: 0, device: 'server' };
        const atMs = context.nowMs;
        await appendEvents(tx, [
          {
            ...nothing,
            id: context.newId(),
            blockId: id,
            kind: 'begun',
            attempt: 1,
            text: writeBegun(record),
            atMs,
          },
        ]);
      }
    }
  }
  return null;
}

const blockRow = ({ blockId, sessionId, part, drillId, stepId, dose }: DayPart) => ({
  id: blockId,
  sessionId,
  position: part,
  drillId,
  stepId,
  dose: JSON.stringify(dose),
  changes: '[]',
  stations: 1,
  breakS: 0,
  retest: false,
  setting: null,
  circuit: null,
});
