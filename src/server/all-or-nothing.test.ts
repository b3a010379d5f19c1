import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import { daysOfVows } from '@/data/vows';
import type { Outcome } from '@/core/base/outcome';
import { makeCourse } from './plan/course/courses';
import { planAgain } from './plan/again';
import { joinSession } from './plan/join';
import { createSession, savePlan } from './plan/sessions';
import { booking, eventsOf, ids, oneBlockSession, scratch, value } from './testing/scratch';
import { storeHome } from './vows/home-log';
import { makeVow, renewVow } from './vows/vows';

/*
 * A use case that writes more than once is one transaction. Each is made to fail at its last write by a trigger in the
 * database, and must leave every table as it was; without the trigger it must write there.
 */

type Box = Awaited<ReturnType<typeof scratch>>;
const step = plainBook.step('palm-up-bounce', 'row-20')!;
const promise = {
  parts: [{ drillId: 'palm-up-bounce', stepId: 'row-20', dose: step.doses['10-12'], choices: [] }],
  aim: { kind: 'habit' },
  weekdays: [1, 2, 3, 4, 5],
  minutes: 4,
  growth: 0,
  atTime: null,
  alarm: false,
  fromDay: '2026-11-24',
  untilDay: '2026-12-04',
};

async function world({ context }: Box) {
  const at = await oneBlockSession(context);
  const vowId = value(await makeVow(context, at.playerIds[0]!, promise)).id;
  const [day] = await daysOfVows(context.db, [vowId]);
  return { ...at, context, vowId, homeBlock: day!.blockId };
}
type World = Awaited<ReturnType<typeof world>>;

const guest = { name: 'Guest', birthYear: 2015, sport: 'tennis' };

/** What it is called, the table it writes to last and how, and the use case itself. */
const cases: readonly (readonly [
  string,
  string,
  'insert' | 'update',
  (at: World) => Promise<Outcome<unknown>>,
])[] = [
  [
    'booking a session',
    'session_player',
    'insert',
    ({ context, playerIds }) => createSession(context, { ...booking, playerIds }),
  ],
  [
    'saving a plan',
    'block_player',
    'insert',
    ({ context, sessionId, plan }) =>
      savePlan(context, sessionId, {
        ...plan,
        title: 'Another',
        blocks: [{ ...plan.blocks[0]!, id: context.newId() }],
      }),
  ],
  [
    'planning a session again on two days',
    'block',
    'insert',
    ({ context, sessionId }) => planAgain(context, sessionId, { days: ['2026-12-03', '2026-12-10'] }),
  ],
  [
    'a guest who joins',
    'session_player',
    'update',
    ({ context, sessionId }) => joinSession(context, sessionId, { playerId: null, guest }),
  ],
  [
    'making a course',
    'course_session',
    'insert',
    ({ context, sessionId }) =>
      makeCourse(context, {
        title: 'Course',
        drillId: 'palm-up-bounce',
        stepId: 'row-50',
        fromId: sessionId,
        days: ['2026-12-01', '2026-12-08', '2026-12-15', '2026-12-22'],
      }),
  ],
  ['making a vow', 'vow_day', 'insert', ({ context, playerIds }) => makeVow(context, playerIds[1]!, promise)],
  ['making a vow smaller', 'vow_day', 'insert', ({ context, vowId }) => renewVow(context, vowId, true)],
  [
    'counts from home',
    'touch_event',
    'insert',
    ({ context, playerIds, homeBlock }) =>
      storeHome(
        context,
        { playerId: playerIds[0]!, by: 'Mum (home)', sign: 'home' },
        eventsOf('xxx', homeBlock, playerIds[0]!, ids()),
      ),
  ],
];

/** Every row of every table but those a search or a count keeps for itself. */
async function everything({ context: { db } }: Box): Promise<Record<string, unknown[]>> {
  const tables = await db.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' and substr(name, 1, 7) <> 'sqlite_' and substr(name, 1, 2) <> '__' order by name`,
  );
  const rows: Record<string, unknown[]> = {};
  for (const { name } of tables) rows[name] = await db.all(sql.raw(`select * from "${name}" order by 1, 2`));
  return rows;
}

test.each(cases)('%s: failing at the last write leaves nothing half-done', async (_, table, how, work) => {
  const box = await scratch();
  const at = await world(box);
  const before = await everything(box);
  expect(Object.keys(before)).toContain(table);
  await box.context.db.run(
    sql.raw(
      `create trigger stops before ${how} on "${table}" begin select raise(abort, 'stopped on the way'); end`,
    ),
  );
  await expect(work(at)).rejects.toThrow(/stopped on the way|Failed query/);
  await box.context.db.run(sql`drop trigger stops`);
  expect(await everything(box)).toEqual(before);
  // Nothing stands in its way now: the writes that were taken back are the ones it makes.
  value(await work(at));
  expect((await everything(box))[table]).not.toEqual(before[table]);
  box.close();
});

test('what is refused on the way takes back what was written before it', async () => {
  const box = await scratch();
  const at = await world(box);
  const before = await everything(box);
  // A vow that cannot be made any more, because its drill is off the list: the one that runs goes on.
  await box.context.db.run(sql`update vow set promise = replace(promise, 'palm-up-bounce', 'no-such-drill')`);
  const changed = await everything(box);
  expect((await renewVow(at.context, at.vowId, true)).ok).toBe(false);
  expect(await everything(box)).toEqual(changed);
  expect(changed.vow).not.toEqual(before.vow);
  box.close();
});
