import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import { chooseSchool } from '../drills/teaching-styles';
import { booking, eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { ingestTouches } from '../court/ingest';
import { refreshAttempts } from '../court/results';
import { sessionReviewView } from '../views/session-review';
import { decide } from './decisions';
import { createSession, savePlan } from './sessions';

/* A made log, and a player who moves up by each school: the one the coach chose proposes, and the decision follows it. */
let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

/** Sessions on days, each with the same marks of the first player; the last one's review. */
async function held(days: readonly string[], marks: string) {
  const first = await oneBlockSession(box.context);
  const [playerId] = first.playerIds;
  let last = { sessionId: first.sessionId, blockId: first.block.id };
  for (const [n, day] of days.entries()) {
    const context = { ...box.context, today: day, nowMs: Date.parse(`${day}T16:30:00Z`) };
    if (n > 0) {
      const mine = { ...booking, day, playerIds: first.playerIds };
      const { id } = value(await createSession(context, mine));
      const block = { ...first.block, id: context.newId() };
      value(await savePlan(context, id, { ...mine, revision: 1, blocks: [block] }));
      last = { sessionId: id, blockId: block.id };
    } else await box.context.db.run(sql`update session set day = ${day} where id = ${first.sessionId}`);
    const events = eventsOf(marks, last.blockId, playerId!, ids(n + 50), context.nowMs);
    value(await ingestTouches(context, { events }));
  }
  await refreshAttempts(box.context.db);
  const context = { ...box.context, today: days.at(-1)! };
  const line = async () =>
    (await sessionReviewView(context, last.sessionId))!.blocks[0]!.lines.find(
      (one) => one.playerId === playerId,
    )!;
  const accept = async () => {
    const { schools, leads } = await line();
    const { verdict, target } = schools.byDefault;
    const next = verdict === 'hold' ? target : leads[verdict].target;
    value(await decide(context, [{ blockId: last.blockId, playerId, verdict, target: next }]));
    const [row] = await box.context.db.all<{ step_id: string; why: string }>(
      sql`select step_id, why from ladder_place where player_id = ${playerId}`,
    );
    return row!;
  };
  return { line, accept };
}

const choose = async (answer: string) =>
  value(await chooseSchool(box.context, { scope: 'coach', key: '', question: 'moveUp', answer }));
const after = plainBook.drill('palm-up-bounce')!.steps;
const nextStep = after[after.findIndex(({ id }) => id === 'row-20') + 1]!.id;
const verdicts = async (line: Awaited<ReturnType<typeof held>>['line']) =>
  (await line()).schools.all.map(({ school, verdict }) => `${school} ${verdict}`);

const twenty = `${'x'.repeat(20)}-`;

test('in a row: on two days, not on one', async () => {
  await choose('in a row');
  const one = await held(['2026-11-20'], twenty);
  expect((await one.line()).schools.byDefault).toMatchObject({ school: 'row', verdict: 'hold' });
  box.close();
  box = await scratch();
  const two = await held(['2026-11-20', '2026-11-24'], twenty);
  expect(await two.accept()).toMatchObject({ step_id: nextStep, why: expect.stringContaining('on 2 days') });
});

test('own best plus one: once', async () => {
  await choose('own best plus one');
  const { accept } = await held(['2026-11-24'], twenty);
  expect(await accept()).toMatchObject({ step_id: nextStep, why: expect.stringContaining('Best ever 20') });
});

test('against the clock: touches enough in the time, though no row is long', async () => {
  await choose('against the clock');
  const { line, accept } = await held(['2026-11-24'], 'x'.repeat(19) + '-' + 'x'.repeat(19) + '-');
  expect(await verdicts(line)).toEqual(['row hold', 'clock up', 'best hold', 'sweet hold']);
  expect(await accept()).toMatchObject({
    step_id: nextStep,
    why: expect.stringContaining('at the last pace'),
  });
});

test('sweet spot: when the mark would come too easily, over days', async () => {
  await choose('sweet spot');
  // Rows of eighty, cut off by the end: nothing but touches.
  const { line, accept } = await held(
    ['2026-11-17', '2026-11-19', '2026-11-21', '2026-11-24'],
    'x'.repeat(80),
  );
  expect((await line()).schools.byDefault.reason).toContain('too easy to teach much');
  expect(await accept()).toMatchObject({ step_id: nextStep });
});

test('a coach’s own band moves the sweet spot, and what is no answer is refused', async () => {
  const refused = await chooseSchool(box.context, {
    scope: 'coach',
    key: '',
    question: 'sweetSpot',
    answer: 'all',
  });
  expect(problem(refused)).toBeTruthy();
  value(
    await chooseSchool(box.context, { scope: 'coach', key: '', question: 'sweetSpot', answer: '70 to 90 %' }),
  );
  const { line } = await held(['2026-11-17', '2026-11-19', '2026-11-24'], `${'x'.repeat(14)}-`);
  const sweet = (await line()).schools.all.find(({ school }) => school === 'sweet')!;
  expect(sweet.wouldChange).toContain('90\u00a0%');
});
