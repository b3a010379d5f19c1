import { monotonicFactory } from 'ulid';
import type { Book } from '@/drills';
import { beginBlock, writeBegun } from '@/session/court/begun';
import type { HeldAt } from '@/session/base/held';
import type { Drill } from '@/drills/base/types';
import { doneTogether } from '@/session/plan/together';
import { newBlock } from '@/session/plan/place-block';
import { workOf, type PlanBlock } from '@/session/base/plan';
import { maxBatch } from '@/core/counting/check';
import type { RemarkKind, TouchEvent } from '@/core/counting/event';
import { normal, seededRandom, type Random } from '@/core/base/random';
import { dayAfter } from '@/server/base/days';
import type { Context } from '@/server/base/context';
import { makeChallenge } from '@/server/challenges/challenges';
import { saveFeeder } from '@/server/calculators/settings';
import { saveSequence } from '@/server/drills/sequences';
import { addNote, answerRecap } from '@/server/notes/notes';
import { decide } from '@/server/plan/decisions';
import { keepPattern } from '@/server/plan/patterns';
import { ingestTouches } from '@/server/court/ingest';
import { refreshAttempts } from '@/server/court/results';
import type { DecisionForm } from '@/schemas/decision';
import { createSession, finishSession, savePlan } from '@/server/plan/sessions';
import { chooseSchool } from '@/server/drills/teaching-styles';
import { saveKit, savePlace } from '@/server/venues/venues';
import { bookFor } from '@/server/readers/book';
import { saveLedger } from '@/server/players/ledger';
import { savePlayer } from '@/server/players/squad';
import { sessionReviewView } from '@/server/views/session-review';
import { challenges, feeders, keptAsPattern, kit, places, schools, sequences, written } from './house';
import { coaches, squad, timetable, type Weekly } from './people';
import { dropChance, playBlock, wholeBlock } from './player-log';
import { keptAtHome } from './keep-vows';
import { must, type At, type DemoOptions, type Member } from './shared';
import { daysAhead } from './week';

type Database = Context['db'];

/**
 * Makes the demo: nine invented players and weeks of sessions, through the same use cases as the application.
 * The same day and seed make the same data.
 */
export async function makeDemo(
  db: Database,
  options: DemoOptions,
): Promise<{ sessions: number; touches: number }> {
  const random = seededRandom(options.seed);
  const ids = monotonicFactory(random);
  const at = (day: string, time: string): Context => {
    const nowMs = new Date(`${day}T${time}:00`).getTime();
    return { db, nowMs, today: day, newId: () => ids(nowMs) };
  };

  const firstDay = dayAfter(options.today, -7 * options.weeks);
  const members: Member[] = [];
  for (const character of squad) {
    const { age, ...form } = character.form;
    const birthYear = Number(options.today.slice(0, 4)) - age;
    const { id } = must(await savePlayer(at(firstDay, '09:00'), { ...form, birthYear }));
    if (character.counts)
      must(await saveLedger(at(firstDay, '09:05'), id, { goal: 2000, drillIds: character.counts }));
    members.push({ id, character, steps: new Map(), practised: new Map() });
  }

  const placeIds = new Map<string, string>();
  for (const place of places)
    placeIds.set(place.name, must(await savePlace(at(firstDay, '09:00'), place)).id);
  must(await saveKit(at(firstDay, '09:00'), kit));
  for (const feeder of feeders) must(await saveFeeder(at(firstDay, '09:00'), feeder));
  for (const sequence of sequences) must(await saveSequence(at(firstDay, '09:00'), sequence));
  for (const school of schools) must(await chooseSchool(at(firstDay, '09:00'), school));

  let touches = 0;
  let sessions = 0;
  for (let back = 7 * options.weeks; back >= 1; back--) {
    const day = dayAfter(options.today, -back);
    const week = options.weeks - Math.ceil(back / 7);
    // Weekdays are written for a Tuesday: counted from today, they lie the same on every day.
    for (const weekly of timetable.filter(({ weekday }) => daysAhead(weekday) === (7 - (back % 7)) % 7)) {
      const coming = members.filter(
        ({ character }) => character.form.sport === weekly.sport && !character.away?.includes(week % 10),
      );
      if (coming.length === 0) continue;
      const newest = dayAfter(options.today, -6) <= day;
      touches += await heldSession(at, day, week, weekly, placeIds, coming, random, ids, newest);
      sessions += 1;
    }
  }
  sessions += await plannedSessions(at, options.today, placeIds, members);
  for (const { sport, ...challenge } of challenges)
    must(
      await makeChallenge(at(dayAfter(options.today, -1), '21:30'), {
        ...challenge,
        fromDay: dayAfter(options.today, -8),
        untilDay: dayAfter(options.today, 7),
        playerIds: members
          .filter(({ character }) => sport === null || character.form.sport === sport)
          .map(({ id }) => id),
      }),
    );
  touches += await keptAtHome(at, options, members);
  // What came from home last is counted too before anybody looks.
  await refreshAttempts(db);
  return { sessions, touches };
}

