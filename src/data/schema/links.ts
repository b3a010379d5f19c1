import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { block, player, session } from './book';

/**
 * A link that opens one thing to whoever has it, for a while, from any phone: `count` lets a helper count one child, one station or everybody in
 * one session, `calendar` gives the sessions that are planned, `vow` opens one child's vows at home. Only a hash of its token is kept. (The table is called
 * after the first scope there was.)
 */
export const scopedLink = sqliteTable(
  'helper_link',
  {
    tokenHash: text('token_hash').primaryKey(),
    scope: text('scope', { enum: ['count', 'calendar', 'vow'] })
      .notNull()
      .default('count'),
    /** What it opens; empty where the scope says it all. */
    sessionId: text('session_id').references(() => session.id),
    playerId: text('player_id').references(() => player.id),
    /** The station a helper counts at, whoever comes to it; null where the child or the session says it. */
    blockId: text('block_id').references(() => block.id, { onDelete: 'cascade' }),
    /** The helper's name as the coach wrote it; what they count is signed with it. */
    name: text('name').notNull().default(''),
    createdAtMs: integer('created_at_ms').notNull(),
    expiresAtMs: integer('expires_at_ms').notNull(),
    revokedAtMs: integer('revoked_at_ms'),
    /** How often it was opened, and when it was last. */
    uses: integer('uses').notNull().default(0),
    lastUsedAtMs: integer('last_used_at_ms'),
  },
  (t) => [index('helper_link_by_session').on(t.sessionId, t.playerId)],
);
