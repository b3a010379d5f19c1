import { ballKinds } from '@/core/ballistics/balls';
import { floorKinds, wallKinds } from '@/core/ballistics/surfaces';
import { shots, type WallSetup } from '@/core/ballistics/wall/setup';
import { solveWall } from '@/core/ballistics/wall/solve';
import { seededRandom } from '../src/core/base/random';
import { median, report } from './lib/measure';

/* One solve of the wall bench, over set-ups of every shot, ball, floor and wall: median against the 5 ms wanted. */
const wantedMs = 5;
const random = seededRandom(3);
const between = (low: number, high: number) => low + (high - low) * random();
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const setups = Array.from({ length: 200 }, (): WallSetup => {
  const shot = pick(shots);
  const table = shot === 'table';
  return {
    shot,
    ball: table ? 'table tennis' : pick(ballKinds),
    floor: pick(floorKinds),
    wall: pick(wallKinds),
    distanceM: table ? between(1.5, 3) : between(1, 7),
    contactM: table ? between(0.85, 1.2) : shot === 'floor first' ? between(1.4, 2.2) : between(0.3, 1.3),
    targetM: between(0.8, 2.4),
    meet: pick(['rising', 'falling']),
    topSpeedMps: 25,
    wallTopM: 4,
    ceilingM: null,
    tableGapM: 0.1,
    tableLengthM: 1.37,
  };
});
const times: number[] = [];
let solved = 0;
for (let round = -1; round < 3; round++)
  for (const setup of setups) {
    const before = performance.now();
    const answer = solveWall(setup);
    if (round < 0) continue;
    times.push(performance.now() - before);
    if (answer.ok) solved++;
  }
console.error(`${solved / 3} of ${setups.length} set-ups have a rally.`);
report('wall', median(times), 'ms', wantedMs);
report('wall-p95', [...times].sort((a, b) => a - b)[Math.floor(0.95 * times.length)]!, 'ms', wantedMs);
