import { sql } from 'drizzle-orm';
import { besideText } from '@/core/counting/beside';
import { plainBook } from '@/drills';
import { beginBlock, underOf, writeBegun } from '@/session/court/begun';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import { attemptsOfBlocks } from '@/data/log';
import { decide } from '../plan/decisions';
import { followSession, placeNow } from './follow';
import { ingestFromHelper } from './helper-ingest';
import { linkState, makeHelperLink, withdrawHelperLinks } from './helper-links';
import { courtPage, helperPage } from '../views/court-page';
import { helperView, type HelperView } from '../views/helper';
import { chooseSchool } from '../drills/teaching-styles';
import { saveDrill } from '../drills/own-drills';
import { ingestTouches } from './ingest';
import { refreshAttempts } from './results';
import { removeSession, savePlan } from '../plan/sessions';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { sessionReviewView } from '../views/session-review';
import { sessionRunView } from '../views/session-run';

let box: Awaited<ReturnType<typeof scratch>>;
let at: Awaited<ReturnType<typeof oneBlockSession>>;
let nextId: ReturnType<typeof ids>;
let nowMs = 1000;
beforeEach(async () => {
  box = await scratch();
  at = await oneBlockSession(box.context);
  nextId = ids();
  nowMs = 1000;
});
afterEach(() => box.close());

const one = (kind: EventKind, more: Partial<TouchEvent> = {}): TouchEvent => ({
  ...eventsOf('x', at.block.id, at.playerIds[0]!, nextId, (nowMs += 1000))[0]!,
  kind,
  ...more,
});
const touches = (n: number, more: Partial<TouchEvent> = {}) =>
  Array.from({ length: n }, () => one('touch', more));
const send = async (events: TouchEvent[]) => value(await ingestTouches(box.context, { events }));
const attempts = async () => {
  await refreshAttempts(box.context.db);
  return attemptsOfBlocks(box.context.db, [at.block.id]);
};

describe('attempts on record', () => {
  test('stand on the step they were made on; an easing for everybody is everybody’s', async () => {
    await send([
      ...touches(3),
      one('step', { text: 'row-50', value: 0 }),
      ...touches(5),
      one('change', { playerId: null, text: 'let it bounce', value: 1 }),
      ...touches(4),
      ...touches(2, { playerId: at.playerIds[1]! }),
    ]);
    await attempts();
    const rows = await box.context.db.all<{ step: string; result: number; eased: number }>(
      sql`select step_id as step, result, eased from attempt order by player_id, number`,
    );
    expect(rows).toEqual([
      { step: 'row-20', result: 3, eased: 0 },
      { step: 'row-50', result: 5, eased: 0 },
      { step: 'row-50', result: 4, eased: 1 },
      { step: 'row-20', result: 2, eased: 1 },
    ]);
  });

  test('say what was counted aloud, what was put right, and which ball and feed it was', async () => {
    const [ball, feed] = [one('ball', { text: 'red', value: 1 }), one('feed', { text: 'random' })];
    const report = one('result', { value: 14, attempt: 1 });
    await send([ball, feed, report, one('fix', { ref: report.id, value: 12, by: 'Ottilie' })]);
    await attempts();
    const [row] = await box.context.db.all(
      sql`select result, reported, fixed, feed, ball, eased from attempt`,
    );
    expect(row).toEqual({ result: 12, reported: 1, fixed: 1, feed: 'random', ball: 'red', eased: 1 });
  });

  test('rebuilt from the log they are the same', async () => {
    await send([...touches(3), one('step', { text: 'row-50', value: 1 }), ...touches(5), one('drop')]);
    const before = await attempts();
    await box.context.db.run(sql`update block_player set stale = 1`);
    expect(await attempts()).toEqual(before);
  });
});

