'use client';

import type { WallSetting } from '@/core/calculators/setting';
import type { BenchesView } from '@/server/views/benches';
import { WriteSetting } from '../write-setting';
import type { WallStart } from './wall-start';
import type { DrawnRally } from './wall-drawing';

const cm = (metres: number): number => Math.round(metres * 100) / 100;

/** What goes into a block: distance, target and tempo. */
function settingOf({ setup, solution, forgives }: DrawnRally): WallSetting {
  return {
    kind: 'wall',
    shot: setup.shot,
    ball: setup.ball,
    distanceM: cm(setup.distanceM),
    markM: cm(setup.targetM),
    bandFromM: cm(Math.max(0, forgives.lowestM)),
    bandToM: cm(Math.min(forgives.highestM, setup.wallTopM)),
    hitsPerMin: Math.round(10 * solution.hitsPerMin) / 10,
    ...(setup.spinRps && { spinRps: setup.spinRps }),
  };
}

export function WriteWall({
  view,
  start,
  rally,
  playerId,
}: {
  view: BenchesView;
  start: WallStart;
  rally: DrawnRally | null;
  playerId: string;
}) {
  return (
    <WriteSetting
      view={view}
      kind="wall"
      into="a rally with a wall"
      chosen={start.blockId}
      playerId={playerId}
      setting={rally && settingOf(rally)}
      what="Distance, target and tempo"
    />
  );
}
