import { courseChanges, sessionsOfCourses } from '@/data/courses';
import { sessionNotes } from '@/server/readers/notes';
import { daysLater } from '@/core/plan/weekly';
import { plainBook } from '@/drills';
import { ownWorkFor } from '@/session/base/plan';
import { courseBlocks } from '@/session/plan/course/plan';
import { timePlan } from '@/session/plan/time-plan';
import type { Context } from '@/server/base/context';
import { loadPlan, savePlan, createSession, removeSession } from '../sessions';
import { savePlayer } from '@/server/players/squad';
import { placePlayer } from '@/server/players/standing';
import { ada, booking, problem, scratch, value } from '@/server/testing/scratch';
import { courseView } from '@/server/views/course';
import { courseGroups, coursesView } from '@/server/views/courses';
import { makeCourse, removeCourse } from './courses';
import { followedBy, replanCourse, sessionsDecided } from './replan';

let context: Context;
let close: () => void;
let playerIds: string[];
let fromId: string;
const drillId = 'palm-up-bounce';
const ladder = plainBook.drill(drillId)!.steps;
const goal = ladder[4]!;
const days = [0, 7, 14, 28, 35].map((n) => daysLater('2026-12-01', n));
const wish = (more = {}) => ({ title: 'Bounces', drillId, stepId: goal.id, fromId, days, ...more });

beforeAll(async () => {
  ({ context, close } = await scratch());
  playerIds = [];
  for (const name of ['Ada', 'Bo'])
    playerIds.push(value(await savePlayer(context, { ...ada, name, sure: true })).id);
  fromId = value(await createSession(context, { ...booking, bookedMin: 45, playerIds })).id;
});
afterAll(() => close());

test('what cannot be a course says what to change', async () => {
  expect(problem(await makeCourse(context, wish({ days: [] })))).toContain(
    '0 chosen, and a course has 4 to 12',
  );
  expect(problem(await makeCourse(context, wish({ days: days.slice(0, 3) })))).toContain('3 chosen');
  expect(
    problem(
      await makeCourse(
        context,
        wish({ days: Array.from({ length: 13 }, (_, n) => daysLater('2026-12-01', n)) }),
      ),
    ),
  ).toContain('At most 12');
  expect(problem(await makeCourse(context, wish({ days: [...days.slice(1), days[1]] })))).toContain(
    'named twice',
  );
  expect(problem(await makeCourse(context, wish({ days: [...days, '2026-11-20'] })))).toContain(
    'is past; begin today',
  );
  expect(problem(await makeCourse(context, wish({ stepId: 'none' })))).toContain('not on the list');
  value(
    await placePlayer(context, {
      playerId: playerIds[0],
      drillId: 'clap-and-catch',
      stepId: plainBook.drill('clap-and-catch')!.steps[2]!.id,
    }),
  );
  value(
    await placePlayer(context, {
      playerId: playerIds[1],
      drillId: 'clap-and-catch',
      stepId: plainBook.drill('clap-and-catch')!.steps[1]!.id,
    }),
  );
  const easy = { drillId: 'clap-and-catch', stepId: plainBook.drill('clap-and-catch')!.steps[0]!.id };
  expect(problem(await makeCourse(context, wish(easy)))).toContain('beyond this step already');
  const [group] = await courseGroups(context);
  expect(group).toMatchObject({ id: fromId, names: ['Ada', 'Bo'], furthest: { 'clap-and-catch': 2 } });
  expect(problem(await makeCourse(context, wish({ title: ' ' })))).toContain('Name is empty');
  expect(problem(await makeCourse(context, wish({ fromId: context.newId() })))).toContain('not on record');
});

let id: string;
test('its days are booked and planned: a retest of the one before, a rung a session at most, a challenge for home', async () => {
  ({ id } = value(await makeCourse(context, wish())));
  const sessions = await sessionsOfCourses(context.db, [id]);
  expect(sessions.map(({ day, title }) => [day, title])).toEqual(
    days.map((day, index) => [day, `Bounces, ${index + 1} of 5`]),
  );
  for (const [index, { sessionId, rungs }] of sessions.entries()) {
    const plan = value(await loadPlan(context, sessionId));
    expect(plan).toMatchObject({ playerIds, bookedMin: 45, startTime: booking.startTime });
    const { retest, work } = courseBlocks(plan.blocks, { drillId, stepId: goal.id });
    expect(work).toBeDefined();
    expect(retest === undefined).toBe(index === 0);
    expect(plan.blocks.length).toBeGreaterThan(2);
    const players = playerIds.map((one) => ({ id: one, age: 10 }));
    expect(timePlan(plainBook, plan.blocks, players, [], 45).totalS).toBeLessThanOrEqual(45 * 60 + 1);
    const notes = await sessionNotes(context.db, sessionId);
    expect(notes.notes.map(({ text }) => text).join()).toContain('Home challenge: ');
    if (index === 0) continue;
    const before = JSON.parse(sessions[index - 1]!.rungs) as Record<string, string>;
    const now = JSON.parse(rungs) as Record<string, string>;
    for (const one of playerIds) {
      const step = (of: Record<string, string>) => ladder.findIndex((rung) => rung.id === of[one]);
      expect(step(now) - step(before)).toBeGreaterThanOrEqual(0);
      expect(step(now) - step(before)).toBeLessThanOrEqual(1);
      // Two who stand on rungs that are counted in different ways do one of them in one block.
      const asked = ownWorkFor(plainBook, retest!, { id: one, age: 10 }, before[one]).stepId;
      expect(retest!.own.find(({ playerId }) => playerId === one)!.stepId).toBe(asked);
    }
  }
});

