import fc from 'fast-check';
import { holds, overlap } from '@/core/geometry/pack';
import { distance } from '@/core/geometry/points';
import { pointOf, tapesTo } from '@/core/geometry/taping';
import { pointsOf } from '@/core/movement/layout';
import { thingRoom, type Place } from '@/core/venues/place';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { laneStates, movedLane, withMoves, type LaneMove } from './moved-lanes';
import { newBlock } from './place-block';
import { marksTogether, setOutOf, type SetOutPlayer } from './set-out';

const hall: Place = {
  name: 'Hall',
  lengthM: 20,
  widthM: 10,
  ceilingM: 6,
  surface: 'wood',
  wallM: 12,
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
  wallSide: 'long',
  things: [{ kind: 'pillar', xM: 16, yM: 5, widthM: 0.5, depthM: 0.5 }],
};
const players = [8, 10, 12].map((age, n): SetOutPlayer => ({
  id: `p${n}`,
  name: `Child${n}`,
  age,
  child: layoutChild({ age, sport: 'tennis', heightCm: null, racketIn: null }),
}));
const blocks = ['marker-touches', 'racket-wall-rally', 'triangle-run'].map((id, n) =>
  newBlock(plainBook, id, players, () => undefined, `b${n}`)!,
);
const laid = setOutOf(plainBook, blocks, players, { place: hall, atHand: () => Infinity });
const lanesOf = (n: number) => laid.slots[n]!.blocks[0]!.lanes;
const move = (more: Partial<LaneMove>): LaneMove => ({
  blockId: 'b0',
  lane: 0,
  xM: 0,
  yM: 0,
  turned: false,
  ...more,
});
const stateOf = (moves: readonly LaneMove[], slot: number, lane = 0) => {
  const { slots, place } = withMoves(laid, moves);
  return laneStates(slots[slot]!, place)[lane]!;
};

test('as it is laid, nothing is in anybody’s way, and without moves nothing changes', () => {
  for (const slot of laid.slots)
    for (const { conflicts, free } of laneStates(slot, hall)) expect([conflicts, free]).toEqual([[], null]);
  expect(withMoves(laid, [])).toEqual({ place: hall, slots: laid.slots });
  expect(withMoves(laid, [move({ blockId: 'gone' }), move({ lane: 40 })]).slots).toEqual(laid.slots);
});

test('a lane that is moved or turned keeps every distance in it, and all of it stays in its room', () => {
  fc.assert(
    fc.property(
      fc.nat(2),
      fc.double({ min: -3, max: 22, noNaN: true }),
      fc.double({ min: -3, max: 12, noNaN: true }),
      fc.boolean(),
      (slot, xM, yM, turned) => {
        const [lane] = lanesOf(slot);
        const there = movedLane(lane!, { xM, yM, turned });
        const [before, after] = [pointsOf(lane!.layout), pointsOf(there.layout)];
        expect(after).toHaveLength(before.length);
        // Rings are said by their corners, which a turn swaps: marks and lines are looked at point by point.
        if (lane!.layout.rings.length === 0)
          for (const [n, point] of after.slice(1).entries())
            expect(distance(point, after[0]!)).toBeCloseTo(distance(before[n + 1]!, before[0]!), 9);
        for (const point of after) expect(holds(there.room, { ...point, width: 0, height: 0 })).toBe(true);
        expect(there.taped.map(({ label }) => label)).toEqual(lane!.taped.map(({ label }) => label));
      },
    ),
  );
});

test('what is in the way is named, and the nearest place it is offered is free', () => {
  const over = stateOf([move({ xM: 14, yM: 4 })], 0);
  expect(over.conflicts).toEqual(['it lies over the pillar']);
  expect(over.clearM).toBe(0);
  expect(stateOf([move({ ...over.free! })], 0).conflicts).toEqual([]);
  const second = lanesOf(0)[1]!.room;
  expect(stateOf([move({ xM: second.x, yM: second.y })], 0).conflicts[0]).toMatch(
    /^it lies over Marker touches, lane 2/,
  );
  expect(stateOf([move({ xM: 19, yM: 8 })], 0).conflicts).toContain('it ends outside the floor');
  const off = stateOf([move({ blockId: 'b1', yM: 2 })], 1);
  expect(off.conflicts).toContain('it is not at the wall that may be hit');
  expect(off.free!.yM).toBeCloseTo(0, 9);
});

test('wherever a lane is put, a place it is offered is free of walls, things and the others', () => {
  const floor = { x: 0, y: 0, width: 20, height: 10 };
  fc.assert(
    fc.property(
      fc.nat(2),
      fc.double({ min: -4, max: 22, noNaN: true }),
      fc.double({ min: -4, max: 12, noNaN: true }),
      fc.boolean(),
      (slot, xM, yM, turned) => {
        const blockId = `b${slot}`;
        const state = stateOf([move({ blockId, xM, yM, turned })], slot);
        if (!state.free) return;
        const { slots } = withMoves(laid, [move({ blockId, turned, ...state.free })]);
        const [own, ...others] = slots[slot]!.blocks[0]!.lanes;
        expect(holds(floor, own!.room)).toBe(true);
        for (const thing of hall.things!) expect(overlap(own!.room, thingRoom(thing))).toBe(false);
        for (const other of others) expect(overlap(own!.room, other.room)).toBe(false);
      },
    ),
  );
});

test('clear floor shrinks to nothing as a lane comes nearer', () => {
  const room = lanesOf(0)[0]!.room;
  const near = stateOf([move({ xM: 16 - room.width - 0.5, yM: 4 })], 0).clearM;
  const nearer = stateOf([move({ xM: 16 - room.width - 0.25, yM: 4 })], 0).clearM;
  expect([near, nearer]).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.25, 9)]);
});

