import { plainBook } from '@/drills';
import { blockOf, type PlanBlock } from '../base/plan';
import {
  addBlock,
  addRetest,
  applyMend,
  clearSetting,
  moveBlock,
  removeBlock,
  scaleBlock,
  sameForAll,
  setDose,
  setOwn,
  setStep,
  toggleChange,
  togglePlayer,
  type Knows,
  type PlanParts,
} from './edits';
import { retestOf } from '../skill/retest';

const standing: Record<string, string> = { tall: 'row-50', small: 'row-20' };
const knows: Knows = {
  book: plainBook,
  squad: [
    { id: 'small', age: 6 },
    { id: 'tall', age: 14 },
  ],
  standsOn: (drillId) => (playerId) => (drillId === 'palm-up-bounce' ? standing[playerId] : undefined),
};
const doc: PlanParts = {
  playerIds: ['small', 'tall'],
  blocks: [],
};
const one = blockOf({
  id: 'x',
  drillId: 'palm-up-bounce',
  stepId: 'settle',
  dose: { kind: 'row', target: 5, capS: 60 },
});
const plan = (...ids: string[]): PlanParts => ({ ...doc, blocks: ids.map((id) => ({ ...one, id })) });
const order = (to: PlanParts) => to.blocks.map((block) => block.id).join('');
const step = (id: string) => plainBook.step('palm-up-bounce', id)!;

test('a new block starts on the lowest step, at the youngest one’s dose, everybody on their own', () => {
  const [block] = addBlock(knows, doc, 'palm-up-bounce', 'b').blocks;
  expect(block).toMatchObject({ id: 'b', stepId: 'row-20', dose: step('row-20').doses['4-6'] });
  expect(block!.own.map((own) => [own.playerId, own.stepId, own.amount])).toEqual([
    ['small', 'row-20', 8],
    ['tall', 'row-50', 50],
  ]);
  const alone = addBlock(knows, { ...doc, playerIds: ['tall'] }, 'palm-up-bounce', 'b').blocks[0]!;
  expect(alone).toMatchObject({ stepId: 'row-50', dose: step('row-50').doses['13-16'] });
});

test('a drill nobody has begun starts at the bottom of its ladder', () => {
  expect(addBlock(knows, doc, 'ring-target', 'b').blocks[0]!.stepId).toBe(
    plainBook.drill('ring-target')!.steps[0]!.id,
  );
});

