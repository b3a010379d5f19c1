import { sql } from 'drizzle-orm';
import { followSession, placeNow } from '../court/follow';
import { refreshAttempts } from '../court/results';
import { ingestTouches } from '../court/ingest';
import { sessionPlanView } from '../views/session-plan';
import { sessionReviewView } from '../views/session-review';
import { sessionRunView } from '../views/session-run';
import { sessionsView } from '../views/sessions';
import { squadView } from '../views/squad';
import { todayView } from '../views/today';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { sayAttendance, sayHeld, sayNotHeld } from './attendance';
import { finishSession, savePlan } from './sessions';

let box: Awaited<ReturnType<typeof scratch>>;
let at: Awaited<ReturnType<typeof oneBlockSession>>;
beforeEach(async () => {
  box = await scratch();
  at = await oneBlockSession(box.context);
});
afterEach(() => box.close());

const newId = ids(5);
const say = (seat: number, attendance: string | null) =>
  sayAttendance(box.context, at.sessionId, { playerIds: [at.playerIds[seat]], attendance });
const count = async (seat: number, sessionContext = box.context) =>
  value(
    await ingestTouches(sessionContext, {
      events: eventsOf('xxx-', at.block.id, at.playerIds[seat]!, newId, box.context.nowMs),
    }),
  );
const later = () => ({ ...box.context, today: '2026-11-25' });

test('numbers are given by the list and kept: whoever comes after somebody who is absent keeps theirs', async () => {
  const numbers = async () =>
    (await sessionRunView(box.context, at.sessionId))!.players.map(({ name, number }) => [name, number]);
  expect(await numbers()).toEqual([
    ['Ada', 1],
    ['Bo', 2],
  ]);
  value(await say(0, 'absent'));
  expect(await numbers()).toEqual([['Bo', 2]]);
});

test('a child is as old as on the session’s day, in January too', async () => {
  const ageIn = async (day: string) => {
    await box.context.db.run(sql`update session set day = ${day} where id = ${at.sessionId}`);
    const [plan, run, review] = await Promise.all([
      sessionPlanView(box.context, at.sessionId),
      sessionRunView(box.context, at.sessionId),
      sessionReviewView(box.context, at.sessionId),
    ]);
    const own = ({ id }: { readonly id: string }) => id === at.playerIds[0];
    expect(plan!.squad.find(own)!.age).toBe(run!.players.find(own)!.age);
    expect(review).not.toBeNull();
    return run!.players.find(own)!.age;
  };
  expect(await ageIn('2027-01-02')).toBe((await ageIn('2026-12-31')) + 1);
});

describe('who was there', () => {
  test('is what the coach says; who had counts was there, where nobody said otherwise', async () => {
    await count(0);
    value(await say(1, 'late'));
    value(await finishSession(box.context, at.sessionId));
    const [first, second] = at.playerIds;
    const review = (await sessionReviewView(box.context, at.sessionId))!;
    expect(review.attendance).toEqual({ [first!]: 'here', [second!]: 'late' });
    await refreshAttempts(box.context.db);
    const squad = (await squadView(box.context)).players;
    expect(squad.map(({ sessions, days }) => [sessions, days])).toEqual([
      [1, 1],
      [1, 0],
    ]);
    value(await say(1, 'absent'));
    expect((await squadView(box.context)).players[1]).toMatchObject({ sessions: 0 });
  });

  test('who is absent gets no turn on court, and the plan and Today reckon without them', async () => {
    const own = [{ playerId: at.playerIds[1]!, stepId: at.block.stepId, amount: 200, out: false }];
    value(await savePlan(box.context, at.sessionId, { ...at.plan, blocks: [{ ...at.block, own }] }));
    const before = (await todayView(box.context)).sessions[0]!;
    value(await say(1, 'absent'));
    const run = (await sessionRunView(box.context, at.sessionId))!;
    expect(run.players.map(({ id }) => id)).toEqual([at.playerIds[0]]);
    expect(run.blocks[0]!.players).toHaveLength(1);
    const today = (await todayView(box.context)).sessions[0]!;
    // Who has the most to do is not there: it takes less time.
    expect(today.time.totalS).toBeLessThan(before.time.totalS);
    expect(today.coming.map(({ attendance }) => attendance)).toEqual([null, 'absent']);
    expect((await sessionPlanView(box.context, at.sessionId))!.absent).toEqual([at.playerIds[1]]);
    value(await say(1, null));
    expect((await sessionRunView(box.context, at.sessionId))!.players).toHaveLength(2);
  });

  test('an open court screen hears of it, and shows who is left', async () => {
    const seen = async () => (await sessionRunView(box.context, at.sessionId))!;
    const heard = async () =>
      (await followSession(box.context, at.sessionId, await placeNow(box.context))).plan!.presence;
    const before = await seen();
    expect(await heard()).toBe(before.presence);
    value(await say(0, 'late'));
    // Who is late has their turn all the same: nothing is drawn again.
    expect(await heard()).toBe(before.presence);
    value(await say(1, 'absent'));
    const after = await seen();
    expect(await heard()).toBe(after.presence);
    expect(after.presence).not.toBe(before.presence);
    expect(after.listed.map(({ name }) => name)).toEqual(['Ada', 'Bo']);
    expect(after.attendance).toEqual({ [at.playerIds[0]!]: 'late', [at.playerIds[1]!]: 'absent' });
  });

  test('counts of somebody who is said to be absent are still shown', async () => {
    await count(1);
    value(await say(1, 'absent'));
    expect((await sessionRunView(box.context, at.sessionId))!.players).toHaveLength(2);
  });

  test.each([
    [{ playerIds: ['nobody'], attendance: 'here' }, /^playerIds: .*not on this session/],
    [{ playerIds: [], attendance: 'here' }, /^playerIds/],
    [{ playerIds: ['x'], attendance: 'asleep' }, /^attendance: .*here, late, left, absent/],
  ])('%j is refused', async (input, why) =>
    expect(problem(await sayAttendance(box.context, at.sessionId, input))).toMatch(why),
  );
});

describe('a session whose day is over', () => {
  const unsaid = async () => (await sessionsView(later(), 0)).unsaid.map(({ id }) => id);

  test('and that nobody ran is asked about, until somebody says what happened', async () => {
    expect((await sessionsView(box.context, 0)).unsaid).toEqual([]);
    expect(await unsaid()).toEqual([at.sessionId]);
    expect((await todayView(later())).unsaid).toHaveLength(1);
    value(await sayNotHeld(later(), at.sessionId, { why: 'rain' }));
    expect(await unsaid()).toEqual([]);
    expect((await sessionsView(later(), 0)).past[0]).toMatchObject({ notHeld: 'rain', state: 'planned' });
    value(await sayNotHeld(later(), at.sessionId, { why: null }));
    value(await sayHeld(later(), at.sessionId, true));
    expect((await sessionsView(later(), 0)).past[0]).toMatchObject({ notHeld: null, state: 'finished' });
    value(await sayHeld(later(), at.sessionId, false));
    expect(await unsaid()).toEqual([at.sessionId]);
  });

  test('and that has counts was held: it cannot be said not to have been', async () => {
    await count(0);
    expect(problem(await sayNotHeld(later(), at.sessionId, { why: 'rain' }))).toMatch(/^why: .*has counts/);
    expect(problem(await sayNotHeld(later(), at.sessionId, { why: ' ' }))).toMatch(/^why: Reason is empty/);
  });

  test('one that is still to come cannot have been held', async () => {
    const before = { ...box.context, today: '2026-11-23' };
    expect(problem(await sayHeld(before, at.sessionId, true))).toContain('still to come');
  });
});
