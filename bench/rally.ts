import { reachOf } from '@/core/ballistics/wall/reach';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import { answerRally } from '../src/core/calculators/rally/job';
import { hitRate } from '../src/core/calculators/rally/results';
import { RallyPlayer, simulateRallies } from '../src/core/calculators/rally/simulate';
import { mixes, noSpread, spreadOf } from '../src/core/calculators/rally/spread';
import { median, report } from './lib/measure';

/*
 * Ten thousand rallies of up to fifty hits against the second wanted: of a player who keeps a dozen hits going, and of one
 * who never misses, so that every rally has its fifty. Then a whole answer: fit and forecast.
 */
const wantedMs = 1000;
const setup: WallSetup = {
  shot: 'one bounce',
  ball: 'orange',
  floor: 'rough concrete',
  wall: 'brick',
  distanceM: 3,
  contactM: 0.55,
  targetM: 1.5,
  meet: 'falling',
  topSpeedMps: 14,
  wallTopM: 4,
  ceilingM: null,
  tableGapM: 0.1,
  tableLengthM: 1.37,
};
const reach = reachOf({ heightM: 1.34, strideM: 0.6, sideStepM: 0.5, contactM: 0.9 });
const player = new RallyPlayer({ setup, reach });
const options = { rallies: 10_000, most: 50, seed: 1 };
for (const [name, spread] of [
  ['rally', spreadOf(mixes[0]!, 1)],
  ['rally-no-miss', noSpread],
] as const) {
  simulateRallies(player, spread, { ...options, rallies: 2000 });
  const times: number[] = [];
  let rate = 0;
  for (let round = 0; round < 7; round++) {
    const before = performance.now();
    rate = hitRate(simulateRallies(player, spread, options));
    times.push(performance.now() - before);
  }
  console.error(`${name}: ${(100 * rate).toFixed(1)} % of hits are good.`);
  report(name, median(times), 'ms', wantedMs);
}
const rows = Array.from({ length: 40 }, (_, k) => ({ hits: (k * 7) % 13, missed: true }));
const before = performance.now();
answerRally({
  logged: [{ setting: { setup, reach }, each: null, rows }],
  next: { setup, reach },
  tries: 5,
  aim: 10,
  seed: 1,
});
report('rally-answer', performance.now() - before, 'ms', wantedMs);
