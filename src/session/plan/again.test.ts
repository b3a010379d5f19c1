import { plainBook } from '@/drills';
import { blockAgain } from './again';
import { blockOf } from '../base/plan';

const players = [
  { id: 'ada', age: 11 },
  { id: 'ben', age: 11 },
];
const drillId = 'palm-up-bounce';
const block = blockOf({
  id: 'old',
  drillId,
  stepId: 'row-20',
  dose: { kind: 'row', target: 25, capS: 90 },
  changes: ['walking'],
  stations: 2,
  breakS: 60,
  retest: true,
  own: [
    { playerId: 'ada', stepId: 'row-20', amount: 22, out: false },
    { playerId: 'ben', stepId: 'row-20', amount: 18, out: true },
  ],
});
const again = (standsOn: Record<string, string>) =>
  blockAgain(plainBook, block, players, (id) => standsOn[id], 'new')!;

test('where the group stands where it stood, the coach’s dose, changes and own amounts come along', () => {
  expect(again({ ada: 'row-20', ben: 'row-20' })).toMatchObject({
    id: 'new',
    drillId,
    stepId: 'row-20',
    stations: 2,
    breakS: 60,
    changes: ['walking'],
    dose: { kind: 'row', target: 25, capS: 90 },
    // It was a retest of something then; it is not one now.
    retest: false,
    own: [
      { playerId: 'ada', stepId: 'row-20', amount: 22, out: false },
      { playerId: 'ben', stepId: 'row-20', out: true },
    ],
  });
});

test('where those who work have moved on, the new step comes with its own dose', () => {
  const next = plainBook.step(drillId, 'row-50')!;
  expect(again({ ada: 'row-50', ben: 'settle' })).toMatchObject({
    stepId: 'row-50',
    dose: next.doses['10-12'],
    changes: [],
    own: [
      { playerId: 'ada', stepId: 'row-50' },
      { playerId: 'ben', out: true },
    ],
  });
});

test('a player alone on a higher step keeps the group’s block and their own step', () => {
  const both = { ...block, own: [] };
  const moved = blockAgain(plainBook, both, players, (id) => (id === 'ben' ? 'row-50' : 'row-20'), 'new')!;
  expect([moved.stepId, moved.own.map((one) => one.stepId)]).toEqual(['row-20', ['row-20', 'row-50']]);
});

test('a drill nobody knows any more is left out', () => {
  expect(
    blockAgain(plainBook, { ...block, drillId: 'own-gone' }, players, () => undefined, 'new'),
  ).toBeNull();
});