test('the review judges the step a player got to, and says what was noted', async () => {
  const [first] = at.playerIds as [string];
  await send([
    ...touches(3),
    one('drop'),
    one('step', { text: 'row-50', value: 0 }),
    ...touches(6),
    one('result', { value: 9, attempt: 3 }),
    one('held', { text: 'Quiet arm' }),
    one('broke', { text: 'Quiet arm' }),
    one('note', { text: 'Best effort today', by: 'Joss' }),
  ]);
  const review = (await sessionReviewView(box.context, at.sessionId))!;
  const line = review.blocks[0]!.lines.find((one) => one.playerId === first)!;
  expect(line.stepId).toBe('row-50');
  expect(line.tally).toMatchObject({ best: 9, touches: 18, results: [6, 9] });
  expect(line).toMatchObject({ reported: 1, fixed: 0 });
  expect(line.remarks.map((one) => [one.kind, one.text, one.by])).toEqual([
    ['broke', 'Quiet arm', null],
    ['note', 'Best effort today', 'Joss'],
  ]);
  value(await decide(box.context, [{ blockId: at.block.id, playerId: first, verdict: 'hold', target: 15 }]));
  const [placed] = await box.context.db.all<{ step_id: string }>(sql`select step_id from ladder_place`);
  expect(placed!.step_id).toBe('row-50');
});

test('a run screen knows the bests of the steps a player can be moved to', async () => {
  await send([one('step', { text: 'row-50', value: 0 }), ...touches(7)]);
  const other = await oneBlockSession(box.context);
  // The same children in another session, later.
  await box.context.db.run(
    sql`update block_player set player_id = ${at.playerIds[0]!} where block_id = ${other.block.id} and player_id = ${other.playerIds[0]!}`,
  );
  await box.context.db.run(
    sql`update session_player set player_id = ${at.playerIds[0]!} where session_id = ${other.sessionId} and player_id = ${other.playerIds[0]!}`,
  );
  const view = (await sessionRunView(box.context, other.sessionId))!;
  const player = view.blocks[0]!.players.find((one) => one.playerId === at.playerIds[0])!;
  expect(player.bestEver).toBeNull();
  expect(player.bestOn).toEqual({ 'row-50': 7 });
});

test('a block that was started away from the server starts its session when the news arrives', async () => {
  await send([one('start', { playerId: null })]);
  const [row] = await box.context.db.all<{ state: string }>(sql`select state from session`);
  expect(row!.state).toBe('running');
});

describe('another device follows', () => {
  const begin = { seq: 0, id: null, epoch: '' };
  const ids_ = (events: readonly TouchEvent[]) => events.map((one) => one.id);

  test('what was stored since, once, in the order stored, and nothing of other sessions', async () => {
    const { context } = box;
    const first = await followSession(context, at.sessionId, await placeNow(context));
    expect(first).toMatchObject({
      events: [],
      reset: false,
      more: false,
      plan: { revision: 2, removed: false, presence: expect.any(String) as string },
    });
    const made = touches(3);
    await send(made);
    const second = await followSession(context, at.sessionId, first.place);
    expect(ids_(second.events)).toEqual(ids_(made));
    expect((await followSession(context, at.sessionId, second.place)).events).toEqual([]);
    const other = await oneBlockSession(context);
    expect((await followSession(context, other.sessionId, second.place)).events).toEqual([]);
    const view = (await sessionRunView(context, at.sessionId))!;
    expect((await followSession(context, at.sessionId, view.logEnd)).events).toEqual([]);
  });

  test('a late event that sorts before others is not passed over', async () => {
    await send(touches(2));
    const { place } = await followSession(box.context, at.sessionId, begin);
    const late = { ...one('touch'), id: nextId(1) };
    await send([late]);
    expect(ids_((await followSession(box.context, at.sessionId, place)).events)).toEqual([late.id]);
  });

  test('another epoch, or another event at its place, and it is told everything from the beginning', async () => {
    const made = touches(4);
    await send(made);
    const { place } = await followSession(box.context, at.sessionId, begin);
    expect((await followSession(box.context, at.sessionId, place)).reset).toBe(false);
    for (const other of [
      { ...place, epoch: 'of another book' },
      { ...place, id: nextId(1) },
      { ...place, seq: 99 },
    ]) {
      const anew = await followSession(box.context, at.sessionId, other);
      expect(anew.reset).toBe(true);
      expect(ids_(anew.events)).toEqual(ids_(made));
      expect(anew.place).toEqual(place);
    }
  });

  test('it hears of a plan that changed, was taken off the list, or is not there', async () => {
    value(await savePlan(box.context, at.sessionId, { ...at.plan, bookedMin: 45 }));
    expect((await followSession(box.context, at.sessionId, begin)).plan).toEqual({
      revision: 3,
      removed: false,
      presence: expect.any(String) as string,
    });
    value(await removeSession(box.context, at.sessionId, true));
    expect((await followSession(box.context, at.sessionId, begin)).plan).toMatchObject({ removed: true });
    expect((await followSession(box.context, 'nowhere', begin)).plan).toBeNull();
  });
});

