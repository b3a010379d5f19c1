import { sql } from 'drizzle-orm';
import Papa from 'papaparse';
import { playerFieldNames, playerFields } from '@/schemas/player-fields';
import { readTable } from '@/formats/tables';
import { listPlayers } from '@/data/squad';
import { ingestTouches } from '../court/ingest';
import { refreshAttempts } from '../court/results';
import { makeChallenge } from '../challenges/challenges';
import { savePlayer } from '../players/squad';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { undoTakeOver } from './bring-in';
import { tables, tableText } from './export-tables';
import { lookAtTable, takeOverTable } from './import-tables';

const bytes = (text: string) => new TextEncoder().encode(text);
type Box = Awaited<ReturnType<typeof scratch>>;
const csv = async ({ context }: Box, name: (typeof tables)[number]) => {
  let text = '';
  for await (const piece of tableText(context, name)) text += piece;
  return text;
};
const bring = ({ context }: Box, name: 'squad' | 'sessions', text: string, mapping: unknown = null) =>
  takeOverTable(context, name, bytes(text), mapping, `${name}.csv`);
const states = (lines: readonly { state: string; why: readonly string[] }[]) =>
  lines.map(({ state, why }) => [state, why.join(' ')]);

test('every table is written with its words, and a formula in a name is none', async () => {
  const box = await scratch();
  const at = await oneBlockSession(box.context);
  value(
    await ingestTouches(box.context, { events: eventsOf('xxx-xx', at.block.id, at.playerIds[0]!, ids(3)) }),
  );
  await refreshAttempts(box.context.db);
  value(
    await savePlayer(box.context, {
      name: '=HYPERLINK("x")',
      birthYear: 2016,
      sport: 'tennis',
      hand: 'left',
    }),
  );
  const [player] = await box.context.db.all<{ id: string }>(sql`select id from player limit 1`);
  value(
    await makeChallenge(box.context, {
      title: 'Rope week',
      kind: 'best',
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      fromDay: '2026-11-24',
      untilDay: '2026-11-30',
      playerIds: [player!.id],
    }),
  );
  for (const name of tables) {
    const read = readTable(bytes(await csv(box, name)), 100);
    expect([name, read.ok]).toEqual([name, true]);
  }
  expect(await csv(box, 'squad')).toContain(`"'=HYPERLINK(""x"")",2016,tennis,left`);
  expect(await csv(box, 'attempts')).toMatch(/2026-11-24,Thursday group,\w+,Palm-up bounce,[^,]+,1,3,3,1/);
  expect(
    (await csv(box, 'touches')).split('\r\n').filter((line) => /,(touch|drop),/.test(line)),
  ).toHaveLength(6);
  box.close();
});

test('the squad goes out and comes into another book as it was; a second time there is nothing to do', async () => {
  const [box, other] = [await scratch(), await scratch()];
  for (const more of [
    { name: 'Ilva', focus: 'Quiet arm', heightCm: 134, racketIn: 25.5, stage: 'green' },
    { name: '-Bo "the wall", Jr', careNote: '=left knee', sport: 'table tennis' },
  ])
    value(await savePlayer(box.context, { birthYear: 2016, sport: 'tennis', hand: 'left', ...more }));
  const text = await csv(box, 'squad');
  const took = value(await bring(other, 'squad', text));
  expect(states(took.lines)).toEqual([
    ['added', ''],
    ['added', ''],
  ]);
  expect(await csv(other, 'squad')).toBe(text);
  expect(value(await bring(other, 'squad', text)).id).toBeNull();
  value(await undoTakeOver(other.context, took.id!));
  expect(await other.context.db.all(sql`select * from player`)).toEqual([]);
  box.close();
  other.close();
});

test('a table with the column names of earlier versions is read by them', async () => {
  const box = await scratch();
  const text =
    'Name,Birth year,Sport,Hand,Ball,Height cm,Racket in,Take care,Working on\nIlva,2016,TT,L,Green,"134","25,5",knee,Quiet arm';
  value(await bring(box, 'squad', text));
  const [player] = await listPlayers(box.context.db);
  expect(player).toMatchObject({
    name: 'Ilva',
    birthYear: 2016,
    sport: 'table tennis',
    hand: 'left',
    stage: 'green',
    heightCm: 134,
    racketIn: 25.5,
    careNote: 'knee',
    focus: 'Quiet arm',
  });
  box.close();
});

test('a table without one of the columns leaves that field of everybody as it is', async () => {
  const box = await scratch();
  value(
    await savePlayer(box.context, {
      name: 'Ilva',
      birthYear: 2016,
      sport: 'table tennis',
      hand: 'left',
      stage: 'green',
      heightCm: 134,
      racketIn: 25.5,
      careNote: 'left knee',
      focus: 'Quiet arm',
    }),
  );
  const before = await csv(box, 'squad');
  const [head, line] = Papa.parse<string[]>(before).data as [string[], string[]];
  expect(line.filter((cell) => cell === '')).toEqual([]);
  for (const [at, name] of playerFieldNames.entries()) {
    const without = Papa.unparse([head.toSpliced(at, 1), line.toSpliced(at, 1)]);
    const took = await bring(box, 'squad', without);
    if (playerFields[name].needed) continue;
    expect([name, states(value(took).lines)]).toEqual([name, [['same', '']]]);
    expect([name, await csv(box, 'squad')]).toEqual([name, before]);
  }
  box.close();
});

