import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { scopedLink } from './schema';

export type LinkRow = typeof scopedLink.$inferSelect;

export async function insertLink(db: Executor, row: LinkRow): Promise<void> {
  await db.insert(scopedLink).values(row);
}

export async function findLink(db: Executor, tokenHash: string): Promise<LinkRow | undefined> {
  return db.select().from(scopedLink).where(eq(scopedLink.tokenHash, tokenHash)).get();
}

/** Notes that a link was opened. */
export async function touchLink(db: Executor, tokenHash: string, nowMs: number): Promise<void> {
  await db
    .update(scopedLink)
    .set({ uses: sql`uses + 1`, lastUsedAtMs: nowMs })
    .where(eq(scopedLink.tokenHash, tokenHash));
}

/** Revokes all links of one scope and player (null: of the whole session, or of one station in it) in a session that are still open. */
export async function revokeLinks(
  db: Executor,
  scope: LinkRow['scope'],
  sessionId: string,
  playerId: string | null,
  nowMs: number,
  blockId: string | null = null,
): Promise<void> {
  await db
    .update(scopedLink)
    .set({ revokedAtMs: nowMs })
    .where(
      and(
        eq(scopedLink.scope, scope),
        eq(scopedLink.sessionId, sessionId),
        blockId === null ? isNull(scopedLink.blockId) : eq(scopedLink.blockId, blockId),
        playerId === null ? isNull(scopedLink.playerId) : eq(scopedLink.playerId, playerId),
        isNull(scopedLink.revokedAtMs),
      ),
    );
}

/** Revokes all links of one scope to a player that are still open. */
export async function revokeLinksOf(
  db: Executor,
  scope: LinkRow['scope'],
  playerId: string,
  nowMs: number,
): Promise<void> {
  await db
    .update(scopedLink)
    .set({ revokedAtMs: nowMs })
    .where(
      and(eq(scopedLink.scope, scope), eq(scopedLink.playerId, playerId), isNull(scopedLink.revokedAtMs)),
    );
}

/** A link that still opens something, with what it opens. */
export interface OpenLinkRow {
  readonly tokenHash: string;
  readonly scope: LinkRow['scope'];
  readonly name: string;
  readonly title: string | null;
  readonly day: string | null;
  readonly player: string | null;
  readonly playerId: string | null;
  readonly createdAtMs: number;
  readonly expiresAtMs: number;
  readonly uses: number;
  readonly lastUsedAtMs: number | null;
}

/** Links that open something at a moment, the newest first. */
export async function openLinks(db: Executor, nowMs: number): Promise<OpenLinkRow[]> {
  // By the hour, so that the question stays the same for a while and its answer can be kept.
  const hourMs = Math.floor(nowMs / 3_600_000) * 3_600_000;
  const links = await db.all<OpenLinkRow>(sql`
    select l.token_hash as tokenHash, l.scope as scope, l.name as name, s.title as title, s.day as day, p.name as player, l.player_id as playerId,
           l.created_at_ms as createdAtMs, l.expires_at_ms as expiresAtMs, l.uses as uses, l.last_used_at_ms as lastUsedAtMs
    from helper_link l left join session s on s.id = l.session_id left join player p on p.id = l.player_id
    where l.revoked_at_ms is null and l.expires_at_ms > ${hourMs} order by l.created_at_ms desc limit 200`);
  return links.filter(({ expiresAtMs }) => expiresAtMs > nowMs);
}

/** Revokes one link, at once. */
export async function revokeLink(db: Executor, tokenHash: string, nowMs: number): Promise<void> {
  await db
    .update(scopedLink)
    .set({ revokedAtMs: nowMs })
    .where(and(eq(scopedLink.tokenHash, tokenHash), isNull(scopedLink.revokedAtMs)));
}
