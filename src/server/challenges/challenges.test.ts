import { sql } from 'drizzle-orm';
import { challengeSchema } from '@/schemas/challenge';
import { ingestTouches } from '../court/ingest';
import { refreshAttempts } from '../court/results';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { boardView, challengesView } from '../views/challenges';
import { needsView } from '../views/needs';
import { progressView } from '../views/progress';
import { removeCounting, saveLedger, sayCounting } from '../players/ledger';
import { savePlayer } from '../players/squad';
import { eraseForGood } from '../players/erase';
import { skillUntil } from '../readers/skill';
import { bringClub, clubFile } from './club';
import { addChallengeResult, makeChallenge, removeChallenge, removeChallengeResult } from './challenges';

let box: Awaited<ReturnType<typeof scratch>>;
let at: Awaited<ReturnType<typeof oneBlockSession>>;
beforeEach(async () => {
  box = await scratch();
  at = await oneBlockSession(box.context);
});
afterEach(() => box.close());

const form = (more: object = {}) => ({
  title: 'Rope week',
  kind: 'best',
  drillId: 'palm-up-bounce',
  stepId: 'row-20',
  rules: 'First bounce.',
  fromDay: '2026-11-24',
  untilDay: '2026-11-30',
  attempts: 3,
  goal: null,
  ranked: false,
  playerIds: at.playerIds,
  ...more,
});
const count = async (marks: string, player = 0) =>
  value(
    await ingestTouches(box.context, {
      events: eventsOf(
        marks,
        at.block.id,
        at.playerIds[player]!,
        ids(player + 7),
        box.context.nowMs - 60_000,
      ),
    }),
  );

test('results come from court by themselves and by hand; the board adds up, and a result is taken back', async () => {
  const { id } = value(await makeChallenge(box.context, form()));
  await count('xxxxx-xx-');
  const typed = value(await addChallengeResult(box.context, id, { playerId: at.playerIds[1], result: 9 }));
  const line = async (who: number) =>
    (await boardView(box.context, id))!.board.lines.find(({ playerId }) => playerId === at.playerIds[who])!;
  expect(await line(0)).toMatchObject({ used: 2, left: 1, result: 5, won: true });
  expect(await line(1)).toMatchObject({ used: 1, left: 2, result: 9 });
  value(await removeChallengeResult(box.context, typed.id, true));
  expect(await line(1)).toMatchObject({ used: 0, result: null });
  value(await removeChallengeResult(box.context, typed.id, false));
  expect(await line(1)).toMatchObject({ result: 9 });
});

test('what counts are the days of the challenge, and what was before is what is to be beaten', async () => {
  await count('xxxxxxx-');
  const later = { ...box.context, today: '2026-11-26', nowMs: box.context.nowMs + 2 * 86_400_000 };
  const { id } = value(await makeChallenge(later, form({ fromDay: '2026-11-25' })));
  const [line] = (await boardView(later, id))!.board.lines;
  expect(line).toMatchObject({ used: 0, words: '8 in a row is a new best.' });
  expect((await challengesView(later)).challenges).toMatchObject([
    { title: 'Rope week', daysLeft: 5, board: { lines: [{}, {}] } },
  ]);
});

test('it is ranked only where that was asked for; taken off, it comes back', async () => {
  const together = form({ kind: 'together', goal: 100, attempts: null });
  const { id } = value(await makeChallenge(box.context, together));
  const ranked = value(await makeChallenge(box.context, { ...together, ranked: true }));
  await count('xxxxx-', 1);
  const order = async (which: string) =>
    (await boardView(box.context, which))!.board.lines.map(({ playerId }) => playerId);
  expect(await order(id)).toEqual(at.playerIds);
  expect(await order(ranked.id)).toEqual([...at.playerIds].reverse());
  expect((await boardView(box.context, id))!.board.together).toBe(5);
  value(await removeChallenge(box.context, id, true));
  expect((await challengesView(box.context)).challenges).toHaveLength(1);
  value(await removeChallenge(box.context, id, false));
  expect((await challengesView(box.context)).challenges).toHaveLength(2);
});

test.each([
  [{ title: '' }, 'Name is missing'],
  [{ kind: 'race' }, 'Kind must be one of the four'],
  [{ stepId: 'nowhere' }, 'This step is not on the list'],
  [{ untilDay: '2026-11-01' }, 'Last day must not lie before the first day'],
  [{ kind: 'together' }, 'The number is missing'],
  [{ kind: 'pairs' }, 'The number is missing'],
  [{ attempts: 0 }, 'Attempts must be at least 1'],
  [{ attempts: 2.5 }, 'Attempts must be a whole number'],
  [{ playerIds: [] }, 'Players are missing'],
  [{ playerIds: ['nobody'] }, 'A player is not on the squad'],
  [{ rules: 'x'.repeat(301) }, 'Rules are too long'],
])('%j is refused: %s', async (more, words) => {
  expect(problem(await makeChallenge(box.context, form(more)))).toContain(words);
  expect((await challengesView(box.context)).challenges).toEqual([]);
});

