import fc from 'fast-check';
import { circuitLimits } from '@/core/plan/circuit/circuit';
import { spreadOf } from '@/core/plan/circuit/circuit-time';
import { groupOf } from '@/core/plan/circuit/rotation';
import type { Place } from '@/core/venues/place';
import { plainBook } from '@/drills';
import {
  addStation,
  changeCircuit,
  endCircuit,
  leaveCircuit,
  makeCircuit,
  moveToGroup,
  regroup,
  setHelperAt,
} from './circuits';
import { settled, stationsOf } from './settled';
import { circuitPhases, overVisits, stationPhases } from '../court/court-clock';
import { addBlock, moveBlock, removeBlock, scaleBlock, setBreak, togglePlayer, type Knows } from './edits';
import { evaluatePlan } from './evaluate';
import { fitToBooking } from './fit-time';
import { shortened } from '../court/on-court';
import { workOf, type PlanBlock } from '../base/plan';
import { openGround, timePlan } from './time-plan';
import { whatIsLeft } from '../court/what-is-left';

const players = [5, 6, 8, 9, 11, 13].map((age, index) => ({ id: `p${index}`, age }));
const knows: Knows = { book: plainBook, squad: players, standsOn: () => () => undefined };
const setting = { book: plainBook, players, records: [], ground: openGround };
interface Doc {
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
}
const drills = ['square-shuffle', 'palm-up-bounce', 'hand-wall-rally', 'triangle-run', 'wrist-and-forearm'];
const empty: Doc = { playerIds: players.map(({ id }) => id), blocks: [] };
const plan = drills.reduce<Doc>((doc, drillId, index) => addBlock(knows, doc, drillId, `b${index}`), empty);
const circuit = makeCircuit(setting, plan, ['b1', 'b2', 'b3'], 'c');
const ids = ({ blocks }: Doc) => blocks.map(({ id }) => id).join(' ');
const timeOf = (doc: Doc, bookedMin = 60) => timePlan(plainBook, doc.blocks, players, [], bookedMin);

test('blocks become stations: groups by level, one clock, doses that fill a visit', () => {
  const stations = stationsOf(circuit.blocks, 'c');
  expect(stations.map(({ circuit: part }) => [part!.at, part!.of])).toEqual([
    [0, 3],
    [1, 3],
    [2, 3],
  ]);
  expect(stations[0]!.circuit!.groups).toEqual([
    ['p5', 'p4'],
    ['p3', 'p2'],
    ['p1', 'p0'],
  ]);
  const times = timeOf(circuit).blocks.filter(({ station }) => station);
  expect(times).toHaveLength(3);
  for (const { station } of times) expect(station!.needS).toBeLessThanOrEqual(180.5);
  // Side by side they are one stretch of the session.
  expect(timeOf(circuit).totalS).toBeCloseTo(
    timeOf(circuit).blocks.reduce((sum, { ownS }) => sum + ownS, 0),
    6,
  );
});

test('too few or too many stations change nothing', () => {
  expect(makeCircuit(setting, plan, ['b1'], 'c')).toBe(plan);
  expect(makeCircuit(setting, plan, ['b1', 'gone'], 'c')).toBe(plan);
});

test('a longer visit brings larger doses, a shorter one smaller ones', () => {
  const touches = (doc: Doc) => Object.values(timeOf(doc).touchesOf).reduce((sum, one) => sum + one, 0);
  const longer = changeCircuit(setting, circuit, 'c', { stationS: 300 });
  const shorter = changeCircuit(setting, circuit, 'c', { stationS: 60 });
  expect(touches(longer)).toBeGreaterThan(touches(circuit));
  expect(touches(shorter)).toBeLessThan(touches(circuit));
  // What is no length leaves the doses alone.
  const order = changeCircuit(setting, circuit, 'c', { order: 'one on', changeS: 45 });
  expect(order.blocks.map(({ dose }) => dose)).toEqual(circuit.blocks.map(({ dose }) => dose));
});

test('children by hand, mixed, more groups and fewer', () => {
  const moved = moveToGroup(circuit, 'c', 'p0', 0);
  expect(stationsOf(moved.blocks, 'c').every(({ circuit: part }) => groupOf(part!, 'p0') === 0)).toBe(true);
  const alone = moveToGroup(circuit, 'c', 'p0', 3);
  expect(stationsOf(alone.blocks, 'c')[0]!.circuit!.groups).toHaveLength(4);
  expect(moveToGroup(circuit, 'c', 'p0', 4)).toBe(circuit);
  const two = regroup(setting, circuit, 'c', 2, 'mixed');
  expect(stationsOf(two.blocks, 'c')[0]!.circuit!.groups).toEqual([
    ['p5', 'p2', 'p1'],
    ['p4', 'p3', 'p0'],
  ]);
  expect(stationsOf(regroup(setting, circuit, 'c', 6, 'level').blocks, 'c')[0]!.circuit!.groups).toHaveLength(
    4,
  );
});

