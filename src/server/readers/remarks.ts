import { besideInWords } from '@/core/counting/beside';
import { groupBy } from '@/core/group-by';
import { liveEvents } from '@/core/counting/live';
import type { EventKind } from '@/core/counting/event';
import type { Database } from '@/data/database';
import { remarkEvents } from '@/data/log';

/** Something seen or said on court: a checkpoint that held or broke, or a note. */
export interface Remark {
  readonly blockId: string;
  readonly playerId: string | null;
  /** `beside` sums up the answers beside a player's marks in the block. */
  readonly kind: 'held' | 'broke' | 'note' | 'beside';
  readonly text: string;
  readonly by: string | null;
}

const isRemark = (kind: EventKind): kind is Exclude<Remark['kind'], 'beside'> =>
  kind === 'held' || kind === 'broke' || kind === 'note';

/** The remarks of blocks that stand, in the order made; a later word on the same checkpoint takes the place of an earlier one. */
export async function remarksOf(db: Database, blockIds: readonly string[]): Promise<Remark[]> {
  const remarks = new Map<string, Remark>();
  const events = await remarkEvents(db, blockIds);
  for (const { id, blockId, playerId, kind, text, by = null } of liveEvents(events)) {
    if (!isRemark(kind) || !text) continue;
    const key = kind === 'note' ? id : `${blockId} ${playerId} ${text}`;
    remarks.delete(key);
    remarks.set(key, { blockId, playerId, kind, text, by });
  }
  const asked = groupBy(
    events.filter(({ playerId }) => playerId !== null),
    ({ blockId, playerId }) => `${blockId} ${playerId}`,
  );
  const besides = [...asked.values()].flatMap((own) => {
    const { blockId, playerId } = own[0]!;
    return besideInWords(own).map((text) => ({ blockId, playerId, kind: 'beside' as const, text, by: null }));
  });
  return [...remarks.values(), ...besides];
}
