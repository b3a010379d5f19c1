'use client';

import { memo } from 'react';
import { doseInWords } from '@/core/dose/dose';
import type { PlayerFacts } from '@/server/views/player-facts';
import { cx } from '@/ui/class-names';
import { conditionWords } from './condition-words';
import { CountTile, type CountTileProps } from './count-tile';
import type { RunLog } from './run-log';
import type { BlockRun } from './use-block';
import { useEventsOf } from './use-run';

const grids = [
  '',
  'grid-cols-1',
  'grid-cols-1 sm:grid-cols-2',
  'grid-cols-1 sm:grid-cols-3',
  'grid-cols-2',
  'grid-cols-2 sm:grid-cols-3',
  'grid-cols-2 sm:grid-cols-3',
  'grid-cols-2 sm:grid-cols-4',
  'grid-cols-2 sm:grid-cols-4',
];

interface Props {
  readonly run: BlockRun;
  /** Who is shown now, and everybody who works in the block. */
  readonly players: readonly PlayerFacts[];
  readonly all: readonly PlayerFacts[];
  readonly log: RunLog;
  readonly onType: (playerId: string) => void;
  readonly onSay: (sentence: string) => void;
}

/** The tiles of those who are counted, as large as the screen allows. */
export function CourtGrid({ run, players, all, log, onType, onSay }: Props) {
  const { block, drill, position, phases, rounds } = run;
  const { phase, leftS } = position;
  const inWork = phase.kind === 'work' && !position.done;
  const heldS = block.dose.kind === 'hold' && inWork ? Math.floor(phase.seconds - leftS) : 0;
  return (
    <div className={cx('grid min-h-0 flex-1 auto-rows-fr gap-2', grids[players.length])}>
      {players.map((player, place) => {
        const { work, conditions, target, bestEver } = run.playerNow(player.id);
        const turn = Math.floor(all.indexOf(player) / block.atOnce) + 1;
        return (
          <LiveTile
            key={`${block.id} ${player.id}`}
            playerId={player.id}
            name={player.name}
            digit={place + 1}
            step={work.step}
            dose={work.dose}
            ownStep={work.step.id !== run.step.id}
            under={[
              conditionWords({ ...conditions, stepId: null }, drill),
              conditions.breathless && doseInWords(work.dose),
            ]
              .filter(Boolean)
              .join(': ')}
            target={target}
            bestEver={bestEver}
            log={log}
            blockId={block.id}
            onMark={run.mark}
            onType={onType}
            onSay={onSay}
            heldS={heldS}
            phases={phases}
            round={phase.round - (phase.turn - 1) * rounds}
            turn={block.turns === 1 ? null : turn === phase.turn ? 'now' : 'waits'}
          />
        );
      })}
    </div>
  );
}

interface LiveTileProps extends Omit<CountTileProps, 'events'> {
  readonly log: RunLog;
  readonly blockId: string;
}

/** A tile that follows its own player's log: a touch draws this tile at once, and nothing else has to wait for it. */
const LiveTile = memo(function LiveTile({ log, blockId, ...tile }: LiveTileProps) {
  return <CountTile events={useEventsOf(log, blockId, tile.playerId)} {...tile} />;
});
