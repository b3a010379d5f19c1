import { clockKinds, courtKinds } from '@/core/counting/event';
import { forMates } from './use-block';

const mates = ['a', 'b', 'c'];
const fresh = (kind: Parameters<typeof forMates>[1]['kind'], playerId: string | null = null) =>
  ({ blockId: 'b', playerId, kind }) as Parameters<typeof forMates>[1];
const blocksOf = (kind: Parameters<typeof forMates>[1]['kind'], playerId: string | null = null) =>
  forMates(mates, fresh(kind, playerId)).map(({ blockId }) => blockId);

test('what is said of a circuit’s clock is said of every station', () => {
  for (const kind of clockKinds) expect([kind, blocksOf(kind)]).toEqual([kind, mates]);
  for (const kind of courtKinds.filter((one) => one !== 'swap'))
    expect([kind, blocksOf(kind)]).toEqual([kind, mates]);
});

test('a swap exchanges one block for another, so it is said of that one', () =>
  expect(blocksOf('swap')).toEqual(['b']));

test('what one child did is theirs, at the station where they did it', () => {
  for (const kind of ['touch', 'drop', 'result', 'beside', 'undo'] as const)
    expect([kind, blocksOf(kind, 'mika')]).toEqual([kind, ['b']]);
});

test('a block by itself has only itself to say it of', () =>
  expect(forMates(['b'], fresh('start'))).toEqual([fresh('start')]));
