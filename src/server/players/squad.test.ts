import { getPlayer, listPlayers } from '@/data/squad';
import { removePlayer, savePlayer } from './squad';
import { ada, problem, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('a player is added, changed, taken off and put back', async () => {
  const { context } = box;
  const { id } = value(await savePlayer(context, { ...ada, name: '  Ada ', heightCm: '', stage: '' }));
  expect(await getPlayer(context.db, id)).toMatchObject({
    name: 'Ada',
    heightCm: null,
    stage: null,
    focus: 'Quiet arm',
  });
  value(await savePlayer(context, { ...ada, heightCm: '134', focus: 'Split step' }, id));
  expect(await getPlayer(context.db, id)).toMatchObject({ heightCm: 134, focus: 'Split step' });
  value(await savePlayer(context, { ...ada, focus: '' }, id));
  expect(await getPlayer(context.db, id)).toMatchObject({ focus: '' });

  value(await removePlayer(context, id, true));
  expect(await listPlayers(context.db)).toEqual([]);
  value(await removePlayer(context, id, false));
  expect(await listPlayers(context.db)).toHaveLength(1);
});

test.each([
  [{ ...ada, name: '   ' }, 'name: Name is empty'],
  [{ ...ada, name: 'x'.repeat(61) }, 'name: Name is too long'],
  [{ ...ada, birthYear: 2031 }, 'birthYear: Birth year 2031 lies in the future'],
  [{ ...ada, birthYear: 1950 }, 'birthYear: Birth year 1950 makes the player 76'],
  [{ ...ada, birthYear: 'soon' }, 'birthYear: Birth year must be a year'],
  [{ ...ada, sport: 'chess' }, 'sport: Sport must be tennis or table tennis'],
  [{ ...ada, hand: undefined }, 'hand: Hand is empty'],
  [{ ...ada, heightCm: 12 }, 'heightCm: Height must be from 80 to 220 cm'],
  [{ ...ada, racketIn: 40 }, 'racketIn: Racket length'],
  [null, 'name: Name is empty'],
  ['nonsense', 'name: Name is empty'],
])('%j is refused by name, and nothing is written', async (input, message) => {
  expect(problem(await savePlayer(box.context, input))).toContain(message);
  expect(await listPlayers(box.context.db)).toEqual([]);
});

test('an unknown player cannot be changed or removed', async () => {
  expect(problem(await savePlayer(box.context, ada, 'nobody'))).toContain('not on record');
  expect(problem(await removePlayer(box.context, 'nobody', true))).toContain('not on record');
  expect(await listPlayers(box.context.db)).toEqual([]);
});

test('a name there is already, and a year that may be a slip, are asked about once', async () => {
  const { context } = box;
  const { id } = value(await savePlayer(context, ada));
  expect(problem(await savePlayer(context, { ...ada, name: ' ada ' }))).toContain(
    'There is a ada on the squad already',
  );
  value(await savePlayer(context, { ...ada, name: 'ada', sure: true }));
  // Whoever keeps their own name is not asked.
  value(await savePlayer(context, { ...ada, focus: 'Split step' }, id));
  const year = Number(context.today.slice(0, 4));
  expect(problem(await savePlayer(context, { ...ada, name: 'Baby', birthYear: year }))).toContain(
    'is 0 years old',
  );
  expect(await listPlayers(context.db)).toHaveLength(2);
});
