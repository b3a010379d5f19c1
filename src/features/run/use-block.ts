'use client';

import { useCallback, useMemo } from 'react';
import { workOf, type Work } from '@/catalogue/plan';
import type { Drill, Step } from '@/catalogue/types';
import { blockClock, elapsedS, type BlockClock } from '@/core/run/block-clock';
import { inTurns, phasesOf, positionAt, signalsOf, type Phase, type Position } from '@/core/run/phases';
import type { CountKind, TouchEvent } from '@/core/counting/event';
import { roundNow } from '@/core/run/round';
import { tally } from '@/core/counting/tally';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import type { RunLog } from './run-log';
import { useBook } from '@/ui/house';
import { useNow, useSignals } from './use-run';

export interface BlockRun {
  readonly block: RunBlock;
  readonly drill: Drill;
  readonly step: Step;
  /** Each player's own step and dose. */
  readonly workOf: (playerId: string) => Work;
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
  const book = useBook(view.session.coach);
  const shared = block && workOf(book, block);
  const clockEvents = log.events(block?.id ?? '', null);
  const clock = useMemo(() => blockClock(clockEvents), [clockEvents]);
  const running = clock.state === 'running';
  const now = useNow(running);

  const phases = useMemo(() => {
    if (!block) return [];
    return inTurns(phasesOf(shared?.dose ?? block.dose, Math.max(5, block.turnS)), block.turns);
  }, [block, shared?.dose]);
  const signals = useMemo(() => signalsOf(phases), [phases]);
  useSignals(block?.id ?? '', running, signals, () => elapsedS(clock, Date.now()));

  const mark = useCallback(
    (playerId: string, kind: CountKind, value: number | null = null) => {
      const work = block && workOf(book, block, playerId);
      if (!block || !work) return;
      const events = log.events(block.id, playerId);
      const { touches, drops, attempts } = tally(events, work.step.measure);
      const passedS = elapsedS(blockClock(log.events(block.id, null)), Date.now());
      const attempt = roundNow(work.dose, phases, passedS, touches + drops);
      if (attempt === null) return;
      const lapS = kind === 'lap' ? sinceS(attempts.at(-1)?.endedMs, phases, passedS) : value;
      void log.log({ blockId: block.id, playerId, kind, attempt, value: lapS });
    },
    [block, book, log, phases],
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

  if (!block || !shared) return null;
  const { drill, step } = shared;
  const own = (playerId: string) => workOf(book, block, playerId) ?? shared;
  const position = positionAt(phases, elapsedS(clock, now || (clock.runningSinceMs ?? 0)));
  const lastMark = log.lastMark(block.id);
  return {
    block,
    drill,
    step,
    workOf: own,
    clock,
    phases,
    position,
    lastMark,
    mark,
    undo,
    toggleClock,
    leave,
  };
}

/**
 * Seconds of a lap, to a tenth: from the end of the lap before it, or from where this stretch of work began.
 * A lap that was started in an earlier stretch begins with this one.
 */
function sinceS(lastMs: number | undefined, phases: readonly Phase[], passedS: number): number {
  const { phase, leftS } = positionAt(phases, passedS);
  const intoS = phase.kind === 'work' ? phase.seconds - leftS : 0;
  const agoS = lastMs === undefined ? Infinity : (Date.now() - lastMs) / 1000;
  return Math.max(0.1, Math.round(10 * Math.min(intoS || passedS, agoS)) / 10);
}
