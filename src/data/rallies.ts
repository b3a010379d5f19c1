import { sql } from 'drizzle-orm';
import type { Executor } from './database';
import { jsonRows } from './json-rows';

/** One attempt at a row, with what it was made under. */
export type LoggedRow = readonly [
  drillId: string,
  stepId: string,
  ball: string | null,
  setting: string | null,
  placeId: string | null,
  touches: number,
  drops: number,
];

/** A player's attempts on some steps since a day, those made under an easing left out. */
export async function loggedRows(
  db: Executor,
  playerId: string,
  steps: readonly (readonly [drillId: string, stepId: string])[],
  sinceDay: string,
): Promise<LoggedRow[]> {
  if (steps.length === 0) return [];
  const pairs = sql.join(
    steps.map(([drillId, stepId]) => sql`(${drillId}, ${stepId})`),
    sql`, `,
  );
  return jsonRows<LoggedRow>(
    db,
    sql`drill_id, step_id, ball, setting, place_id, touches, drops`,
    sql`select a.drill_id, a.step_id, a.ball,
               -- As it was set out when it was begun; a block of before that was written down, as it is planned.
               coalesce((select coalesce(e.text ->> '$.setting', 'null') from touch_event e
                         where e.block_id = b.id and e.player_id is null and e.kind = 'begun' order by e.id limit 1),
                        b.setting) as setting,
               coalesce((select e.text ->> '$.held.placeId' from touch_event e
                         where e.block_id = b.id and e.player_id is null and e.kind = 'begun'
                           and e.text ->> '$.held' is not null order by e.id limit 1),
                        s.place_id) as place_id, a.touches, a.drops
        from attempt a join block b on b.id = a.block_id join session s on s.id = b.session_id
        where a.player_id = ${playerId} and a.day >= ${sinceDay} and a.eased = 0
          and (a.drill_id, a.step_id) in (values ${pairs})
        order by a.started_ms`,
  );
}
