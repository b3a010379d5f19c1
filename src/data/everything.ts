import { asc, eq, sql } from 'drizzle-orm';
import type { Executor } from './database';
import {
  attempt,
  block,
  challenge,
  challengePlayer,
  challengeResult,
  countWord,
  course,
  courseSession,
  decision,
  fitOverride,
  focus,
  home,
  ladderPlace,
  ledger,
  note,
  player,
  schoolChoice,
  session,
  sessionPlayer,
  touchEvent,
  vow,
  vowDay,
} from './schema';

/** Everything the book holds about one player, table by table, and nothing about anybody else. */
export async function everythingAbout(db: Executor, id: string) {
  const [own] = await db.select().from(player).where(eq(player.id, id));
  if (!own) return null;
  const sessions = await db
    .select({
      id: session.id,
      kind: session.kind,
      title: session.title,
      day: session.day,
      startTime: session.startTime,
      placeName: session.placeName,
      coach: session.coach,
      attendance: sessionPlayer.attendance,
    })
    .from(sessionPlayer)
    .innerJoin(session, eq(session.id, sessionPlayer.sessionId))
    .where(eq(sessionPlayer.playerId, id))
    .orderBy(asc(session.day), asc(session.startTime));
  const events = await db
    .select({
      id: touchEvent.id,
      sessionId: block.sessionId,
      blockId: touchEvent.blockId,
      drillId: block.drillId,
      kind: touchEvent.kind,
      attempt: touchEvent.attempt,
      value: touchEvent.value,
      ref: touchEvent.ref,
      text: touchEvent.text,
      origin: touchEvent.origin,
      atMs: touchEvent.atMs,
    })
    .from(touchEvent)
    .innerJoin(block, eq(block.id, touchEvent.blockId))
    .where(eq(touchEvent.playerId, id))
    .orderBy(asc(touchEvent.id));
  const [focuses, fit, schools, places, attempts, decisions, notes, ledgers, counting, challenges, results] =
    await Promise.all([
      db.select().from(focus).where(eq(focus.playerId, id)).orderBy(asc(focus.sinceMs)),
      db.select().from(fitOverride).where(eq(fitOverride.playerId, id)),
      db
        .select()
        .from(schoolChoice)
        .where(sql`${schoolChoice.scope} = 'player' and ${schoolChoice.key} = ${id}`),
      db.select().from(ladderPlace).where(eq(ladderPlace.playerId, id)),
      db.select().from(attempt).where(eq(attempt.playerId, id)).orderBy(asc(attempt.startedMs)),
      db.select().from(decision).where(eq(decision.playerId, id)).orderBy(asc(decision.decidedAtMs)),
      db.select().from(note).where(eq(note.playerId, id)).orderBy(asc(note.atMs)),
      db
        .select({ focusId: ledger.focusId, goal: ledger.goal, counts: ledger.counts })
        .from(ledger)
        .innerJoin(focus, eq(focus.id, ledger.focusId))
        .where(eq(focus.playerId, id)),
      db.select().from(countWord).where(eq(countWord.playerId, id)).orderBy(asc(countWord.atMs)),
      db
        .select({ id: challenge.id, title: challenge.title, best: challengePlayer.best })
        .from(challengePlayer)
        .innerJoin(challenge, eq(challenge.id, challengePlayer.challengeId))
        .where(eq(challengePlayer.playerId, id))
        .orderBy(asc(challenge.fromDay)),
      db
        .select()
        .from(challengeResult)
        .where(eq(challengeResult.playerId, id))
        .orderBy(asc(challengeResult.atMs)),
    ]);
  const [homes, vows, vowDays, courses] = await Promise.all([
    db.select().from(home).where(eq(home.playerId, id)),
    db.select().from(vow).where(eq(vow.playerId, id)).orderBy(asc(vow.createdAtMs)),
    db
      .select({
        vowId: vowDay.vowId,
        day: vowDay.day,
        part: vowDay.part,
        drillId: vowDay.drillId,
        stepId: vowDay.stepId,
        dose: vowDay.dose,
      })
      .from(vowDay)
      .innerJoin(vow, eq(vow.id, vowDay.vowId))
      .where(eq(vow.playerId, id))
      .orderBy(asc(vowDay.day), asc(vowDay.part)),
    // Where courses have planned them: the step, session by session.
    db
      .select({
        title: course.title,
        drillId: course.drillId,
        day: session.day,
        stepId: sql<string>`json_extract(${courseSession.rungs}, ${`$."${id}"`})`,
      })
      .from(courseSession)
      .innerJoin(course, eq(course.id, courseSession.courseId))
      .innerJoin(session, eq(session.id, courseSession.sessionId))
      .where(sql`json_extract(${courseSession.rungs}, ${`$."${id}"`}) is not null`)
      .orderBy(asc(session.day)),
  ]);
  return {
    player: own,
    focuses,
    fit,
    schools,
    places,
    sessions,
    attempts,
    decisions,
    notes,
    events,
    ledgers,
    counting,
    challenges,
    results,
    homes,
    vows,
    vowDays,
    courses,
  };
}
export type Everything = NonNullable<Awaited<ReturnType<typeof everythingAbout>>>;
