'use client';

import type { CountKind } from '@/core/counting/event';
import { mostTyped } from '@/session/court/limits';
import { CountPad } from './count-pad';
import type { CourtPlayer } from './court-view';
import type { BlockRun } from './use-block';

interface Props {
  readonly run: BlockRun;
  /** Who was counted aloud; undefined while nobody is typed for. */
  readonly player: CourtPlayer | undefined;
  readonly onMark: (playerId: string, kind: CountKind, value?: number) => void;
  readonly onClose: () => void;
}

/** The highest result one attempt of a player can have now. */
export function mostNow(run: BlockRun, playerId: string): number {
  const { work } = run.playerNow(playerId);
  return mostTyped(work.step, work.dose);
}

/** Types the count of somebody who was counted aloud. */
export function TypeCount({ run, player, onMark, onClose }: Props) {
  return (
    <CountPad
      title={player ? `${player.name}: we counted aloud` : null}
      intro="The result of one attempt. It is marked as reported."
      most={player ? mostNow(run, player.id) : undefined}
      measure={player ? run.playerNow(player.id).work.step.measure : run.step.measure}
      onClose={onClose}
      onKeep={(value) => {
        onMark(player!.id, 'result', value);
        onClose();
      }}
    />
  );
}
