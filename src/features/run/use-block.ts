'use client';

import { useCallback, useMemo } from 'react';
import { findDrill, findStep } from '@/catalogue';
import { timePlan } from '@/catalogue/plan';
import type { Drill, Step } from '@/catalogue/types';
import { blockClock, elapsedS, type BlockClock } from '@/core/run/block-clock';
import { phasesOf, positionAt, signalsOf, type Phase, type Position } from '@/core/run/phases';
import type { CountKind, TouchEvent } from '@/core/counting/event';
import { roundNow } from '@/core/run/round';
import { tally } from '@/core/counting/tally';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import type { RunLog } from './run-log';
import { useNow, useSignals } from './use-run';

export interface BlockRun {
  readonly block: RunBlock;
  readonly drill: Drill;
  readonly step: Step;
  readonly clock: BlockClock;
  readonly phases: readonly Phase[];
  readonly position: Position;
  readonly lastMark: TouchEvent | null;
  readonly mark: (playerId: string, kind: CountKind, value?: number) => void;
  readonly undo: () => void;
  readonly toggleClock: () => void;
  /** Logs that the block has ended, or is paused to go back to an earlier one. */
  readonly leave: (how: 'end' | 'pause') => void;
}

/** One block on court: its clock from the log, and what can be logged. Null when there is no such block. */
export function useBlock(view: SessionRunView, block: RunBlock | undefined, log: RunLog): BlockRun | null {
  const drill = block && findDrill(block.drillId);
  const step = block && findStep(block.drillId, block.stepId);
  const clockEvents = log.events(block?.id ?? '', null);
  const clock = useMemo(() => blockClock(clockEvents), [clockEvents]);
  const running = clock.state === 'running';
  const now = useNow(running);

  const phases = useMemo(() => {
    if (!block) return [];
    const playerIds = view.players.map((player) => player.id);
    const [time] = timePlan([block], playerIds, view.records, view.session.bookedMin).blocks;
    return phasesOf(block.dose, Math.max(5, (time?.workS ?? 0) + (time?.collectS ?? 0)));
  }, [block, view]);
  const signals = useMemo(() => signalsOf(phases), [phases]);
  useSignals(block?.id ?? '', running, signals, () => elapsedS(clock, Date.now()));

  const mark = useCallback(
    (playerId: string, kind: CountKind, value: number | null = null) => {
      if (!block || !step) return;
      const { touches, drops } = tally(log.events(block.id, playerId), step.measure);
      const passedS = elapsedS(blockClock(log.events(block.id, null)), Date.now());
      const attempt = roundNow(block.dose, phases, passedS, touches + drops);
      if (attempt !== null) void log.log({ blockId: block.id, playerId, kind, attempt, value });
    },
    [block, step, log, phases],
  );

  const undo = useCallback(() => {
    const last = block && log.lastMark(block.id);
    if (last) void log.log({ blockId: last.blockId, playerId: last.playerId, kind: 'undo', ref: last.id });
  }, [block, log]);

  const toggleClock = useCallback(() => {
    if (!block) return;
    const { state } = blockClock(log.events(block.id, null));
    void log.log({ blockId: block.id, playerId: null, kind: state === 'running' ? 'pause' : 'start' });
  }, [block, log]);

  const leave = useCallback(
    (how: 'end' | 'pause') => {
      if (!block) return;
      const { state } = blockClock(log.events(block.id, null));
      if (how === 'end' ? state !== 'ended' : state === 'running')
        void log.log({ blockId: block.id, playerId: null, kind: how });
    },
    [block, log],
  );

  if (!block || !drill || !step) return null;
  const position = positionAt(phases, elapsedS(clock, now || (clock.runningSinceMs ?? 0)));
  const lastMark = log.lastMark(block.id);
  return { block, drill, step, clock, phases, position, lastMark, mark, undo, toggleClock, leave };
}
