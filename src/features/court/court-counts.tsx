'use client';

import { doneTogether } from '@/session/plan/together';
import { usePart } from '@/ui/use-part';
import type { RunLog } from '@/court/run-log';
import { CourtGrid, type EarOffer } from './court-grid';
import type { CourtPlayer } from './court-view';
import type { TogetherGridProps } from './together-grid';
import type { BlockRun } from './use-block';
import type { RunScreen } from './use-run-screen';

interface Props {
  readonly run: BlockRun;
  readonly screen: RunScreen<CourtPlayer>;
  readonly log: RunLog;
  readonly onType: (playerId: string) => void;
  readonly onSay: (sentence: string) => void;
  /** Opens counting by ear, where that is offered. */
  readonly ear?: EarOffer | null;
  /** True where several stations share the screen. */
  readonly compact?: boolean;
}

/** Is there nothing to count in a block, because it is run by the clock and done together? */
export const isTogether = ({ drill, step }: BlockRun): boolean => doneTogether(drill, step);

/** Fetched where something is done together, and kept for a reload without the server. */
export const loadTogether = () => import('./together-grid');

function TogetherLater(props: TogetherGridProps) {
  const part = usePart(loadTogether, true);
  return part ? <part.TogetherGrid {...props} /> : <div className="flex-1" aria-busy />;
}

/** What is pressed in a block: the tiles that count, or who has done what is done together. */
export function CourtCounts({ run, screen, log, onType, onSay, ear, compact = false }: Props) {
  const { working, shown, numberOf, mark, refusal } = screen;
  return isTogether(run) ? (
    <TogetherLater run={run} players={working} log={log} numberOf={numberOf} onSay={onSay} />
  ) : (
    <CourtGrid
      run={run}
      players={shown}
      all={working}
      log={log}
      numberOf={numberOf}
      onMark={mark}
      onType={onType}
      onSay={onSay}
      refusal={refusal}
      ear={ear}
      compact={compact}
    />
  );
}
