import { createHash, randomBytes } from 'node:crypto';
import { findLink, insertLink, touchLink, type LinkRow } from '@/data/links';
import type { Executor } from '@/data/database';
import { noteTried } from './strangers';
import type { Context } from '../base/context';

/*
 * Links that open one thing to whoever has them: 128 bits of chance, kept as a hash, for a while, and withdrawn at once.
 * What a scope lets through is its own affair (helper-links.ts); how links are made and tried is the same for all.
 */
export type Scope = LinkRow['scope'];

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const tokenPattern = /^[\w-]{22}$/;

/** What a new link opens, and for how long. */
export interface NewLink extends Pick<LinkRow, 'scope' | 'sessionId' | 'playerId' | 'name'> {
  /** The station it counts at, where it counts at one. */
  readonly blockId?: string | null;
  readonly lastsMs: number;
}

/** Makes a link; only its token, which is not kept, opens it. */
export async function makeLink(tx: Executor, link: NewLink, nowMs: number): Promise<string> {
  const { lastsMs, blockId = null, ...rest } = link;
  const token = randomBytes(16).toString('base64url');
  await insertLink(tx, {
    ...rest,
    blockId,
    tokenHash: hashOf(token),
    createdAtMs: nowMs,
    expiresAtMs: nowMs + lastsMs,
    revokedAtMs: null,
    uses: 0,
    lastUsedAtMs: null,
  });
  return token;
}

/** The link a token opens in a scope, or why it opens nothing. */
export async function linkOf(
  { db, nowMs, address }: Pick<Context, 'db' | 'nowMs' | 'address'>,
  scope: Scope,
  token: string,
): Promise<LinkRow | 'unknown' | 'revoked' | 'expired'> {
  const row = tokenPattern.test(token) ? await findLink(db, hashOf(token)) : undefined;
  noteTried(token.slice(0, 64), address, row !== undefined);
  // A token of another scope is as good as none.
  if (!row || row.scope !== scope) return 'unknown';
  if (row.revokedAtMs !== null) return 'revoked';
  return row.expiresAtMs <= nowMs ? 'expired' : row;
}

/** Notes that a link was opened by somebody. */
export const noteUse = (tx: Executor, token: string, nowMs: number): Promise<void> =>
  touchLink(tx, hashOf(token), nowMs);
