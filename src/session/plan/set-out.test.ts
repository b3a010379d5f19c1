import { overlap } from '@/core/geometry/pack';
import { distance, isInside } from '@/core/geometry/points';
import { pointOf, tapesTo } from '@/core/geometry/taping';
import { pointsOf } from '@/core/movement/layout';
import type { Place } from '@/core/venues/place';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { makeCircuit } from './circuits';
import { addBlock, type Knows } from './edits';
import { evaluatePlan } from './evaluate';
import { noLoadSum } from '@/core/dose/load';
import type { PlanBlock } from '../base/plan';
import { sameM, setOutOf, type SetOutPlayer } from './set-out';

const hall: Place = {
  name: 'Hall',
  lengthM: 20,
  widthM: 12,
  ceilingM: 6,
  surface: 'wood',
  wallM: 15,
  tables: 2,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};
const players: readonly SetOutPlayer[] = [7, 8, 9, 10, 12, 14].map((age, n) => {
  return {
    id: `p${n}`,
    name: `Child${n} Of The Test`,
    age,
    child: layoutChild({ age, sport: 'tennis', heightCm: null, racketIn: null }),
  };
});
const knows: Knows = { book: plainBook, squad: players, standsOn: () => () => undefined };
interface Doc {
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
}
const planOf = (...drills: readonly string[]): Doc =>
  drills.reduce<Doc>((doc, id, n) => addBlock(knows, doc, id, `b${n}`), {
    playerIds: players.map(({ id }) => id),
    blocks: [],
  });
const all = () => Infinity;
const setOut = (doc: Doc, place = hall) =>
  setOutOf(plainBook, doc.blocks, players, { place, atHand: all }).slots;

test('as many lanes as the plan has at once, each child in their own, and nothing outside the hall', () => {
  const drills = ['marker-touches', 'racket-wall-rally', 'star-of-four', 'ring-target', 'palm-up-bounce'];
  const doc = planOf(...drills);
  const { fits } = evaluatePlan(doc.blocks, {
    book: plainBook,
    records: [],
    ground: { place: hall, atHand: all },
    bookedMin: 90,
    startTime: '10:00',
    airC: null,
    players: players.map((one) => ({
      ...one,
      careNote: '',
      weekLoad: noLoadSum,
      dayLoad: noLoadSum,
      lastDone: {},
    })),
  });
  for (const slot of setOut(doc)) {
    const floor = { x: 0, y: 0, width: slot.floor.alongM, height: slot.floor.deepM };
    for (const block of slot.blocks) {
      expect(block.problem).toBeNull();
      expect(block.atOnce).toBe(fits.get(block.blockId)!.atOnce);
      expect(block.lanes.length).toBeGreaterThan(0);
      for (const [n, lane] of block.lanes.entries()) {
        for (const point of pointsOf(lane.layout)) {
          expect(isInside(point, floor)).toBe(true);
          expect(isInside(point, lane.room)).toBe(true);
        }
        for (const other of block.lanes.slice(n + 1)) expect(overlap(lane.room, other.room)).toBe(false);
      }
    }
  }
});

test('at the wall everybody stands as far off as the rally is worked out for, at the wall', () => {
  const plan = planOf('racket-wall-rally');
  const [slot] = setOut({ ...plan, blocks: plan.blocks.map((one) => ({ ...one, stations: 2 })) });
  const step = plainBook.drill('racket-wall-rally')!.steps[0]!;
  const [block] = slot!.blocks;
  // Fifteen metres of wall at three a player.
  expect(block!.lanes).toHaveLength(5);
  for (const { layout, room, who } of block!.lanes) {
    expect(room.y).toBe(0);
    expect(room.x + room.width).toBeLessThanOrEqual(15 + 1e-9);
    expect(layout.marks.find(({ kind }) => kind === 'player')!.at.y).toBeCloseTo(step.rally!.distanceM, 6);
    expect(who).toMatch(/^Child/);
  }
  expect(block!.comers).toBe(6);
  expect(block!.atOnce).toBe(5);
});

