import { sql } from 'drizzle-orm';
import { earOrigin } from '@/core/counting/origin';
import { plainBook } from '@/drills';
import { daysOfVows } from '@/data/vows';
import { writeHomeText } from '@/session/vows/home-text';
import { reportOf } from '@/session/vows/report';
import { refreshAttempts } from '../court/results';
import { savePlayer } from '../players/squad';
import { ada, eventsOf, ids, scratch, value } from '../testing/scratch';
import { homePage } from '../views/home';
import { playerView } from '../views/player';
import { makeVowFile, takeOverText } from './files';
import { ingestFromHome, makeVowLink } from './links';
import { changeVow, makeVow } from './vows';

/* What a family's phone may count by ear, and what becomes of it. */
const form = {
  parts: [
    {
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      choices: [],
      dose: plainBook.step('palm-up-bounce', 'row-20')!.doses['10-12'],
    },
  ],
  aim: { kind: 'habit' },
  weekdays: [1, 2, 3, 4, 5],
  minutes: 5,
  growth: 0,
  atTime: null,
  alarm: false,
  fromDay: '2026-11-24',
  untilDay: '2026-12-04',
};

let box: Awaited<ReturnType<typeof scratch>>;
let playerId: string;
beforeEach(async () => {
  box = await scratch();
  playerId = value(await savePlayer(box.context, { ...ada, sure: true })).id;
});
afterEach(() => box.close());

async function made(more: object = {}) {
  const vowId = value(await makeVow(box.context, playerId, { ...form, ...more })).id;
  const { token } = value(await makeVowLink(box.context, playerId));
  const [day] = await daysOfVows(box.context.db, [vowId]);
  return { vowId, token, blockId: day!.blockId };
}
async function earsOn(token: string) {
  const page = await homePage(box.context, token);
  if ('kind' in page) throw new Error(page.kind);
  return page.vows[0]!.ears;
}

test('a phone counts by ear only where the coach allowed it, and not any more once that is taken back', async () => {
  const { vowId, token } = await made();
  expect(await earsOn(token)).toEqual([{}]);
  value(await changeVow(box.context, vowId, { ...form, byEar: true }));
  expect(await earsOn(token)).toMatchObject([{ 'row-20': { hearing: { by: 'rows', counts: 'strings' } } }]);
  value(await changeVow(box.context, vowId, { ...form, byEar: false }));
  expect(await earsOn(token)).toEqual([{}]);
});

test('a vow written before ears were is read as one that is counted by finger', async () => {
  const { vowId, token } = await made();
  await box.context.db.run(sql`update vow set promise = json_remove(promise, '$.byEar') where id = ${vowId}`);
  expect(await earsOn(token)).toEqual([{}]);
});

test('what a phone heard is in the log as heard, and on the player’s page', async () => {
  const { token, blockId } = await made({ byEar: true });
  const marks = eventsOf('xxxxx-', blockId, playerId, ids(2)).map((one) => ({ ...one, origin: earOrigin }));
  value(await ingestFromHome(box.context, token, { events: marks }));
  await refreshAttempts(box.context.db);
  expect(await box.context.db.all(sql`select result, home, origin from attempt`)).toEqual([
    { result: 5, home: 1, origin: earOrigin },
  ]);
  expect((await playerView(box.context, playerId))!.bests).toMatchObject([{ stepId: 'row-20', homeBest: 5 }]);
});

test('a file’s text says what was heard, and one of an older file is still taken', async () => {
  const { blockId } = await made({ byEar: true });
  const file = value(await makeVowFile(box.context, playerId));
  const heard = eventsOf('xxx-', blockId, playerId, ids(2)).map((one) => ({ ...one, origin: earOrigin }));
  const tapped = eventsOf('xx-', blockId, playerId, ids(3), 60_000);
  const done = reportOf(blockId, [...heard, ...tapped], 'row');
  expect(done.map(({ value, origin }) => [value, origin])).toEqual([
    [3, earOrigin],
    [2, null],
  ]);
  // What was tapped is written as it was before ears were.
  value(await takeOverText(box.context, writeHomeText(file.id, file.key, done)));
  await refreshAttempts(box.context.db);
  expect(await box.context.db.all(sql`select result, origin from attempt order by number`)).toEqual([
    { result: 3, origin: earOrigin },
    { result: 2, origin: null },
  ]);
});
