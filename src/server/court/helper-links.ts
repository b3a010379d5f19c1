import { done, refused, type Outcome } from '@/core/base/outcome';
import { revokeLinks } from '@/data/links';
import { blocksByIds, getSession, playersOfSessions } from '@/data/session';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { linkOf, makeLink } from '../access/tokens';
import { check } from '@/schemas/check';
import { helperNameSchema } from '@/schemas/helper';

/** A helper's link works for so long, milliseconds: a session and the way home. Ours. */
const lastsMs = 12 * 3600 * 1000;

/** An open link: what it is for, and how what is counted by it is signed. */
export interface OpenLink {
  readonly kind: 'open';
  readonly sessionId: string;
  /** Whom it counts: one child, or everybody in the session. */
  readonly playerIds: readonly string[];
  /** The one station it counts at; null where it counts in every block. */
  readonly blockId: string | null;
  /** Who counts: the name the coach gave, marked as a helper's, so that nobody signs as the coach. */
  readonly by: string;
  /** When it was last used, UTC milliseconds; null before. */
  readonly lastUsedAtMs: number | null;
  /** The beginning of every device's name that counts by this link: nobody counts as another device. */
  readonly sign: string;
}

type Closed = 'revoked' | 'expired' | 'unknown' | 'removed';
export type LinkState = OpenLink | { readonly kind: Closed };

const words: Record<Closed, string> = {
  removed: 'This session was removed by the coach. What was counted is kept on this device.',
  revoked:
    'This link was withdrawn by the coach: ask for a new one. What was counted is kept on this device.',
  expired: 'This link is over: ask the coach for a new one. What was counted is kept on this device.',
  unknown: 'There is no such link: ask the coach for a new one. What was counted is kept on this device.',
};

/**
 * Makes a link with which a helper counts one child in one session, or everybody in it (null), or whoever comes to one
 * station of a circuit; earlier links for the same end.
 * @param input the helper's name: what they count is signed with it; empty for just a helper. And the station, if any.
 */
export async function makeHelperLink(
  context: Context,
  sessionId: string,
  playerId: string | null,
  input: unknown = {},
): Promise<Outcome<{ token: string }>> {
  const checked = check(helperNameSchema, input);
  if (!checked.ok) return checked;
  const { name, blockId } = checked.value;
  return write(context.db, async (tx) => {
    const coming = (await playersOfSessions(tx, [sessionId])).get(sessionId) ?? [];
    if (playerId === null ? coming.length === 0 : !coming.includes(playerId))
      return refused('player', 'This player is not in the session (any more): reload the page.');
    const station = blockId === null ? undefined : (await blocksByIds(tx, [blockId]))[0];
    if (blockId !== null && (station?.sessionId !== sessionId || station.circuit === null))
      return refused('blockId', 'This station is not in the session (any more): reload the page.');
    await revokeLinks(tx, 'count', sessionId, playerId, context.nowMs, blockId);
    const link = { scope: 'count', sessionId, playerId, blockId, name, lastsMs } as const;
    const token = await makeLink(tx, link, context.nowMs);
    return done({ token });
  });
}

/** Withdraws the links of one child in a session, those of everybody in it, or those of one station. */
export async function withdrawHelperLinks(
  context: Context,
  sessionId: string,
  playerId: string | null,
  blockId: string | null = null,
): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    await revokeLinks(tx, 'count', sessionId, playerId, context.nowMs, blockId);
    return done(null);
  });
}

export async function linkState(context: Context, token: string): Promise<LinkState> {
  const row = await linkOf(context, 'count', token);
  if (typeof row === 'string') return { kind: row };
  const { sessionId, playerId, blockId } = row;
  if (sessionId === null) return { kind: 'unknown' };
  const session = await getSession(context.db, sessionId);
  if (!session || session.removedAtMs !== null) return { kind: 'removed' };
  return {
    kind: 'open',
    sessionId,
    playerIds:
      playerId === null
        ? ((await playersOfSessions(context.db, [sessionId])).get(sessionId) ?? [])
        : [playerId],
    blockId,
    lastUsedAtMs: row.lastUsedAtMs,
    by: row.name === '' ? 'Helper' : `${row.name} (helper)`,
    sign: `help-${row.tokenHash.slice(0, 12)}-`,
  };
}

export const linkTrouble = (state: LinkState): string => (state.kind === 'open' ? '' : words[state.kind]);
