import { saveSequence } from '../drills/sequences';
import { scratch, value } from '../testing/scratch';
import { findView } from './find';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());
const sequences = async (words: string) => (await findView(box.context, words)).sequences;

test('shadow sequences are found by name, by sport and by the words of their line, the house’s own first', async () => {
  const { id } = value(
    await saveSequence(box.context, {
      name: 'Figure for Tuesday',
      sport: 'table tennis',
      ground: 'table',
      line: 'fh pivot loop, bh corner',
    }),
  );
  expect(await sequences('tuesday')).toEqual([
    { id, name: 'Figure for Tuesday', about: 'table tennis · fh pivot loop, bh corner' },
  ]);
  const pivots = await sequences('FH Pivot');
  expect(pivots[0]!.id).toBe(id);
  expect(pivots.map((one) => one.id)).toContain('backhand-and-pivot');
  expect(pivots.every(({ about }) => about.includes('fh pivot'))).toBe(true);
  expect((await sequences('spacing, closed')).length).toBeGreaterThan(2);
  expect(await sequences('no such words')).toEqual([]);
});
