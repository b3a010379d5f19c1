import { randomBytes } from 'node:crypto';
import type { TouchEvent } from '@/core/counting/event';
import { maxBatch } from '@/core/counting/check';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { storedAs } from '@/data/log';
import { getPlayer } from '@/data/squad';
import { getVowFile, insertVowFile } from '@/data/vows';
import { write } from '@/data/write';
import { checkBatch } from '@/schemas/touches';
import { openHomeText, readHomeText, type Reported } from '@/session/vows/home-text';
import { latestMs, type Context } from '../base/context';
import { signatureOf } from '../base/actor';
import { storeBatch } from '../court/ingest';
import { storeHome } from './home-log';

/** A file that was handed out: what it signs with. */
export interface VowFileKey {
  readonly id: string;
  readonly key: string;
}

/** Makes the key of a file with a child's vows: what comes back is known by it. */
export async function makeVowFile(context: Context, playerId: string): Promise<Outcome<VowFileKey>> {
  return write(context.db, async (tx) => {
    const player = await getPlayer(tx, playerId);
    if (!player || player.removedAtMs !== null)
      return refused('playerId', 'This player is not on the squad (any more): go back to the squad.');
    const file = { id: context.newId(), key: randomBytes(32).toString('hex') };
    await insertVowFile(tx, { ...file, playerId, createdAtMs: context.nowMs, revokedAtMs: null });
    return done(file);
  });
}

/** How counts from a file are signed, and the beginning of its device's name. */
export const signOfFile = (fileId: string): { by: string; sign: string } => ({
  by: 'Home (file)',
  sign: `file-${fileId.slice(-12)}-`,
});

/** What a text from home says, and how much of it is new. */
export interface TextWeighed {
  readonly name: string;
  readonly playerId: string;
  /** Attempts and other marks in it, and those that are not in the book yet. */
  readonly marks: number;
  readonly fresh: number;
}

interface Opened extends TextWeighed {
  readonly events: readonly TouchEvent[];
  readonly fileId: string;
}

async function opened(context: Context, pasted: unknown): Promise<Outcome<Opened>> {
  const apart = openHomeText(typeof pasted === 'string' ? pasted : '');
  if (!apart.ok) return apart;
  const { fileId } = apart.value;
  const file = await getVowFile(context.db, fileId);
  if (!file)
    return refused('text', 'This text is from a file of another club, or of a book that is not this one.');
  const player = await getPlayer(context.db, file.playerId);
  if (!player || player.removedAtMs !== null)
    return refused(
      'text',
      'This text is about a child who is not on the squad (any more): bring them back first.',
    );
  if (file.revokedAtMs !== null)
    return refused(
      'text',
      `The file of ${player.name} was withdrawn: hand out a new one, and type in what was done.`,
    );
  const read = readHomeText(apart.value, file.key);
  if (!read.ok) return read;
  const events = read.value.map((one) => eventOf(one, file.playerId, fileId));
  if (events.length === 0)
    return refused('text', 'Nothing was done yet, says this text: there is nothing to take over.');
  const checked = checkAll(events, latestMs(context));
  if (!checked.ok) return checked;
  const known = await storedAs(
    context.db,
    events.map(({ id }) => id),
  );
  return done({
    name: player.name,
    playerId: player.id,
    marks: events.length,
    fresh: events.length - known.length,
    events,
    fileId,
  });
}

function checkAll(events: readonly TouchEvent[], nowMs: number): Outcome<null> {
  for (let from = 0; from < events.length; from += maxBatch) {
    const checked = checkBatch({ events: events.slice(from, from + maxBatch) }, nowMs);
    if (!checked.ok) return refused('text', `This text says what cannot be: ${checked.problems[0]!.message}`);
  }
  return done(null);
}

const eventOf = ({ kind, ...rest }: Reported, playerId: string, fileId: string): TouchEvent => ({
  ...rest,
  kind,
  playerId,
  ref: null,
  monoMs: 0,
  device: `${signOfFile(fileId).sign}phone`,
});

const weighed = ({ name, playerId, marks, fresh }: TextWeighed): TextWeighed => ({
  name,
  playerId,
  marks,
  fresh,
});

/** What a text would add; nothing is written. */
export async function weighText(context: Context, pasted: unknown): Promise<Outcome<TextWeighed>> {
  const outcome = await opened(context, pasted);
  return outcome.ok ? done(weighed(outcome.value)) : outcome;
}

/** Takes a text over: all of it or nothing. The same text twice adds nothing twice. */
export async function takeOverText(
  context: Context,
  pasted: unknown,
): Promise<Outcome<TextWeighed & { readonly ids: readonly string[] }>> {
  const outcome = await opened(context, pasted);
  if (!outcome.ok) return outcome;
  const { playerId, events, fileId } = outcome.value;
  const known = new Set((await storedAs(context.db, idsOf(events))).map(({ id }) => id));
  const stored = await storeHome(context, { playerId, ...signOfFile(fileId) }, events);
  if (!stored.ok) return refused('text', stored.problems[0]!.message);
  const fresh = idsOf(events).filter((id) => !known.has(id));
  return done({ ...weighed(outcome.value), fresh: fresh.length, ids: fresh });
}

/** Takes back what a text brought in: each of its marks is undone in the log, which keeps both. */
export async function undoText(
  context: Context,
  ids: readonly string[],
): Promise<Outcome<{ undone: number }>> {
  const marks = (await storedAs(context.db, ids)).filter(({ device }) => device.startsWith('file-'));
  if (marks.length === 0) return refused('text', 'Nothing of this text is in the book (any more).');
  const by = signatureOf(context);
  const undos = marks.map((mark): TouchEvent => ({
    id: context.newId(),
    blockId: mark.blockId,
    playerId: mark.playerId,
    kind: 'undo',
    attempt: mark.attempt,
    value: null,
    ref: mark.id,
    by,
    atMs: latestMs(context),
    monoMs: 0,
    device: 'desk',
  }));
  const stored = await storeBatch(context, { events: undos });
  return stored.ok ? done({ undone: stored.value.stored }) : stored;
}

const idsOf = (events: readonly TouchEvent[]): string[] => events.map(({ id }) => id);