test('marks that moved are found by two tapes, and what stays is worked out anew', () => {
  const { slots } = withMoves(laid, [move({ xM: 3.25, yM: 6.5, turned: true })]);
  const { comes } = slots[0]!;
  expect(comes.length).toBe(laid.slots[0]!.comes.length);
  for (const { at } of comes) {
    expect(distance(pointOf(tapesTo(at, 20), 20)!, at)).toBeLessThan(0.001);
  }
  for (const [n, slot] of slots.entries())
    expect(slot.comes.length + slot.stays.length).toBe(
      laid.slots[n]!.comes.length + laid.slots[n]!.stays.length,
    );
});

test('all marks together: each once, with every block that needs it, and none is forgotten', () => {
  const { marks, walkM } = marksTogether(laid.slots);
  expect(walkM).toBeGreaterThan(0);
  for (const { number, comes, stays } of laid.slots)
    for (const { at } of [...comes, ...stays])
      expect(marks.some((mark) => distance(mark.at, at) < 0.1 && mark.blocks.includes(number))).toBe(true);
  for (const [n, { at }] of marks.entries())
    for (const other of marks.slice(n + 1)) expect(distance(at, other.at)).toBeGreaterThanOrEqual(0.1);
});

test('a drill that has no room is told at which size it has, and a wall is never made smaller', () => {
  const small: Place = { ...hall, lengthM: 4.2, widthM: 4.2, wallM: 1, things: [] };
  const { slots } = setOutOf(plainBook, blocks, players, { place: small, atHand: () => Infinity });
  const triangle = slots[2]!.blocks[0]!;
  const { lengthM, widthM } = plainBook.drill('triangle-run')!.space;
  expect(triangle.problem).not.toBeNull();
  const percent = triangle.smaller!.percent;
  expect((Math.max(lengthM, widthM) * percent) / 100).toBeLessThanOrEqual(4.2);
  expect((Math.max(lengthM, widthM) * (percent + 5)) / 100).toBeGreaterThan(4.2);
  expect(slots[1]!.blocks[0]!.smaller).toBeNull();
});

describe('the way to the bottles', () => {
  const bottles = { kind: 'bottles', xM: 19, yM: 9, widthM: 1, depthM: 1 } as const;
  const slot = laid.slots[0]!;
  const ways = (place: Place, moves: readonly LaneMove[] = []) =>
    laneStates(withMoves(laid, moves).slots[0]!, place).map(({ toBottles }) => toBottles);

  test('nothing is said of it where nobody drew them', () =>
    expect(ways(hall)).toEqual(slot.blocks[0]!.lanes.map(() => null)));
  test('as it is laid, everybody can go there; who is shut in by what stands there cannot', () => {
    expect(ways({ ...hall, things: [bottles] })).toEqual([true, true, true]);
    // A bench from the wall to the far side, beyond all lanes.
    const along = Math.max(...slot.blocks[0]!.lanes.map(({ room }) => room.x + room.width));
    const bench = { kind: 'bench', xM: along + 1, yM: 0, widthM: 0.5, depthM: 10 } as const;
    expect(ways({ ...hall, things: [bottles, bench] })).toEqual([false, false, false]);
    // What is only kept clear is walked over.
    expect(ways({ ...hall, things: [bottles, { ...bench, kind: 'keep clear' }] })).toEqual([
      true,
      true,
      true,
    ]);
  });
  test('a lane that is moved into a corner behind others is told', () => {
    const narrow = { ...hall, things: [bottles] };
    const lane = { x: 0, y: 0, width: 6, height: 10 };
    const shut = {
      ...slot,
      blocks: [
        {
          ...slot.blocks[0]!,
          lanes: [
            { ...slot.blocks[0]!.lanes[0]!, room: { ...lane, width: 3 } },
            { ...slot.blocks[0]!.lanes[1]!, room: { ...lane, x: 3 } },
          ],
        },
      ],
    };
    expect(laneStates(shut, narrow).map(({ toBottles }) => toBottles)).toEqual([false, true]);
  });
});

describe('who goes backwards', () => {
  const child = players.slice(0, 1);
  const backwards = [newBlock(plainBook, 'carry', child, () => 'backwards', 'c')!];
  const room: Place = { ...hall, lengthM: 12, widthM: 8, things: [] };
  const set = setOutOf(plainBook, backwards, child, { place: room, atHand: () => Infinity });
  const behind = (moves: readonly LaneMove[], place = room) =>
    laneStates(withMoves(set, moves).slots[0]!, place).map(({ behindM }) => behindM);
  test('has a metre of clear floor behind, as it is laid', () => expect(behind([])).toEqual([null]));
  test('and is told when a lane is moved until there is less', () => {
    const { room: lane } = set.slots[0]!.blocks[0]!.lanes[0]!;
    const to = { blockId: 'c', lane: 0, turned: false, xM: lane.x, yM: lane.y };
    const along = lane.width > lane.height;
    const [nearer] = behind([along ? { ...to, xM: -0.4 } : { ...to, yM: -0.4 }]);
    expect(nearer).toBeCloseTo(0.6, 6);
  });
  test('or when something stands behind it', () => {
    const { room: lane } = set.slots[0]!.blocks[0]!.lanes[0]!;
    const bench = {
      kind: 'bench' as const,
      xM: lane.x,
      yM: lane.y,
      widthM: lane.width,
      depthM: lane.height,
      ...(lane.width > lane.height ? { widthM: 0.5 } : { depthM: 0.5 }),
    };
    expect(behind([], { ...room, things: [bench] })[0]).toBeCloseTo(0.5, 6);
  });
});
