import { countKinds, ruleOf, type TouchEvent } from '@/core/counting/event';
import { eventRules } from '@/core/counting/event-rules';
import { isPass, touchesOf } from '@/core/counting/pass';
import { liveEvents } from '@/core/counting/live';
import type { Measure } from '@/core/counting/measure';
import { cutText } from '@/core/base/text';
import { counted } from '@/core/base/words';
import { longestText } from '@/core/counting/event';
import type { HeldBack, Where } from './held-back';
import type { RunLog } from './run-log';

/** Marks held back that belong together: of one player (or of everybody) in one block, for one reason. */
export interface HeldGroup {
  readonly key: string;
  readonly blockId: string;
  readonly playerId: string | null;
  readonly where: Where | null;
  /** Why, in the words of whoever did not take them. */
  readonly message: string;
  readonly held: readonly HeldBack[];
}

export function groupsOf(heldBack: readonly HeldBack[]): HeldGroup[] {
  const groups = new Map<string, HeldBack[]>();
  for (const one of heldBack) {
    const { blockId, playerId } = one.event;
    const key = [blockId, playerId ?? '', one.why].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups].map(([key, held]) => {
    const { event, message } = held[0]!;
    const { blockId, playerId } = event;
    return { key, blockId, playerId, message, where: held.find((one) => one.where)?.where ?? null, held };
  });
}

const noteWords = ['note', 'notes'] as const;
/** What is summed up, in the order it is said. */
const wordsOfMany: ReadonlyMap<string, string> = new Map([
  ...countKinds.map((kind) => eventRules[kind].count.words),
  noteWords,
]);
const idsOf = (group: HeldGroup): string[] => group.held.map((one) => one.event.id);

/** The counts and notes of a group that stand, in the order made. */
export const standing = ({ held }: HeldGroup): TouchEvent[] =>
  liveEvents(held.map((one) => one.event)).filter(
    (event) => ruleOf(event.kind).count !== null || event.kind === 'note',
  );

/** "23 touches, 2 misses, 1 typed count"; what is no count is only numbered. */
export function groupInWords(group: HeldGroup): string {
  const live = standing(group);
  const numbers = new Map<string, number>();
  for (const event of live) {
    const [one] = ruleOf(event.kind).count?.words ?? noteWords;
    numbers.set(one, (numbers.get(one) ?? 0) + (event.kind === 'touch' ? touchesOf(event) : 1));
  }
  const said = [...wordsOfMany].flatMap(([one, many]) => {
    const n = numbers.get(one);
    return n ? [counted(n, one, many)] : [];
  });
  return said.length > 0 ? said.join(', ') : counted(group.held.length, 'mark');
}

/** Can a group be counted in a block that is measured so? */
export const fitsMeasure = (group: HeldGroup, measure: Measure): boolean =>
  standing(group).every((event) =>
    // A whole pass is many touches only where strokes are counted in a time.
    isPass(event) ? measure === 'count' : (ruleOf(event.kind).count?.measures?.includes(measure) ?? true),
  );

type Log = Pick<RunLog, 'log' | 'settleHeldBack' | 'eventsOf'>;

/**
 * Counts a group in another block, as attempts of their own, at the times they were made. It is done again if it breaks
 * off in the middle: nothing leaves the device before it is kept in its new place.
 * @param latestMs times after this are taken as this: the clock may have been wrong, which is why they were held back
 */
export async function attach(log: Log, group: HeldGroup, blockId: string, latestMs: number): Promise<void> {
  const { playerId } = group;
  const there = playerId === null ? [] : log.eventsOf(blockId, playerId);
  const offset = there.reduce((most, event) => Math.max(most, event.attempt), 0);
  await Promise.all(
    standing(group).map(({ kind, attempt, value, text, atMs }) =>
      log.log({
        blockId,
        playerId,
        kind,
        value,
        text,
        attempt: Math.min(1000, attempt + offset),
        atMs: Math.min(atMs, latestMs),
      }),
    ),
  );
  await log.settleHeldBack(idsOf(group));
}

/** Keeps what a group amounts to as words, on a block of this session. */
export async function keepAsNote(log: Log, group: HeldGroup, blockId: string): Promise<void> {
  const from = group.where ? ` (${group.where.block})` : '';
  const text = cutText(`Counted elsewhere: ${groupInWords(group)}${from}`, longestText);
  await log.log({ blockId, playerId: group.playerId, kind: 'note', text });
  await log.settleHeldBack(idsOf(group));
}

export const discard = (log: Pick<RunLog, 'settleHeldBack'>, group: HeldGroup): Promise<void> =>
  log.settleHeldBack(idsOf(group));

/** Marks as a file to take away: an open format anybody can read. */
export const heldBackFile = (groups: readonly HeldGroup[]): string =>
  JSON.stringify(
    {
      format: 'vowstep-held-back',
      version: 1,
      groups: groups.map(({ where, message, held }) => ({
        where,
        message,
        events: held.map((one) => one.event),
      })),
    },
    null,
    2,
  );
