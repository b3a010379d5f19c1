import { plainBook } from '@/drills';
import { newBlock } from '../place-block';
import type { PlanBlock } from '@/session/base/plan';
import { chanceInWords, movesIn, movesInWords } from './change';
import { coursePaths, rungsIn, standsInWords, stepAt } from './paths';
import { courseBlocks, homeChallenge, moveTo } from './plan';

const drillId = 'palm-up-bounce';
const ladder = plainBook.drill(drillId)!.steps;
const goal = { drillId, stepId: ladder[4]!.id };
const nobodySeen = { done: [], levels: [] };
const players = [
  { id: 'small', age: 6, name: 'Mika' },
  { id: 'tall', age: 13, name: 'Tove' },
];
const days = ['2026-12-01', '2026-12-08', '2026-12-15', '2026-12-22'];
const stands = (id: string) => (id === 'small' ? ladder[1]!.id : ladder[2]!.id);
const paths = (reached?: (id: string) => number) =>
  coursePaths(plainBook, nobodySeen, players, stands, goal, days, reached);

test('a path begins where a child stands and ends at the goal', () => {
  const [small, tall] = paths();
  expect(small!.steps.map(({ id }) => id)).toEqual(ladder.slice(1, 5).map(({ id }) => id));
  expect(tall!.steps.map(({ id }) => id)).toEqual(ladder.slice(2, 5).map(({ id }) => id));
  expect(rungsIn([small!, tall!], 0, goal)).toEqual({ small: ladder[1]!.id, tall: ladder[2]!.id });
  expect(stepAt(small!, 99)!.id).toBe(goal.stepId);
  expect(coursePaths(plainBook, nobodySeen, players, () => undefined, goal, days)[0]!.steps[0]!.id).toBe(
    ladder[0]!.id,
  );
  // Beyond the goal there is nothing to climb: the goal itself is kept up.
  const beyond = coursePaths(plainBook, nobodySeen, players, () => ladder[6]!.id, goal, days);
  expect(beyond[0]).toMatchObject({ steps: [], reached: 1 });
  expect(rungsIn(beyond, 0, goal)['small']).toBe(goal.stepId);
});

test('days on which a mark was reached already count', () => {
  const [without] = paths();
  const [once] = paths((id) => (id === 'small' ? 1 : 0));
  const sum = ({ before }: { before: readonly { middle: number }[] }) =>
    before.reduce((all, { middle }) => all + middle, 0);
  expect(sum(once!)).toBeGreaterThanOrEqual(sum(without!));
  expect(once!.end.high).toBeGreaterThanOrEqual(without!.end.high);
});

test('where somebody will stand is said by the numbers of the ladder', () => {
  const [small] = paths();
  const said = (low: number, high: number) => standsInWords(small!, { low, middle: low, high }, ladder);
  expect([said(0, 0), said(0, 2), said(1, 4), said(4, 4)]).toEqual(['2', '2 to 4', '3 to passed', 'passed']);
  expect([chanceInWords(1), chanceInWords(0), chanceInWords(0.42)]).toEqual([
    'nearly sure to pass by the end',
    'hardly by the end',
    '42\u00a0% to pass by the end',
  ]);
});

test('what changed is said child by child, from the first session it changes', () => {
  const at = (n: number) => ladder[n]!.id;
  const sessions = [
    { day: '2026-12-01', before: { small: at(1), tall: at(2) }, after: { small: at(1), tall: at(3) } },
    { day: '2026-12-08', before: { small: at(2), tall: at(3) }, after: { small: at(1), tall: at(3) } },
  ];
  const ids = players.map(({ id }) => id);
  const said = movesInWords(plainBook, goal, movesIn(sessions, ids), players);
  expect(said).toBe(
    `Mika takes more time: “${ladder[1]!.title}” on Tue 8 Dec instead of “${ladder[2]!.title}”. ` +
      `Tove is further on: “${ladder[3]!.title}” on Tue 1 Dec instead of “${ladder[2]!.title}”.`,
  );
  const still = sessions.map((one) => ({ ...one, after: one.before }));
  expect(movesIn(still, ids)).toEqual([]);
  // Who is not known any more has no name to be said.
  expect(movesInWords(plainBook, goal, movesIn(sessions, ids), [])).toBe('');
});

