import { sql, type SQL } from 'drizzle-orm';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';

/** What a player has done on one step, ever. */
export interface StepTotals {
  readonly drillId: string;
  readonly stepId: string;
  /** Best results on court, and at home. */
  readonly highest: number | null;
  readonly lowest: number | null;
  readonly homeHighest: number | null;
  readonly homeLowest: number | null;
  readonly attempts: number;
  readonly touches: number;
  readonly drops: number;
  readonly lastDay: string;
}

/** Totals of one player by drill and step, all time. */
export async function totalsOfPlayer(db: Executor, playerId: string): Promise<StepTotals[]> {
  return db.all<StepTotals>(sql`
    select drill_id as drillId, step_id as stepId, max(case when eased = 0 and home = 0 then result end) as highest,
           min(case when eased = 0 and home = 0 then result end) as lowest,
           max(case when eased = 0 and home = 1 then result end) as homeHighest,
           min(case when eased = 0 and home = 1 then result end) as homeLowest,
           count(*) as attempts, sum(touches) as touches, sum(drops) as drops, max(day) as lastDay
    from attempt where player_id = ${playerId} group by drill_id, step_id`);
}

/** What was done as a whole and not counted has neither a result nor a drop: it says nothing of how much succeeds. */
const counted = sql`(a.result is not null or a.drops > 0)`;

/** Touches and drops: player, drill, step, touches, drops. */
export type StepRecord = readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  touches: number,
  drops: number,
];

/**
 * Touches and drops of players on each of some steps, since a day.
 * Every player and step is sought for itself: older attempts cost nothing, however long the log is.
 */
export async function recordsSince(
  db: Executor,
  playerIds: readonly string[],
  steps: readonly { readonly drillId: string; readonly stepId: string }[],
  sinceDay: string,
): Promise<StepRecord[]> {
  const asked = JSON.stringify([
    ...new Map(steps.map(({ drillId, stepId }) => [`${drillId} ${stepId}`, [drillId, stepId]])).values(),
  ]);
  const rows = await jsonRows<[string, string, string, string | null]>(
    db,
    sql`p, d, s, sums`,
    sql`select q.value as p, one.value ->> 0 as d, one.value ->> 1 as s,
               (select sum(touches) || ' ' || sum(drops) from attempt a
                where a.player_id = q.value and a.drill_id = one.value ->> 0 and a.step_id = one.value ->> 1
                  and a.day >= ${sinceDay} and ${counted}) as sums
        from json_each(${JSON.stringify(playerIds)}) q cross join json_each(${asked}) one`,
  );
  return rows.flatMap<StepRecord>(([playerId, drillId, stepId, sums]) => {
    if (sums === null) return [];
    const [touches, drops] = sums.split(' ').map(Number);
    return [[playerId, drillId, stepId, touches!, drops!]];
  });
}

/** A player's step that is judged, by a key of the caller's. */
export interface JudgedStep {
  readonly key: string;
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly gate: number;
  readonly lowerIsBetter: boolean;
  /** True where all its repetitions count, ever. */
  readonly habit: boolean;
  /** True where what was done at home shows a mark as well as what was done on court. */
  readonly homeCounts: boolean;
}

/** What a player has to show on a judged step. */
export interface Evidence {
  readonly key: string;
  readonly playerId: string;
  /** Best result ever; null when there is none. */
  readonly best: number | null;
  /** Best of all other sessions until that day. */
  readonly bestBefore: number | null;
  /** On how many recent days the gate was reached. */
  readonly reachedDays: number;
  /** Its repetitions until that day; 0 where they do not count. */
  readonly reps: number;
}

/**
 * What players have to show, each on their own steps, up to and including the day of a session. What was made under an
 * easing shows nothing.
 * Bests are found by seeking, days are counted over a bounded span: the cost does not grow with the log.
 * @param sinceDay the first day that counts for reaching the gate
 */
export async function evidenceOn(
  db: Executor,
  steps: readonly JudgedStep[],
  session: { readonly id: string; readonly day: string },
  sinceDay: string,
): Promise<Evidence[]> {
  const asked = JSON.stringify(
    steps.map((s) => [
      s.key,
      s.playerId,
      s.drillId,
      s.stepId,
      s.gate,
      s.lowerIsBetter ? 1 : 0,
      s.habit ? 1 : 0,
      s.homeCounts ? 1 : 0,
    ]),
  );
  const own = sql`a.player_id = s.player and a.drill_id = s.drill and a.step_id = s.step and a.eased = 0 and a.home <= s.home and a.result is not null and a.day <= ${session.day}`;
  const elsewhere = sql`(a.day < ${session.day} or a.block_id not in (select id from block where session_id = ${session.id}))`;
  const best = (which: SQL) => sql`case s.low
    when 0 then (select result from attempt a where ${own} and ${which} order by result desc limit 1)
    else (select result from attempt a where ${own} and ${which} order by result limit 1) end`;
  const rows = await jsonRows<[string, string, number | null, number | null, number, number]>(
    db,
    sql`k, p, best, before, days, reps`,
    sql`with s as materialized (
          select value ->> 0 as k, value ->> 1 as player, value ->> 2 as drill, value ->> 3 as step, value ->> 4 as gate, value ->> 5 as low, value ->> 6 as habit, value ->> 7 as home
          from json_each(${asked}))
        select k, s.player as p, ${best(sql`true`)} as best, ${best(elsewhere)} as before,
               (select count(distinct day) from attempt a where ${own} and a.day >= ${sinceDay}
                and case s.low when 0 then a.result >= s.gate else a.result <= s.gate end) as days,
               case s.habit when 0 then 0 else (select coalesce(sum(touches), 0) from attempt a
                where a.player_id = s.player and a.drill_id = s.drill and a.step_id = s.step and a.day <= ${session.day}) end as reps
        from s`,
  );
  return rows.map(([key, playerId, bestEver, bestBefore, reachedDays, reps]) => ({
    key,
    playerId,
    best: bestEver,
    bestBefore,
    reachedDays,
    reps,
  }));
}