describe('a plan that changes under a device that counts', () => {
  const begun = (block = at.block) =>
    one('begun', {
      playerId: null,
      text: writeBegun(
        beginBlock(
          plainBook,
          block,
          at.playerIds.map((id) => ({ id, age: 11, target: 20, ball: null })),
          { turns: 1, turnS: 100, atOnce: 2 },
          { day: '2026-11-26', place: 'Hall', placeId: null, coach: '' },
        ),
      ),
    });
  const row50 = plainBook.step('palm-up-bounce', 'row-50')!;
  const moved = () => ({ ...at.block, stepId: 'row-50', dose: row50.doses['10-12'] });
  const replan = (blocks: readonly object[]) =>
    savePlan(box.context, at.sessionId, { ...at.plan, blocks: blocks as never });
  const under = (block = at.block) => underOf(block, at.playerIds[0]!);
  const made = async () =>
    box.context.db.all<{ step: string; result: number }>(sql`select step_id as step, result from attempt`);

  test('what was counted on one step stays on it: the record in the log holds, not the plan', async () => {
    // Away from the server the block was begun and counted; meanwhile its step was changed at the desk.
    value(await replan([moved()]));
    await send([begun(), ...touches(6, { under: under() })]);
    await attempts();
    expect(await made()).toEqual([{ step: 'row-20', result: 6 }]);
    const view = (await sessionRunView(box.context, at.sessionId))!;
    expect(view.blocks[0]).toMatchObject({
      stepId: 'row-20',
      own: [{ stepId: 'row-20' }, { stepId: 'row-20' }],
    });
    const review = (await sessionReviewView(box.context, at.sessionId))!;
    expect(review.blocks[0]!.lines[0]).toMatchObject({ stepId: 'row-20', tally: { best: 6 } });
    value(
      await decide(box.context, [
        { blockId: at.block.id, playerId: at.playerIds[0]!, verdict: 'hold', target: 9 },
      ]),
    );
    const [placed] = await box.context.db.all<{ step_id: string }>(sql`select step_id from ladder_place`);
    expect(placed!.step_id).toBe('row-20');
  });

  test('a shot beyond the last, a zone no ring has and a result that cannot be are refused, with why', async () => {
    const step = plainBook.step('ring-target', 'underarm-throw')!;
    const ring = { ...at.block, drillId: 'ring-target', stepId: step.id, dose: step.doses['10-12'] };
    value(await replan([ring]));
    const { shots } = ring.dose as { shots: number };
    const zone = (points: number) => one('zone', { value: points });
    await send([begun(ring), ...Array.from({ length: shots - 1 }, () => zone(step.zones![0]!.points))]);
    const last = zone(0);
    const outcome = await ingestTouches(box.context, {
      events: [last, zone(1), one('result', { attempt: 2, value: 1000 }), zone(7)],
    });
    expect(outcome.refused!.map(({ index, message }) => [index, message])).toEqual([
      [1, 'is one more than the dose has, or names a zone that is not there'],
      [2, 'is more than one attempt can be'],
      [3, 'is one more than the dose has, or names a zone that is not there'],
    ]);
    // What has its place is stored; the same again is no surplus.
    expect(value(await ingestTouches(box.context, { events: [last] }))).toEqual({ stored: 1 });
    expect(value(await ingestTouches(box.context, { events: [last] }))).toEqual({ stored: 0 });
  });

  test('marks made under another plan are named, and the others of the batch are not stored either', async () => {
    value(await replan([moved()]));
    const right = touches(2, { under: under(moved()) });
    const wrong = touches(3, { under: under() });
    const outcome = await ingestTouches(box.context, { events: [right[0]!, ...wrong, right[1]!] });
    expect(problem(outcome)).toContain('Event 2 of 5 was made under another plan of its block (and 2 more');
    expect(outcome.refused!.map(({ index, id, why }) => [index, id, why])).toEqual(
      wrong.map((event, n) => [n + 1, event.id, 'plan']),
    );
    expect(value(await ingestTouches(box.context, { events: right }))).toEqual({ stored: 2 });
    // What takes a count back stays with it: else the count would be counted after all where it is attached.
    const [taken] = touches(1, { under: under() });
    const undo = one('undo', { ref: taken!.id, under: under() });
    expect((await ingestTouches(box.context, { events: [taken!, undo] })).refused).toHaveLength(2);
    // Once begun, the record is what they are held against.
    await send([begun(moved())]);
    expect((await ingestTouches(box.context, { events: touches(1, { under: under() }) })).ok).toBe(false);
    await send(touches(1, { under: under(moved()) }));
    // An older page says nothing about it: its marks are taken as they are.
    await send(touches(1));
  });

  test('a second device may begin the same block, but not another one under its name', async () => {
    await send([begun()]);
    await send([begun()]);
    const other = await ingestTouches(box.context, { events: [begun(moved())] });
    expect(other.refused).toMatchObject([{ why: 'plan' }]);
    const strange = await ingestTouches(box.context, {
      events: [one('begun', { playerId: null, text: '{}' })],
    });
    expect(strange.refused).toMatchObject([{ why: 'unsound' }]);
  });

  test('marks in a block that was taken out are all named, whoever they are of', async () => {
    value(await replan([]));
    const outcome = await ingestTouches(box.context, { events: [begun(), ...touches(2)] });
    expect(outcome.refused!.map((one) => one.why)).toEqual(['gone', 'gone', 'gone']);
  });

  test('a known id with other contents is not acknowledged; the same again is', async () => {
    const [event] = touches(1);
    await send([event!]);
    expect(await send([event!])).toEqual({ stored: 0 });
    for (const change of [{ kind: 'drop' }, { attempt: 2 }, { atMs: 5 }, { playerId: at.playerIds[1]! }])
      expect(
        (await ingestTouches(box.context, { events: [{ ...event!, ...change }] })).refused,
      ).toMatchObject([{ why: 'contents', id: event!.id }]);
  });

  test('an id that comes twice in one batch with other contents is told; the same twice is one', async () => {
    const [mark] = touches(1);
    const twin = { ...mark!, attempt: 2 };
    const outcome = await ingestTouches(box.context, { events: [mark!, twin] });
    expect(outcome.refused).toEqual([
      expect.objectContaining({
        index: 1,
        id: mark!.id,
        why: 'contents',
        message: expect.stringContaining('comes twice'),
      }),
    ]);
    expect(value(await ingestTouches(box.context, { events: [mark!, mark!] }))).toEqual({ stored: 1 });
  });

  test('a value with more digits than the database keeps is the same when it is sent again', async () => {
    const event = one('touch', { value: 1 / 3 });
    await send([event]);
    expect(await send([event])).toEqual({ stored: 0 });
    expect((await ingestTouches(box.context, { events: [{ ...event, value: 0.34 }] })).refused).toMatchObject(
      [{ why: 'contents' }],
    );
  });

  test('a clock or an id from far ahead is refused by name', async () => {
    const dayMs = 24 * 3600 * 1000;
    const later = Math.round(box.context.nowMs + 1.1 * dayMs);
    for (const strange of [
      one('touch', { atMs: later }),
      { ...one('touch'), id: nextId(later) },
      { ...one('touch'), id: 'ZZZZZZZZZZZZZZZZZZZZZZZZZZ' },
      one('start', {}),
    ])
      expect((await ingestTouches(box.context, { events: [strange] })).refused).toMatchObject([
        { why: 'unsound' },
      ]);
    const soon = Math.round(box.context.nowMs + 0.9 * dayMs);
    await send([{ ...one('touch', { atMs: soon }), id: ids(5)(soon) }]);
  });
});

