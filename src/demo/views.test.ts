import { plainBook } from '@/drills';
import type { Context } from '@/server/base/context';
import { dayAfter } from '@/server/base/days';
import { playerView } from '@/server/views/player';
import { sessionPlanView } from '@/server/views/session-plan';
import { sessionReviewView } from '@/server/views/session-review';
import { sessionRunView } from '@/server/views/session-run';
import { sessionsAPage, sessionsView } from '@/server/views/sessions';
import { squadView } from '@/server/views/squad';
import { todayView } from '@/server/views/today';
import { demoScratch, demoToday } from './testing/demo-scratch';

/* What the screens are given, read on five weeks of the demo: one making, many questions. */
let context: Context;
let close: () => void;
beforeAll(async () => {
  ({ context, close } = await demoScratch(5));
}, 60_000);
afterAll(() => close());

test('today: what is on with its tape, what is next, what was last', async () => {
  const view = await todayView(context);
  expect(view.sessions.map((session) => session.day)).toEqual([demoToday, demoToday]);
  expect(view.next.every((session) => session.day > demoToday)).toBe(true);
  expect(view.last.every((session) => session.day < demoToday && session.state === 'finished')).toBe(true);
  for (const { time, blockCount, titles } of view.sessions) {
    expect(time.blocks).toHaveLength(blockCount);
    expect(titles.every((title) => title.length > 0)).toBe(true);
  }
  const aims = view.sessions.flatMap((session) => session.coming.map((player) => player.target));
  expect(aims.some((aim) => aim !== null && /^[1-9]/.test(aim.text) && aim.reason.length > 10)).toBe(true);
});

test('sessions: page by page, each once, newest first', async () => {
  const pages = [await sessionsView(context, 0), await sessionsView(context, 1)];
  expect(pages.map((page) => page.more)).toEqual([true, false]);
  expect(pages[0]!.past).toHaveLength(sessionsAPage);
  const all = pages.flatMap((page) => page.past);
  expect(new Set(all.map((session) => session.id)).size).toBe(all.length);
  const days = all.map((session) => session.day);
  expect(days).toEqual([...days].sort().reverse());
  expect((await sessionsView(context, 99)).past).toEqual([]);
});

test('a player: bests match the attempts on the chart, twelve weeks or all', async () => {
  const { players } = await squadView(context);
  const id = players.find((player) => player.name.startsWith('Nessa'))!.id;
  const view = (await playerView(context, id, 'palm-up-bounce'))!;
  const chart = view.chart!;
  expect(chart.drillId).toBe('palm-up-bounce');
  for (const best of view.bests.filter((one) => one.drillId === 'palm-up-bounce')) {
    const results = chart.attempts
      .filter((attempt) => attempt[2] === best.stepId)
      .map((attempt) => attempt[3]);
    expect(Math.max(...results)).toBe(best.best);
  }
  // Seen from half a year later, twelve weeks are empty and all time is not.
  const later = { ...context, today: dayAfter(demoToday, 180) };
  expect((await playerView(later, id, 'palm-up-bounce'))!.chart!.attempts).toEqual([]);
  expect((await playerView(later, id, 'palm-up-bounce', true))!.chart!.attempts).toHaveLength(
    chart.attempts.length,
  );
  // A drill never done falls back to the one done last.
  expect((await playerView(context, id, 'table-and-wall'))!.chart!.drillId).toBe(view.bests[0]!.drillId);
});

test('squad: the last four weeks are less than all', async () => {
  const { players } = await squadView(context);
  for (const player of players) {
    const whole = (await playerView(context, player.id))!.bests.reduce((sum, best) => sum + best.touches, 0);
    expect(player.touches).toBeGreaterThan(0);
    expect(player.touches).toBeLessThan(whole);
  }
});

test('plan, run and review of the same session tell the same story', async () => {
  const [held] = (await todayView(context)).last;
  const plan = (await sessionPlanView(context, held!.id))!;
  const run = (await sessionRunView(context, held!.id))!;
  const review = (await sessionReviewView(context, held!.id))!;
  expect(run.blocks.map((block) => block.id)).toEqual(plan.blocks.map((block) => block.id));
  expect(review.blocks.map((block) => block.id)).toEqual(plan.blocks.map((block) => block.id));
  expect([...plan.held].sort()).toEqual(plan.blocks.map((block) => block.id).sort());
  for (const [index, block] of review.blocks.entries())
    for (const line of block.lines) {
      const player = run.blocks[index]!.players.find((one) => one.playerId === line.playerId)!;
      expect(line.bestBefore).toBe(player.bestEver);
      const events = run.events.filter(
        (event) => event.blockId === block.id && event.playerId === line.playerId,
      );
      const remarks = events.filter(({ kind }) => ['held', 'broke', 'note'].includes(kind));
      expect(line.remarks).toHaveLength(remarks.length);
      const counts = events.filter((event) => !remarks.includes(event));
      if (plainBook.step(plan.blocks[index]!.drillId, line.stepId)!.lapParts)
        // Parts of a lap are counted; laps that were finished are touches.
        expect(line.tally.touches).toBe(
          line.tally.results.reduce<number>((sum, result) => sum + Math.floor(result ?? 0), 0),
        );
      else {
        const tries = counts.reduce((sum, { kind, value }) => sum + (kind === 'done' ? value! : 1), 0);
        expect(line.tally.touches + line.tally.drops).toBe(tries);
      }
      expect(line.whole).toBe(counts.every(({ kind }) => kind === 'done'));
      // The newest week is left for the coach to decide.
      expect(line.decided).toBeNull();
    }
});

test('judging has moved players up their ladders, by the same rules', async () => {
  const { players } = await squadView(context);
  const views = await Promise.all(players.map((player) => playerView(context, player.id)));
  const decisions = views.flatMap((view) => view!.decisions);
  expect(new Set(decisions.map((decision) => decision.verdict)).size).toBeGreaterThan(1);
  const moved = views.filter((view) =>
    view!.places.some(([drillId, stepId]) => plainBook.drill(drillId)!.steps[0]!.id !== stepId),
  );
  expect(moved.length).toBeGreaterThan(views.length / 2);
  for (const { reason } of decisions)
    expect(reason).toMatch(
      /Best ever|Reached|still to come|No count yet|Too short to pass|Since the step up/,
    );
});
