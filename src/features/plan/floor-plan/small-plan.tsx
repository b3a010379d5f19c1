'use client';

import { useEffect, useMemo, useState } from 'react';
import type { SessionSetOutView } from '@/server/views/session-set-out';
import { laneStates, withMoves, type LaneMove } from '@/session/plan/moved-lanes';
import type { SetOut } from '@/session/plan/set-out';
import { Said } from '@/ui/units';
import { FloorPlan } from './floor-plan';
import { CareNotes } from './lane-notes';
import { TapeList } from './tape-list';
import { usePaces } from './use-paces';

type Asked = SessionSetOutView | 'asking' | 'out of reach';

/** The floor of one block on court, with its tapes: asked for when it is wanted, because the server works it out. */
export function SmallPlan({ sessionId, blockId }: { readonly sessionId: string; readonly blockId: string }) {
  const [asked, setAsked] = useState<Asked>('asking');
  useEffect(() => {
    const leave = new AbortController();
    fetch(`/api/sessions/${sessionId}/set-out`, { signal: leave.signal })
      .then(async (response) => setAsked(response.ok ? ((await response.json()) as Asked) : 'out of reach'))
      .catch(() => leave.signal.aborted || setAsked('out of reach'));
    return () => leave.abort();
  }, [sessionId]);
  if (asked === 'asking') return <p role="status">The floor is being worked out…</p>;
  if (asked === 'out of reach')
    return <p role="alert">The server is out of reach: the floor can be looked at when it is back.</p>;
  if (!asked.setOut)
    return <p>Nobody said where this is held: choose the place in the plan, and the floor is drawn here.</p>;
  return <Floor blockId={blockId} laid={asked.setOut} moves={asked.moves} />;
}

function Floor({
  blockId,
  laid,
  moves,
}: {
  readonly blockId: string;
  readonly laid: SetOut;
  readonly moves: readonly LaneMove[];
}) {
  const { place, slots } = useMemo(() => withMoves(laid, moves), [laid, moves]);
  const { paces } = usePaces();
  const slot = slots.find(({ blocks }) => blocks.some((block) => block.blockId === blockId));
  if (!slot) return <p>This block is not in the plan (any more).</p>;
  const problems = slot.blocks.flatMap(({ problem }) => problem ?? []);
  return (
    <div className="space-y-2" data-small-plan>
      {problems.map((problem) => (
        <p key={problem} className="font-semibold text-care">
          <Said>{`Does not fit here: ${problem}.`}</Said>
        </p>
      ))}
      <CareNotes slot={slot} states={laneStates(slot, place)} />
      <FloorPlan place={place} slot={slot} numbered={[...slot.comes, ...slot.stays]} />
      <TapeList slot={slot} paces={paces} />
    </div>
  );
}