/** One session as it was: planned, run, counted, and (but for the last week) judged. */
async function heldSession(
  at: At,
  day: string,
  week: number,
  weekly: Weekly,
  placeIds: ReadonlyMap<string, string>,
  coming: readonly Member[],
  random: Random,
  ids: (timeMs: number) => string,
  newest: boolean,
): Promise<number> {
  const context = at(day, weekly.startTime);
  const { id, book, blocks } = await planned(context, weekly, day, placeIds, coming);
  const where = {
    day,
    place: weekly.place,
    placeId: placeIds.get(weekly.place)!,
    coach: coaches[weekly.sport],
  };
  const events = logOf(context, book, blocks, where, week, coming, random, ids);
  for (let from = 0; from < events.length; from += maxBatch)
    must(await ingestTouches(context, { events: events.slice(from, from + maxBatch) }));
  const endMs = (events.at(-1)?.atMs ?? context.nowMs) + 60_000;
  must(await finishSession({ ...context, nowMs: endMs }, id));
  for (const member of coming)
    for (const block of blocks) {
      const key = workKey(book, block, member);
      const learning =
        !member.character.plateau || week < member.character.plateau[0] || week > member.character.plateau[1];
      member.practised.set(key, (member.practised.get(key) ?? 0) + (learning ? 1 : 0));
    }
  if (newest) await writtenOn({ ...context, nowMs: endMs }, id, blocks, coming);
  if (!newest) await judge({ ...context, nowMs: endMs }, id, coming, random);
  return events.length;
}

/** The coach's recap of a session of the last week, and two notes on it. */
async function writtenOn(
  context: Context,
  sessionId: string,
  blocks: readonly PlanBlock[],
  coming: readonly Member[],
): Promise<void> {
  const { answers, onBlock, onPlayer } = written;
  for (const [question, text] of Object.entries(answers))
    must(await answerRecap(context, sessionId, { question, text }));
  must(await addNote(context, { sessionId, blockId: blocks[1]!.id, text: onBlock }));
  must(await addNote(context, { sessionId, playerId: coming[0]!.id, text: onPlayer }));
}

/** What a member practises in a block: the drill and their own step. */
function workKey(book: Book, block: PlanBlock, { id }: Member): string {
  return `${block.drillId} ${workOf(book, block, id)!.step.id}`;
}

/** Books a session and plans its drills, everybody on the step they stand on. */
async function planned(
  context: Context,
  weekly: Weekly,
  day: string,
  placeIds: ReadonlyMap<string, string>,
  coming: readonly Member[],
): Promise<{ id: string; book: Book; blocks: readonly PlanBlock[] }> {
  const booking = {
    title: weekly.title,
    day,
    startTime: weekly.startTime,
    bookedMin: weekly.bookedMin,
    coach: coaches[weekly.sport],
    placeName: weekly.place,
    placeId: placeIds.get(weekly.place)!,
    airC: null,
    playerIds: coming.map((member) => member.id),
  };
  const { id } = must(await createSession(context, booking));
  const book = await bookFor(context.db, booking.coach);
  const players = coming.map(({ id: playerId, character }) => ({ id: playerId, age: character.form.age }));
  const drafts = weekly.drills.map((drillId, index) => {
    const standsOn = (playerId: string) =>
      coming.find((member) => member.id === playerId)?.steps.get(drillId);
    const block = newBlock(book, drillId, players, standsOn, context.newId());
    return index === weekly.drinkAfter ? { ...block, breakS: 60 } : block;
  });
  const blocks = drafts.map((block) => sparing(block, coming));
  must(await savePlan(context, id, { ...booking, revision: 1, blocks }));
  return { id, book, blocks };
}

/** Who is to be spared something sits it out. */
function sparing(block: PlanBlock, coming: readonly Member[]): PlanBlock {
  const spared = coming.filter((member) => member.character.spares?.includes(block.drillId));
  const out = (playerId: string) => spared.some((member) => member.id === playerId);
  return { ...block, own: block.own.map((one) => ({ ...one, out: out(one.playerId) })) };
}

const phrases = ['Best effort today', 'Quiet hands', 'Helped a partner', 'Tired today'] as const;

