import { saveSequence } from './drills/sequences';
import { loadPlan } from './plan/sessions';
import { oldBook } from './testing/old-book';
import { value } from './testing/scratch';
import { sequencesView } from './views/sequences';

test('a book of before there were sequences has none, its plans are as they were, and one can be kept', async () => {
  const { context, sessionId, close } = await oldBook({ drillId: 'shadow-patterns', stepId: 'pivot' });
  expect((await sequencesView(context)).sequences).toEqual([]);
  expect(value(await loadPlan(context, sessionId)).blocks[0]).toMatchObject({
    stepId: 'pivot',
    setting: null,
  });
  value(
    await saveSequence(context, {
      name: 'First',
      sport: 'tennis',
      ground: 'chalk',
      line: 'fh corner, bh corner',
    }),
  );
  expect((await sequencesView(context)).sequences.map(({ name }) => name)).toEqual(['First']);
  close();
});
