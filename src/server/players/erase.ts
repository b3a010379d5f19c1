import path from 'node:path';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { putIntoOneFile } from '@/data/client';
import { copiesHolding } from '@/data/copies';
import { erasePlayer, textsNaming } from '@/data/erase';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { eraseSchema } from '@/schemas/erase';
import type { Context } from '../base/context';

export interface Erased {
  /** Copies of the book that still hold the child, by their file names. */
  readonly copies: readonly string[];
  /** Texts that are nobody's own and have the name in them: to be looked at by a person. */
  readonly texts: readonly string[];
}

/** An age that says nothing, years: ours. */
const nobodysAge = 10;

/**
 * Removes a child for good, once their name was typed: name, year, measures, care, notes, decisions, links and plans to come.
 * What was counted stays, under no name. There is no way back but a copy of the book.
 */
export async function eraseForGood(context: Context, id: string, input: unknown): Promise<Outcome<Erased>> {
  const checked = check(eraseSchema, input);
  if (!checked.ok) return checked;
  const erased = await write(context.db, async (tx) => {
    const player = await getPlayer(tx, id);
    if (!player || player.erasedAtMs !== null)
      return refused('player', 'This player is not on record (any more): go back to the squad.');
    if (player.name.toLowerCase() !== checked.value.name.toLowerCase())
      return refused('name', `That is not the name: type ${player.name} to remove them for good.`);
    const year = Number(context.today.slice(0, 4)) - nobodysAge;
    await erasePlayer(tx, id, context.nowMs, { year, file: context.db.$file !== undefined });
    // Their own notes are gone by now: what is left is nobody's own.
    return done(await textsNaming(tx, player.name.split(' ')[0]!));
  });
  if (!erased.ok) return erased;
  await putIntoOneFile(context.db);
  return done({ texts: erased.value, copies: await copiesWith(context, [id]) });
}

/** Copies beside the book that still hold players, by their file names. */
export async function copiesWith({ db }: Context, ids: readonly string[]): Promise<string[]> {
  const file = db.$file?.path;
  return file ? (await copiesHolding(file, ids)).map((one) => path.basename(one)) : [];
}
