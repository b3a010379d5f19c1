import { sql } from 'drizzle-orm';
import { beginBlock, writeBegun } from '@/session/court/begun';
import { markFor } from '@/session/base/goals';
import { ageIn } from '@/session/base/held';
import { workOf } from '@/session/base/plan';
import { ageBandOf } from '@/drills/base/age-band';
import { makeBook, plainBook } from '@/drills';
import type { Drill } from '@/drills/base/types';
import type { TouchEvent } from '@/core/counting/event';
import { completeRecords, upgradeRecords } from '../court/complete-records';
import { ingestTouches } from '../court/ingest';
import { refreshAttempts } from '../court/results';
import { markStale } from '@/data/log';
import { chooseSchool } from '../drills/teaching-styles';
import { saveDrill } from '../drills/own-drills';
import { bookContents } from '../readers/book';
import { sessionPlanView } from '../views/session-plan';
import { sessionReviewView } from '../views/session-review';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { correctBlock, correctDay, undoCorrection } from './correct';
import { decide } from './decisions';
import { loadPlan, savePlan } from './sessions';

/* What was held is history: it is read from the log, and changes only by a correction that is logged. */
let box: Awaited<ReturnType<typeof scratch>>;
let at: Awaited<ReturnType<typeof oneBlockSession>>;
const newId = ids(7);

beforeEach(async () => {
  box = await scratch();
  at = await oneBlockSession(box.context);
});
afterEach(() => box.close());

const where = { day: '2026-11-24', place: 'Hall', placeId: null, coach: '' };

/** The record a device writes when it begins the block. */
async function begun(block = at.block, age = 10): Promise<TouchEvent> {
  const players = at.playerIds.map((id) => ({ id, age, target: null, ball: null }));
  const shape = { turns: 1, turnS: 60, atOnce: 2 };
  const book = makeBook(await bookContents(box.context.db));
  return {
    id: newId(500),
    blockId: block.id,
    playerId: null,
    kind: 'begun',
    attempt: 1,
    value: null,
    ref: null,
    text: writeBegun(beginBlock(book, block, players, shape, where)),
    atMs: 500,
    monoMs: 500,
    device: 'test',
  };
}

const counted = (marks: string, seat = 0) => eventsOf(marks, at.block.id, at.playerIds[seat]!, newId);
const send = async (events: readonly TouchEvent[]) => value(await ingestTouches(box.context, { events }));

async function held(marks = 'x'.repeat(21) + '-') {
  await send([await begun(), ...counted(marks)]);
  await refreshAttempts(box.context.db);
}

/** The attempts as they are kept, worked out again. */
async function attempts() {
  await markStale(box.context.db, [at.block.id]);
  await refreshAttempts(box.context.db);
  return box.context.db.all(sql`select * from attempt order by player_id, number`);
}

const line = async () => (await sessionReviewView(box.context, at.sessionId))!.blocks[0]!.lines[0]!;

