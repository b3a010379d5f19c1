import { sql } from 'drizzle-orm';
import { auditBefore } from '@/data/audit';
import type { Executor } from '@/data/database';

/** Something that was done, as an owner reads it. */
export interface AuditLine {
  readonly id: string;
  readonly atMs: number;
  readonly who: string;
  readonly what: string;
  /** The names of what it was about, as they are now; what has none any more is left out. */
  readonly about: readonly string[];
  readonly times: number;
  readonly seq: number;
}

const linesAtOnce = 50;

/** The last lines before a moment, the newest first, and whether there are more. */
export async function auditLines(
  db: Executor,
  before: number,
): Promise<{ readonly lines: readonly AuditLine[]; readonly more: boolean }> {
  const rows = await auditBefore(db, before, linesAtOnce + 1);
  const ids = [...new Set(rows.flatMap((row) => row.about))];
  const names = new Map(
    (
      await db.all<{ id: string; name: string }>(sql`
        with asked as materialized (select value as id from json_each(${JSON.stringify(ids)}))
        select id, name from player where id in (select id from asked)
        union all select id, title || ', ' || day from session where id in (select id from asked)
        union all select id, name from place where id in (select id from asked)
        union all select id, name from coach where id in (select id from asked)
        union all select id, title from pattern where id in (select id from asked)
        union all select id, json_extract(drill, '$.title') from own_drill where id in (select id from asked)`)
    ).map(({ id, name }) => [id, name]),
  );
  return {
    lines: rows.slice(0, linesAtOnce).map(({ about, ...row }) => ({
      ...row,
      about: about.flatMap((id) => names.get(id) ?? (/\.\w+$/.test(id) ? id : [])),
    })),
    more: rows.length > linesAtOnce,
  };
}
