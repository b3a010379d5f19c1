import { plainBook } from '@/drills';
import { evaluatePlan, type CarefulPlayer, type PlanSetting } from '../src/session/plan/evaluate';
import { atHand } from '../src/drills/base/kit';
import { newBlock } from '../src/session/plan/place-block';
import type { PlanBlock, Records } from '../src/session/base/plan';
import { noLoadSum } from '@/core/dose/load';
import type { Place } from '../src/core/venues/place';
import { kit, places } from '@/demo/house';
import { median, report } from './lib/measure';

/*
 * A whole plan evaluated (times, turns, fit, care) for 12 players and 14 blocks, and how that grows with the players:
 * four times as many should take four times as long at most.
 */
const drillIds = [
  'shoulder-and-side',
  'wrist-and-forearm',
  'square-shuffle',
  'marker-touches',
  'clap-and-catch',
  'palm-up-bounce',
  'turn-over-bounce',
  'soft-catch',
  'racket-wall-rally',
  'wall-volleys',
  'shadow-forehand',
  'fast-hand',
  'fed-strokes',
  'ring-target',
];
const place = { ...(places[0] as Place), hazards: ['uneven ground'] as const };

function plan(count: number): { blocks: PlanBlock[]; setting: PlanSetting } {
  const players = Array.from({ length: count }, (_, n): CarefulPlayer => ({
    id: `p${n}`,
    age: 6 + (n % 10),
    name: `Player ${n}`,
    careNote: n % 12 === 0 ? 'Right wrist is healing.' : '',
    dayLoad: noLoadSum,
    weekLoad: { ...noLoadSum, contacts: 40, tries: 400, strongTries: 300 },
    lastDone: {},
  }));
  const blocks = drillIds.map((drillId, n) => {
    const { steps } = plainBook.drill(drillId)!;
    const standsOn = (id: string) => steps[Number(id.slice(1)) % steps.length]!.id;
    return {
      ...newBlock(plainBook, drillId, players, standsOn, `b${n}`),
      changes: n % 3 === 0 ? ['slower'] : [],
    };
  });
  const records: Records = blocks.flatMap((block) =>
    players.map(({ id }, n) => [id, block.drillId, block.own[n]!.stepId, 80 + n, 20] as const),
  );
  const ground = { place, atHand: atHand(kit as Record<string, number>) };
  return {
    blocks,
    setting: { book: plainBook, players, records, ground, bookedMin: 60, startTime: '16:30', airC: 28 },
  };
}

const rounds = 200;
function medianMs(count: number): number {
  const { blocks, setting } = plan(count);
  for (let i = 0; i < 50; i++) evaluatePlan(blocks, setting);
  return median(
    Array.from({ length: rounds }, () => {
      const startMs = performance.now();
      evaluatePlan(blocks, setting);
      return performance.now() - startMs;
    }),
  );
}

const twelve = medianMs(12);
const fortyEight = medianMs(48);
/** Wanted: at most 5 ms, and no worse than four times for four times the players. */
report('plan', twelve, 'ms', 5);
report('plan-48-players', fortyEight, 'ms', 4 * twelve);
