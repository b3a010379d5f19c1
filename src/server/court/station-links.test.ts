import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import { makeCircuit } from '@/session/plan/circuits';
import { blockOf } from '@/session/base/plan';
import { openGround } from '@/session/plan/time-plan';
import { ingestFromHelper } from './helper-ingest';
import { linkState, makeHelperLink, withdrawHelperLinks } from './helper-links';
import { createSession, savePlan } from '../plan/sessions';
import { savePlayer } from '../players/squad';
import { ada, booking, eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';

/* Links for one station of a circuit: they count whoever comes there, there and nowhere else. */
let box: Awaited<ReturnType<typeof scratch>>;
let at: Awaited<ReturnType<typeof circuitSession>>;
beforeEach(async () => {
  box = await scratch();
  at = await circuitSession();
});
afterEach(() => box.close());

/** Three children, three drills side by side, and one after them. */
async function circuitSession() {
  const { context } = box;
  const playerIds: string[] = [];
  for (const name of ['Ada', 'Bo', 'Cy'])
    playerIds.push(value(await savePlayer(context, { ...ada, name, sure: true })).id);
  const sessionId = value(await createSession(context, { ...booking, playerIds })).id;
  const blocks = ['palm-up-bounce', 'toss-and-catch', 'marker-taps', 'line-hops'].map((drillId) => {
    const step = plainBook.drill(drillId)!.steps[0]!;
    return blockOf({ id: context.newId(), drillId, stepId: step.id, dose: step.doses['10-12'] });
  });
  const stations = blocks.slice(0, 3).map(({ id }) => id);
  const setting = {
    book: plainBook,
    records: [],
    ground: openGround,
    players: playerIds.map((id) => ({ id, age: 10 })),
  };
  const plan = makeCircuit(setting, { playerIds, blocks }, stations, context.newId());
  value(await savePlan(context, sessionId, { ...booking, ...plan, revision: 1 }));
  return { sessionId, playerIds, stations, after: blocks[3]!.id };
}
const linkFor = async (blockId: string | null, playerId: string | null = null) =>
  value(await makeHelperLink(box.context, at.sessionId, playerId, { name: 'Bo’s aunt', blockId })).token;
const count = (token: string, blockId: string, playerId: string | null, seed = 1) =>
  ingestFromHelper(box.context, token, { events: eventsOf('xx', blockId, playerId, ids(seed)) });
const stored = () =>
  box.context.db.all<{ block: string; player: string; by: string }>(
    sql`select block_id as block, player_id as player, by from touch_event order by seq`,
  );

test('whoever comes to the station is counted there, signed by the link', async () => {
  const token = await linkFor(at.stations[1]!);
  expect(await linkState(box.context, token)).toMatchObject({
    kind: 'open',
    blockId: at.stations[1],
    playerIds: at.playerIds,
  });
  for (const [n, player] of at.playerIds.entries())
    expect(value(await count(token, at.stations[1]!, player, n + 1))).toEqual({ stored: 2 });
  expect(new Set((await stored()).map(({ player }) => player))).toEqual(new Set(at.playerIds));
  expect(new Set((await stored()).map(({ by }) => by))).toEqual(new Set(['Bo’s aunt (helper)']));
});

test('at another station, or in a block after it, the link counts nothing, and nothing is half kept', async () => {
  const token = await linkFor(at.stations[1]!);
  for (const elsewhere of [at.stations[0]!, at.stations[2]!, at.after])
    expect(problem(await count(token, elsewhere, at.playerIds[0]!))).toContain(
      'is about another station than this link counts at',
    );
  // One stray mark refuses the batch it came in.
  const both = [
    ...eventsOf('xx', at.stations[1]!, at.playerIds[0]!, ids(7)),
    ...eventsOf('x', at.stations[0]!, at.playerIds[0]!, ids(8), 9000),
  ];
  expect(problem(await ingestFromHelper(box.context, token, { events: both }))).toContain('another station');
  expect(await stored()).toEqual([]);
});

test('nobody but those who come is counted, and the clock is the coach’s', async () => {
  const token = await linkFor(at.stations[0]!);
  const stranger = value(await savePlayer(box.context, { ...ada, name: 'Di', sure: true })).id;
  expect(problem(await count(token, at.stations[0]!, stranger))).toContain(
    'somebody this link does not count',
  );
  expect(problem(await count(token, at.stations[0]!, null))).toMatch(
    /somebody this link does not count|playerId/,
  );
  expect(await stored()).toEqual([]);
});

test('a link that follows a child counts at every station, and in the blocks that follow', async () => {
  const token = await linkFor(null, at.playerIds[2]!);
  for (const [n, block] of [...at.stations, at.after].entries())
    expect(value(await count(token, block, at.playerIds[2]!, n + 1))).toEqual({ stored: 2 });
  expect((await stored()).map(({ block }) => block)).toEqual(
    [...at.stations, at.after].flatMap((block) => [block, block]),
  );
  expect(problem(await count(token, at.stations[0]!, at.playerIds[0]!))).toContain(
    'somebody this link does not count',
  );
});

test('a new link for a station closes the earlier one for it, and no other', async () => {
  const [first, other] = [await linkFor(at.stations[0]!), await linkFor(at.stations[1]!)];
  const everybody = await linkFor(null);
  const second = await linkFor(at.stations[0]!);
  const kinds = async () =>
    (await Promise.all([first, other, everybody, second].map((token) => linkState(box.context, token)))).map(
      ({ kind }) => kind,
    );
  expect(await kinds()).toEqual(['revoked', 'open', 'open', 'open']);
  value(await withdrawHelperLinks(box.context, at.sessionId, null, at.stations[1]!));
  expect(await kinds()).toEqual(['revoked', 'revoked', 'open', 'open']);
});

test('only a station has a link of its own: not a block by itself, nor one of another session', async () => {
  const refusal = async (blockId: string) =>
    problem(await makeHelperLink(box.context, at.sessionId, null, { name: '', blockId }));
  expect(await refusal(at.after)).toContain('This station is not in the session');
  const { block } = await oneBlockSession({
    ...box.context,
    newId: (() => {
      const next = ids(99);
      return () => next(1);
    })(),
  });
  expect(await refusal(block.id)).toContain('This station is not in the session');
});
