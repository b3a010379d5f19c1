import { isDeepStrictEqual } from 'node:util';
import { asBegun, type Begun } from '@/session/court/begun';
import type { PlanBlock } from '@/session/base/plan';
import { refused, type Outcome } from '@/core/base/outcome';
import type { SessionRow } from '@/data/session';

/** All of a block that says what is done in it. */
const contentsOf = ({ drillId, stepId, dose, changes, stations, setting, circuit }: PlanBlock): unknown => [
  ...[drillId, stepId, dose, stations, setting],
  // Who came later has joined a group; the others stay in theirs.
  circuit ? { ...circuit, groups: circuit.groups.length } : null,
  [...changes].sort(),
];
/** How the parts are ordered says nothing. */
const sameContents = (a: PlanBlock, b: PlanBlock): boolean => isDeepStrictEqual(contentsOf(a), contentsOf(b));

/** A plan as far as what was held goes. */
interface Sent {
  readonly day: string;
  readonly placeId: string | null;
  readonly blocks: readonly PlanBlock[];
}

/**
 * Refuses a plan that changes what was held: that is history, and is put right in the review, where it is logged.
 * @param now the blocks as they stand on record
 * @param begun what the begun ones of them were
 */
export function changesHistory(
  sent: Sent,
  session: Pick<SessionRow, 'day' | 'placeId'>,
  now: readonly PlanBlock[],
  begun: ReadonlyMap<string, Begun>,
): Outcome<never> | null {
  if (begun.size === 0) return null;
  if (sent.day !== session.day)
    return refused(
      'day',
      `Day: blocks of this session were held, on ${session.day}. Put the day back; if it was another day, correct it in the review.`,
    );
  if (sent.placeId !== session.placeId)
    return refused(
      'placeId',
      'Place: blocks of this session were held where it was planned. Put the place back.',
    );
  const changed = sent.blocks.findIndex((block) => {
    const record = begun.get(block.id);
    const stored = now.find((one) => one.id === block.id);
    if (!record || !stored) return false;
    return !sameContents(block, stored) && !sameContents(block, asBegun(stored, record));
  });
  if (changed < 0) return null;
  return refused(
    'blocks',
    `Block ${changed + 1} was held: its step, dose, changes and set-out stay (Undo). If something else was done, correct it in the review.`,
  );
}

/** A sent block as it is kept: what was held stays as it was, with a part for who came to it later. */
export function keptAsHeld(block: PlanBlock, record: Begun | undefined): PlanBlock {
  if (!record) return block;
  const { own, drillId, stepId, dose, changes, stations, setting, circuit } = asBegun(block, record);
  const later = block.own.filter((one) => !own.some((held) => held.playerId === one.playerId));
  return { ...block, drillId, stepId, dose, changes, stations, setting, circuit, own: [...own, ...later] };
}