test('another step brings its own dose; another dose leaves the step and holds for everybody', () => {
  const started = addBlock(knows, plan('a'), 'palm-up-bounce', 'b');
  expect(setStep(knows, started, 'b', 'bounce-20-s').blocks[1]!.dose.kind).toBe('timed');
  const dosed = setDose(started, 'b', { kind: 'row', target: 9, capS: 60 });
  expect(dosed.blocks[1]).toMatchObject({ stepId: 'row-20', dose: { target: 9 } });
  // Their own amounts, by age and step, are only overwritten when that is asked for.
  expect(dosed.blocks[1]!.own.map((own) => own.amount)).toEqual([8, 50]);
  const alike = sameForAll(dosed, 'b');
  expect(alike.blocks[1]!.own.map((own) => own.amount)).toEqual([9, 9]);
  // Once they are alike, what is typed holds for both.
  const typed = setDose(alike, 'b', { kind: 'row', target: 12, capS: 60 });
  expect(typed.blocks[1]!.own.map((own) => own.amount)).toEqual([12, 12]);
  expect(dosed.blocks[0]).toBe(started.blocks[0]);
  // Another cap is the block's own: amounts stay.
  const capped = setDose(started, 'b', { ...(started.blocks[1]!.dose as object), capS: 90 } as never);
  expect(capped.blocks[1]!.own.map((own) => own.amount)).toEqual([8, 50]);
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

test('one player’s own step brings the amount of their age; sitting out keeps it', () => {
  const started = addBlock(knows, doc, 'palm-up-bounce', 'b');
  const ownOf = (to: PlanParts, id: string) => to.blocks[0]!.own.find((own) => own.playerId === id);
  const up = setOwn(knows, started, 'b', 'small', { stepId: 'row-50' });
  expect(ownOf(up, 'small')).toEqual({ playerId: 'small', stepId: 'row-50', amount: 15, out: false });
  const out = setOwn(knows, up, 'b', 'small', { out: true });
  expect(ownOf(out, 'small')).toEqual({ playerId: 'small', stepId: 'row-50', amount: 15, out: true });
  expect(ownOf(out, 'tall')).toEqual(ownOf(started, 'tall'));
  expect(setOwn(knows, started, 'b', 'nobody', { out: true })).toBe(started);
});

test('changes are put on and taken off; a share of the dose is a share of each one’s amount', () => {
  const started = addBlock(knows, doc, 'palm-up-bounce', 'b');
  const spiced = toggleChange(toggleChange(started, 'b', 'other hand'), 'b', 'fewer');
  expect(spiced.blocks[0]!.changes).toEqual(['other hand', 'fewer']);
  expect(toggleChange(spiced, 'b', 'other hand').blocks[0]!.changes).toEqual(['fewer']);
  const half = scaleBlock(started, 'b', 0.5).blocks[0]!;
  expect(half.dose).toMatchObject({ target: 4, capS: 60 });
  expect(half.own.map((own) => own.amount)).toEqual([4, 25]);
});

describe('a mend does what it says', () => {
  const three = plan('a', 'b', 'c');
  test.each([
    [{ kind: 'move', blockId: 'c', before: 'a' }, 'cab'],
    [{ kind: 'move', blockId: 'a', before: 'c' }, 'bac'],
    [{ kind: 'remove', blockId: 'b' }, 'ac'],
    [{ kind: 'insert', drillId: 'wrist-and-forearm', before: 'b' }, 'anbc'],
  ] as const)('%j gives %s', (mend, wanted) => {
    expect(order(applyMend(knows, three, mend, 'n'))).toBe(wanted);
  });
  test('break, scale, sit-out, other hand', () => {
    const started = addBlock(knows, doc, 'palm-up-bounce', 'b');
    const after = (mend: Parameters<typeof applyMend>[2]) => applyMend(knows, started, mend, 'n').blocks[0]!;
    expect(after({ kind: 'break', blockId: 'b', seconds: 60 }).breakS).toBe(60);
    expect(after({ kind: 'scale', blockId: 'b', share: 0.5 }).dose).toMatchObject({ target: 4 });
    // One child's mend is that child's amount only.
    const forSmall = after({ kind: 'scale', blockId: 'b', share: 0.5, playerId: 'small' });
    expect(forSmall.dose).toEqual(started.blocks[0]!.dose);
    const amounts = (block: PlanBlock) =>
      Object.fromEntries(block.own.map((own) => [own.playerId, own.amount]));
    expect(amounts(forSmall)).toEqual({ ...amounts(started.blocks[0]!), small: 4 });
    expect(
      after({ kind: 'sit-out', blockId: 'b', playerId: 'tall' }).own.find((own) => own.playerId === 'tall')
        ?.out,
    ).toBe(true);
    expect(after({ kind: 'other hand', blockId: 'b' }).changes).toEqual(['other hand']);
  });
});

test('a retest opens the plan with what was done then, for those who come now', () => {
  const earlier = blockOf({
    ...one,
    id: 'old',
    stepId: 'row-20',
    dose: { kind: 'row', target: 12, capS: 100 },
  });
  const opened = addRetest(knows, plan('a'), earlier, 'r');
  expect(order(opened)).toBe('ra');
  expect(opened.blocks[0]).toMatchObject({ retest: true, stepId: 'row-20', dose: { target: 12, capS: 100 } });
  const block = (id: string, drillId: string) =>
    blockOf({ id, drillId, stepId: plainBook.drill(drillId)!.steps[0]!.id, dose: one.dose });
  // A row tells more than a score; loosening and repetitions tell nothing.
  expect(
    retestOf(plainBook, [block('s', 'shadow-forehand'), block('p', 'ring-target'), block('w', 'carry')])?.id,
  ).toBe('p');
  expect(retestOf(plainBook, [block('p', 'ring-target'), block('c', 'clap-and-catch')])?.id).toBe('c');
  expect(retestOf(plainBook, [block('l', 'line-hops')])).toBeUndefined();
});

test('nothing that was given is changed in place', () => {
  const before = addBlock(knows, plan('a', 'b'), 'palm-up-bounce', 'n');
  const frozen = JSON.stringify(before);
  removeBlock(before, 'a');
  moveBlock(before, 'a', 1);
  togglePlayer(knows, before, 'tall');
  toggleChange(before, 'n', 'fewer');
  setOwn(knows, before, 'n', 'small', { out: true });
  scaleBlock(before, 'n', 0.5);
  addBlock(knows, before, 'ring-target', 'c');
  expect(JSON.stringify(before)).toBe(frozen);
});

test('players come and go, and with them their part in every block; the last one stays', () => {
  const started = addBlock(knows, doc, 'palm-up-bounce', 'b');
  const without = togglePlayer(knows, started, 'tall');
  expect(without.playerIds).toEqual(['small']);
  expect(without.blocks[0]!.own.map((own) => own.playerId)).toEqual(['small']);
  const back = togglePlayer(knows, without, 'tall');
  expect(back.playerIds).toEqual(['small', 'tall']);
  expect(back.blocks).toEqual(started.blocks);
  expect(togglePlayer(knows, without, 'small')).toBe(without);
});

test('what a bench wrote stays with another step of the ladder, and can be taken off', () => {
  const setting = {
    kind: 'wall',
    shot: 'one bounce',
    ball: 'red',
    distanceM: 3,
    markM: 1.6,
    bandFromM: 1,
    bandToM: 2,
    hitsPerMin: 42,
  } as const;
  const started = addBlock(knows, doc, 'racket-wall-rally', 'b');
  const written = { ...started, blocks: started.blocks.map((block) => ({ ...block, setting })) };
  expect(setStep(knows, written, 'b', 'count-25-s').blocks[0]).toMatchObject({
    stepId: 'count-25-s',
    setting,
  });
  expect(clearSetting(written, 'b').blocks[0]!.setting).toBeNull();
  const strange = { ...plan('b'), blocks: [{ ...one, id: 'b', setting }] };
  // A drill without a wall keeps no wall.
  expect(setStep(knows, strange, 'b', 'row-20').blocks[0]!.setting).toBeNull();
});
