import { asc, eq, isNull } from 'drizzle-orm';
import type { Executor } from './database';
import { feederSetting } from './schema';

export type FeederRow = typeof feederSetting.$inferSelect;

export async function listFeeders(db: Executor): Promise<FeederRow[]> {
  return db
    .select()
    .from(feederSetting)
    .where(isNull(feederSetting.removedAtMs))
    .orderBy(asc(feederSetting.name));
}

export async function getFeeder(db: Executor, id: string): Promise<FeederRow | undefined> {
  return (await db.select().from(feederSetting).where(eq(feederSetting.id, id)))[0];
}

export async function putFeeder(
  db: Executor,
  id: string,
  fields: Pick<FeederRow, 'name' | 'drillId' | 'settings'>,
  nowMs: number,
): Promise<void> {
  await db
    .insert(feederSetting)
    .values({ id, ...fields, createdAtMs: nowMs })
    .onConflictDoUpdate({ target: feederSetting.id, set: fields });
}

export async function setFeederRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(feederSetting).set({ removedAtMs }).where(eq(feederSetting.id, id));
}
