import { getTableColumns, getTableName, is, sql, SQL } from 'drizzle-orm';
import { SQLiteTable, SQLiteText } from 'drizzle-orm/sqlite-core';
import { isSoundText, soundText } from '@/core/base/text';
import type { Database, Executor } from './database';
import * as schema from './schema';
import { write } from './write';

/*
 * An earlier version took text with half a character in it. The driver ends the whole process when it reads such a text
 * back, so it is looked for and put right byte by byte before anything else is read.
 */

/** Columns of the log that hold what people wrote; the others are checked by patterns that no such text passes. */
const written = new Set(['text', 'by']);

function textColumns(): { table: string; column: string }[] {
  return Object.values(schema)
    .filter((one) => is(one, SQLiteTable))
    .flatMap((table) => {
      const name = getTableName(table);
      return Object.values(getTableColumns(table))
        .filter((column) => is(column, SQLiteText))
        .map((column) => ({ table: name, column: column.name }))
        .filter(({ column }) => name !== 'touch_event' || written.has(column));
    });
}

/**
 * Half of a pair is written as ED A0 to ED BF, U+0000 as 00; in text kept as JSON both stand as \u escapes. Most text
 * has not one of these bytes: that is looked for first.
 */
function suspicious(column: SQL): SQL {
  const bytes = sql`cast(${column} as blob)`;
  const holds = (hex: string) => sql`instr(${bytes}, ${sql.raw(`x'${hex}'`)})`;
  const halves = Array.from({ length: 32 }, (_, n) => holds(`ED${(0xa0 + n).toString(16).toUpperCase()}`));
  const anyHalf = sql`(${holds('ED')} and (${sql.join(halves, sql` or `)}))`;
  const escaped = sql`${column} like '%\\ud%' or ${column} like '%\\u0000%'`;
  return sql`${column} is not null and (${holds('00')} or ${anyHalf} or ${escaped})`;
}

/** Puts right what is stored and cannot be read back: the doors keep such text out, but not other programs. */
export async function repairText(db: Database): Promise<void> {
  for (const { table, column } of textColumns()) {
    const found = await unreadable(db, table, column);
    if (found.length > 0)
      await write(db, async (tx) => {
        for (const { at, text } of found)
          await tx.run(
            sql`update ${sql.identifier(table)} set ${sql.identifier(column)} = ${text} where rowid = ${at}`,
          );
      });
  }
}

/** Where such text stands in a column, and what it becomes. */
async function unreadable(
  db: Executor,
  table: string,
  column: string,
): Promise<{ at: number; text: string }[]> {
  const name = sql`${sql.identifier(column)}`;
  const rows = await db.all<{ at: number; bytes: ArrayBuffer }>(
    sql`select rowid as at, cast(${name} as blob) as bytes from ${sql.identifier(table)} where ${suspicious(name)}`,
  );
  return rows.flatMap(({ at, bytes }) => {
    const before = new Uint8Array(bytes);
    const clean = withoutHalves(before);
    const text = repaired(new TextDecoder().decode(clean));
    // Escapes that are a whole character are as they should be.
    const same = before.every((byte, n) => byte === clean[n]) && text === new TextDecoder().decode(before);
    return same ? [] : [{ at, text }];
  });
}

/** Each half of a pair, three bytes, becomes U+FFFD, three bytes as well. */
function withoutHalves(bytes: Uint8Array): Uint8Array {
  const clean = Uint8Array.from(bytes);
  for (let at = 0; at + 2 < clean.length; at++)
    if (clean[at] === 0xed && clean[at + 1]! >= 0xa0) clean.set([0xef, 0xbf, 0xbd], at);
  return clean;
}

/** A text put right; one that is kept as JSON, in all it holds. */
function repaired(text: string): string {
  if (/\\u(?:d|0000)/i.test(text)) {
    try {
      return JSON.stringify(JSON.parse(text), (_key, value: unknown) =>
        typeof value === 'string' ? soundText(value) : value,
      );
    } catch {
      // A note with a backslash in it: plain text.
    }
  }
  return isSoundText(text) ? text : soundText(text);
}
