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

/** Revokes all links of one scope and player in a session that are still open. */
export async function revokeLinks(
  db: Executor,
  scope: LinkRow['scope'],
  sessionId: string,
  playerId: string,
  nowMs: number,
): Promise<void> {
  await db
    .update(scopedLink)
    .set({ revokedAtMs: nowMs })
    .where(
      and(
        eq(scopedLink.scope, scope),
        eq(scopedLink.sessionId, sessionId),
        eq(scopedLink.playerId, playerId),
        isNull(scopedLink.revokedAtMs),
      ),
    );
}
