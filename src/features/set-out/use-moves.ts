'use client';

import { useMemo, useState } from 'react';
import { array, boolean, number, object, string } from 'yup';
import { withMoves, type LaneMove } from '@/session/moved-lanes';
import type { SetOut } from '@/session/set-out';
import { useKeptText } from '@/ui/kept-text';

const kept = array(
  object({
    blockId: string().required(),
    lane: number().integer().min(0).required(),
    xM: number().min(-200).max(400).required(),
    yM: number().min(-200).max(400).required(),
    turned: boolean().required(),
  }),
).max(100);

/** What this device kept; what cannot be read was not written by this page, and is nothing. */
function read(text: string): readonly LaneMove[] {
  if (text === '') return [];
  try {
    return kept.validateSync(JSON.parse(text), { strict: true }) as readonly LaneMove[];
  } catch {
    return [];
  }
}

/** To the millimetre, so that steps that are taken back come out at nothing. */
const mm = (metres: number): number => Math.round(metres * 1000) / 1000;

/**
 * Lanes that were moved by hand: kept on this device, like the coach’s paces, because they belong to this hall on this day and
 * not to the plan. Every step can be taken back.
 */
export function useMoves(sessionId: string, laid: SetOut) {
  const [text, write] = useKeptText(`vowstep-set-out-${sessionId}`);
  const [before, setBefore] = useState<readonly string[]>([]);
  const moves = useMemo(() => read(text), [text]);
  const setOut = useMemo(() => withMoves(laid, moves), [laid, moves]);
  const put = (next: readonly LaneMove[]) => {
    setBefore((all) => [...all.slice(-99), text]);
    write(next.length === 0 ? '' : JSON.stringify(next));
  };
  const laneOf = (of: SetOut, blockId: string, lane: number) =>
    of.slots.flatMap(({ blocks }) => blocks).find((block) => block.blockId === blockId)?.lanes[lane];
  const change = (blockId: string, lane: number, more: (now: LaneMove) => LaneMove) => {
    const room = laneOf(setOut, blockId, lane)?.room;
    if (!room) return;
    const known = moves.find((one) => one.blockId === blockId && one.lane === lane);
    const next = more({ blockId, lane, xM: room.x, yM: room.y, turned: known?.turned ?? false });
    const own = { ...next, xM: mm(next.xM), yM: mm(next.yM) };
    const first = laneOf(laid, blockId, lane)!.room;
    const isBack = !own.turned && own.xM === mm(first.x) && own.yM === mm(first.y);
    const others = moves.filter((one) => one !== known);
    put(isBack ? others : [...others, own]);
  };
  const last = before.at(-1);
  return {
    setOut,
    moves,
    moveBy: (blockId: string, lane: number, byX: number, byY: number) =>
      change(blockId, lane, (now) => ({ ...now, xM: now.xM + byX, yM: now.yM + byY })),
    moveTo: (blockId: string, lane: number, to: Pick<LaneMove, 'xM' | 'yM'>) =>
      change(blockId, lane, (now) => ({ ...now, ...to })),
    turn: (blockId: string, lane: number) =>
      change(blockId, lane, (now) => {
        // About its middle, so that it stays where it is looked at.
        const room = laneOf(setOut, blockId, lane)!.room;
        const by = (room.width - room.height) / 2;
        return { ...now, turned: !now.turned, xM: now.xM + by, yM: now.yM - by };
      }),
    putBack: (blockIds: readonly string[]) => put(moves.filter((one) => !blockIds.includes(one.blockId))),
    undo:
      last === undefined
        ? null
        : () => {
            write(last);
            setBefore(before.slice(0, -1));
          },
  };
}
export type Moves = ReturnType<typeof useMoves>;
