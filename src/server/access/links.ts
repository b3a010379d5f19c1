import { done, type Outcome } from '@/core/base/outcome';
import { revokeLink } from '@/data/links';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { linkNameSchema } from '@/schemas/helper';
import type { Context } from '../base/context';
import { makeLink } from './tokens';

/** A calendar's address works for so long, milliseconds: a year and a bit, then it is made anew. Ours. */
const calendarMs = 400 * 86_400_000;

/**
 * Makes an address a calendar follows: the sessions that are planned, with no child in them.
 * @param input whose calendar it is, so that it can be told from others
 */
export async function makeCalendarLink(
  context: Context,
  input: unknown,
): Promise<Outcome<{ token: string }>> {
  const checked = check(linkNameSchema, input);
  if (!checked.ok) return checked;
  const link = { scope: 'calendar', sessionId: null, playerId: null, name: checked.value.name } as const;
  return write(context.db, async (tx) =>
    done({ token: await makeLink(tx, { ...link, lastsMs: calendarMs }, context.nowMs) }),
  );
}

/** Revokes a link, whatever it opens, at once. */
export async function withdrawLink({ db, nowMs }: Context, tokenHash: string): Promise<Outcome<null>> {
  return write(db, async (tx) => {
    await revokeLink(tx, tokenHash, nowMs);
    return done(null);
  });
}
