import { liveEvents } from '@/core/counting/live';
import type { EventKind } from '@/core/counting/event';
import type { Database } from '@/data/database';
import { remarkEvents } from '@/data/log';

/** Something seen or said on court: a checkpoint that held or broke, or a note. */
export interface Remark {
  readonly blockId: string;
  readonly playerId: string | null;
  readonly kind: 'held' | 'broke' | 'note';
  readonly text: string;
  readonly by: string | null;
}

const isRemark = (kind: EventKind): kind is Remark['kind'] =>
  kind === 'held' || kind === 'broke' || kind === 'note';

/** The remarks of blocks that stand, in the order made; a later word on the same checkpoint takes the place of an earlier one. */
export async function remarksOf(db: Database, blockIds: readonly string[]): Promise<Remark[]> {
  const remarks = new Map<string, Remark>();
  for (const { id, blockId, playerId, kind, text, by = null } of liveEvents(
    await remarkEvents(db, blockIds),
  )) {
    if (!isRemark(kind) || !text) continue;
    const key = kind === 'note' ? id : `${blockId} ${playerId} ${text}`;
    remarks.delete(key);
    remarks.set(key, { blockId, playerId, kind, text, by });
  }
  return [...remarks.values()];
}
