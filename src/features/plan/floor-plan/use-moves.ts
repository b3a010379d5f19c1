'use client';

import { useMemo, useRef, useState } from 'react';
import { moveLanesAction } from '@/server/actions';
import { withMoves, type LaneMove } from '@/session/plan/moved-lanes';
import type { SetOut } from '@/session/plan/set-out';
import { ask, problemsText } from '@/ui/ask';

/** To the millimetre, so that steps that are taken back come out at nothing. */
const mm = (metres: number): number => Math.round(metres * 1000) / 1000;

/** Where a move is on its way to the book. */
export type Keeping = 'kept' | 'sending' | { readonly problem: string };

/** Sends the newest list, one after the other: what was overtaken is not sent. */
function useKeeping(sessionId: string) {
  const [keeping, setKeeping] = useState<Keeping>('kept');
  const sending = useRef(false);
  const newest = useRef<readonly LaneMove[] | null>(null);
  const keep = async (moves: readonly LaneMove[]) => {
    newest.current = moves;
    if (sending.current) return;
    sending.current = true;
    setKeeping('sending');
    let problem = '';
    while (newest.current && !problem) {
      const now = newest.current;
      newest.current = null;
      problem = problemsText(await ask(() => moveLanesAction(sessionId, { moves: now })));
    }
    sending.current = false;
    setKeeping(problem ? { problem } : 'kept');
  };
  return { keeping, keep };
}

/**
 * Lanes that were moved by hand: kept with the session, so that the tablet on court shows them too. Every step can be taken
 * back.
 * @param kept as the book has them
 */
export function useMoves(sessionId: string, laid: SetOut, kept: readonly LaneMove[]) {
  const [moves, setMoves] = useState(kept);
  const [before, setBefore] = useState<readonly (readonly LaneMove[])[]>([]);
  const { keeping, keep } = useKeeping(sessionId);
  const setOut = useMemo(() => withMoves(laid, moves), [laid, moves]);
  const show = (next: readonly LaneMove[]) => {
    setMoves(next);
    void keep(next);
  };
  const put = (next: readonly LaneMove[]) => {
    setBefore((all) => [...all.slice(-99), moves]);
    show(next);
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
    keeping,
    /** Sends again what could not be kept. */
    again: () => void keep(moves),
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
            show(last);
            setBefore(before.slice(0, -1));
          },
  };
}
export type Moves = ReturnType<typeof useMoves>;
