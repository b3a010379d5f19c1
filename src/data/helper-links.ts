import { and, eq, isNull } from 'drizzle-orm';
import type { Executor } from './database';
import { helperLink } from './schema';

export type HelperLinkRow = typeof helperLink.$inferSelect;

export async function insertHelperLink(db: Executor, row: HelperLinkRow): Promise<void> {
  await db.insert(helperLink).values(row);
}

export async function findHelperLink(db: Executor, tokenHash: string): Promise<HelperLinkRow | undefined> {
  return db.select().from(helperLink).where(eq(helperLink.tokenHash, tokenHash)).get();
}

/** Revokes all links of one player in a session that are still open. */
export async function revokeHelperLinks(
  db: Executor,
  sessionId: string,
  playerId: string,
  nowMs: number,
): Promise<void> {
  await db
    .update(helperLink)
    .set({ revokedAtMs: nowMs })
    .where(
      and(
        eq(helperLink.sessionId, sessionId),
        eq(helperLink.playerId, playerId),
        isNull(helperLink.revokedAtMs),
      ),
    );
}