test('a station more, a station less, and one after the other again', () => {
  const four = addStation(setting, circuit, 'c', 'b0');
  expect(ids(four)).toBe('b1 b2 b3 b0 b4');
  expect(stationsOf(four.blocks, 'c').map(({ circuit: part }) => part!.of)).toEqual([4, 4, 4, 4]);
  const left = leaveCircuit(four, 'b2');
  expect(ids(left)).toBe('b1 b3 b0 b2 b4');
  expect(left.blocks.find(({ id }) => id === 'b2')!.circuit).toBeNull();
  // Two of two are no circuit without the other.
  const two = leaveCircuit(leaveCircuit(left, 'b0'), 'b3');
  expect(two.blocks.every((block) => !block.circuit)).toBe(true);
  expect(endCircuit(circuit, 'c').blocks.every((block) => !block.circuit)).toBe(true);
});

test('edits of the plan keep a circuit together', () => {
  expect(ids(moveBlock(circuit, 'b2', 0))).toBe('b1 b2 b3 b0 b4');
  expect(ids(moveBlock(circuit, 'b0', 2))).toBe('b1 b2 b3 b0 b4');
  expect(ids(moveBlock(circuit, 'b4', 3))).toBe('b0 b4 b1 b2 b3');
  expect(ids(addBlock(knows, circuit, 'square-shuffle', 'new', 'b3'))).toBe('b0 new b1 b2 b3 b4');
  expect(stationsOf(removeBlock(circuit, 'b2').blocks, 'c').map(({ circuit: part }) => part!.at)).toEqual([
    0, 1,
  ]);
  expect(setBreak(circuit, 'b2', 60).blocks.map(({ breakS }) => breakS)).toEqual([0, 60, 60, 60, 0]);
  const shorter = scaleBlock(circuit, 'b2', 0.6);
  expect(timeOf(shorter).totalS).toBeLessThan(timeOf(circuit).totalS);
  expect(setHelperAt(circuit, 'b2', 'A father').blocks[2]!.circuit!.helper).toBe('A father');
});

test('who leaves is out of their group, who comes joins the smallest', () => {
  const left = togglePlayer(knows, circuit, 'p0');
  expect(left.blocks[1]!.circuit!.groups.flat()).not.toContain('p0');
  const back = togglePlayer(knows, left, 'p0');
  expect(back.blocks[1]!.circuit!.groups[2]).toEqual(['p1', 'p0']);
});

test('whatever is sent, stations end up together, numbered, with everybody in one group', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...circuit.blocks], { minLength: 0 }),
      fc.shuffledSubarray([...circuit.playerIds], { minLength: 1 }),
      (blocks, playerIds) => {
        const out = settled(blocks, playerIds);
        const stations = stationsOf(out, 'c');
        expect(out.map(({ id }) => id).sort()).toEqual(blocks.map(({ id }) => id).sort());
        if (stations.length === 0) return;
        const first = out.indexOf(stations[0]!);
        expect(stations).toEqual(out.slice(first, first + stations.length));
        expect(stations.length).toBeGreaterThanOrEqual(circuitLimits.stations.min);
        const groups = stations[0]!.circuit!.groups;
        expect(groups.length).toBeLessThanOrEqual(stations.length + 1);
        expect(groups.flat().sort()).toEqual([...playerIds].sort());
        expect(stations.every(({ circuit: part }, at) => part!.at === at && part!.groups === groups)).toBe(
          true,
        );
      },
    ),
  );
});

test('the touches of a circuit agree with the dose engine, station by station', () => {
  const times = timeOf(circuit).blocks;
  for (const block of stationsOf(circuit.blocks, 'c')) {
    const time = times.find(({ id }) => id === block.id)!;
    // The same group, alone with the same block: what it does there in a visit.
    for (const group of block.circuit!.groups) {
      const alone = timePlan(
        plainBook,
        [{ ...block, circuit: null }],
        players.filter(({ id }) => group.includes(id)),
        [],
        60,
      ).blocks[0]!;
      for (const id of group) {
        const row = workOf(plainBook, block, id)!.dose.kind === 'row';
        if (row) expect(time.touchesOf[id]).toBeGreaterThanOrEqual(alone.touchesOf[id]! - 1e-9);
        else expect(time.touchesOf[id]).toBeCloseTo(alone.touchesOf[id]!, 6);
      }
    }
  }
  expect(spreadOf(times.filter(({ station }) => station)).least).toBeGreaterThan(0);
});

