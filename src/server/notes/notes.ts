import { done, refused, type Outcome } from '@/core/base/outcome';
import type { RecapQuestion } from '@/core/base/recap';
import { getNote, insertNote, removeAnswers, setNoteRemoved } from '@/data/notes';
import { blocksByIds, getSession } from '@/data/session';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { answerSchema, noteSchema } from '@/schemas/note';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { unknownSession } from '../plan/sessions';

/** Writes down a note about a session, a block or a player. */
export async function addNote(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(noteSchema, input);
  if (!checked.ok) return checked;
  const { sessionId, blockId, playerId, text } = checked.value;
  return write(context.db, async (tx) => {
    if (sessionId !== null && !(await getSession(tx, sessionId))) return unknownSession;
    if (playerId !== null && !(await getPlayer(tx, playerId)))
      return refused('playerId', 'This player is not on record (any more): go back to the squad.');
    if (blockId !== null && (await blocksByIds(tx, [blockId]))[0]?.sessionId !== sessionId)
      return refused(
        'blockId',
        'This block is not in the session’s plan (any more): write the note on the session.',
      );
    const id = context.newId();
    const by = signatureOf(context);
    await insertNote(tx, { id, sessionId, blockId, playerId, question: null, text, atMs: context.nowMs, by });
    return done({ id });
  });
}

/** Takes a note off, or puts it back. */
export async function removeNote(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getNote(tx, id)))
      return refused('note', 'This note is not on record (any more): reload the page.');
    await setNoteRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}

/** Answers one of the recap's questions; the answer there was gives way, and stays on record. */
export async function answerRecap(
  context: Context,
  sessionId: string,
  input: unknown,
): Promise<Outcome<null>> {
  const checked = check(answerSchema, input);
  if (!checked.ok) return checked;
  const question = checked.value.question as RecapQuestion;
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, sessionId))) return unknownSession;
    await removeAnswers(tx, sessionId, question, context.nowMs);
    const { text } = checked.value;
    if (text !== '')
      await insertNote(tx, {
        id: context.newId(),
        sessionId,
        blockId: null,
        playerId: null,
        question,
        text,
        atMs: context.nowMs,
        by: signatureOf(context),
      });
    return done(null);
  });
}