test('three bad lines are named and left out; what differs is said, changed, and undone as a whole', async () => {
  const box = await scratch();
  value(
    await savePlayer(box.context, {
      name: 'Ilva',
      birthYear: 2016,
      sport: 'tennis',
      hand: 'left',
      focus: 'Quiet arm',
    }),
  );
  const text = [
    'Child;Born;Plays;Hand;Focus',
    'ILVA;2016;tennis;R;Low start',
    'Bo;2015;TT;l;',
    'Yrsa;twelve;tennis;right;',
    ';2015;tennis;right;',
    'Ove;2015;golf;right;',
    'Bo;2015;tennis;right;',
    '',
  ].join('\n');
  const look = value(await lookAtTable(box.context, 'squad', bytes(text), null));
  expect(look.mapping).toMatchObject({ name: 0, birthYear: 1, sport: 2, hand: 3, focus: 4, stage: null });
  expect(look.lines.map(({ line, state }) => [line, state])).toEqual([
    [2, 'changed'],
    [3, 'added'],
    [4, 'refused'],
    [5, 'refused'],
    [6, 'refused'],
    [7, 'refused'],
  ]);
  expect(look.lines[0]!.why).toEqual([
    'Name: Ilva becomes ILVA',
    'Hand: left becomes right',
    'Working on: Quiet arm becomes Low start',
  ]);
  expect(look.lines[2]!.why.join()).toContain('Birth year must be a year');
  expect(look.lines[5]!.why.join()).toContain('twice');
  expect(await box.context.db.all(sql`select name from player`)).toEqual([{ name: 'Ilva' }]);
  const before = await csv(box, 'squad');
  const took = value(await bring(box, 'squad', text));
  expect(await box.context.db.all(sql`select name, sport, hand from player order by name`)).toEqual([
    { name: 'Bo', sport: 'table tennis', hand: 'left' },
    { name: 'ILVA', sport: 'tennis', hand: 'right' },
  ]);
  expect(await box.context.db.all(sql`select text from focus where until_ms is null`)).toEqual([
    { text: 'Low start' },
  ]);
  value(await undoTakeOver(box.context, took.id!));
  expect(await csv(box, 'squad')).toBe(before);
  box.close();
});

test('columns can be told apart by hand, and what is told wrongly is refused', async () => {
  const box = await scratch();
  const text = 'a,b\n2016,Ilva\n';
  expect(states(value(await lookAtTable(box.context, 'squad', bytes(text), null)).lines)[0]![0]).toBe(
    'refused',
  );
  value(await bring(box, 'squad', text, { name: 1, birthYear: 0 }));
  expect(await box.context.db.all(sql`select name, birth_year as y from player`)).toEqual([
    { name: 'Ilva', y: 2016 },
  ]);
  for (const wrong of [{ name: 9 }, { name: -1 }, { name: 'x' }, 'x', { name: 0.5 }])
    expect(problem(await bring(box, 'squad', text, wrong))).toContain('mapping');
  box.close();
});

test('sessions come with their players and places; strangers, other days and what is booked are named', async () => {
  const box = await scratch();
  for (const name of ['Ilva', 'Bo'])
    value(await savePlayer(box.context, { name, birthYear: 2016, sport: 'tennis', hand: 'left' }));
  const text = [
    'Day,Start,Minutes,Title,Place,Players',
    '2026-12-01,16:30,60,Tuesday,Somewhere,Ilva; bo',
    '01.12.2026,9:05,45,Early,,Ilva',
    '2026-12-01,16:30,60,tuesday,,Ilva',
    '2026-12-01,17:00,45,Late,,Ilva',
    '2026-12-02,16:30,60,Wednesday,,Ilva; Nobody',
    '12/01/2026,25:00,3,X,,Ilva',
    '2026-12-03,16:30,60,Empty,,',
  ].join('\r\n');
  const took = value(await bring(box, 'sessions', text));
  expect(states(took.lines)).toEqual([
    ['added', ''],
    ['added', ''],
    ['same', 'It is booked already.'],
    [
      'added',
      'Booked already: Tue 1 Dec, 16:30 to 17:30: Tuesday already has Ilva. Free at that hour: Tue 8 Dec.',
    ],
    ['refused', 'Players: Nobody is not on the squad.'],
    ['refused', expect.stringMatching(/Start.*Minutes|Minutes.*Start/s)],
    ['refused', expect.stringContaining('at least one player')],
  ]);
  const rows = await box.context.db.all(
    sql`select s.day, s.start_time as start, s.state, count(x.player_id) as n from session s join session_player x on x.session_id = s.id group by s.id order by start_time`,
  );
  expect(rows).toEqual([
    { day: '2026-12-01', start: '09:05', state: 'planned', n: 1 },
    { day: '2026-12-01', start: '16:30', state: 'planned', n: 2 },
    { day: '2026-12-01', start: '17:00', state: 'planned', n: 1 },
  ]);
  value(await undoTakeOver(box.context, took.id!));
  expect(await box.context.db.all(sql`select * from session`)).toEqual([]);
  box.close();
});
