import { sql } from 'drizzle-orm';
import type { Tap } from '@/core/counting/tap';
import type { Executor } from './database';
import { jsonRows } from './json-rows';

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
        where s.day >= ${sinceDay} and s.removed_at_ms is null and e.player_id is not null and e.kind in ('touch', 'drop') and e.origin is null
          and e.id not in (
            select u.ref from session s join block b on b.session_id = s.id join touch_event u on u.block_id = b.id
            where s.day >= ${sinceDay} and u.kind = 'undo' and u.ref is not null)
        order by e.player_id, e.block_id, e.id`,
  );
}

/** Rows told from home since a day, with the row that was asked for: player, result, aim, block. */
export async function aimedSince(
  db: Executor,
  sinceDay: string,
): Promise<readonly (readonly [playerId: string, result: number, aim: number, blockId: string])[]> {
  return jsonRows<[string, number, number, string]>(
    db,
    sql`p, r, aim, b`,
    sql`select a.player_id as p, a.result as r, b.dose ->> '$.target' as aim, a.block_id as b
        from attempt a join block b on b.id = a.block_id
        where a.day >= ${sinceDay} and a.home = 1 and a.reported = 1 and a.origin is null and a.result is not null
          and b.dose ->> '$.kind' = 'row'`,
  );
}

/** Counts told and typed in since a day: player and result. A row told from home that is just what was asked for ends there. */
export async function toldSince(
  db: Executor,
  sinceDay: string,
): Promise<readonly (readonly [playerId: string, result: number, blockId: string])[]> {
  return jsonRows<[string, number, string]>(
    db,
    sql`p, r, b`,
    sql`select a.player_id as p, a.result as r, a.block_id as b from attempt a join block b on b.id = a.block_id
        where a.day >= ${sinceDay} and a.reported = 1 and a.origin is null and a.result is not null
          and not (a.home = 1 and a.result = coalesce(b.dose ->> '$.target', -1))`,
  );
}