test('a result is for somebody who is in it, is a number, and not before its first day', async () => {
  const { id } = value(
    await makeChallenge(box.context, form({ playerIds: [at.playerIds[0]], fromDay: '2026-11-24' })),
  );
  const add = (input: object, which = id, context = box.context) => addChallengeResult(context, which, input);
  expect(problem(await add({ playerId: at.playerIds[1], result: 3 }))).toContain('not in the challenge');
  expect(problem(await add({ playerId: at.playerIds[0] }))).toContain('Result is missing');
  expect(problem(await add({ playerId: at.playerIds[0], result: -1 }))).toContain('0 or more');
  expect(problem(await add({ playerId: at.playerIds[0], result: 3 }, 'nowhere'))).toContain('not on record');
  const early = { ...box.context, today: '2026-11-20' };
  expect(problem(await add({ playerId: at.playerIds[0], result: 3 }, id, early))).toContain('It begins on');
  expect(problem(await removeChallengeResult(box.context, 'nowhere', true))).toContain('not on record');
  expect(await boardView(box.context, 'nowhere')).toBeNull();
  expect(challengeSchema.isValidSync(form())).toBe(true);
});

test('another club: our file has numbers and no names; theirs stands beside ours, and comes again only once', async () => {
  const { id } = value(
    await makeChallenge(box.context, form({ kind: 'together', goal: 100, attempts: null })),
  );
  expect(problem(await clubFile(box.context, id, 'Quayside'))).toContain('Nobody has a result yet');
  await count('xxxxx-xx-');
  const file = value(await clubFile(box.context, id, 'Quayside'));
  expect(file).not.toContain('Ada');
  const ours = JSON.parse(file) as object;
  expect(ours).toMatchObject({ club: 'Quayside', kind: 'together', results: [7] });
  const theirs = { ...ours, club: 'Harbour', results: [3, 4, 5] };
  value(await bringClub(box.context, id, theirs));
  value(await bringClub(box.context, id, { ...theirs, results: [9] }));
  expect((await boardView(box.context, id))!.clubs).toEqual([
    { name: 'We', players: 1, score: 7 },
    { name: 'Harbour', players: 1, score: 9 },
  ]);
  expect((await boardView(box.context, id))!.typed).toEqual([]);
  expect(problem(await bringClub(box.context, id, { ...theirs, stepId: 'other' }))).toContain(
    'another challenge',
  );
  expect(problem(await bringClub(box.context, 'nowhere', theirs))).toContain('not on record');
  expect(problem(await clubFile(box.context, id, ' '))).toContain('Your club is missing');
});

test('a pair’s rally is both of theirs: the partner is asked for, and a child who is gone takes the pair along', async () => {
  const { id } = value(await makeChallenge(box.context, form({ kind: 'pairs', goal: 40, attempts: null })));
  const [one, other] = at.playerIds as [string, string];
  const add = (partnerId: string | null) =>
    addChallengeResult(box.context, id, { playerId: one, partnerId, result: 14 });
  expect(problem(await add(null))).toContain('Partner is missing');
  expect(problem(await add(one))).toContain('Partner is missing');
  value(await add(other));
  const view = (await boardView(box.context, id))!;
  expect(view.pairs).toEqual([{ players: [one, other], used: 1, left: null, result: 14, progress: 0.35 }]);
  expect(JSON.parse(value(await clubFile(box.context, id, 'Quayside')))).toMatchObject({ results: [14] });
  value(await eraseForGood(box.context, other, { name: 'Bo' }));
  expect((await boardView(box.context, id))!.pairs).toEqual([]);
});

test('a child who is removed for good is gone from boards', async () => {
  const { id } = value(await makeChallenge(box.context, form()));
  value(await addChallengeResult(box.context, id, { playerId: at.playerIds[1], result: 9 }));
  value(await eraseForGood(box.context, at.playerIds[1]!, { name: 'Bo' }));
  const view = (await boardView(box.context, id))!;
  expect(view.board.lines.map(({ playerId }) => playerId)).toEqual([at.playerIds[0]]);
  expect(JSON.stringify(view)).not.toContain('Bo');
});

