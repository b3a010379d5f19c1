import { renderToStaticMarkup } from 'react-dom/server';
import { createElement } from 'react';
import type { Place } from '../src/core/venues/place';
import { places } from '@/demo/house';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { FloorPlan } from '../src/features/plan/floor-plan/floor-plan';
import { newBlock } from '../src/session/plan/place-block';
import { setOutOf, type SetOutPlayer } from '../src/session/plan/set-out';
import { sequenceCues } from '../src/core/court/calls/sequence-cues';
import { fitOf } from '../src/core/players/fit';
import { demandsOf } from '@/core/movement/sequence/feasible';
import { readLine } from '@/core/movement/sequence/line';
import { workoutOf } from '@/core/movement/sequence/workout';
import { phasesOf } from '../src/core/court/phases';
import { knownSequences } from '@/drills/sequences';
import { median, report } from './lib/measure';

/* A session of twelve blocks for twelve children set out in the long hall, with its first drawing. */
const drillIds = [
  'square-shuffle',
  'marker-touches',
  'star-of-four',
  'triangle-run',
  'figure-of-eight',
  'carry',
  'gate-roll',
  'flip-to-a-target',
  'racket-wall-rally',
  'shadow-patterns',
  'ring-target',
  'most-laps',
];
const place = places[0] as Place;
const players = Array.from({ length: 12 }, (_, n): SetOutPlayer => {
  const age = 6 + (n % 9);
  return {
    id: `p${n}`,
    name: `Player ${n}`,
    age,
    child: layoutChild({ age, sport: 'tennis', heightCm: null, racketIn: null }),
  };
});
const blocks = drillIds.map((id, n) => newBlock(plainBook, id, players, () => undefined, `b${n}`)!);

const times: number[] = [];
let [lanes, points] = [0, 0];
for (let run = 0; run < 30; run++) {
  const from = performance.now();
  const { slots } = setOutOf(plainBook, blocks, players, { place, atHand: () => Infinity });
  const first = slots[0]!;
  renderToStaticMarkup(
    createElement(FloorPlan, { place, slot: first, numbered: [...first.comes, ...first.stays] }),
  );
  times.push(performance.now() - from);
  lanes = slots.flatMap((slot) => slot.blocks.flatMap((block) => block.lanes)).length;
  points = slots.reduce((sum, { comes, stays }) => sum + comes.length + stays.length, 0);
}
if (lanes < blocks.length || points === 0) throw new Error('Not everything was set out.');
report('layout-session', median(times), 'ms', 100);

/* Half an hour of shadow sequences for one child: read, checked stroke by stroke, joined, and called. */
const lines = knownSequences.filter(({ sport }) => sport === 'table tennis');
const { sideStepM, contactM } = fitOf({ age: 12, sport: 'table tennis', heightCm: null, racketIn: null });
const mover = { age: 12, sideStepM: sideStepM.value, contactM: contactM.value };
const workoutTimes: number[] = [];
let called = 0;
for (let run = 0; run < 30; run++) {
  const from = performance.now();
  const parts = lines.map(({ line, ground }) => {
    const read = readLine(line, 'table tennis');
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { fastestPerMin } = demandsOf(read.value, ground, mover);
    return { line, shots: read.value.length, fastestPerMin };
  });
  const { rounds, workS, restS, way } = workoutOf(parts, 30, mover.age);
  const phases = phasesOf({ kind: 'timed', rounds: rounds.length, workS, restS }, workS);
  called = sequenceCues(phases, {
    sport: 'table tennis',
    lines: parts.map(({ line }) => line),
    rounds: rounds.map(({ part, perMin }) => ({ line: part, perMin })),
    way,
  }).length;
  workoutTimes.push(performance.now() - from);
}
if (called < 300) throw new Error('Not every stroke was called.');
report('layout-workout', median(workoutTimes), 'ms', 20);
