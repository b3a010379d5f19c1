'use client';

import { memo, useCallback } from 'react';
import { doseInWords } from '@/core/dose/dose';
import { cx } from '@/ui/class-names';
import { conditionWords } from './condition-words';
import { takesSequence } from '@/session/base/pace';
import { CountTile, type CountTileProps, type TileEar } from './count-tile';
import type { Drill, Step } from '@/drills/base/types';
import type { CourtPlayer } from './court-view';
import type { RunLog } from '@/court/run-log';
import { turnOf, type BlockRun } from './use-block';
import { useEventsOf } from './use-court';

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

/** Counting by ear: whether a step can be heard, and how it is opened for a player. */
export interface EarOffer {
  readonly hears: (drill: Drill, step: Step) => boolean;
  readonly tile: TileEar;
}

interface Props {
  readonly run: BlockRun;
  /** Who is shown now, and everybody who works in the block. */
  readonly players: readonly CourtPlayer[];
  readonly all: readonly CourtPlayer[];
  readonly log: RunLog;
  /** The number a player is counted by, from 1. */
  readonly numberOf: (playerId: string) => number;
  readonly onMark: CountTileProps['onMark'];
  readonly onType: (playerId: string) => void;
  readonly onSay: (sentence: string) => void;
  /** Why the last press counted nothing; null when it did. */
  readonly refusal: string | null;
  /** Left out where nothing is counted by ear. */
  readonly ear?: EarOffer | null;
  /** True where several stations share the screen: smaller tiles, in the room of one station. */
  readonly compact?: boolean;
}

/** The tiles of those who are counted, as large as the screen allows. */
export function CourtGrid(props: Props) {
  const { run, players, all, log, numberOf, onMark, onType, onSay, refusal, ear, compact = false } = props;
  const { block, drill, position, phases, rounds, say } = run;
  const onBeside = useCallback<CountTileProps['onBeside']>(
    (playerId, ref, text) => say({ playerId, kind: 'beside', ref, text }),
    [say],
  );
  const { phase, leftS } = position;
  const inWork = phase.kind === 'work' && !position.done;
  const heldS = block.dose.kind === 'hold' && inWork ? Math.floor(phase.seconds - leftS) : 0;
  return (
    <div
      className={cx(
        'relative grid min-h-0 flex-1 auto-rows-fr gap-2',
        compact ? players.length > 1 && '@lg:grid-cols-2' : grids[players.length],
      )}
    >
      <p
        role="status"
        className={cx(
          'pointer-events-none absolute inset-x-0 top-2 z-10 mx-auto w-fit max-w-[96%] rounded-md border-3 border-care bg-care-bg px-4 py-2 text-xl font-bold text-care',
          refusal === null && 'sr-only',
        )}
      >
        {refusal}
      </p>
      {players.map((player) => {
        const { work, conditions, goals, bestEver, limitsUnder, inAll } = run.playerNow(player.id);
        const turn = turnOf(all, block, player.id);
        return (
          <LiveTile
            key={`${block.id} ${player.id}`}
            playerId={player.id}
            name={player.name}
            digit={numberOf(player.id)}
            step={work.step}
            dose={work.dose}
            ownStep={work.step.id !== run.step.id}
            under={[
              conditionWords({ ...conditions, stepId: null }, drill),
              conditions.breathless && doseInWords(work.dose),
            ]
              .filter(Boolean)
              .join(': ')}
            target={goals.aim}
            tooShort={goals.tooShort}
            bestEver={bestEver}
            limitsUnder={limitsUnder}
            inAll={inAll}
            log={log}
            blockId={block.id}
            onMark={onMark}
            onBeside={onBeside}
            onType={onType}
            ear={ear?.hears(work.drill, work.step) ? ear.tile : undefined}
            onSay={onSay}
            heldS={heldS}
            phases={phases}
            pass={takesSequence(work.step) ? run.pass : null}
            round={phase.round - (phase.turn - 1) * rounds}
            compact={compact}
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
