import { plainBook } from '@/drills';
import { rulesByAge, type RuledPlayer } from './challenge-rules';

const player = (age: number, more: Partial<RuledPlayer> = {}): RuledPlayer => ({
  age,
  sport: 'tennis',
  stage: null,
  ...more,
});
const rules = (drillId: string, ...players: RuledPlayer[]) => {
  const drill = plainBook.drill(drillId)!;
  return rulesByAge(drill, drill.steps[0]!, players);
};

test('the smallest stand nearer to a target than the big ones, and have fewer shots', () => {
  const [small, big] = rules('ring-target', player(13), player(5));
  expect([small!.fromAge, big!.fromAge]).toEqual([5, 13]);
  // Two metres for the smallest, three from thirteen on: the trade's own rule, common practice.
  expect(small!.words).toMatch(/from 2 m$/);
  expect(big!.words).toMatch(/from 3 m$/);
  expect(small!.words).not.toBe(big!.words.replace('3 m', '2 m'));
});

test('the ball follows the age, or the profile where it says one; table tennis has one ball', () => {
  expect(rules('palm-up-bounce', player(7))[0]!.words).toMatch(/^red ball, /);
  expect(rules('palm-up-bounce', player(12))[0]!.words).toMatch(/^yellow ball, /);
  expect(rules('palm-up-bounce', player(12, { stage: 'green' }))[0]!.words).toMatch(/^green ball, /);
  expect(rules('palm-up-bounce', player(12, { sport: 'table tennis' }))[0]!.words).not.toMatch(/ball/);
});

test('ages next to each other under the same rules are one line', () => {
  const lines = rules('palm-up-bounce', player(8), player(7), player(7), player(12), player(11));
  expect(lines.map(({ fromAge, toAge }) => [fromAge, toAge])).toEqual([
    [7, 8],
    [11, 12],
  ]);
});