describe('what was held', () => {
  test('is judged by the marks, the ladder and the ages of its day, whatever becomes of them', async () => {
    // Seen two years later: at nine the mark was 15, at eleven it is 20.
    await send([await begun(at.block, 9), ...counted('x'.repeat(16) + '-')]);
    await refreshAttempts(box.context.db);
    const later = { ...box.context, today: '2027-11-24' };
    const [seen] = (await sessionReviewView(later, at.sessionId))!.blocks[0]!.lines;
    expect(seen!.gate).toEqual({ result: 15, days: 2 });
    expect(seen!.schools.byDefault.reason).toMatch(/^Reached 15 in a row on 1 day/);
    // As old as on the day it was held, not as today.
    expect((await sessionReviewView(later, at.sessionId))!.players[0]!.age).toBe(10);
  });

  test('is counted as it was scored, when the drill is changed afterwards', async () => {
    const drill = plainBook.drill('palm-up-bounce')!;
    const own = (marks: number): Drill => ({
      ...drill,
      id: 'ours',
      title: 'Ours',
      steps: drill.steps.map((step) => ({ ...step, gate: { ...step.gate, result: marks } })),
    });
    const { id } = value(await saveDrill(box.context, own(20)));
    const block = { ...at.block, drillId: id };
    value(await savePlan(box.context, at.sessionId, { ...at.plan, blocks: [block] }));
    await send([await begun(block), ...counted('x'.repeat(21) + '-')]);
    const before = [await attempts(), await line()];
    expect((before[1] as Awaited<ReturnType<typeof line>>).gate.result).toBe(20);
    value(await saveDrill(box.context, own(99), id));
    expect([await attempts(), await line()]).toEqual(before);
  });

  test('keeps its ladder when the school changes its order', async () => {
    const drill = plainBook.drills.find((one) => one.orders)!;
    const step = drill.steps[0]!;
    const block = { ...at.block, drillId: drill.id, stepId: step.id, dose: step.doses['10-12'], own: [] };
    value(await savePlan(box.context, at.sessionId, { ...at.plan, blocks: [block] }));
    await send([await begun(block), ...counted('x')]);
    await refreshAttempts(box.context.db);
    const before = await line();
    const other = drill.orders!.usual === 'feet first' ? 'swing first' : 'feet first';
    const school = { scope: 'drill', key: drill.id, question: 'order', answer: other };
    value(await chooseSchool(box.context, school));
    const now = makeBook(await bookContents(box.context.db)).drill(drill.id)!;
    expect(now.steps.map((one) => one.id)).not.toEqual(drill.steps.map((one) => one.id));
    expect((await line()).leads).toEqual(before.leads);
  });

  test('is the same plan however its parts are ordered: an older page may write them in another order', async () => {
    await held();
    const { capS, target, kind } = at.block.dose as { capS: number; target: number; kind: 'row' };
    const turned = { ...at.block, dose: { capS, target, kind } };
    await box.context.db.run(
      sql`update block set dose = ${JSON.stringify(turned.dose)} where id = ${at.block.id}`,
    );
    value(await savePlan(box.context, at.sessionId, { ...at.plan, title: 'Renamed', blocks: [at.block] }));
  });

  test('that was begun under an earlier plan is kept as it was begun, and the plan can be saved again', async () => {
    const row50 = plainBook.step('palm-up-bounce', 'row-50')!;
    const moved = { ...at.block, stepId: 'row-50', dose: row50.doses['10-12'] };
    value(await savePlan(box.context, at.sessionId, { ...at.plan, blocks: [moved] }));
    await held();
    const { revision, blocks } = value(await loadPlan(box.context, at.sessionId));
    expect(blocks[0]!.stepId).toBe('row-20');
    const next = { ...at.block, id: newId(2) };
    const again = { ...at.plan, revision, blocks: [...blocks, next] };
    expect(value(await savePlan(box.context, at.sessionId, again))).toEqual({ revision: revision + 1 });
  });

  test('stays in the plan as it was: other contents are refused, the rest is saved', async () => {
    await held();
    const row50 = plainBook.step('palm-up-bounce', 'row-50')!;
    const save = (change: object, blocks: object[] = [at.block]) =>
      savePlan(box.context, at.sessionId, { ...at.plan, ...change, blocks: blocks as never });
    for (const change of [
      { stepId: 'row-50', dose: row50.doses['10-12'] },
      { changes: ['other hand'] },
      { stations: 2 },
    ])
      expect(problem(await save({}, [{ ...at.block, ...change }]))).toMatch(/^blocks: Block 1 was held/);
    expect(problem(await save({ day: '2026-11-23' }))).toMatch(/^day: .*were held, on 2026-11-24/);
    const next = { ...at.block, id: newId(1) };
    const saved = value(await save({ bookedMin: 45, title: 'Renamed' }, [at.block, next]));
    expect(saved.revision).toBe(3);
    const view = (await sessionPlanView(box.context, at.sessionId))!;
    expect(view.held).toEqual([at.block.id]);
    // The plan shows it under the marks of its day, as the review does.
    const shown = { ...view.blocks[0]!, ...view.heldAs[at.block.id] };
    const { step } = workOf(makeBook(await bookContents(box.context.db)), shown, at.playerIds[0])!;
    expect(markFor(step, ageBandOf(ageIn(shown, { id: at.playerIds[0]!, age: 60 })))).toEqual(
      (await line()).gate,
    );
    expect(view.blocks[0]).toMatchObject({ stepId: 'row-20', stations: 1 });
  });
});

