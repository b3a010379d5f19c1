import { done, refused, type Outcome } from '@/core/base/outcome';
import { loggedBlocks } from '@/data/log';
import { getSession, playersOfSessions, setAttendance, updateSession } from '@/data/session';
import { write } from '@/data/write';
import { attendanceSchema, notHeldSchema } from '@/schemas/attendance';
import { check } from '@/schemas/check';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { unknownSession } from './sessions';

/** Notes whether players came to a session. */
export async function sayAttendance(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(attendanceSchema, input);
  if (!checked.ok) return checked;
  const { playerIds, attendance } = checked.value;
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    const coming = (await playersOfSessions(tx, [id])).get(id) ?? [];
    if (playerIds.some((one) => !coming.includes(one)))
      return refused('playerIds', 'A player is not on this session’s list (any more): reload the page.');
    await setAttendance(tx, id, playerIds, attendance, context.nowMs, signatureOf(context));
    return done(null);
  });
}

/** Says that a session was not held, and why; or takes it back. */
export async function sayNotHeld(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(notHeldSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    if (checked.value.why !== null && (await loggedBlocks(tx, id)).length > 0)
      return refused('why', 'This session has counts, so it was held: look at its review.');
    await updateSession(tx, id, { notHeld: checked.value.why });
    return done(null);
  });
}

/** Says that a session was held though nothing was counted in it, or takes it back. */
export async function sayHeld(context: Context, id: string, held: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    if (held && session.day > context.today)
      return refused('session', 'This session is still to come: say so when it was held.');
    const back = (await loggedBlocks(tx, id)).length > 0 ? 'running' : 'planned';
    await updateSession(tx, id, {
      notHeld: null,
      state: held ? 'finished' : back,
      finishedAtMs: held ? context.nowMs : null,
    });
    return done(null);
  });
}
