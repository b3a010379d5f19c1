import { done, refused, type Outcome } from '@/core/base/outcome';
import { revokeLinksOf } from '@/data/links';
import { getPlayer } from '@/data/squad';
import { revokeVowFiles } from '@/data/vows';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { checkBatch } from '@/schemas/touches';
import { helperNameSchema } from '@/schemas/helper';
import { latestMs, type Context } from '../base/context';
import type { Ingested } from '../court/ingest';
import { linkOf, makeLink, noteUse } from '../access/tokens';
import { storeHome, type FromHome } from './home-log';

/** A vow's link works for so long, milliseconds: a term, and a while to fill in what was done. Ours. */
const lastsMs = 150 * 24 * 3600 * 1000;

/** An open link to a child's vows. */
export interface OpenVowLink extends FromHome {
  readonly kind: 'open';
  readonly lastUsedAtMs: number | null;
}

type Closed = 'revoked' | 'expired' | 'unknown';
export type VowLinkState = OpenVowLink | { readonly kind: Closed };

const words: Record<Closed, string> = {
  revoked:
    'This link was withdrawn by the coach: ask for a new one. What was counted is kept on this device.',
  expired: 'This link is over: ask the coach for a new one. What was counted is kept on this device.',
  unknown: 'There is no such link: ask the coach for a new one. What was counted is kept on this device.',
};
export const vowLinkTrouble = (state: VowLinkState): string =>
  state.kind === 'open' ? '' : words[state.kind];

/**
 * Makes a link to a child's vows. Earlier ones go on: one hangs on the fridge, one is on a phone.
 * @param input who has it: what they count is signed with it; empty for the family
 */
export async function makeVowLink(
  context: Context,
  playerId: string,
  input: unknown = {},
): Promise<Outcome<{ token: string }>> {
  const checked = check(helperNameSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    const player = await getPlayer(tx, playerId);
    if (!player || player.removedAtMs !== null)
      return refused('playerId', 'This player is not on the squad (any more): go back to the squad.');
    const link = { scope: 'vow', sessionId: null, playerId, name: checked.value.name, lastsMs } as const;
    return done({ token: await makeLink(tx, link, context.nowMs) });
  });
}

/** Withdraws every link and every file of a child's vows, at once. */
export async function withdrawVowLinks(context: Context, playerId: string): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    await revokeLinksOf(tx, 'vow', playerId, context.nowMs);
    await revokeVowFiles(tx, playerId, context.nowMs);
    return done(null);
  });
}

/** What a link opens, or why it opens nothing. */
export async function vowLinkState(
  context: Pick<Context, 'db' | 'nowMs'>,
  token: string,
): Promise<VowLinkState> {
  const row = await linkOf(context, 'vow', token);
  if (typeof row === 'string') return { kind: row };
  const player = row.playerId === null ? undefined : await getPlayer(context.db, row.playerId);
  if (!player || player.removedAtMs !== null) return { kind: 'unknown' };
  return {
    kind: 'open',
    playerId: player.id,
    by: row.name === '' ? 'Home' : `${row.name} (home)`,
    sign: `home-${row.tokenHash.slice(0, 12)}-`,
    lastUsedAtMs: row.lastUsedAtMs,
  };
}

/** Batches that come closer together than this are one use of a link, milliseconds. Ours. */
const visitMs = 10 * 60_000;

/** Takes what was counted by a link, while it is open. */
export async function ingestFromHome(context: Context, token: string, input: unknown): Promise<Ingested> {
  const link = await vowLinkState(context, token);
  if (link.kind !== 'open') return refused('link', vowLinkTrouble(link));
  const checked = checkBatch(input, latestMs(context));
  if (!checked.ok) return checked;
  const stored = await storeHome(context, link, checked.value.events);
  if (stored.ok) await noteVowVisit(context, token, link);
  return stored;
}

export async function noteVowVisit(
  { db, nowMs }: Pick<Context, 'db' | 'nowMs'>,
  token: string,
  { lastUsedAtMs }: OpenVowLink,
): Promise<void> {
  if (lastUsedAtMs === null || nowMs - lastUsedAtMs > visitMs)
    await write(db, (tx) => noteUse(tx, token, nowMs));
}
