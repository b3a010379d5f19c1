'use client';

import { HeartPulse } from 'lucide-react';
import { useMemo, useState } from 'react';
import { shortened } from '@/session/court/on-court';
import { evaluatePlan } from '@/session/plan/evaluate';
import { kitAtHand } from '@/drills/base/kit';
import { deferral, type Warning } from '@/core/care/care';
import { tally } from '@/core/counting/tally';
import { blockClock } from '@/core/court/block-clock';
import { courtChanges } from '@/core/court/court-changes';
import type { SessionRunView } from '@/server/views/session-run';
import { buttonClass } from '@/ui/button';
import { CareLine } from '@/ui/care-line';
import { Dialog } from '@/ui/dialog';
import { usePageBook } from '@/ui/house';
import type { RunLog } from '@/court/run-log';
import type { BlockRun } from './use-block';

interface Props {
  readonly view: SessionRunView;
  readonly run: BlockRun;
  readonly log: RunLog;
}

/** What the care rules say of this block and the rest of the session, with what was really done so far. */
export function CareSheet({ view, run, log }: Props) {
  const [open, setOpen] = useState(false);
  const warnings = useCareNow(view, log);
  const here = warnings.filter(
    (one) => (one.blockId !== null && run.mates.includes(one.blockId)) || one.blockId === null,
  );
  const later = warnings.filter((one) => !here.includes(one));
  if (warnings.length === 0) return null;
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={buttonClass(
          'quiet',
          `min-h-16 flex-col gap-0 px-2 text-sm ${here.length > 0 ? 'text-care' : ''}`,
        )}
      >
        <HeartPulse aria-hidden size={22} /> Care {here.length > 0 && here.length}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title="Care" intro={deferral}>
        <h3 className="text-lg">This block</h3>
        {here.length === 0 && <p className="text-soft">Nothing to mind here.</p>}
        <ul>
          {here.map((one, index) => (
            <CareLine key={index} warning={one} />
          ))}
        </ul>
        {later.length > 0 && <h3 className="mt-4 text-lg">Still to come</h3>}
        <ul>
          {later.map((one, index) => (
            <CareLine key={index} warning={one} />
          ))}
        </ul>
      </Dialog>
    </>
  );
}

/** The warnings of blocks that are not over; what was counted in those that are stands in for what was expected. */
function useCareNow(view: SessionRunView, log: RunLog): Warning[] {
  const book = usePageBook(view.session.coach);
  const over = view.blocks.filter((block) => blockClock(log.events(block.id, null)).state === 'ended');
  const overIds = over.map((block) => block.id).join(' ');
  // What was shortened or left out on court is judged as it will be run.
  const trimmed = view.blocks
    .map((block) => {
      const { share, out } = courtChanges(log.events(block.id, null));
      return out ? 0 : share;
    })
    .join(' ');
  return useMemo(() => {
    const ended = new Set(overIds.split(' '));
    const { care, session, players } = view;
    const shares = trimmed.split(' ').map(Number);
    const blocks = view.blocks.flatMap((block, index) => {
      const share = shares[index]!;
      if (share === 0) return [];
      return [shortened(block, share)];
    });
    const doneTries = (blockId: string, playerId: string) => {
      const block = ended.has(blockId) && blocks.find((one) => one.id === blockId);
      const step = block && book.step(block.drillId, block.stepId);
      if (!step) return undefined;
      const { touches, drops } = tally(log.events(blockId, playerId), step.measure);
      return touches + drops;
    };
    const { warnings } = evaluatePlan(blocks, {
      book,
      players: players.map((player) => ({ ...player, ...care.history[player.id]! })),
      records: care.records,
      ground: { place: care.place, atHand: kitAtHand(care.kit) },
      bookedMin: session.bookedMin,
      startTime: session.startTime,
      airC: session.airC,
      kind: 'running',
      doneTries,
    });
    return warnings.filter((one) => one.blockId === null || !ended.has(one.blockId));
  }, [view, book, log, overIds, trimmed]);
}
