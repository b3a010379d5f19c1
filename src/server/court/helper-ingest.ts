import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { refused } from '@/core/base/outcome';
import { storedAs } from '@/data/log';
import { write } from '@/data/write';
import { checkBatch, refusedEvents, type RefusedEvent } from '@/schemas/touches';
import { signatureOf, type Actor } from '../base/actor';
import { latestMs, type Context } from '../base/context';
import { besideAnswers } from '../readers/book';
import { linkState, linkTrouble, type OpenLink } from './helper-links';
import { noteUse } from '../access/tokens';
import { storeBatch, type Ingested } from './ingest';

const longestDevice = 64;

/** The name a device counts under by a link: its own, made so that it can be no other's. */
export const signedDevice = ({ sign }: Pick<OpenLink, 'sign'>, device: string): string =>
  device.startsWith(sign) ? device : (sign + device).slice(0, longestDevice);

/** Takes a helper's batch, while the link is open. Who counted, and on which device, is what the link says. */
export async function ingestFromHelper(context: Context, token: string, input: unknown): Promise<Ingested> {
  const link = await linkState(context, token);
  if (link.kind !== 'open') return refused('link', linkTrouble(link));
  const checked = checkBatch(input, latestMs(context));
  if (!checked.ok) return checked;
  const actor: Actor = { kind: 'helper', name: link.by, sign: link.sign };
  const events = checked.value.events.map((event) => ({
    ...event,
    by: signatureOf({ actor }),
    device: signedDevice(actor, event.device),
  }));
  const strange = await notTheirs(context, link, events);
  if (strange.length > 0) return refusedEvents(strange, events.length);
  const stored = await storeBatch(context, { events }, link.sessionId);
  if (stored.ok) await noteVisit(context, token, link);
  return stored;
}

/** Batches that come closer together than this are one use of a link, milliseconds. Ours. */
const visitMs = 10 * 60_000;

async function noteVisit({ db, nowMs }: Context, token: string, { lastUsedAtMs }: OpenLink): Promise<void> {
  if (lastUsedAtMs === null || nowMs - lastUsedAtMs > visitMs)
    await write(db, (tx) => noteUse(tx, token, nowMs));
}

/** Events that are none of a helper's business. */
async function notTheirs(
  { db }: Context,
  link: OpenLink,
  events: readonly TouchEvent[],
): Promise<RefusedEvent[]> {
  const refs = events.flatMap((event) => (event.ref === null ? [] : [event.ref]));
  const known = refs.length === 0 ? [] : await storedAs(db, refs);
  const own = new Set([
    ...known.filter((one) => one.device.startsWith(link.sign)).map((one) => one.id),
    ...events.map((event) => event.id),
  ]);
  const answers = events.some(({ kind }) => kind === 'beside') ? await besideAnswers(db) : null;
  return events.flatMap<RefusedEvent>((event, index) => {
    const refuse = (message: string) => [{ index, id: event.id, why: 'closed' as const, message }];
    if (event.playerId === null || !link.playerIds.includes(event.playerId))
      return refuse('is about somebody this link does not count');
    if (link.blockId !== null && event.blockId !== link.blockId)
      return refuse('is about another station than this link counts at');
    if (!ruleOf(event.kind).alsoLoggedBy.includes('helper'))
      return refuse(`is a ${event.kind}: this link counts, and nothing else`);
    if (event.kind === 'beside' && !answers?.has(event.text ?? ''))
      return refuse('answers what no step asks');
    if (event.ref !== null && !own.has(event.ref))
      return refuse('corrects a mark that was not made by this link');
    return [];
  });
}
