import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql, type SQL } from 'drizzle-orm';
import { migrateDatabase, openDatabase } from '@/data/client';
import { ids } from './scratch';

/**
 * For tests: a database with a planned session of one timed block in it, written as an earlier version would have, without what
 * came later; and then brought up to date.
 */
export async function oldBook({
  drillId,
  stepId,
  more = () => [],
}: {
  readonly drillId: string;
  readonly stepId: string;
  /** What else was in it, before it is brought up to date. */
  readonly more?: (at: { readonly sessionId: string; readonly blockId: string }) => readonly SQL[];
}) {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-old-'));
  const db = await openDatabase(`file:${path.join(folder, 'old.db')}`);
  await migrateDatabase(db);
  const newId = ids(9);
  const [sessionId, blockId] = [newId(0), newId(0)];
  const dose = JSON.stringify({ kind: 'timed', rounds: 2, workS: 30, restS: 30 });
  for (const row of [
    sql`insert into session (id, title, day, start_time, booked_min, state, created_at_ms) values (${sessionId}, 'Old', '2026-11-24', '16:30', 45, 'planned', 0)`,
    sql`insert into block (id, session_id, position, drill_id, step_id, dose) values (${blockId}, ${sessionId}, 0, ${drillId}, ${stepId}, ${dose})`,
    ...more({ sessionId, blockId }),
  ])
    await db.run(row);
  await migrateDatabase(db);
  return {
    sessionId,
    blockId,
    context: {
      db,
      nowMs: Date.parse('2026-11-24T12:00:00Z'),
      today: '2026-11-24',
      newId: () => newId(1),
    },
    close: () => {
      db.$client.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