test('on court every station runs by the plan’s clock: what is not a visit is rest', () => {
  const part = circuit.blocks[1]!.circuit!;
  const clock = circuitPhases(part);
  const planned = timeOf(circuit).blocks.find(({ id }) => id === 'b1')!;
  const sum = (phases: readonly { kind: string; seconds: number }[]) =>
    phases.reduce((all, { kind, seconds }) => all + (kind === 'countIn' ? 0 : seconds), 0);
  expect(sum(clock)).toBe(planned.activeS);
  for (const block of stationsOf(circuit.blocks, 'c'))
    for (const [group] of part.groups.entries()) {
      const { dose } = workOf(plainBook, block)!;
      const own = stationPhases(clock, block.circuit!, group, dose, 1);
      expect(sum(own)).toBeCloseTo(planned.activeS, 6);
      const worked = own.filter(({ kind }) => kind === 'work');
      expect(worked.length).toBeGreaterThan(0);
      expect(sum(worked)).toBeLessThanOrEqual(part.stationS + 1e-6);
      // They work while the others of the circuit do, never on the way.
      expect(own.findIndex(({ kind }) => kind === 'work')).toBeGreaterThan(0);
    }
  expect(
    stationPhases(clock, part, -1, { kind: 'reps', sets: 1, reps: 3, sides: 1, restS: 0 }, 1).some(
      ({ kind }) => kind === 'work',
    ),
  ).toBe(false);
});

test('a second time round numbers on', () => {
  const twice = changeCircuit(setting, circuit, 'c', { times: 2 });
  const part = twice.blocks[1]!.circuit!;
  const dose = { kind: 'reps', sets: 2, reps: 5, sides: 1, restS: 10 } as const;
  const rounds = stationPhases(circuitPhases(part), part, 0, dose, 1).flatMap(({ kind, round }) =>
    kind === 'work' ? [round] : [],
  );
  expect(rounds).toEqual([1, 2, 3, 4]);
  expect(overVisits(dose, part)).toMatchObject({ sets: 4 });
  expect(overVisits(dose, { times: 1 })).toBe(dose);
});

test('shortened on court, visits are shorter and walks stay', () => {
  const part = circuit.blocks[1]!.circuit!;
  const short = circuitPhases(part, 0.5);
  expect(short.filter(({ kind }) => kind === 'work').map(({ seconds }) => seconds)).toEqual([90, 90, 90]);
  expect(short.filter(({ kind }) => kind === 'rest').map(({ seconds }) => seconds)).toEqual([30, 30]);
  expect(shortened(circuit.blocks[1]!, 0.5).circuit!.stationS).toBe(90);
});

test('what is left of a session counts a circuit once', () => {
  const coming = circuit.blocks.slice(1).map((block) => ({ block, share: 1 }));
  const left = whatIsLeft(plainBook, [circuit.blocks[0]!], coming, players, [], openGround);
  expect(left.toCome.map(({ blockId }) => blockId)).toEqual(['b1', 'b4']);
  const whole = timeOf(circuit);
  const first = whole.blocks[0]!;
  const sum = left.toCome.reduce((all, one) => all + one.seconds, left.afterRunningS);
  expect(sum + first.setUpS + first.showS + first.activeS).toBeCloseTo(whole.totalS, 6);
  expect(left.toCome[0]!.shortS).toBeLessThan(left.toCome[0]!.seconds);
  const running = whatIsLeft(plainBook, circuit.blocks.slice(1, 4), coming.slice(3), players, [], openGround);
  expect(running.toCome.map(({ blockId }) => blockId)).toEqual(['b4']);
});

test('fitted to a booking, a circuit stays as it is and is counted once', () => {
  const fit = fitToBooking(setting, circuit.blocks, 45 * 60, 'alike');
  expect(stationsOf(fit.blocks, 'c')).toEqual(stationsOf(circuit.blocks, 'c'));
  expect(fit.totalS).toBeCloseTo(timePlan(plainBook, fit.blocks, players, [], 45).totalS, 6);
});

test('seen whole, phases share a circuit’s time, and what is beside warms nobody', () => {
  const hall: Place = {
    name: 'Hall',
    lengthM: 30,
    widthM: 20,
    ceilingM: 8,
    surface: 'wood',
    wallM: 20,
    tables: 4,
    hazards: [],
    quietFrom: null,
    quietTo: null,
  };
  const careful = players.map((player) => ({
    ...player,
    name: player.id,
    careNote: '',
    weekLoad: { tries: 0, contacts: 0, overheads: 0, serves: 0, forearm: 0, strongTries: 0 },
    dayLoad: { tries: 0, contacts: 0, overheads: 0, serves: 0, forearm: 0, strongTries: 0 },
    lastDone: {},
  })) as unknown as Parameters<typeof evaluatePlan>[1]['players'];
  const all = {
    book: plainBook,
    players: careful,
    records: [],
    ground: { place: hall, atHand: () => Infinity },
    bookedMin: 60,
    startTime: '16:00',
    airC: null,
  };
  const seen = evaluatePlan(circuit.blocks, all);
  expect(seen.phases.reduce((sum, { plannedS }) => sum + plannedS, 0)).toBeCloseTo(seen.time.totalS, 6);
  expect([...seen.fits.values()].map(({ verdict }) => verdict)).not.toContain('no');
  const beside = makeCircuit(setting, plan, ['b0', 'b3'], 'd');
  const legs = (doc: Doc) =>
    evaluatePlan(
      doc.blocks.filter(({ id }) => id === 'b0' || id === 'b3'),
      all,
    ).warnings.some(({ rule }) => rule === 'warm-up first');
  expect([legs(plan), legs(beside)]).toEqual([false, true]);
});
