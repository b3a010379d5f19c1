import { asc, eq, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { kitItem, place } from './schema';

export type PlaceRow = typeof place.$inferSelect;
export type PlaceFields = Omit<PlaceRow, 'id' | 'createdAtMs' | 'removedAtMs'>;

export async function listPlaces(db: Executor): Promise<PlaceRow[]> {
  return db.select().from(place).where(isNull(place.removedAtMs)).orderBy(asc(place.name));
}

export async function getPlace(db: Executor, id: string): Promise<PlaceRow | undefined> {
  return (await db.select().from(place).where(eq(place.id, id)))[0];
}

export async function putPlace(db: Executor, id: string, fields: PlaceFields, nowMs: number): Promise<void> {
  await db
    .insert(place)
    .values({ id, ...fields, createdAtMs: nowMs })
    .onConflictDoUpdate({ target: place.id, set: fields });
}

export async function setPlaceRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(place).set({ removedAtMs }).where(eq(place.id, id));
}

/** What was counted, by name. */
export async function kitCounts(db: Executor): Promise<Record<string, number>> {
  const rows = await db.select().from(kitItem);
  return Object.fromEntries(rows.map((row) => [row.name, row.count]));
}

/** Puts a count; null takes it off the list. */
export async function putKitCounts(
  db: Executor,
  counts: Readonly<Record<string, number | null>>,
): Promise<void> {
  for (const [name, count] of Object.entries(counts)) {
    if (count === null) await db.delete(kitItem).where(eq(kitItem.name, name));
    else
      await db
        .insert(kitItem)
        .values({ name, count })
        .onConflictDoUpdate({ target: kitItem.name, set: { count: sql`excluded.count` } });
  }
}
