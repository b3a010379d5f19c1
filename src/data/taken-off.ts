import { and, desc, isNotNull, isNull } from 'drizzle-orm';
import type { Executor } from './database';
import { feederSetting, ownDrill, pattern, place, player, session, shadowSequence } from './schema';

/** What was taken off a list: still on record, and can come back. */
export interface TakenOff {
  readonly id: string;
  readonly name: string;
  readonly removedAtMs: number;
}

/** So many are offered, the last ones first: ours. */
const most = 50;

const tables = {
  player: { table: player, name: player.name },
  session: { table: session, name: session.title },
  place: { table: place, name: place.name },
  feeder: { table: feederSetting, name: feederSetting.name },
  sequence: { table: shadowSequence, name: shadowSequence.name },
  drill: { table: ownDrill, name: ownDrill.drill },
  pattern: { table: pattern, name: pattern.title },
} as const;

export type TakenOffKind = keyof typeof tables;

/** What was taken off one of the lists, the last first. The name of a drill stands in what it says. */
export async function takenOff(db: Executor, kind: TakenOffKind): Promise<TakenOff[]> {
  const { table, name } = tables[kind];
  const rows = await db
    .select({ id: table.id, name, removedAtMs: table.removedAtMs })
    .from(table)
    .where(and(isNotNull(table.removedAtMs), kind === 'player' ? isNull(player.erasedAtMs) : undefined))
    .orderBy(desc(table.removedAtMs))
    .limit(most);
  return rows.map((row) => ({
    id: row.id,
    name: kind === 'drill' ? (JSON.parse(row.name) as { title: string }).title : row.name,
    removedAtMs: row.removedAtMs!,
  }));
}
