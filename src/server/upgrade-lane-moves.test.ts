import { moveLanes } from './plan/lanes';
import { oldBook } from './testing/old-book';
import { value } from './testing/scratch';
import { sessionSetOutView } from './views/session-set-out';

test('in a book of before lanes were kept in it none is moved, and one can be', async () => {
  const { context, sessionId, blockId, close } = await oldBook({
    drillId: 'marker-touches',
    stepId: 'wide',
  });
  expect(await sessionSetOutView(context, sessionId)).toMatchObject({ moves: [], session: { title: 'Old' } });
  const move = { blockId, lane: 0, xM: 1, yM: 2, turned: false };
  value(await moveLanes(context, sessionId, { moves: [move] }));
  expect((await sessionSetOutView(context, sessionId))!.moves).toEqual([move]);
  close();
});
