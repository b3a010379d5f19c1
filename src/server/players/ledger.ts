import { done, refused, type Outcome } from '@/core/base/outcome';
import { fociOf, insertCountWord, putLedger, setCountWordRemoved } from '@/data/ledger';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import { countWordSchema, ledgerSchema } from '@/schemas/challenge';
import { check } from '@/schemas/check';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { bookFor } from '../readers/book';

/** Says how many good repetitions a player's focus is to have, and of which drills. */
export async function saveLedger(context: Context, playerId: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(ledgerSchema, input);
  if (!checked.ok) return checked;
  const { goal, drillIds } = checked.value;
  return write(context.db, async (tx) => {
    const book = await bookFor(tx);
    if (drillIds.some((id) => !book.drill(id)))
      return refused('drillIds', 'A drill is not on the list (any more): choose again.');
    const open = (await fociOf(tx, playerId)).find(({ untilMs }) => untilMs === null);
    if (!open)
      return refused('focus', 'This player works on nothing yet: write down what, in their profile.');
    await putLedger(tx, open.id, goal, [...new Set(drillIds)]);
    return done(null);
  });
}

/** The coach's word on how a player counts: settles it for what was counted until today. */
export async function sayCounting(
  context: Context,
  playerId: string,
  input: unknown,
): Promise<Outcome<{ id: string }>> {
  const checked = check(countWordSchema, input);
  if (!checked.ok) return checked;
  const { doubt, word } = checked.value;
  return write(context.db, async (tx) => {
    if (!(await getPlayer(tx, playerId)))
      return refused('playerId', 'This player is not on record (any more): go back to the squad.');
    const id = context.newId();
    await insertCountWord(tx, {
      id,
      playerId,
      doubt,
      word: word as 'right',
      untilDay: context.today,
      atMs: context.nowMs,
      by: signatureOf(context),
    });
    return done({ id });
  });
}

/** Takes such a word back, or lets it stand again. */
export async function removeCounting(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) =>
    (await setCountWordRemoved(tx, id, removed ? context.nowMs : null))
      ? done(null)
      : refused('word', 'This word is not on record (any more): reload the page.'),
  );
}