describe('a helper’s link', () => {
  const link = async (name = '') =>
    value(await makeHelperLink(box.context, at.sessionId, at.playerIds[0]!, { name })).token;
  const help = (token: string, events: readonly TouchEvent[]) =>
    ingestFromHelper(box.context, token, { events });
  const stored = () =>
    box.context.db.all<{ kind: string; by: string | null; device: string }>(
      sql`select kind, by, device from touch_event order by seq`,
    );

  test('shows the one child, and of everything else only what the clock is made of', async () => {
    const { context } = box;
    await send([
      ...touches(2),
      one('note', { text: 'Her mother has the flu' }),
      one('note', { playerId: null, text: 'Group was wild' }),
      one('held', { text: 'Quiet arm' }),
      one('start', { playerId: null }),
      ...touches(2, { playerId: at.playerIds[1]! }),
      one('breathless', { by: 'Joss', value: 1 }),
    ]);
    await context.db.run(sql`update player set care_note = 'Asthma'`);
    await context.db.run(sql`update session set coach = 'Joss', title = 'The slow group'`);
    value(
      await chooseSchool(context, { scope: 'coach', key: 'Joss', question: 'backhand', answer: 'one hand' }),
    );
    value(
      await chooseSchool(context, {
        scope: 'player',
        key: at.playerIds[1]!,
        question: 'backhand',
        answer: 'one hand',
      }),
    );
    const own = { ...plainBook.drill('carry')!, title: 'Our secret drill' };
    value(await saveDrill(context, own));
    const view = await helperView(context, await link());
    if ('kind' in view) throw new Error(view.kind);
    expect(Object.keys(view).sort()).toEqual([
      'blocks',
      'build',
      'contents',
      'events',
      'helper',
      'logEnd',
      'players',
      'session',
    ]);
    expect(view.players).toEqual([
      { id: at.playerIds[0], name: 'Ada', age: 10, sport: 'tennis', hand: 'right', stage: null, number: 1 },
    ]);
    expect(view.events.map((event) => event.kind)).toEqual(['touch', 'touch', 'start', 'breathless']);
    const all = JSON.stringify(view);
    for (const secret of [
      at.playerIds[1]!,
      '"Bo"',
      'flu',
      'wild',
      'Asthma',
      'Quiet arm',
      'Joss',
      'slow group',
      'secret',
      'careNote',
    ])
      expect(all).not.toContain(secret);
    // The coach's school acts all the same.
    expect(view.contents.choices).toEqual([
      { scope: 'coach', key: '', question: 'backhand', answer: 'one hand' },
    ]);
  });

  test('is renewed as it was opened, or told why not', async () => {
    const token = await link();
    const opened = await helperPage(box.context, token);
    if ('kind' in opened) throw new Error(opened.kind);
    expect(Object.keys(opened.view)).not.toContain('contents');
    expect(opened.house.places).toEqual([]);
    // It travels as JSON, and must arrive as it was.
    expect(JSON.parse(JSON.stringify(opened))).toEqual(opened);
    const coachs = await courtPage(box.context, at.sessionId);
    expect(JSON.parse(JSON.stringify(coachs))).toEqual(coachs);
    expect(coachs!.view.session.id).toBe(at.sessionId);
    expect(await courtPage(box.context, 'nowhere')).toBeNull();
    value(await withdrawHelperLinks(box.context, at.sessionId, at.playerIds[0]!));
    expect(await helperPage(box.context, token)).toEqual({ kind: 'revoked' });
  });

  test('counts its child, signed by the link and on a device of its own, whatever it says', async () => {
    const token = await link('Uncle Bram');
    const state = await linkState(box.context, token);
    if (state.kind !== 'open') throw new Error(state.kind);
    const events = [
      ...touches(2, { by: 'The coach', device: 'bench-tablet' }),
      one('note', { text: 'Well done' }),
    ];
    expect(value(await help(token, events))).toEqual({ stored: 3 });
    // Sent again it is the same, not another.
    expect(value(await help(token, events))).toEqual({ stored: 0 });
    // Batches close together are one use of the link; a token of another scope opens nothing.
    expect(await box.context.db.all(sql`select scope, uses from helper_link`)).toEqual([
      { scope: 'count', uses: 1 },
    ]);
    for (const row of await stored()) {
      expect(row.by).toBe('Uncle Bram (helper)');
      expect(row.device).toMatch(new RegExp(`^${state.sign}`));
    }
    const seen = (await helperView(box.context, token)) as HelperView;
    expect(seen.events.map((event) => event.text)).toEqual([null, null, 'Well done']);
  });

  test('takes nothing else', async () => {
    const token = await link();
    const [coachs] = touches(1);
    await send([coachs!]);
    const before = (await stored()).length;
    const refusedAs = async (event: TouchEvent) =>
      (await help(token, [...touches(1), event])).refused?.map((r) => r.message);
    expect(await refusedAs(one('touch', { playerId: at.playerIds[1]! }))).toEqual([
      expect.stringContaining('does not count'),
    ]);
    for (const kind of ['start', 'end', 'pause', 'skip', 'out', 'swap'] as const)
      expect(await refusedAs(one(kind, { playerId: null, value: 1 }))).toEqual([
        expect.stringContaining('does not count'),
      ]);
    for (const kind of ['step', 'ball', 'feed', 'change', 'breathless', 'held', 'broke'] as const)
      expect(await refusedAs(one(kind, { text: 'x' }))).toEqual([
        expect.stringContaining('counts, and nothing else'),
      ]);
    for (const kind of ['undo', 'fix'] as const)
      expect(await refusedAs(one(kind, { ref: coachs!.id, value: 3 }))).toEqual([
        expect.stringContaining('not made by this link'),
      ]);
    // No free text stands where none belongs: not on a mark, and not as an answer nobody asked for.
    expect(await refusedAs(one('touch', { text: 'Ilva has asthma' }))).toEqual([
      expect.stringContaining('text must be empty on a touch'),
    ]);
    const [marked] = touches(1);
    const beside = (text: string) => help(token, [marked!, one('beside', { ref: marked!.id, text })]);
    expect((await beside('Ilva: has asthma')).refused?.map((r) => r.message)).toEqual([
      'answers what no step asks',
    ]);
    expect((await stored()).length).toBe(before);
    const asked = plainBook.drills.flatMap((drill) => drill.steps).find((step) => step.beside)!.beside!;
    value(await beside(besideText(asked.question, asked.answers[0]!)));
    // Its own marks it may take back and put right, in the same batch and later.
    const [own, other] = touches(2);
    value(await help(token, [own!, other!, one('undo', { ref: own!.id })]));
    value(await help(token, [one('fix', { ref: other!.id, value: 4 })]));
  });

  test('one for everybody counts everybody in that session, and nobody else; it stands beside a child’s own', async () => {
    const own = await link();
    const token = value(await makeHelperLink(box.context, at.sessionId, null, { name: 'Bram' })).token;
    const view = await helperView(box.context, token);
    if ('kind' in view) throw new Error(view.kind);
    expect(view.players.map(({ id }) => id)).toEqual(at.playerIds);
    expect(value(await help(token, [...touches(1), one('touch', { playerId: at.playerIds[1]! })]))).toEqual({
      stored: 2,
    });
    const stranger = one('touch', { playerId: '0'.repeat(26) });
    expect(problem(await help(token, [stranger]))).toContain('does not count');
    expect((await linkState(box.context, own)).kind).toBe('open');
    value(await withdrawHelperLinks(box.context, at.sessionId, null));
    expect([(await linkState(box.context, own)).kind, (await linkState(box.context, token)).kind]).toEqual([
      'open',
      'revoked',
    ]);
  });

  test('does not reach into another session of the same child, or one taken off the list', async () => {
    const token = await link();
    const other = await oneBlockSession(box.context);
    const events = touches(1, { blockId: other.block.id });
    expect(problem(await help(token, events))).toContain('not in the plan');
    value(await removeSession(box.context, at.sessionId, true));
    expect(problem(await help(token, touches(1)))).toContain('was removed');
    expect(await helperView(box.context, token)).toEqual({ kind: 'removed' });
  });

  test('only a hash of it is kept, a new one ends the old one, and it can be withdrawn', async () => {
    const [first, second] = [await link(), await link()];
    const kept = JSON.stringify(await box.context.db.all(sql`select * from helper_link`));
    expect(kept).not.toContain(first);
    expect(kept).not.toContain(second);
    expect((await linkState(box.context, first)).kind).toBe('revoked');
    expect((await linkState(box.context, second)).kind).toBe('open');
    value(await withdrawHelperLinks(box.context, at.sessionId, at.playerIds[0]!));
    expect((await linkState(box.context, second)).kind).toBe('revoked');
    expect(problem(await help(second, touches(1)))).toContain('withdrawn by the coach');
  });

  test('is over after twelve hours, and a made-up one is unknown', async () => {
    const token = await link();
    const later = { ...box.context, nowMs: box.context.nowMs + 12 * 3600 * 1000 };
    expect((await linkState(later, token)).kind).toBe('expired');
    for (const strange of ['', 'x', "' or 1=1 --", 'A'.repeat(22)])
      expect((await linkState(box.context, strange)).kind).toBe('unknown');
    expect(await helperView(box.context, 'A'.repeat(22))).toEqual({ kind: 'unknown' });
    expect(problem(await makeHelperLink(box.context, at.sessionId, 'nobody'))).toContain(
      'not in the session',
    );
    expect(
      problem(await makeHelperLink(box.context, at.sessionId, at.playerIds[0]!, { name: 'x'.repeat(41) })),
    ).toContain('name is too long');
  });
});
