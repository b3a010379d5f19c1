import { plainBook } from '@/drills';
import { blockOf } from '@/session/base/plan';
import type { SequenceSetting } from '@/core/calculators/setting';
import { oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { loadPlan, savePlan } from '../plan/sessions';
import { practiceTrack } from '../base/track';
import { sequencesView } from '../views/sequences';
import { writeSetting } from '../calculators/settings';
import { removeSequence, saveSequence } from './sequences';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const form = {
  name: 'Corner and wide',
  sport: 'table tennis',
  ground: 'table',
  line: 'BH corner,  fh wide drive stay',
};
const kept = async () => (await sequencesView(box.context)).sequences;

test('a sequence is kept in the one way it is written, changed, taken off and brought back', async () => {
  const { id } = value(await saveSequence(box.context, form));
  expect(await kept()).toEqual([
    { id, name: 'Corner and wide', sport: 'table tennis', ground: 'table', line: 'bh corner, fh wide' },
  ]);
  value(await saveSequence(box.context, { ...form, line: 'fh in push, fh out loop' }, id));
  expect((await kept()).map(({ line }) => line)).toEqual(['fh corner in push, fh corner out loop']);
  value(await removeSequence(box.context, id, true));
  expect([await kept(), (await sequencesView(box.context)).takenOff.map((one) => one.name)]).toEqual([
    [],
    ['Corner and wide'],
  ]);
  value(await removeSequence(box.context, id, false));
  expect(await kept()).toHaveLength(1);
});

test.each([
  [{ name: '' }, 'Name is empty'],
  [{ line: '' }, 'The line is empty'],
  [{ line: 'fh corner' }, 'at least 2 strokes'],
  [{ line: '200x fh corner' }, 'at most 40 strokes'],
  [{ line: 'fh corner, fh slurp' }, '“slurp” is not a word of it'],
  [{ line: 'fh, '.repeat(600) }, 'The line is too long'],
  [{ ground: 'full' }, 'Ground does not go with the sport'],
  [{ ground: 'moon' }, 'Ground must be one of'],
  [{ sport: 'chess' }, 'Sport must be tennis or table tennis'],
])('%j is refused, and nothing is kept', async (wrong, words) => {
  expect(problem(await saveSequence(box.context, { ...form, ...wrong }))).toContain(words);
  expect(await kept()).toEqual([]);
});

test('one that is not there is told', async () => {
  expect(problem(await saveSequence(box.context, form, 'nowhere'))).toContain('not on the list');
  expect(problem(await removeSequence(box.context, 'nowhere', true))).toContain('not on the list');
});

const setting: SequenceSetting = {
  kind: 'sequence',
  name: 'Corner and wide',
  sport: 'table tennis',
  ground: 'table',
  lines: ['bh corner, fh wide', 'fh corner, fh middle'],
  rounds: [
    { line: 0, perMin: 24 },
    { line: 1, perMin: 30 },
  ],
  way: 'even',
};

async function planned(drillId: string, stepId: string) {
  const { sessionId, plan } = await oneBlockSession(box.context);
  const step = plainBook.step(drillId, stepId)!;
  const block = blockOf({ id: box.context.newId(), drillId, stepId, dose: step.doses['10-12'] });
  value(await savePlan(box.context, sessionId, { ...plan, blocks: [...plan.blocks, block] }));
  return { sessionId, blockId: block.id };
}

test('it goes into a block of shadow strokes, with its rounds where it has some, and can be taken back whole', async () => {
  const { sessionId, blockId } = await planned('shadow-patterns', 'four-shots');
  const dose = { kind: 'timed', rounds: 26, workS: 40, restS: 30 };
  const before = value(await writeSetting(box.context, sessionId, blockId, setting, dose));
  const now = async () =>
    value(await loadPlan(box.context, sessionId)).blocks.find(({ id }) => id === blockId)!;
  expect(await now()).toMatchObject({ setting, dose });
  value(await writeSetting(box.context, sessionId, blockId, before.before, before.dose));
  expect(await now()).toMatchObject({ setting: null, dose: before.dose });
});

test.each([
  ['shadow-forehand', 'swing-in-time', {}, 'is of another sport'],
  ['marker-touches', 'narrow', {}, 'is not done without a ball'],
  ['shadow-patterns', 'four-shots', { lines: ['fh crner, bh corner', 'fh, fh'] }, 'did you mean “corner”'],
  ['shadow-patterns', 'four-shots', { lines: [], rounds: [] }, 'missing'],
  [
    'shadow-patterns',
    'four-shots',
    { lines: ['3x fh corner, bh', 'fh corner, fh middle'] },
    'written “fh corner, fh corner, fh corner, bh corner”',
  ],
  ['shadow-patterns', 'four-shots', { rounds: [{ line: 2, perMin: 30 }] }, 'a sequence that is not there'],
  ['shadow-patterns', 'four-shots', { rounds: [{ line: 0, perMin: 500 }] }, 'from 6 to 90'],
  ['shadow-patterns', 'four-shots', { way: 'backwards' }, 'Tempo must be even'],
] as const)('into %s, %s with %j: %s', async (drillId, stepId, wrong, words) => {
  const { sessionId, blockId } = await planned(drillId, stepId);
  expect(problem(await writeSetting(box.context, sessionId, blockId, { ...setting, ...wrong }))).toContain(
    words,
  );
});

test('a dose that cannot be is told, and the block stays as it was', async () => {
  const { sessionId, blockId } = await planned('shadow-patterns', 'four-shots');
  const dose = { kind: 'timed', rounds: 400, workS: 40, restS: 30 };
  expect(problem(await writeSetting(box.context, sessionId, blockId, setting, dose))).toContain('Rounds');
  expect(value(await loadPlan(box.context, sessionId)).blocks.at(-1)!.setting).toBeNull();
});

test('a practice track speaks the strokes, and its words say them', async () => {
  const { sport, lines, rounds, way } = setting;
  const wish = { name: 'track', rounds: 2, workS: 10, restS: 5, sequence: { sport, lines, rounds, way } };
  const { pieces } = value(await practiceTrack({ ...wish, format: 'vtt' }));
  const text = new TextDecoder().decode(Buffer.concat([...pieces()]));
  expect(text).toContain('backhand corner');
  expect(text).toContain('forehand middle');
  const sound = value(await practiceTrack({ ...wish, format: 'wav' }));
  const silent = value(await practiceTrack({ ...wish, format: 'wav', sequence: null, tempoPerMin: 40 }));
  expect(sound.bytes).toBe(silent.bytes);
  expect(problem(await practiceTrack({ ...wish, format: 'wav', sequence: null }))).toContain('silent');
  expect(
    problem(await practiceTrack({ ...wish, format: 'vtt', sequence: { ...wish.sequence, lines: ['x'] } })),
  ).toContain('not a word');
});