test('each child’s target lies at their own distance', () => {
  const [slot] = setOut(planOf('flip-to-a-target'));
  for (const { layout, who } of slot!.blocks[0]!.lanes) {
    const child = players.find(({ name }) => name === who)!.child;
    const middle = layout.lines[0]!.points.reduce(
      (sum, { x, y }) => ({ x: sum.x + x / 4, y: sum.y + y / 4 }),
      { x: 0, y: 0 },
    );
    expect(distance(layout.marks[0]!.at, middle)).toBeCloseTo(child.targetM, 6);
  }
});

test('every mark is found again from its two tapes, in an order that walks to each once', () => {
  const [slot] = setOut(planOf('star-of-four'));
  const taped = slot!.blocks.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.taped));
  expect(slot!.comes).toHaveLength(taped.length);
  expect(new Set(slot!.comes.map(({ label }) => label)).size).toBe(taped.length);
  for (const { at } of slot!.comes) {
    const found = pointOf(tapesTo(at, slot!.floor.alongM), slot!.floor.alongM)!;
    expect(distance(found, at)).toBeLessThan(0.001);
  }
});

test('marks that are there from the block before stay, and only the others are walked to', () => {
  const [first, again, other] = setOut(planOf('marker-touches', 'marker-touches', 'triangle-run'));
  expect(first!.stays).toEqual([]);
  expect(first!.comes.length).toBeGreaterThan(0);
  expect(again!.comes).toEqual([]);
  expect(again!.walkM).toBe(0);
  expect(again!.stays).toHaveLength(first!.comes.length);
  for (const { at } of other!.comes)
    for (const before of again!.stays) expect(distance(at, before.at)).toBeGreaterThanOrEqual(sameM);
});

test('stations of a circuit lie beside each other, and their marks have their letters', () => {
  const setting = { book: plainBook, players, records: [], ground: { place: hall, atHand: all } };
  const doc = makeCircuit(
    setting,
    planOf('triangle-run', 'hand-wall-rally', 'marker-touches'),
    ['b0', 'b1', 'b2'],
    'c',
  );
  const slots = setOut(doc);
  expect(slots).toHaveLength(1);
  const lanes = slots[0]!.blocks.flatMap((block) => block.lanes);
  for (const [n, lane] of lanes.entries())
    for (const other of lanes.slice(n + 1)) expect(overlap(lane.room, other.room)).toBe(false);
  expect(lanes.every(({ who }) => who === null)).toBe(true);
  const letters = new Set(slots[0]!.comes.map(({ label }) => label[0]));
  expect([...letters].sort()).toEqual(['A', 'B', 'C']);
});

test('what does not fit is said, and nothing is drawn for it', () => {
  const room: Place = { ...hall, name: 'Room', lengthM: 3, widthM: 3, wallM: 0 };
  const slots = setOut(planOf('triangle-run', 'racket-wall-rally', 'palm-up-bounce'), room);
  expect(slots.map(({ blocks }) => blocks[0]!.lanes.length)).toEqual([0, 0, 1]);
  expect(slots[0]!.blocks[0]!.problem).toMatch(/it needs 5 x 5 m, and there is less/);
  expect(slots[1]!.blocks[0]!.problem).toMatch(/it needs a wall that may be hit/);
  expect(slots[0]!.comes).toEqual([]);
});

test('where it does fit is named', () => {
  const room: Place = { ...hall, name: 'Room', lengthM: 3, widthM: 3, wallM: 0 };
  const { blocks } = planOf('racket-wall-rally');
  const at = (elsewhere: readonly Place[]) =>
    setOutOf(plainBook, blocks, players, { place: room, atHand: all }, elsewhere).slots[0]!.blocks[0]!.fitsIn;
  expect(at([hall, { ...hall, name: 'Wall-less', wallM: 0 }])).toEqual(['Hall']);
  expect(at([])).toEqual([]);
  expect(setOut(planOf('palm-up-bounce'))[0]!.blocks[0]!.fitsIn).toEqual([]);
});

test('a drill that is gone from the book is left out; an empty plan has nothing to set out', () => {
  const doc = planOf('triangle-run');
  expect(setOut({ ...doc, blocks: doc.blocks.map((one) => ({ ...one, drillId: 'gone' })) })).toEqual([]);
  expect(setOut({ ...doc, blocks: [] })).toEqual([]);
});
