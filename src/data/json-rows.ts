import { sql, type SQL } from 'drizzle-orm';
import type { Executor } from './database';

/**
 * Runs a query whose rows come back as one JSON text: the driver builds an object with a property
 * descriptor for every cell of every row, which costs far more than the query once there are hundreds.
 * @param columns the columns of `from`, in the order of the tuple
 */
export async function jsonRows<Tuple extends readonly unknown[]>(
  db: Executor,
  columns: SQL,
  from: SQL,
): Promise<Tuple[]> {
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(${columns})) as rows from (${from})`,
  );
  return JSON.parse(row?.rows ?? '[]') as Tuple[];
}

/** A list of ids as a value list: `in (${idList(ids)})`. */
export const idList = (ids: readonly string[]): SQL =>
  sql`select value from json_each(${JSON.stringify(ids)})`;