test('its page says who will stand where, as a range, and how likely the goal is', async () => {
  const view = (await courseView(context, id))!;
  expect(view.sessions).toHaveLength(5);
  expect(view.children.map(({ name }) => name)).toEqual(['Ada', 'Bo']);
  for (const child of view.children) {
    expect(child.cells.map(({ state }) => state)).toEqual(Array.from({ length: 5 }, () => 'planned'));
    expect(child.cells.every(({ words }) => /^(\d+|passed)( to (\d+|passed))?$/.test(words))).toBe(true);
    expect(child.chance).toMatch(/by the end$/);
  }
  expect(await courseView(context, context.newId())).toBeNull();
  expect((await coursesView(context)).map(({ title, sessions }) => [title, sessions])).toEqual([
    ['Bounces', 5],
  ]);
});

test('after what really happened the rest is planned again, in words; a coach’s own word stays', async () => {
  const sessions = await sessionsOfCourses(context.db, [id]);
  // Bo is put elsewhere by hand in the second session.
  const second = sessions[1]!.sessionId;
  const plan = value(await loadPlan(context, second));
  const { work } = courseBlocks(plan.blocks, { drillId, stepId: goal.id });
  const blocks = plan.blocks.map((block) =>
    block.id === work!.id
      ? {
          ...block,
          own: block.own.map((own) => (own.playerId === playerIds[1] ? { ...own, out: true } : own)),
        }
      : block,
  );
  value(await savePlan(context, second, { ...plan, blocks }));

  value(await placePlayer(context, { playerId: playerIds[0], drillId, stepId: ladder[3]!.id }));
  const { text } = value(await replanCourse(context, id));
  expect(text).toMatch(/^Ada is further on: “.+” on .+ instead of “.+”\.$/);
  expect((await courseView(context, id))!.changes.map((one) => one.text)).toEqual([text]);
  const first = value(await loadPlan(context, sessions[0]!.sessionId));
  const moved = courseBlocks(first.blocks, { drillId, stepId: goal.id }).work!;
  expect(moved.own.find(({ playerId }) => playerId === playerIds[0])!.stepId).toBe(ladder[3]!.id);
  expect(first.blocks.map((block) => block.drillId)).toContain(drillId);
  const kept = courseBlocks(value(await loadPlan(context, second)).blocks, {
    drillId,
    stepId: goal.id,
  }).work!;
  expect(kept.own.find(({ playerId }) => playerId === playerIds[1])!.out).toBe(true);
  // Nothing has changed since: nothing is said, and no plan is touched that somebody may have open.
  const revisions = async () =>
    Promise.all(sessions.map(async ({ sessionId }) => value(await loadPlan(context, sessionId)).revision));
  const before = await revisions();
  expect(value(await replanCourse(context, id)).text).toBe('');
  expect(await revisions()).toEqual(before);
  // The page has what the plan has: Bo sits the second session out.
  expect((await courseView(context, id))!.children[1]!.cells[1]!.step).toBeNull();
  expect(await courseChanges(context.db, id)).toHaveLength(1);
  const note = await sessionNotes(context.db, sessions[0]!.sessionId);
  expect(note.notes.filter((one) => one.text.startsWith('Home challenge'))).toHaveLength(1);
});

test('a finished session and a decision are followed by it; what is no decision is about no session', async () => {
  const sessions = await sessionsOfCourses(context.db, [id]);
  value(await placePlayer(context, { playerId: playerIds[0], drillId, stepId: ladder[0]!.id }));
  const outcome = await followedBy(context, { ok: true, value: null }, [sessions[0]!.sessionId]);
  expect(outcome.ok).toBe(true);
  const [newest] = await courseChanges(context.db, id);
  expect(newest).toMatchObject({ sessionId: sessions[0]!.sessionId });
  expect((await courseView(context, id))!.changes[0]!.text).toContain('Ada takes more time');
  // Kept without names: whoever is removed for good leaves none behind.
  expect(newest!.moves).not.toContain('Ada');
  const plan = value(await loadPlan(context, sessions[0]!.sessionId));
  expect(await sessionsDecided(context, [{ blockId: plan.blocks[0]!.id }, { blockId: 7 }, null])).toEqual([
    sessions[0]!.sessionId,
  ]);
  expect(await sessionsDecided(context, 'nothing')).toEqual([]);
});

test('a child who comes to the group later is planned for from then on', async () => {
  const sessions = await sessionsOfCourses(context.db, [id]);
  const last = sessions.at(-1)!.sessionId;
  const third = value(await savePlayer(context, { ...ada, name: 'Cy', sure: true })).id;
  const plan = value(await loadPlan(context, last));
  value(await savePlan(context, last, { ...plan, playerIds: [...plan.playerIds, third] }));
  value(await placePlayer(context, { playerId: playerIds[0], drillId, stepId: ladder[2]!.id }));
  value(await replanCourse(context, id));
  const view = (await courseView(context, id))!;
  expect(view.children.map(({ name }) => name)).toEqual(['Ada', 'Bo', 'Cy']);
  expect(view.children[2]!.cells.every(({ step }) => step === null || step >= 1)).toBe(true);
  const { work } = courseBlocks(value(await loadPlan(context, last)).blocks, { drillId, stepId: goal.id });
  expect(work!.own.map(({ playerId }) => playerId).sort()).toEqual([...playerIds, third].sort());
});

test('a session taken off the list is left out; a course too, and comes back', async () => {
  const [first] = await sessionsOfCourses(context.db, [id]);
  value(await removeSession(context, first!.sessionId, true));
  expect((await courseView(context, id))!.sessions).toHaveLength(4);
  value(await removeCourse(context, id, true));
  expect(await coursesView(context)).toEqual([]);
  expect(problem(await replanCourse(context, id))).toContain('not on record');
  value(await removeCourse(context, id, false));
  expect(await coursesView(context)).toHaveLength(1);
});
