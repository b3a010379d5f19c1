import 'fake-indexeddb/auto';
import { dropStill, keepStill, restoreStill, stillsOf, sweepStills } from './stills';

const still = (playerId: string, atMs: number) => ({
  playerId,
  atMs,
  words: `At ${atMs}`,
  picture: new Blob(['x'], { type: 'image/jpeg' }),
});

test('a still stays with its child until it is dropped, and can be brought back', async () => {
  await keepStill(still('ada', 1));
  const id = await keepStill(still('ada', 2));
  await keepStill(still('bo', 3));
  const [newest, older] = await stillsOf('ada');
  expect([newest!.words, older!.words]).toEqual(['At 2', 'At 1']);
  await dropStill(id);
  expect(await stillsOf('ada')).toHaveLength(1);
  await restoreStill(newest!);
  expect(await stillsOf('ada')).toHaveLength(2);
});

test('who is removed for good takes their stills along; who cannot be asked about keeps them', async () => {
  const asked: string[] = [];
  const gone = await sweepStills((id) => {
    asked.push(id);
    return Promise.resolve(id === 'bo' ? false : null);
  });
  expect(asked.sort()).toEqual(['ada', 'bo']);
  expect(gone).toBe(1);
  expect(await stillsOf('bo')).toEqual([]);
  expect(await stillsOf('ada')).toHaveLength(2);
});
