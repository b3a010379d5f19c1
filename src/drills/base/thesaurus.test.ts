import { catalogue } from '@/drills';
import { aboutness, matches } from '@/session/drills/find';
import { alike } from './thesaurus';

test.each([
  ['footwork', 'feet'],
  ['coordination', 'hands'],
  ['Coordination', 'catch'],
  ['warmup', 'loosen'],
])('%s also looks for %s', (word, other) => expect(alike(word)).toContain(other));

test('any other word looks for itself', () => expect(alike('rope')).toEqual(['rope']));

test.each([
  ['footwork', 'feet'],
  ['coordination', 'hands'],
  ['warm-up', 'loosen'],
  ['warmup', 'loosen'],
  ['serve', 'serve base'],
] as const)('%s finds every drill of the family %s', (word, family) => {
  const found = catalogue.filter((drill) => matches(drill, word));
  for (const drill of catalogue.filter((one) => one.family === family)) expect(found).toContain(drill);
  expect(found.length).toBeLessThan(catalogue.length);
});

test('a word is not found inside another one', () => {
  const drill = {
    ...catalogue[0]!,
    title: 'Execute',
    purpose: '',
    setUp: '',
    trains: [],
    kit: [],
    steps: [],
  };
  expect(matches(drill, 'slice')).toBe(false);
  expect(matches(drill, 'execute')).toBe(true);
});

test('what is about a word comes before what only has it in its text', () => {
  const found = catalogue.filter((drill) => matches(drill, 'footwork'));
  const first = [...found].sort((a, b) => aboutness(b, 'footwork') - aboutness(a, 'footwork'))[0]!;
  expect(first.family).toBe('feet');
});
