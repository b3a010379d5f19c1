import { createHash, randomBytes } from 'node:crypto';
import { done, refused, type Outcome } from '@/core/outcome';
import type { TouchEvent } from '@/core/counting/event';
import { findHelperLink, insertHelperLink, revokeHelperLinks, type HelperLinkRow } from '@/data/helper-links';
import { playersOfSessions } from '@/data/session';
import { write } from '@/data/write';
import type { Context } from './context';
import { ingestTouches } from './ingest';
import { sessionRunView, type SessionRunView } from './views/session-run';

/** A helper's link works for so long, milliseconds: a session and the way home. Ours. */
const lastsMs = 12 * 3600 * 1000;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const tokenPattern = /^[\w-]{22}$/;

export type LinkState =
  | { readonly kind: 'open'; readonly sessionId: string; readonly playerId: string }
  | { readonly kind: 'revoked' | 'expired' | 'unknown' };

const words: Record<'revoked' | 'expired' | 'unknown', string> = {
  revoked:
    'This link was withdrawn by the coach: ask for a new one. What was counted is kept on this device.',
  expired: 'This link is over: ask the coach for a new one. What was counted is kept on this device.',
  unknown: 'There is no such link: ask the coach for a new one. What was counted is kept on this device.',
};

/** Makes a link with which a helper counts one child in one session; earlier links of that child end. */
export async function makeHelperLink(
  context: Context,
  sessionId: string,
  playerId: string,
): Promise<Outcome<{ token: string }>> {
  return write(context.db, async (tx) => {
    const coming = (await playersOfSessions(tx, [sessionId])).get(sessionId) ?? [];
    if (!coming.includes(playerId))
      return refused('player', 'This player is not in the session (any more): reload the page.');
    await revokeHelperLinks(tx, sessionId, playerId, context.nowMs);
    // 128 bits of chance: a link cannot be guessed.
    const token = randomBytes(16).toString('base64url');
    const row: HelperLinkRow = {
      tokenHash: hashOf(token),
      sessionId,
      playerId,
      createdAtMs: context.nowMs,
      expiresAtMs: context.nowMs + lastsMs,
      revokedAtMs: null,
    };
    await insertHelperLink(tx, row);
    return done({ token });
  });
}

/** Withdraws the links of one child in a session. */
export async function withdrawHelperLinks(
  context: Context,
  sessionId: string,
  playerId: string,
): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    await revokeHelperLinks(tx, sessionId, playerId, context.nowMs);
    return done(null);
  });
}

export async function linkState(context: Context, token: string): Promise<LinkState> {
  const row = tokenPattern.test(token) ? await findHelperLink(context.db, hashOf(token)) : undefined;
  if (!row) return { kind: 'unknown' };
  if (row.revokedAtMs !== null) return { kind: 'revoked' };
  if (row.expiresAtMs <= context.nowMs) return { kind: 'expired' };
  return { kind: 'open', sessionId: row.sessionId, playerId: row.playerId };
}

export const linkTrouble = (state: LinkState): string => (state.kind === 'open' ? '' : words[state.kind]);

/** What a helper sees: the one child, and nothing of the others. */
export async function helperView(context: Context, token: string): Promise<SessionRunView | LinkState> {
  const link = await linkState(context, token);
  if (link.kind !== 'open') return link;
  const view = await sessionRunView(context, link.sessionId);
  if (!view) return { kind: 'unknown' };
  const { playerId } = link;
  const own = (event: TouchEvent) => event.playerId === null || event.playerId === playerId;
  return {
    ...view,
    helper: { token },
    players: view.players
      .filter((player) => player.id === playerId)
      // What a helper does not need to know stays with the coach.
      .map((player) => ({ ...player, careNote: '' })),
    blocks: view.blocks.map((block) => ({
      ...block,
      own: block.own.filter((one) => one.playerId === playerId),
      players: block.players.filter((one) => one.playerId === playerId),
    })),
    events: view.events.filter(own),
    care: { ...view.care, records: view.care.records.filter(([id]) => id === playerId), history: {} },
  };
}

/** Takes a helper's batch: only counts of their own child, and only while the link is open. */
export async function ingestFromHelper(
  context: Context,
  token: string,
  input: unknown,
): Promise<Outcome<{ stored: number }>> {
  const link = await linkState(context, token);
  if (link.kind !== 'open') return refused('link', linkTrouble(link));
  const events = (input as { events?: unknown } | null)?.events;
  if (Array.isArray(events)) {
    const stranger = events.findIndex((event) => (event as TouchEvent | null)?.playerId !== link.playerId);
    if (stranger !== -1)
      return refused(
        `events[${stranger}]`,
        `Event ${stranger + 1} of ${events.length} is about somebody else: this link counts one child. Nothing of this batch was stored.`,
      );
  }
  return ingestTouches(context, input, link.sessionId);
}
