import { findStep } from '@/catalogue';
import type { SessionPlanView } from '@/server/views/session-plan';
import { addBlock, commonStep, moveBlock, removeBlock, setDose, setStep, togglePlayer } from './edits';
import type { PlanDoc } from './plan-store';
import { findDrill } from '@/catalogue';

const person = (id: string, age: number) =>
  ({ id, name: id, age, sport: 'tennis', hand: 'right', stage: null, focus: '', careNote: '' }) as const;
const view = {
  squad: [person('small', 6), person('tall', 14)],
  places: [
    ['tall', 'palm-up-bounce', 'row-50', 50],
    ['small', 'palm-up-bounce', 'row-20', 20],
  ],
} as unknown as SessionPlanView;
const doc: PlanDoc = {
  title: 'A',
  day: '2026-11-24',
  startTime: '16:30',
  bookedMin: 30,
  coach: '',
  placeName: '',
  playerIds: ['small', 'tall'],
  blocks: [],
};
const one = {
  id: 'x',
  drillId: 'palm-up-bounce',
  stepId: 'settle',
  dose: { kind: 'row', target: 5, capS: 60 },
} as const;
const plan = (...ids: string[]): PlanDoc => ({ ...doc, blocks: ids.map((id) => ({ ...one, id })) });
const order = (to: PlanDoc) => to.blocks.map((block) => block.id).join('');

test('a new block starts on the lowest step anybody stands on, at the youngest one’s dose', () => {
  const [block] = addBlock(view, doc, 'palm-up-bounce', 'b').blocks;
  expect(block).toEqual({
    id: 'b',
    drillId: 'palm-up-bounce',
    stepId: 'row-20',
    dose: findStep('palm-up-bounce', 'row-20')!.doses['4-6'],
  });
  const alone = addBlock(view, { ...doc, playerIds: ['tall'] }, 'palm-up-bounce', 'b').blocks[0]!;
  expect(alone).toMatchObject({
    stepId: 'row-50',
    dose: findStep('palm-up-bounce', 'row-50')!.doses['13-16'],
  });
});

test('a drill nobody has begun starts at the bottom of its ladder', () => {
  const drill = findDrill('ring-target')!;
  expect(commonStep(view, doc, drill)).toBe(drill.steps[0]!.id);
});

test('another step brings its own dose; another dose leaves the step', () => {
  const started = addBlock(view, plan('a'), 'palm-up-bounce', 'b');
  expect(setStep(view, started, 'b', 'bounce-20-s').blocks[1]!.dose.kind).toBe('timed');
  const dosed = setDose(started, 'b', { kind: 'row', target: 9, capS: 60 });
  expect(dosed.blocks[1]).toMatchObject({ stepId: 'row-20', dose: { target: 9 } });
  expect(dosed.blocks[0]).toBe(started.blocks[0]);
});

test.each([
  ['a', 1, 'bac'],
  ['a', 99, 'bca'],
  ['c', 0, 'cab'],
  ['c', -5, 'cab'],
  ['b', 1, 'abc'],
  ['x', 0, 'abc'],
])('moving %s to place %d gives %s', (id, to, wanted) => {
  expect(order(moveBlock(plan('a', 'b', 'c'), id, to))).toBe(wanted);
});

test('nothing that was given is changed in place', () => {
  const before = plan('a', 'b');
  const frozen = JSON.stringify(before);
  removeBlock(before, 'a');
  moveBlock(before, 'a', 1);
  togglePlayer(before, 'tall');
  addBlock(view, before, 'ring-target', 'c');
  expect(JSON.stringify(before)).toBe(frozen);
});

test('players come and go; the last one stays', () => {
  expect(togglePlayer(doc, 'tall').playerIds).toEqual(['small']);
  expect(togglePlayer(togglePlayer(doc, 'tall'), 'tall').playerIds).toEqual(['small', 'tall']);
  const last = { ...doc, playerIds: ['small'] };
  expect(togglePlayer(last, 'small')).toBe(last);
});
