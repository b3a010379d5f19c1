import { sql } from 'drizzle-orm';
import type { Executor } from './database';

/** What a player did in one block on one step under one set of conditions, added up. */
export type DoneRow = readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  day: string,
  /** How the ball came, and which ball, where that was changed on court; and whether it was made easier. */
  feed: string | null,
  ball: string | null,
  eased: 0 | 1,
  home: 0 | 1,
  otherHand: 0 | 1,
  /** The block's dose, as JSON, and the player's own amount of it. */
  dose: string,
  amount: number | null,
  /** Attempts with a result; their sum, the sum of their logs, and of their squares times their touches less one. */
  results: number,
  sum: number,
  logSum: number,
  squares: number,
  free: number,
  touches: number,
  drops: number,
  /** Attempts with a drop in them. */
  dropped: number,
];

/**
 * What everybody did between two days, both included, by block and step, in the order of days: as one JSON text of
 * {@link DoneRow}s, so that whoever works something out of it knows it again. What was done as a whole and not counted is
 * left out. Attempts are read from the index by day: older ones cost nothing.
 */
export async function doneBetween(db: Executor, fromDay: string, untilDay: string): Promise<string> {
  const row = await db.get<{ rows: string }>(sql`
    select json_group_array(json_array(p, d, s, day, feed, ball, eased, home, hand, dose, amount, n, r, l, q, f, t, dr, h)) as rows from (
      select a.player_id as p, a.drill_id as d, a.step_id as s, a.day as day, a.feed as feed, a.ball as ball,
             a.eased as eased, a.home as home, a.other_hand as hand, b.dose as dose, bp.amount as amount, count(a.result) as n, coalesce(sum(a.result), 0) as r,
             coalesce(sum(case when a.result > 0 then ln(a.result) end), 0) as l,
             coalesce(sum(a.result * a.result * max(a.touches - 1, 0)), 0) as q,
             coalesce(sum(case when a.result is not null then max(a.touches - 1, 0) end), 0) as f,
             sum(a.touches) as t, sum(a.drops) as dr, sum(min(1, a.drops)) as h
      from attempt a indexed by attempt_by_day
      join block b on b.id = a.block_id
      left join block_player bp on bp.block_id = a.block_id and bp.player_id = a.player_id
      where a.day between ${fromDay} and ${untilDay} and (a.result is not null or a.drops > 0)
      group by a.day, a.block_id, a.player_id, a.step_id, a.feed, a.ball, a.eased, a.other_hand
      order by a.day, min(a.started_ms))`);
  return row?.rows ?? '[]';
}