/** A few things a coach noted in a block: what held, what broke, and now and then a word. No chance of its own. */
function remarksOn(drill: Drill, turn: number, players: number) {
  const [first] = drill.checkpoints;
  const last = drill.checkpoints.at(-1);
  return Array.from({ length: players }, (_, seat) => seat).flatMap((seat) => {
    const made: { seat: number; kind: RemarkKind; text: string }[] = [];
    if ((seat + turn) % 4 === 0 && first) made.push({ seat, kind: 'held', text: first });
    if ((seat + 2 * turn) % 9 === 5 && last) made.push({ seat, kind: 'broke', text: last });
    if ((3 * seat + turn) % 13 === 6) made.push({ seat, kind: 'note', text: phrases[turn % 4]! });
    return made;
  });
}

/** Every mark of a session, in the order made. */
function logOf(
  context: Context,
  book: Book,
  blocks: readonly PlanBlock[],
  where: HeldAt,
  week: number,
  coming: readonly Member[],
  random: Random,
  ids: (timeMs: number) => string,
): TouchEvent[] {
  const drafts: Omit<TouchEvent, 'id'>[] = [];
  const base = { ref: null, device: 'bench-tablet' } as const;
  let startMs = context.nowMs;
  for (const [place, block] of blocks.entries()) {
    const drill = book.drill(block.drillId)!;
    startMs += drill.setUpS.value * 1000;
    let lastMs = startMs;
    for (const member of coming) {
      const { id: playerId, character, practised } = member;
      const { step, dose, out } = workOf(book, block, playerId)!;
      if (out) continue;
      const form = Math.exp(normal(random, 0, 0.25));
      const drop = dropChance(character, step, practised.get(workKey(book, block, member)) ?? 0, form);
      const marks = doneTogether(drill, step)
        ? [wholeBlock(dose, step)]
        : playBlock(dose, step, character, drop, random);
      for (const { atS, ...mark } of marks) {
        const atMs = startMs + Math.round(atS * 1000);
        lastMs = Math.max(lastMs, atMs);
        drafts.push({ ...base, blockId: block.id, playerId, ...mark, atMs, monoMs: atMs - context.nowMs });
      }
    }
    for (const { seat, ...remark } of remarksOn(drill, week + place, coming.length)) {
      const playerId = coming[seat]!.id;
      if (workOf(book, block, playerId)!.out) continue;
      const said = { ...base, blockId: block.id, playerId, attempt: 1, value: null, atMs: lastMs + 200 };
      drafts.push({ ...said, ...remark, monoMs: said.atMs - context.nowMs });
    }
    const clock = { ...base, blockId: block.id, playerId: null, attempt: 1, value: null };
    const shape = { turns: 1, turnS: Math.round((lastMs - startMs) / 1000), atOnce: coming.length };
    const players = coming.map(({ id, character }) => ({
      id,
      age: character.form.age,
      target: null,
      ball: character.form.stage ?? null,
    }));
    const text = writeBegun(beginBlock(book, block, players, shape, where));
    drafts.push({ ...clock, kind: 'begun', text, atMs: startMs, monoMs: startMs - context.nowMs });
    drafts.push({ ...clock, kind: 'start', atMs: startMs, monoMs: startMs - context.nowMs });
    drafts.push({ ...clock, kind: 'end', atMs: lastMs + 500, monoMs: lastMs + 500 - context.nowMs });
    startMs = lastMs + drill.changeoverS.value * 1000;
  }
  return drafts.sort((a, b) => a.atMs - b.atMs).map((draft) => ({ id: ids(draft.atMs), ...draft }));
}

/** The coach accepts nearly every proposal; now and then a player stays where they are. */
async function judge(context: Context, id: string, coming: readonly Member[], random: Random): Promise<void> {
  const review = (await sessionReviewView(context, id))!;
  const decisions: DecisionForm[] = [];
  for (const { id: blockId, drillId, lines } of review.blocks) {
    for (const { playerId, schools: said, leads } of lines) {
      const { byDefault } = said;
      const verdict = byDefault.verdict === 'up' && random() < 0.12 ? 'hold' : byDefault.verdict;
      decisions.push({
        blockId,
        playerId,
        verdict,
        target: verdict === 'hold' ? byDefault.target : leads[verdict].target,
      });
      coming.find((member) => member.id === playerId)?.steps.set(drillId, leads[verdict].stepId);
    }
  }
  must(await decide(context, decisions));
}

/** Every group's next session, planned the evening before: two of them are today. */
async function plannedSessions(
  at: At,
  today: string,
  placeIds: ReadonlyMap<string, string>,
  members: readonly Member[],
): Promise<number> {
  const evening = at(dayAfter(today, -1), '21:00');
  const group = (sport: Weekly['sport']) => members.filter((member) => member.character.form.sport === sport);
  for (const weekly of timetable) {
    const day = dayAfter(today, daysAhead(weekly.weekday));
    const { id } = await planned(evening, weekly, day, placeIds, group(weekly.sport));
    if (weekly.title === keptAsPattern.of)
      must(await keepPattern(evening, id, { title: keptAsPattern.title }));
  }
  return timetable.length;
}
