import { done, refused, type Outcome } from '@/core/outcome';
import { getPlayer, insertPlayer, setFocus, setPlayerRemoved, updatePlayer } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../context';
import { check } from '@/schemas/check';
import { playerSchema } from '@/schemas/player';

const unknownPlayer = refused('player', 'This player is not on record (any more): go back to the squad.');

/** Adds a player, or changes one when an id is given. */
export async function savePlayer(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const checked = check(playerSchema(Number(context.today.slice(0, 4))), input);
  if (!checked.ok) return checked;
  const { focus, ...fields } = checked.value;
  return write(context.db, async (tx) => {
    const playerId = id ?? context.newId();
    if (id === undefined) await insertPlayer(tx, playerId, fields, context.nowMs);
    else if (await getPlayer(tx, id)) await updatePlayer(tx, id, fields);
    else return unknownPlayer;
    await setFocus(tx, playerId, focus, context.newId(), context.nowMs);
    return done({ id: playerId });
  });
}

/** Takes a player off the squad, or back on it; counts and sessions stay. */
export async function removePlayer(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getPlayer(tx, id))) return unknownPlayer;
    await setPlayerRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
