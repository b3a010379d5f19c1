'use client';

import { RotateCw, Undo2 } from 'lucide-react';
import { runOutM } from '@/core/movement/run-out';
import type { LaneState } from '@/session/plan/moved-lanes';
import { laneWords } from '@/session/plan/moved-lanes';
import type { PlacedSlot } from '@/session/plan/set-out';
import { Button } from '@/ui/button';
import { Said, useUnits } from '@/ui/units';
import type { Moves } from './use-moves';

/** What is in the way of lanes, each with the nearest place for it; the clear floor of the rest; and the way back. */
export function LaneNotes({
  slot,
  states,
  moves,
}: {
  readonly slot: PlacedSlot;
  readonly states: readonly LaneState[];
  readonly moves: Moves;
}) {
  const { length } = useUnits();
  const blockIds = slot.blocks.map(({ blockId }) => blockId);
  const movedHere = moves.moves.filter(({ blockId }) => blockIds.includes(blockId));
  const inTheWay = states.filter(({ conflicts }) => conflicts.length > 0);
  const said = saidIn(slot);
  const least = states.reduce((all, { clearM }) => Math.min(all, clearM), Infinity);
  if (states.length === 0) return null;
  return (
    <div className="space-y-2">
      <div role="status" className="space-y-2">
        {inTheWay.map((state) => (
          <p
            key={`${state.blockId} ${state.lane}`}
            data-in-the-way
            className="flex flex-wrap items-center gap-2 rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care"
          >
            <span>
              <Said>{`${said(state)}: ${state.conflicts.join('; ')}.`}</Said>
            </span>
            {state.free ? (
              <Button
                className="min-h-9 touch:min-h-11 px-2 text-sm print:hidden"
                onClick={() => moves.moveTo(state.blockId, state.lane, state.free!)}
              >
                Put it where there is room
              </Button>
            ) : (
              <span>Turned like this there is no room for it: turn it, or put it back.</span>
            )}
          </p>
        ))}
        <CareNotes slot={slot} states={states} />
      </div>
      {typeof moves.keeping === 'object' && (
        <p role="alert" className="print:hidden flex flex-wrap items-center gap-2 font-semibold text-care">
          <span>Not kept: {moves.keeping.problem}</span>
          <Button className="min-h-9 touch:min-h-11 px-2 text-sm" onClick={moves.again}>
            Keep again
          </Button>
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2 text-sm text-soft print:hidden">
        <span>
          Drag a lane, or move it with the arrow keys; T turns it.
          {inTheWay.length === 0 &&
            states.length > 1 &&
            ` Between lanes and things: at least ${length(least)}.`}
          {movedHere.length > 0 && moves.keeping === 'kept' && ' Moved lanes are kept with the session.'}
        </span>
        {movedHere.length > 0 && (
          <Button
            look="quiet"
            className="min-h-9 touch:min-h-11 px-2"
            onClick={() => moves.putBack(blockIds)}
          >
            <RotateCw aria-hidden size={16} /> Put {movedHere.length === 1 ? 'it' : `all ${movedHere.length}`}{' '}
            back
          </Button>
        )}
        {moves.undo && (
          <Button look="quiet" className="min-h-9 touch:min-h-11 px-2" onClick={moves.undo}>
            <Undo2 aria-hidden size={16} /> Undo
          </Button>
        )}
      </div>
    </div>
  );
}

const saidIn =
  ({ blocks }: Pick<PlacedSlot, 'blocks'>) =>
  ({ blockId, lane }: Pick<LaneState, 'blockId' | 'lane'>): string => {
    const block = blocks.find((one) => one.blockId === blockId)!;
    return laneWords(block, block.lanes[lane]!);
  };

/** What to look after while the lanes lie as they do: whoever goes backwards, and the way to the bottles. */
export function CareNotes({
  slot,
  states,
}: {
  readonly slot: Pick<PlacedSlot, 'blocks'>;
  readonly states: readonly LaneState[];
}) {
  const { length } = useUnits();
  const said = saidIn(slot);
  const shutIn = states.filter(({ toBottles }) => toBottles === false);
  const blind = states.filter(({ behindM }) => behindM !== null);
  return (
    <>
      {blind.length > 0 && (
        <p data-behind className="rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care">
          {`Who goes backwards has ${blind.map((state) => `${length(state.behindM!)} of clear floor behind in ${said(state)}`).join('; ')}: move or turn it until there is ${length(runOutM)}, or let it be walked.`}
        </p>
      )}
      {shutIn.length > 0 && (
        <p data-shut-in className="rounded-md border-2 border-line bg-chalk px-3 py-1">
          {`No free way leads to the bottles from ${shutIn.map(said).join('; from ')}: who drinks waits until the others stop, or a lane is moved.`}
        </p>
      )}
    </>
  );
}
