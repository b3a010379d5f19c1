import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import { eventProblem, maxBatch } from '@/core/counting/check';
import { attemptsOfBlocks } from '@/data/log';
import { decide } from '../plan/decisions';
import { ingestTouches } from './ingest';
import { refreshAttempts } from './results';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { playerView } from '../views/player';
import { sessionPlanView } from '../views/session-plan';
import { sessionReviewView } from '../views/session-review';
import { sessionRunView } from '../views/session-run';
import { squadView } from '../views/squad';
import { todayView } from '../views/today';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const stored = async () =>
  (await box.context.db.get<{ n: number }>(sql`select count(*) as n from touch_event`))!.n;

test('a batch is stored once, however often it comes', async () => {
  const { block, playerIds } = await oneBlockSession(box.context);
  const events = eventsOf('xxx-x', block.id, playerIds[0]!, ids());
  expect(value(await ingestTouches(box.context, { events }))).toEqual({ stored: 5 });
  expect(value(await ingestTouches(box.context, { events: [...events].reverse() }))).toEqual({ stored: 0 });
  expect(await stored()).toBe(5);
});

describe('a malformed batch is refused whole, by name', () => {
  const bad = [
    [{ id: 'x' }, 'id must be a ULID'],
    [{ blockId: 7 }, 'blockId must be a ULID'],
    [{ playerId: null }, 'playerId must be the ULID of a player'],
    [{ kind: 'jump' }, 'kind must be one of touch'],
    [{ attempt: 0 }, 'attempt must be a whole number from 1 to 1000'],
    [{ value: -1 }, 'value must be null or a number'],
    [{ value: Number.NaN }, 'value must be null or a number'],
    [{ ref: 'x' }, 'ref must be a ULID on an undo'],
    [{ kind: 'undo' }, 'ref must be a ULID on an undo'],
    [{ atMs: 1.5 }, 'atMs must be UTC milliseconds'],
    [{ monoMs: -1 }, 'monoMs must be milliseconds'],
    [{ device: '' }, 'device must be 1 to 64'],
    [{ origin: 'a bird' }, 'origin must be null, “felt”, or “ear” or “clip”'],
  ] as const;
  test.each(bad)('%j', async (change, message) => {
    const { block, playerIds } = await oneBlockSession(box.context);
    const [first, second] = eventsOf('xx', block.id, playerIds[0]!, ids());
    const outcome = await ingestTouches(box.context, { events: [first, { ...second, ...change }] });
    expect(problem(outcome)).toContain(`Event 2 of 2 is not sound: ${message}`);
    expect(await stored()).toBe(0);
  });

  test.each([
    [{}, 'events must be a list'],
    [{ events: 'x' }, 'events must be a list'],
    [{ events: [] }, 'events is empty'],
    [{ events: [null] }, 'Event 1 of 1 is not sound: an event must be an object'],
    [{ events: Array(maxBatch + 1).fill({}) }, 'events holds 251: send at most 250'],
    [null, 'events must be a list'],
  ])('%#', async (body, message) => {
    expect(problem(await ingestTouches(box.context, body))).toContain(message);
  });

  test('a block or player that is not in the plan', async () => {
    const { block, playerIds } = await oneBlockSession(box.context);
    const stranger = ids(9)(5);
    for (const [b, p] of [
      [stranger, playerIds[0]!],
      [block.id, stranger],
    ] as const)
      expect(problem(await ingestTouches(box.context, { events: eventsOf('x', b, p, ids()) }))).toContain(
        'not in the plan',
      );
    expect(await stored()).toBe(0);
  });

  test('whatever comes, an answer in words and never a fault', () => {
    fc.assert(
      fc.property(fc.anything(), (anything) => {
        const answer = eventProblem(anything, 0);
        expect(answer === null || answer.length > 0).toBe(true);
      }),
    );
  });
});

