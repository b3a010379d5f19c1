import { check } from './check';
import { mostThings, placeSchema } from './place';

const hall = { name: 'Hall', lengthM: 24, widthM: 7, surface: 'wood', wallM: 9, tables: 0 };
const pillar = { kind: 'pillar', xM: 3, yM: 2, widthM: 0.4, depthM: 0.4 };
const first = (input: unknown) => {
  const outcome = check(placeSchema, input);
  return outcome.ok ? null : outcome.problems[0]!;
};

test('what nobody drew is bare, and nobody said where the wall is', () => {
  const outcome = check(placeSchema, hall);
  expect(outcome.ok && outcome.value).toMatchObject({ things: [], wallSide: null });
});

test('an empty choice of the wall’s side is none; anything else on the list stays', () => {
  const side = (wallSide: unknown) => {
    const outcome = check(placeSchema, { ...hall, wallSide });
    return outcome.ok ? outcome.value.wallSide : outcome.problems[0]!.message;
  };
  expect(side('')).toBeNull();
  expect(side('long')).toBe('long');
  expect(side('short')).toBe('short');
  expect(side('left')).toBe('The wall’s side must be one of the list.');
});

test.each([
  [{ kind: 'sofa' }, 'What it is must be one of the list.'],
  [{ xM: 'far' }, 'Along must be a length, such as 3 m.'],
  [{ yM: -1 }, 'Out must be from 0 to 200 m.'],
  [{ widthM: 0 }, 'Wide must be from 0.1 to 200 m.'],
  [{ depthM: 1000 }, 'Deep must be from 0.1 to 200 m.'],
  [{ xM: 24 }, 'The pillar ends 24.4 m along, and the place is 24 m there: move it, or make it smaller.'],
  [
    { yM: 6.7 },
    'The pillar ends 7.1 m out from the wall, and the place is 7 m there: move it, or make it smaller.',
  ],
])('a thing with %j is told, and which field to mend', (change, message) => {
  const problem = first({ ...hall, things: [pillar, { ...pillar, ...change }] });
  expect(problem!.message).toBe(message);
  expect(problem!.field).toMatch(/^things\[1\]\./);
});

test('along the short side the same pillar stands outside a wall of seven metres', () => {
  const far = { ...pillar, xM: 10 };
  expect(first({ ...hall, things: [far] })).toBeNull();
  expect(first({ ...hall, wallSide: 'short', things: [far] })!.message).toMatch(/ends 10.4 m along/);
});

test('as many things as are drawn, and no more', () => {
  const many = (count: number) => first({ ...hall, things: Array.from({ length: count }, () => pillar) });
  expect(many(mostThings)).toBeNull();
  expect(many(mostThings + 1)!.message).toBe(`Things on the floor: draw at most ${mostThings}.`);
});