/** How much players did since a day. */
export async function recentWork(
  db: Executor,
  sinceDay: string,
): Promise<{ playerId: string; days: number; touches: number; lastDay: string }[]> {
  return db.all(sql`
    select player_id as playerId, count(distinct day) as days, sum(touches) as touches, max(day) as lastDay
    from attempt indexed by attempt_by_day where day >= ${sinceDay} group by player_id`);
}

/**
 * Touches and drops of players on every step they have touched, since a day. Read from the index by day: older attempts
 * cost nothing.
 */
export async function allRecordsSince(
  db: Executor,
  playerIds: readonly string[],
  sinceDay: string,
): Promise<StepRecord[]> {
  return jsonRows<StepRecord>(
    db,
    sql`p, d, s, touches, drops`,
    sql`select player_id as p, drill_id as d, step_id as s, sum(touches) as touches, sum(drops) as drops
        from attempt a indexed by attempt_by_day
        where day >= ${sinceDay} and player_id in (${idList(playerIds)}) and ${counted}
        group by player_id, drill_id, step_id`,
  );
}

/** What was done besides a session: other sessions of the same day, and all days before. */
export interface Besides {
  readonly day: string;
  /** The session that is looked at; left out where it is a new one. */
  readonly id: string | null;
}

const besides = ({ id }: Besides) =>
  sql`a.block_id not in (select id from block where session_id = ${id ?? ''})`;

/** The last day until a day on which players did each of some steps elsewhere; who never did one is left out. */
export async function lastDays(
  db: Executor,
  playerIds: readonly string[],
  steps: readonly { readonly drillId: string; readonly stepId: string }[],
  session: Besides,
): Promise<{ playerId: string; drillId: string; stepId: string; day: string }[]> {
  const rows = await jsonRows<[string, string, string, string | null]>(
    db,
    sql`p, d, s, day`,
    sql`select q.value as p, one.value ->> 0 as d, one.value ->> 1 as s,
               (select max(day) from attempt a where a.player_id = q.value and a.drill_id = one.value ->> 0
                and a.step_id = one.value ->> 1 and a.day <= ${session.day} and ${besides(session)}) as day
        from json_each(${JSON.stringify(playerIds)}) q
             cross join json_each(${JSON.stringify(steps.map(({ drillId, stepId }) => [drillId, stepId]))}) one`,
  );
  return rows.flatMap(([playerId, drillId, stepId, day]) =>
    day === null ? [] : [{ playerId, drillId, stepId, day }],
  );
}

/** Tries of players on each step and day, from a day until that of a session, elsewhere: what their bodies did. */
export async function triesSince(
  db: Executor,
  playerIds: readonly string[],
  fromDay: string,
  session: Besides,
): Promise<{ playerId: string; drillId: string; stepId: string; day: string; tries: number }[]> {
  const rows = await jsonRows<[string, string, string, string, number]>(
    db,
    sql`p, d, s, day, tries`,
    sql`select player_id as p, drill_id as d, step_id as s, day, sum(touches + drops) as tries
        from attempt a indexed by attempt_by_day
        where day between ${fromDay} and ${session.day} and player_id in (${idList(playerIds)})
          and ${besides(session)}
        group by player_id, drill_id, step_id, day`,
  );
  return rows.map(([playerId, drillId, stepId, day, tries]) => ({ playerId, drillId, stepId, day, tries }));
}

/** Touches of a player by day and drill since a day, however they were counted. */
export async function touchesByDay(
  db: Executor,
  playerId: string,
  sinceDay: string,
): Promise<readonly (readonly [day: string, drillId: string, touches: number])[]> {
  return jsonRows<[string, string, number]>(
    db,
    sql`day, d, touches`,
    sql`select day, drill_id as d, sum(touches) as touches from attempt indexed by attempt_by_day
        where day >= ${sinceDay} and player_id = ${playerId} group by day, drill_id order by day`,
  );
}
