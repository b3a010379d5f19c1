import { eq, sql } from 'drizzle-orm';
import type { EventKind } from '@/core/counting/event';
import { wordless } from '@/core/counting/text-of';
import { playerFields } from '@/schemas/player-fields';
import type { Executor } from './database';
import * as schema from './schema';
import type { PlayerFields } from './squad';
import { childTables } from './table-rules';

/**
 * Takes everything that says who a player was out of the database, for good. What was counted stays, under a number and no
 * name. What is overwritten is overwritten on the disk too.
 * @param year a birth year that says nothing
 * @param file whether the database is a file of ours; what a server does with what it deletes is its own affair
 */
export async function erasePlayer(
  db: Executor,
  id: string,
  nowMs: number,
  { year, file }: { readonly year: number; readonly file: boolean },
): Promise<void> {
  if (file) await db.run(sql`pragma secure_delete = on`);
  // What was promised says whose it was: sessions at home have titles of their own.
  await db.run(sql`update session set title = '' where kind = 'home' and id in
                     (select session_id from session_player where player_id = ${id})`);
  for (const [name, { rows, erased }] of childTables)
    if (erased === 'rows go') await db.delete(schema[name]).where(rows(id));
  // A helper's name may say whose parent they are.
  await db.run(sql`update touch_event set by = null where player_id = ${id}`);
  await db
    .update(schema.player)
    .set({
      ...leftOfPlayer(year),
      removedAtMs: sql`coalesce(removed_at_ms, ${nowMs})`,
      erasedAtMs: nowMs,
    })
    .where(eq(schema.player.id, id));
  await dropWords(db, id);
}

/** The columns of a player who was removed for good, but those that may stay. */
function leftOfPlayer(year: number): Partial<PlayerFields> {
  const { focus: _ownTable, ...columns } = playerFields;
  const left = Object.entries(columns).flatMap(([name, { erased }]) =>
    typeof erased === 'object' && 'to' in erased ? [[name, erased.to] as const] : [],
  );
  return { ...Object.fromEntries(left), birthYear: year };
}

/** What a person wrote goes from every kind of event: a note on court may say anything. */
async function dropWords(db: Executor, id: string): Promise<void> {
  const texts = await db.all<{ kind: EventKind; text: string }>(
    sql`select distinct kind, text from touch_event where player_id = ${id} and text <> ''`,
  );
  for (const { kind, text } of texts) {
    const left = wordless(kind, text);
    if (left !== text)
      await db.run(
        sql`update touch_event set text = ${left} where player_id = ${id} and kind = ${kind} and text = ${text}`,
      );
  }
}

/** Notes and session titles with a name in them: they are nobody's own, so a person looks at them. */
export async function textsNaming(db: Executor, name: string): Promise<string[]> {
  const part = `%${name.replace(/[\\%_]/g, '\\$&')}%`;
  const rows = await db.all<{ text: string }>(sql`
    select text from note where removed_at_ms is null and text like ${part} escape '\\'
    union all select title from session where removed_at_ms is null and title like ${part} escape '\\'
    union all select text from touch_event where kind = 'note' and player_id is null and text like ${part} escape '\\'
    limit 20`);
  return rows.map((row) => row.text);
}