test('attempts follow the log in any order of arrival, and can be rebuilt', async () => {
  const { context } = box;
  const { block, playerIds, sessionId } = await oneBlockSession(context);
  const events = eventsOf('xxxx-xx-uxx', block.id, playerIds[0]!, ids());
  value(await ingestTouches(context, { events: events.slice(5) }));
  await refreshAttempts(context.db);
  value(await ingestTouches(context, { events: events.slice(0, 7) }));
  await refreshAttempts(context.db);
  const attempts = async () =>
    (await attemptsOfBlocks(context.db, [block.id])).map(({ result, drops }) => [result, drops]);
  expect(await attempts()).toEqual([
    [4, 1],
    [4, 0],
  ]);
  await context.db.run(sql`delete from attempt`);
  await context.db.run(sql`update block_player set stale = 1`);
  await refreshAttempts(context.db);
  expect(await attempts()).toHaveLength(2);
  expect((await sessionRunView(context, sessionId))!.events).toHaveLength(events.length);
});

test('from counts to the next plan: review, decision, place and target', async () => {
  const { context } = box;
  const { block, playerIds, sessionId, plan } = await oneBlockSession(context);
  const [ada, bo] = playerIds as [string, string];
  const nextId = ids();
  value(
    await ingestTouches(context, {
      events: [
        ...eventsOf('x'.repeat(20), block.id, ada, nextId),
        ...eventsOf('xxx-xx', block.id, bo, nextId),
      ],
    }),
  );

  const review = (await sessionReviewView(context, sessionId))!;
  const [adaLine, boLine] = review.blocks[0]!.lines;
  expect(adaLine).toMatchObject({
    tally: { best: 20, touches: 20 },
    bestBefore: null,
    // The first of all has beaten nothing.
    bestEver: false,
    schools: { byDefault: { verdict: 'hold', target: 20 } },
  });
  expect(boLine).toMatchObject({
    tally: { best: 3, touches: 5, drops: 1, results: [3, 2] },
    schools: { all: expect.arrayContaining([expect.objectContaining({ school: 'best', target: 4 })]) },
  });

  value(
    await decide(context, [
      { blockId: block.id, playerId: ada, verdict: 'up', target: 50 },
      { blockId: block.id, playerId: bo, verdict: 'hold', target: 4 },
    ]),
  );
  const view = (await playerView(context, ada))!;
  expect(view.places).toEqual([['palm-up-bounce', 'row-50', expect.stringContaining('coach’s choice')]]);
  expect(view.bests).toMatchObject([{ stepId: 'row-20', best: 20, touches: 20 }]);
  expect(view.chart?.attempts).toHaveLength(1);

  // The next plan of the same step starts from what was decided.
  const planView = (await sessionPlanView(context, sessionId))!;
  expect(planView.places).toContainEqual([bo, 'palm-up-bounce', 'row-20', 4]);
  expect(planView.held).toEqual([block.id]);
  expect(plan.blocks).toHaveLength(1);
  expect((await squadView(context)).players).toMatchObject([
    { name: 'Ada', touches: 20, days: 1 },
    { name: 'Bo', touches: 5 },
  ]);
  expect((await todayView(context)).sessions[0]!.time.blocks).toHaveLength(1);
});

test('decisions are refused by name, all or nothing', async () => {
  const { context } = box;
  const { block, playerIds } = await oneBlockSession(context);
  const good = { blockId: block.id, playerId: playerIds[0]!, verdict: 'hold', target: 20 };
  for (const [bad, message] of [
    [{ ...good, verdict: 'jump' }, 'Decision must be up, hold or back'],
    [{ ...good, target: -3 }, 'Next target must be from'],
    [{ ...good, blockId: 'x' }, 'not on record'],
    [{ ...good, playerId: 'x' }, 'not in that block'],
  ] as const)
    expect(problem(await decide(context, [good, bad]))).toContain(message);
  expect(problem(await decide(context, []))).toContain('empty');
  expect(await context.db.get(sql`select count(*) as n from decision`)).toEqual({ n: 0 });
});

test('a page about nobody is no page', async () => {
  expect(await playerView(box.context, 'nobody')).toBeNull();
  for (const view of [sessionPlanView, sessionRunView, sessionReviewView])
    expect(await view(box.context, 'x')).toBeNull();
});
