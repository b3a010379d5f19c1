import { besideInWords } from '@/core/counting/beside';
import { groupBy } from '@/core/base/group-by';
import { liveEvents } from '@/core/counting/live';
import { ruleOf, type EventKind, type RemarkKind } from '@/core/counting/event';
import { clipOrigin, feltOrigin, isHeard } from '@/core/counting/origin';
import { agreement, lookedAt } from '@/core/video/checkpoints';
import type { Database } from '@/data/database';
import { remarkEvents } from '@/data/log';

/** Something seen or said on court: a checkpoint that held or broke, or a note. */
export interface Remark {
  readonly blockId: string;
  readonly playerId: string | null;
  /** `beside` sums up the answers beside a player's marks in the block. */
  readonly kind: RemarkKind;
  readonly text: string;
  readonly by: string | null;
}

const isRemark = (kind: EventKind): kind is Exclude<RemarkKind, 'beside'> =>
  ruleOf(kind).group === 'remark' && kind !== 'beside';

const fromClip = 'clip';

/** How often what was felt is what the clip showed; nothing where one of them is not known. */
function feltInWords(events: Awaited<ReturnType<typeof remarkEvents>>): string[] {
  const checkpoints = new Set(
    events.flatMap(({ origin, text }) =>
      text && (origin === feltOrigin || origin === clipOrigin) ? [text] : [],
    ),
  );
  const { same, of } = agreement(lookedAt(events, [...checkpoints]));
  return of === 0 ? [] : [`Felt as the clip shows it: ${same} of ${of}`];
}

/** The remarks of blocks that stand, in the order made; a later word on the same checkpoint takes the place of an earlier one. */
export async function remarksOf(db: Database, blockIds: readonly string[]): Promise<Remark[]> {
  const remarks = new Map<string, Remark>();
  const events = await remarkEvents(db, blockIds);
  for (const { id, blockId, playerId, kind, text, by = null, origin } of liveEvents(events)) {
    // What a player felt is no verdict: it is compared with what a clip shows.
    if (!isRemark(kind) || !text || origin === feltOrigin) continue;
    const key = kind === 'note' ? id : `${blockId} ${playerId} ${text}`;
    remarks.delete(key);
    remarks.set(key, {
      blockId,
      playerId,
      kind,
      text,
      by: isHeard(origin) && kind !== 'note' ? fromClip : by,
    });
  }
  const asked = groupBy(
    events.filter(({ playerId }) => playerId !== null),
    ({ blockId, playerId }) => `${blockId} ${playerId}`,
  );
  const besides = [...asked.values()].flatMap((own) => {
    const { blockId, playerId } = own[0]!;
    return [...besideInWords(own), ...feltInWords(own)].map((text) => ({
      blockId,
      playerId,
      text,
      by: null,
      kind: 'beside' as const,
    }));
  });
  return [...remarks.values(), ...besides];
}
