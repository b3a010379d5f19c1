import { sql } from 'drizzle-orm';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import { attemptsOfBlocks } from '@/data/log';
import { decide } from './decisions';
import { followSession } from './follow';
import { helperView, ingestFromHelper, linkState, makeHelperLink, withdrawHelperLinks } from './helper-links';
import { ingestTouches } from './ingest';
import { refreshAttempts } from './results';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from './testing/scratch';
import { sessionReviewView } from './views/session-review';
import { sessionRunView } from './views/session-run';

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
  test('what was stored since, once, in the order stored, and nothing of other sessions', async () => {
    const { context } = box;
    const first = await followSession(context, at.sessionId, 0);
    expect(first).toMatchObject({ events: [], after: 0 });
    const made = touches(3);
    await send(made);
    const second = await followSession(context, at.sessionId, first.after);
    expect(second.events.map((one) => one.id)).toEqual(made.map((one) => one.id));
    expect((await followSession(context, at.sessionId, second.after)).events).toEqual([]);
    const other = await oneBlockSession(context);
    expect((await followSession(context, other.sessionId, 0)).events).toEqual([]);
    const view = (await sessionRunView(context, at.sessionId))!;
    expect((await followSession(context, at.sessionId, view.logEnd)).events).toEqual([]);
  });

  test('a late event that sorts before others is not passed over', async () => {
    await send(touches(2));
    const { after } = await followSession(box.context, at.sessionId, 0);
    const late = { ...one('touch'), id: nextId(1) };
    await send([late]);
    expect((await followSession(box.context, at.sessionId, after)).events.map((one) => one.id)).toEqual([
      late.id,
    ]);
  });
});

describe('a helper’s link', () => {
  const link = async () => value(await makeHelperLink(box.context, at.sessionId, at.playerIds[0]!)).token;

  test('shows the one child and takes counts of nobody else', async () => {
    const token = await link();
    const view = await helperView(box.context, token);
    if ('kind' in view) throw new Error(view.kind);
    expect(view.players.map((player) => player.name)).toEqual(['Ada']);
    expect(view.blocks[0]!.players).toHaveLength(1);
    expect(JSON.stringify(view)).not.toContain(at.playerIds[1]!);
    const events = touches(3, { by: 'Helper' });
    expect(value(await ingestFromHelper(box.context, token, { events }))).toEqual({ stored: 3 });
    const stranger = touches(1, { playerId: at.playerIds[1]! });
    expect(
      problem(await ingestFromHelper(box.context, token, { events: [...touches(1), ...stranger] })),
    ).toContain('Event 2 of 2 is about somebody else');
    expect(
      problem(await ingestFromHelper(box.context, token, { events: [one('start', { playerId: null })] })),
    ).toContain('somebody else');
    const news = await followSession(box.context, at.sessionId, 0, at.playerIds[1]!);
    expect(news.events).toEqual([]);
  });

  test('does not reach into another session of the same child', async () => {
    const token = await link();
    const other = await oneBlockSession(box.context);
    const events = touches(1, { blockId: other.block.id });
    expect(problem(await ingestFromHelper(box.context, token, { events }))).toContain('not in the plan');
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
    expect(problem(await ingestFromHelper(box.context, second, { events: touches(1) }))).toContain(
      'withdrawn by the coach',
    );
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
  });
});
