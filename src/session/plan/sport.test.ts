import { plainBook } from '@/drills';
import { newBlock } from './place-block';
import { sportsPlayed, strangersIn, type Plays } from './sport';

const child = (id: string, sport: Plays['sport']) => ({ id, sport, age: 10 });
const [ada, bo, cy] = [child('ada', 'tennis'), child('bo', 'table tennis'), child('cy', 'tennis')];
const drillOf = (...sports: Plays['sport'][]) =>
  plainBook.drills.find((drill) => drill.sports.join() === sports.join())!;

test('the sport most of them play comes first', () => {
  expect(sportsPlayed([bo, ada, cy])).toEqual(['tennis', 'table tennis']);
  expect(sportsPlayed([bo])).toEqual(['table tennis']);
  expect(sportsPlayed([])).toEqual([]);
});

describe('who works at another game’s drill', () => {
  const block = newBlock(plainBook, drillOf('tennis').id, [ada, bo, cy], () => undefined, 'b');
  test('is named', () => expect(strangersIn(plainBook, block, [ada, bo, cy])).toEqual([bo]));
  test('unless they sit it out', () => {
    const own = block.own.map((one) => ({ ...one, out: one.playerId === 'bo' }));
    expect(strangersIn(plainBook, { ...block, own }, [ada, bo, cy])).toEqual([]);
  });
  test('nobody in a drill of both games, or one that is not known', () => {
    const both = plainBook.drills.find((drill) => drill.sports.length === 2)!;
    expect(strangersIn(plainBook, { ...block, drillId: both.id }, [ada, bo])).toEqual([]);
    expect(strangersIn(plainBook, { ...block, drillId: 'gone' }, [bo])).toEqual([]);
  });
});
