import { plainBook } from '@/drills';
import { blockOf } from '@/session/base/plan';
import type { BlockSetting, WallSetting } from '@/core/calculators/setting';
import { removeFeeder, saveFeeder, writeSetting } from './settings';
import { ingestTouches } from '../court/ingest';
import { loadPlan, savePlan } from '../plan/sessions';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { benchesView, rallyView } from '../views/benches';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const wall: WallSetting = {
  kind: 'wall',
  shot: 'one bounce',
  ball: 'red',
  distanceM: 3,
  markM: 1.6,
  bandFromM: 0.6,
  bandToM: 3.2,
  hitsPerMin: 43.2,
};
const machine = {
  ball: 'green',
  speedMps: 11,
  elevationDeg: 20,
  spinPerMin: 0,
  sideDeg: 0,
  intervalS: 4,
  scatterPercent: 3,
  scatterDeg: 1.5,
} as const;
const feeder: BlockSetting = {
  kind: 'feeder',
  name: 'Deep',
  machine,
  apexS: 0.5,
  bounceS: 1.1,
  contactS: 1.6,
};

/** A planned session whose blocks are a palm-up bounce, a wall rally, and a fed ball. */
async function planned() {
  const { sessionId, playerIds, plan } = await oneBlockSession(box.context);
  const more = (
    [
      ['racket-wall-rally', 'forehand-rally'],
      ['retreat-for-the-high-ball', 'called-at-the-top'],
    ] as const
  ).map(([drillId, id]) => {
    const steps = plainBook.drill(drillId)!.steps;
    const step = steps.find((one) => one.id === id) ?? steps.at(-2)!;
    return blockOf({ id: box.context.newId(), drillId, stepId: step.id, dose: step.doses['10-12'] });
  });
  value(await savePlan(box.context, sessionId, { ...plan, blocks: [...plan.blocks, ...more] }));
  const [bounce, rally, lobs] = [...plan.blocks, ...more].map((block) => block.id);
  return { sessionId, playerIds, bounce: bounce!, rally: rally!, lobs: lobs! };
}
const settingsOf = async (sessionId: string) =>
  value(await loadPlan(box.context, sessionId)).blocks.map((block) => block.setting);

test('a setting goes into its block and nowhere else, comes back as it was, and can be taken off', async () => {
  const { sessionId, rally, lobs } = await planned();
  expect(value(await writeSetting(box.context, sessionId, rally, wall))).toMatchObject({ before: null });
  expect(value(await writeSetting(box.context, sessionId, lobs, feeder))).toMatchObject({ before: null });
  expect(await settingsOf(sessionId)).toEqual([null, wall, feeder]);
  const further = { ...wall, distanceM: 4 };
  expect(value(await writeSetting(box.context, sessionId, rally, further))).toMatchObject({ before: wall });
  expect(value(await writeSetting(box.context, sessionId, rally, null))).toMatchObject({ before: further });
  expect(await settingsOf(sessionId)).toEqual([null, null, feeder]);
});

test('fields nobody asked for are left behind', async () => {
  const { sessionId, rally } = await planned();
  value(await writeSetting(box.context, sessionId, rally, { ...wall, strange: 1 }));
  expect((await settingsOf(sessionId))[1]).toEqual(wall);
});

test.each<[string, unknown, string]>([
  [
    'too far',
    { ...wall, distanceM: 40 },
    'setting.distanceM: Distance from the wall must be from 0.6 to 14 m.',
  ],
  ['no number', { ...wall, hitsPerMin: 'many' }, 'setting.hitsPerMin: Hits a minute must be a number.'],
  ['a strange shot', { ...wall, shot: 'lob' }, 'setting.shot: Shot must be one of'],
  ['a strange ball', { ...wall, ball: 'stone' }, 'setting.ball: Ball must be one of'],
  ['dials missing', { ...feeder, machine: undefined }, 'setting.machine'],
  ['a dial too far', { ...feeder, machine: { ...machine, speedMps: 90 } }, 'Speed must be from 2 to 35 m/s.'],
  ['no setting at all', 7, 'setting'],
])('%s is refused with its field and the mend, and nothing is changed', async (_name, setting, words) => {
  const { sessionId, rally } = await planned();
  expect(problem(await writeSetting(box.context, sessionId, rally, setting))).toContain(words);
  expect(await settingsOf(sessionId)).toEqual([null, null, null]);
});

