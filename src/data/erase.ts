import { sql } from 'drizzle-orm';
import type { EventKind } from '@/core/counting/event';
import { wordless } from '@/core/counting/text-of';
import type { Executor } from './database';

/** What stands where a name stood. */
export const nameless = 'A child who left';

/**
 * Takes everything that says who a player was out of the book, for good. What was counted stays, under a number and no
 * name. What is overwritten is overwritten on the disk too.
 * @param year a birth year that says nothing
 * @param file whether the book is a file of ours; what a server does with what it deletes is its own affair
 */
export async function erasePlayer(
  db: Executor,
  id: string,
  nowMs: number,
  { year, file }: { readonly year: number; readonly file: boolean },
): Promise<void> {
  if (file) await db.run(sql`pragma secure_delete = on`);
  for (const statement of [
    sql`update player set name = ${nameless}, birth_year = ${year}, hand = 'right', stage = null, height_cm = null,
          racket_in = null, care_note = '', removed_at_ms = coalesce(removed_at_ms, ${nowMs}), erased_at_ms = ${nowMs}
        where id = ${id}`,
    sql`delete from ledger where focus_id in (select id from focus where player_id = ${id})`,
    sql`delete from focus where player_id = ${id}`,
    sql`delete from count_word where player_id = ${id}`,
    sql`delete from challenge_result where player_id = ${id} or partner_id = ${id}`,
    sql`delete from challenge_player where player_id = ${id}`,
    sql`delete from fit_override where player_id = ${id}`,
    sql`delete from school_choice where scope = 'player' and key = ${id}`,
    sql`delete from ladder_place where player_id = ${id}`,
    sql`delete from decision where player_id = ${id}`,
    sql`delete from note where player_id = ${id}`,
    sql`delete from helper_link where player_id = ${id}`,
    sql`delete from home where player_id = ${id}`,
    sql`delete from vow_day where vow_id in (select id from vow where player_id = ${id})`,
    sql`delete from vow where player_id = ${id}`,
    sql`delete from vow_file where player_id = ${id}`,
    // What was promised says whose it was: sessions at home have titles of their own.
    sql`update session set title = '' where kind = 'home' and id in
          (select session_id from session_player where player_id = ${id})`,
    // What a file brought in is kept as it was before, to be taken back: names, notes and all.
    sql`delete from take_over where instr(what, ${id}) > 0`,
    // A helper's name may say whose parent they are.
    sql`update touch_event set by = null where player_id = ${id}`,
    // Where nothing was counted with them they were not: plans to come, and sessions they missed.
    sql`delete from block_player where player_id = ${id} and not exists
          (select 1 from touch_event e where e.block_id = block_player.block_id and e.player_id = ${id})`,
    sql`delete from session_player where player_id = ${id} and not exists
          (select 1 from block b join touch_event e on e.block_id = b.id
           where b.session_id = session_player.session_id and e.player_id = ${id})`,
  ])
    await db.run(statement);
  await dropWords(db, id);
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
