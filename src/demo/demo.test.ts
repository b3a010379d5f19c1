import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import { dayNumber } from '@/core/base/days';
import { groupBy } from '@/core/base/group-by';
import { seededRandom } from '@/core/base/random';
import { eventsOfBlocks } from '@/data/log';
import { attempt } from '@/data/schema';
import { begunOf } from '@/session/court/begun';
import { attemptsOf, type WholeRecord } from '@/session/court/rebuild';
import { scratch } from '@/server/testing/scratch';
import type { Context } from '@/server/base/context';
import { needsView } from '@/server/views/needs';
import { squadView } from '@/server/views/squad';
import { todayView } from '@/server/views/today';
import { makeDemo } from './make';
import { demoScratch, demoToday } from './testing/demo-scratch';
import { squad } from './people';
import { dropChance, playBlock } from './player-log';

const options = { today: demoToday, seed: 20, weeks: 2 };

test('the same day and seed make the same demo; another seed makes another', async () => {
  const prints: unknown[] = [];
  for (const seed of [20, 20, 21]) {
    const { context, close } = await scratch();
    await makeDemo(context.db, { ...options, weeks: 1, seed });
    prints.push(
      await context.db.get(
        sql`select count(*) as n, group_concat(id) as ids, total(at_ms) as at from touch_event`,
      ),
    );
    close();
  }
  expect(prints[1]).toEqual(prints[0]);
  expect(prints[2]).not.toEqual(prints[0]);
});

test('it has nine players of both sports, sessions today, and something left to decide', async () => {
  const { context, close } = await demoScratch(2);
  const { players } = await squadView(context);
  expect(players).toHaveLength(9);
  expect(new Set(players.map((player) => player.sport))).toEqual(new Set(['tennis', 'table tennis']));
  expect(players.filter((player) => player.careNote)).toHaveLength(1);
  const today = await todayView(context);
  expect(today.sessions.length).toBeGreaterThanOrEqual(2);
  expect(today.last[0]!.state).toBe('finished');
  expect(today.sessions.every((session) => session.blockCount >= 5)).toBe(true);
  close();
});

/** What the pictures of the README show, as how far each lies from the day it is looked at. */
async function storyOf(context: Context, today: string) {
  const at = { ...context, today };
  const view = await todayView(at);
  const ahead = ({ day }: { readonly day: string }) => dayNumber(day) - dayNumber(today);
  const { needs } = await needsView(at);
  return {
    today: view.sessions.map(({ title }) => title),
    next: view.next.map((one) => [one.title, ahead(one)]),
    last: view.last.map((one) => [one.title, ahead(one)]),
    unsaid: view.unsaid.length,
    home: view.fromHome.map(({ name, days }) => [name, days]),
    ready: needs.some(({ kind }) => kind === 'ready to move'),
  };
}

test.each(['2027-01-01', '2028-02-29'])('on %s it shows what it shows on any other day', async (today) => {
  const usual = await demoScratch(2);
  const here = await scratch();
  await makeDemo(here.context.db, { ...options, today });
  const story = await storyOf(here.context, today);
  expect(story).toEqual(await storyOf(usual.context, demoToday));
  expect(story).toMatchObject({ unsaid: 0, ready: true });
  expect([story.today.length, story.next.length, story.home.length]).toEqual([2, 2, 1]);
  usual.close();
  here.close();
});

test('every result of it can be worked out from the log alone, without a drill being asked', async () => {
  const { context, close } = await demoScratch(2);
  const kept = await context.db.select().from(attempt);
  const blocks = [...new Set(kept.map((one) => one.blockId))];
  const log = groupBy(await eventsOfBlocks(context.db, blocks), (event) => event.blockId);
  const rebuilt = [...log].flatMap(([blockId, events]) =>
    attemptsOf(begunOf(events) as WholeRecord, events).map((one) => ({ blockId, ...one })),
  );
  const inOrder = (rows: readonly (typeof kept)[number][]) =>
    rows.map((row) => JSON.stringify(row, Object.keys(row).sort())).sort();
  expect(kept.length).toBeGreaterThan(300);
  expect(inOrder(rebuilt)).toEqual(inOrder(kept));
  close();
});

test('learning: drops get fewer with practice, and a plateau holds them', () => {
  const step = plainBook.step('palm-up-bounce', 'row-20')!;
  const learner = squad[2]!;
  const chances = [0, 5, 10, 20].map((practised) => dropChance(learner, step, practised, 1));
  expect(chances).toEqual([...chances].sort((a, b) => b - a));
  expect(chances[3]! / chances[0]!).toBeLessThan(0.3);
});

test('who fudges can be told from the log: doubled touches, missing drops', () => {
  const step = plainBook.step('palm-up-bounce', 'row-20')!;
  const play = (fudges?: 'double' | 'deaf') =>
    playBlock({ kind: 'row', target: 20, capS: 600 }, step, { ...squad[0]!, fudges }, 0.1, seededRandom(3));
  const drops = (marks: ReturnType<typeof play>) => marks.filter((mark) => mark.kind === 'drop').length;
  const quickest = (marks: ReturnType<typeof play>) =>
    Math.min(...marks.slice(1).map((mark, i) => mark.atS - marks[i]!.atS));
  expect(drops(play('deaf'))).toBeLessThan(drops(play()) * 0.6);
  expect(quickest(play('double'))).toBeLessThan(0.1);
  expect(quickest(play())).toBeGreaterThan(0.2);
});