test('a drill without a wall takes no wall, one without a feed no feeder, a strange block nothing', async () => {
  const { sessionId, bounce, rally } = await planned();
  expect(problem(await writeSetting(box.context, sessionId, bounce, wall))).toContain(
    'Palm-up bounce is no rally',
  );
  expect(problem(await writeSetting(box.context, sessionId, rally, feeder))).toContain('is not fed');
  expect(problem(await writeSetting(box.context, sessionId, 'nowhere', wall))).toContain('not in the plan');
  expect(problem(await writeSetting(box.context, 'nowhere', rally, wall))).toContain('not on record');
});

describe('settings of the feeder', () => {
  const form = {
    name: ' Deep to the backhand ',
    drillId: 'retreat-for-the-high-ball',
    settings: { machine, place: { mouthM: 1, playerM: 9, court: 'red' } },
  };
  const names = async () => (await benchesView(box.context)).feeders.map(({ name }) => name);

  test('kept by name with the drill, changed, taken off and put back', async () => {
    const { id } = value(await saveFeeder(box.context, form));
    expect((await benchesView(box.context)).feeders).toEqual([{ ...form, id, name: 'Deep to the backhand' }]);
    value(await saveFeeder(box.context, { ...form, name: 'Deep' }, id));
    expect(await names()).toEqual(['Deep']);
    value(await removeFeeder(box.context, id, true));
    expect(await names()).toEqual([]);
    value(await removeFeeder(box.context, id, false));
    expect(await names()).toEqual(['Deep']);
  });
  test.each<[string, object, string]>([
    ['no name', { name: '  ' }, 'name: Name is empty'],
    ['a drill nobody knows', { drillId: 'nothing' }, 'drillId: This drill is not on the list'],
    ['no dials', { settings: { place: form.settings.place } }, 'settings.machine'],
    [
      'a strange court',
      { settings: { machine, place: { mouthM: 1, playerM: 9, court: 'moon' } } },
      'Court must be',
    ],
  ])('%s is refused', async (_name, more, words) => {
    expect(problem(await saveFeeder(box.context, { ...form, ...more }))).toContain(words);
    expect(await names()).toEqual([]);
  });
  test('unknown ones are said', async () => {
    expect(problem(await saveFeeder(box.context, form, 'nowhere'))).toContain('not on the list');
    expect(problem(await removeFeeder(box.context, 'nowhere', true))).toContain('not on the list');
  });
});

test('the benches know who there is, where, and which plans are ahead with their blocks', async () => {
  const { sessionId, playerIds, rally } = await planned();
  value(await writeSetting(box.context, sessionId, rally, wall));
  const view = await benchesView(box.context);
  expect(view.players.map(({ id }) => id)).toEqual(expect.arrayContaining(playerIds));
  expect(view.sessions).toMatchObject([{ id: sessionId, playerIds }]);
  expect(view.sessions[0]!.blocks.find(({ id }) => id === rally)).toMatchObject({
    drillId: 'racket-wall-rally',
    setting: wall,
  });
});

test('a player’s rows at a wall, by what they were made under; other drills and other players are not among them', async () => {
  const { sessionId, playerIds, bounce, rally } = await planned();
  const [ada, bo] = playerIds;
  value(await writeSetting(box.context, sessionId, rally, wall));
  const next = ids(5);
  const events = [
    ...eventsOf('xxx-', rally, ada!, next),
    ...eventsOf('xx', rally, ada!, next, 60_000).map((event) => ({ ...event, attempt: 2 })),
    ...eventsOf('xxxx-', bounce, ada!, next, 120_000),
    ...eventsOf('x-', rally, bo!, next, 180_000),
  ];
  value(await ingestTouches(box.context, { events }));
  const { groups } = await rallyView(box.context, ada!, 'tennis');
  expect(groups).toMatchObject([
    {
      drillId: 'racket-wall-rally',
      stepId: 'forehand-rally',
      ball: null,
      setting: wall,
      rows: [
        { hits: 3, missed: true },
        { hits: 2, missed: false },
      ],
    },
  ]);
  expect((await rallyView(box.context, ada!, 'table tennis')).groups).toEqual([]);
});