describe('a focus', () => {
  const focusOf = async () => (await progressView({ ...box.context, zone: 'UTC' }, at.playerIds[0]!))!.foci;

  test('counts good repetitions of the drills the coach names, since it began; an earlier one stays readable', async () => {
    await count('xxxxx-xx-');
    const [player] = at.playerIds;
    expect((await focusOf())[0]).toMatchObject({ text: 'Quiet arm', forecast: null });
    value(await saveLedger(box.context, player!, { goal: 2000, drillIds: ['palm-up-bounce'] }));
    expect((await focusOf())[0]!.forecast).toMatchObject({ done: 7, goal: 2000 });
    value(await saveLedger(box.context, player!, { goal: 500, drillIds: ['carry'] }));
    expect((await focusOf())[0]!.forecast).toMatchObject({ done: 0, goal: 500 });
    const later = { ...box.context, nowMs: box.context.nowMs + 1000 };
    value(
      await savePlayer(
        later,
        { name: 'Ada', birthYear: 2016, sport: 'tennis', hand: 'right', focus: 'Loose grip', sure: true },
        player,
      ),
    );
    expect((await focusOf()).map(({ text, untilMs }) => [text, untilMs === null])).toEqual([
      ['Loose grip', true],
      ['Quiet arm', false],
    ]);
  });

  test('its first evening counts, wherever the coach is: west of Greenwich it is the next day in UTC', async () => {
    // Eight in the evening of the 23rd in Los Angeles.
    const sinceMs = Date.parse('2026-11-24T04:00:00Z');
    await box.context.db.run(sql`update focus set since_ms = ${sinceMs}`);
    await box.context.db.run(sql`update session set day = '2026-11-23'`);
    const [player] = at.playerIds;
    await count('xxxxx');
    value(await saveLedger(box.context, player!, { goal: 2000, drillIds: ['palm-up-bounce'] }));
    const done = async (zone: string) =>
      (await progressView({ ...box.context, zone }, player!))!.foci[0]!.forecast!.done;
    expect(await done('America/Los_Angeles')).toBe(5);
    expect(await done('UTC')).toBe(0);
  });

  test('bad input is refused', async () => {
    const [player] = at.playerIds;
    const save = (input: object, id = player!) => saveLedger(box.context, id, input);
    expect(problem(await save({ goal: 10, drillIds: ['carry'] }))).toContain('at least 50');
    expect(problem(await save({ goal: 2000, drillIds: [] }))).toContain('Drills are missing');
    expect(problem(await save({ goal: 2000, drillIds: ['nowhere'] }))).toContain('not on the list');
    expect(problem(await save({ goal: 2000, drillIds: ['carry'] }, 'nobody'))).toContain(
      'works on nothing yet',
    );
  });
});

describe('a word on how a player counts', () => {
  test('half: what was counted until then weighs half, until it is taken back', async () => {
    await count('xxxxx-xxxxxxx-xxx-');
    const known = async () => {
      await refreshAttempts(box.context.db);
      const { levels } = await skillUntil(box.context.db, box.context.today);
      return levels[0]!.dated[0]!.evidence.of;
    };
    expect(await known()).toBe(18);
    const { id } = value(
      await sayCounting(box.context, at.playerIds[0]!, { doubt: 'doubled', word: 'half' }),
    );
    expect(await known()).toBe(9);
    value(await removeCounting(box.context, id, true));
    expect(await known()).toBe(18);
  });

  test('right: it is settled, and nothing else changes', async () => {
    // Every touch twice, half a tenth of a second apart.
    const all = eventsOf('x'.repeat(40), at.block.id, at.playerIds[0]!, ids(3), box.context.nowMs - 60_000);
    const events = all.map((event, n) =>
      n % 2 === 1 ? { ...event, monoMs: all[n - 1]!.monoMs + 50 } : event,
    );
    value(await ingestTouches(box.context, { events }));
    const doubts = async () =>
      (await needsView(box.context)).needs.flatMap(({ playerId, doubt }) =>
        playerId === at.playerIds[0] && doubt ? [doubt] : [],
      );
    expect(await doubts()).toEqual(['doubled']);
    const { id } = value(
      await sayCounting(box.context, at.playerIds[0]!, { doubt: 'doubled', word: 'right' }),
    );
    expect(await doubts()).toEqual([]);
    value(await removeCounting(box.context, id, true));
    expect(await doubts()).toEqual(['doubled']);
    expect(problem(await sayCounting(box.context, 'nobody', { doubt: 'doubled', word: 'right' }))).toContain(
      'not on record',
    );
    expect(
      problem(await sayCounting(box.context, at.playerIds[0]!, { doubt: 'x', word: 'right' })),
    ).toContain('none of ours');
    expect(problem(await removeCounting(box.context, 'nowhere', true))).toContain('not on record');
  });
});