describe('a block planned again', () => {
  // Steps that can share a block.
  const rows = ladder.filter(({ measure, doses }) => measure === 'row' && doses['13-16'].kind === 'row');
  const rungs = { small: rows[1]!.id, tall: rows[2]!.id };
  const block: PlanBlock = {
    ...newBlock(plainBook, drillId, players, (id) => rungs[id as 'small'], 'b'),
    breakS: 60,
    stations: 2,
    changes: ['eyes up'],
  };
  const stepOf = (one: PlanBlock, id: string) => one.own.find(({ playerId }) => playerId === id)!.stepId;

  test('moves whom the course had put there, and keeps what else was made of it', () => {
    const after = { small: rows[2]!.id, tall: rows[3]!.id };
    const moved = moveTo(plainBook, block, rungs, after, players);
    const stays = { id: 'b', breakS: 60, stations: 2, changes: ['eyes up'] };
    expect(moved.block).toMatchObject({ ...stays, stepId: rows[2]!.id });
    expect([stepOf(moved.block, 'small'), stepOf(moved.block, 'tall')]).toEqual([rows[2]!.id, rows[3]!.id]);
    expect(moved.rungs).toEqual(after);
  });

  test('takes up a step that is counted in another way, with everybody who can share it', () => {
    const timed = ladder.find(({ measure }) => measure === 'count')!;
    const below = ladder[ladder.indexOf(timed) - 1] ?? ladder[0]!;
    const before = { small: below.id, tall: below.id };
    const start = newBlock(plainBook, drillId, players, () => below.id, 'b');
    const moved = moveTo(plainBook, start, before, { small: timed.id, tall: timed.id }, players);
    expect(moved.block).toMatchObject({ stepId: timed.id, dose: { kind: 'timed' } });
    expect([stepOf(moved.block, 'small'), stepOf(moved.block, 'tall')]).toEqual([timed.id, timed.id]);
    // And on from there, though the block it stands in could not hold the next one's way of counting.
    const on = ladder[ladder.indexOf(timed) + 1]!;
    const again = moveTo(plainBook, moved.block, moved.rungs, { small: on.id, tall: on.id }, players);
    expect(again.block.stepId).toBe(on.id);
  });

  test('is the very same where nobody moves', () => {
    expect(moveTo(plainBook, block, rungs, rungs, players)).toEqual({ block, rungs });
    expect(moveTo(plainBook, block, rungs, rungs, players).block).toBe(block);
  });

  test('leaves whom a coach has put elsewhere, or out, and moves the others', () => {
    const own = block.own.map((one) => (one.playerId === 'small' ? { ...one, stepId: rows[0]!.id } : one));
    const byHand = { ...block, own };
    const after = { small: rows[3]!.id, tall: rows[3]!.id };
    const moved = moveTo(plainBook, byHand, rungs, after, players);
    expect([stepOf(moved.block, 'small'), stepOf(moved.block, 'tall')]).toEqual([rows[0]!.id, rows[3]!.id]);
    // What the course says of the child it did not move is what it said before.
    expect(moved.rungs).toEqual({ small: rungs.small, tall: after.tall });
    const out = { ...block, own: block.own.map((one) => ({ ...one, out: one.playerId === 'tall' })) };
    expect(
      moveTo(plainBook, out, rungs, after, players).block.own.find(({ out: sits }) => sits)!.playerId,
    ).toBe('tall');
  });

  test('keeps a coach’s own dose and amounts as long as its step stays', () => {
    const mine = { ...block, dose: { kind: 'row', target: 3, capS: 45 } as const };
    const moved = moveTo(plainBook, mine, rungs, { ...rungs, tall: rows[3]!.id }, players).block;
    expect(moved.dose).toEqual(mine.dose);
    expect(moved.own.find(({ playerId }) => playerId === 'small')).toEqual(
      block.own.find(({ playerId }) => playerId === 'small'),
    );
  });

  test('its retest and its work are told apart', () => {
    const retest = { ...block, id: 'r', retest: true };
    expect(courseBlocks([retest, block], goal)).toEqual({ retest, work: block });
  });
});

test('the challenge for home names the rungs of the day, and until when', () => {
  const rungs = { small: ladder[1]!.id, tall: ladder[2]!.id };
  const drill = plainBook.drill(drillId)!.title;
  expect(homeChallenge(plainBook, goal, rungs, 'Tue 8 Dec')).toBe(
    `Home challenge: ${drill}, “${ladder[1]!.title}” or “${ladder[2]!.title}”, until Tue 8 Dec: three goes a day, and tell us your best.`,
  );
  expect(homeChallenge(plainBook, goal, rungs, null)).toContain('from now on');
  expect(homeChallenge(plainBook, { drillId: 'gone', stepId: 'x' }, rungs, null)).toBe('');
});