describe('a correction', () => {
  test('moves the counts to the step they were made on; the decision stays with its evidence; undo brings all back', async () => {
    await held();
    const { context } = box;
    const [playerId] = at.playerIds;
    const verdict = { blockId: at.block.id, playerId: playerId!, verdict: 'hold', target: 25 };
    value(await decide(context, [verdict]));
    const before = await line();
    expect(before.decided).toEqual({ verdict: 'hold', target: 25, overridden: true, was: null });
    const said = { blockId: at.block.id, changes: [], steps: [{ playerId, stepId: 'row-50' }] };
    const { eventIds } = value(await correctBlock(context, at.sessionId, said));
    const after = await line();
    expect(after.stepId).toBe('row-50');
    expect(after.tally.best).toBe(21);
    expect(after.decided).toMatchObject({ verdict: 'hold', target: 25 });
    expect(after.decided!.was).toMatchObject({ best: 21, results: [21], mark: before.gate, reachedDays: 1 });
    expect(await context.db.all(sql`select step_id as step from attempt`)).toEqual([{ step: 'row-50' }]);
    value(await undoCorrection(context, at.sessionId, eventIds));
    expect(await line()).toEqual(before);
    expect(problem(await undoCorrection(context, at.sessionId, ['nothing']))).toContain('not on record');
  });

  test('finds who came to a block after it was begun, and nobody who was not there', async () => {
    const record = await begun();
    const { players, ...rest } = JSON.parse(record.text!) as { players: { playerId: string }[] };
    const [first, second] = at.playerIds;
    const without = players.filter((one) => one.playerId === first);
    await send([{ ...record, text: JSON.stringify({ ...rest, players: without }) }, ...counted('xxx-', 1)]);
    const said = (playerId: string) => ({
      blockId: at.block.id,
      changes: [],
      steps: [{ playerId, stepId: 'row-50' }],
    });
    expect(problem(await correctBlock(box.context, at.sessionId, said(newId(3))))).toMatch(
      /^steps: .*was not there/,
    );
    value(await correctBlock(box.context, at.sessionId, said(second!)));
    expect(await box.context.db.all(sql`select player_id as id, step_id as step from attempt`)).toEqual([
      { id: second, step: 'row-50' },
    ]);
  });

  test('takes no step that is counted or dosed in another way', async () => {
    await held();
    const steps = [{ playerId: at.playerIds[0], stepId: 'bounce-20-s' }];
    const said = { blockId: at.block.id, changes: [], steps };
    expect(problem(await correctBlock(box.context, at.sessionId, said))).toMatch(/^steps: .*another way/);
  });

  test('may say that it was made easier: then it stands for no mark', async () => {
    await held();
    value(
      await correctBlock(box.context, at.sessionId, { blockId: at.block.id, changes: ['let it bounce'] }),
    );
    expect(await box.context.db.all(sql`select eased from attempt`)).toEqual([{ eased: 1 }]);
    expect((await line()).schools.byDefault.verdict).toBe('hold');
  });

  test('of the day moves the session and its results, and not into the future', async () => {
    await held();
    value(await correctDay(box.context, at.sessionId, { day: '2026-11-22' }));
    expect(await box.context.db.all(sql`select day from attempt`)).toEqual([{ day: '2026-11-22' }]);
    expect((await sessionPlanView(box.context, at.sessionId))!.session.day).toBe('2026-11-22');
    expect(problem(await correctDay(box.context, at.sessionId, { day: '2026-11-25' }))).toMatch(/^day: /);
  });

  test.each([
    ['a block that was not held', () => ({ blockId: newId(1), changes: [] }), /^blockId: .*not held/],
    [
      'a step counted in another way',
      () => ({
        blockId: at.block.id,
        changes: [],
        steps: [{ playerId: at.playerIds[0], stepId: 'nowhere' }],
      }),
      /^steps: /,
    ],
    ['a change there is not', () => ({ blockId: at.block.id, changes: ['flying'] }), /^changes/],
  ])('of %s is refused, and nothing is written', async (_what, input, why) => {
    await held();
    expect(problem(await correctBlock(box.context, at.sessionId, input()))).toMatch(why);
    const [{ n }] = (await box.context.db.all(
      sql`select count(*) as n from touch_event where kind = 'correct'`,
    )) as [{ n: number }];
    expect(n).toBe(0);
  });

  test('takes counts that come late, made under what was begun and under what was corrected', async () => {
    const record = await begun();
    await send([record, ...counted('xxx-')]);
    const steps = at.playerIds.map((playerId) => ({ playerId, stepId: 'row-50' }));
    value(await correctBlock(box.context, at.sessionId, { blockId: at.block.id, changes: [], steps }));
    const late = counted('xx', 1);
    await send(late);
    await refreshAttempts(box.context.db);
    const rows = await box.context.db.all(sql`select distinct step_id as step from attempt`);
    expect(rows).toEqual([{ step: 'row-50' }]);
  });
});

describe('books of before', () => {
  test('are completed once with what is known; what a device wrote half is filled, not replaced', async () => {
    const record = await begun();
    const { held: _held, ...half } = JSON.parse(record.text!) as Record<string, unknown>;
    await send([{ ...record, text: JSON.stringify(half) }, ...counted('xxxx-')]);
    const before = await attempts();
    await upgradeRecords(box.context.db);
    const written = () => box.context.db.all(sql`select kind from touch_event where device = 'server'`);
    expect(await written()).toEqual([{ kind: 'begun' }]);
    expect(await attempts()).toEqual(before);
    await upgradeRecords(box.context.db);
    expect(await completeRecords(box.context.db)).toBe(0);
    expect(await written()).toHaveLength(1);
  });
});
