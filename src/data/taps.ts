import { sql } from 'drizzle-orm';
import type { Tap } from '@/core/counting/tap';
import type { Executor } from './database';
import { kindList } from './kind-list';
import { jsonRows } from './json-rows';

const tapped = kindList(({ count }) => count?.isTapped === true);

/** Touches and drops a finger made in sessions since a day, those taken back left out, player by player in the order made. */
export async function tapsSince(db: Executor, sinceDay: string): Promise<Tap[]> {
  return jsonRows<Tap>(
    db,
    sql`p, b, d, s, k, n, m, device`,
    sql`select e.player_id as p, e.block_id as b, b.drill_id as d, coalesce(bp.step_id, b.step_id) as s,
               e.kind = 'drop' as k, e.attempt as n, e.mono_ms as m, e.device as device
        from session s
        join block b on b.session_id = s.id
        join touch_event e on e.block_id = b.id
        left join block_player bp on bp.block_id = b.id and bp.player_id = e.player_id
        where s.day >= ${sinceDay} and s.removed_at_ms is null and e.player_id is not null and e.kind in (${tapped}) and e.origin is null
          and e.id not in (
            select u.ref from session s join block b on b.session_id = s.id join touch_event u on u.block_id = b.id
            where s.day >= ${sinceDay} and u.kind = 'undo' and u.ref is not null)
        order by e.player_id, e.block_id, e.id`,
  );
}

/** A count told or typed in, as it is stored. */
export type ToldRow = readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  day: string,
  result: number,
  blockId: string,
  home: 0 | 1,
  /** The block's dose, as JSON, and the player's own amount of it. */
  dose: string,
  amount: number | null,
];

/** Counts told and typed in since a day. */
export async function toldSince(db: Executor, sinceDay: string): Promise<ToldRow[]> {
  return jsonRows<ToldRow>(
    db,
    sql`p, d, s, day, r, b, home, dose, amount`,
    sql`select a.player_id as p, a.drill_id as d, a.step_id as s, a.day as day, a.result as r, a.block_id as b,
               a.home as home, b.dose as dose, bp.amount as amount
        from attempt a
        join block b on b.id = a.block_id
        left join block_player bp on bp.block_id = a.block_id and bp.player_id = a.player_id
        where a.day >= ${sinceDay} and a.reported = 1 and a.origin is null and a.result is not null`,
  );
}
