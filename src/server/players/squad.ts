import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import { getPlayer, insertPlayer, listPlayers, setFocus, setPlayerRemoved, updatePlayer } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../base/context';
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
  const { focus, sure, ...fields } = checked.value;
  return write(context.db, async (tx) => {
    const doubt = sure ? null : await doubtOf(tx, context, fields, id);
    if (doubt) return refused('sure', doubt);
    const playerId = id ?? context.newId();
    if (id === undefined) await insertPlayer(tx, playerId, fields, context.nowMs);
    else if (await known(tx, id)) await updatePlayer(tx, id, fields);
    else return unknownPlayer;
    await setFocus(tx, playerId, focus, context.newId(), context.nowMs);
    return done({ id: playerId });
  });
}

/** A player who is on record, and was not removed for good. */
async function known(tx: Executor, id: string): Promise<boolean> {
  const player = await getPlayer(tx, id);
  return player !== undefined && player.erasedAtMs === null;
}

/** Children younger than this are rarely coached: the year may be a slip. Ours. */
const youngest = 3;

/** What is asked about before a player is saved: a name there is already, or a year that may be a slip. */
async function doubtOf(
  tx: Executor,
  { today }: Context,
  { name, birthYear }: { readonly name: string; readonly birthYear: number },
  id: string | undefined,
): Promise<string | null> {
  const before = id === undefined ? undefined : await getPlayer(tx, id);
  const same = (other: string) => other.trim().toLowerCase() === name.toLowerCase();
  if (
    !(before && same(before.name)) &&
    (await listPlayers(tx)).some((one) => one.id !== id && same(one.name))
  )
    return `There is a ${name} on the squad already: add a second name or a letter, or save all the same.`;
  const age = Number(today.slice(0, 4)) - birthYear;
  if (before?.birthYear !== birthYear && age < youngest)
    return `Born in ${birthYear}, ${name} is ${age} years old: put the year right, or save all the same.`;
  return null;
}

/** Takes a player off the squad, or back on it; counts and sessions stay. */
export async function removePlayer(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await known(tx, id))) return unknownPlayer;
    await setPlayerRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
