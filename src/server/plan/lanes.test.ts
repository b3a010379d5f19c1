import { moveLanes } from './lanes';
import { createSession } from './sessions';
import { savePlayer } from '../players/squad';
import { ada, booking, scratch, value } from '../testing/scratch';
import { sessionSetOutView } from '../views/session-set-out';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const move = { blockId: 'b1', lane: 1, xM: 2.25, yM: -0.5, turned: true };

async function session(): Promise<string> {
  const { id } = value(await savePlayer(box.context, { ...ada, sure: true }));
  return value(await createSession(box.context, { ...booking, playerIds: [id] })).id;
}
const movesOf = async (id: string) => (await sessionSetOutView(box.context, id))!.moves;

test('lanes moved by hand are kept with the session, and put back they are gone', async () => {
  const id = await session();
  expect(await movesOf(id)).toEqual([]);
  value(await moveLanes(box.context, id, { moves: [move] }));
  expect(await movesOf(id)).toEqual([move]);
  value(await moveLanes(box.context, id, { moves: [] }));
  expect(await movesOf(id)).toEqual([]);
});

test('what is no list of moves is refused with the field and the mend, and what was kept stays', async () => {
  const id = await session();
  value(await moveLanes(box.context, id, { moves: [move] }));
  for (const [bad, field, words] of [
    [[{ ...move, xM: 1000 }], 'moves[0].xM', 'from -200 to 400 m'],
    [[{ ...move, lane: 1.5 }], 'moves[0].lane', 'whole number'],
    [[{ ...move, blockId: '' }], 'moves[0].blockId', 'missing'],
    [Array.from({ length: 101 }, () => move), 'moves', 'at most 100'],
    [null, 'moves', 'give a list'],
  ] as const) {
    const outcome = await moveLanes(box.context, id, { moves: bad });
    expect(outcome).toMatchObject({ ok: false, problems: [{ field }] });
    expect(outcome.ok ? '' : outcome.problems[0]!.message).toContain(words);
  }
  expect(await movesOf(id)).toEqual([move]);
});

test('a session that is not there has no lanes', async () =>
  expect(await moveLanes(box.context, box.context.newId(), { moves: [move] })).toMatchObject({ ok: false }));
