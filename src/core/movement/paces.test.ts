import { inPaces, paceProblem } from './paces';

test('a length in the coach’s own paces, to the half', () => {
  // Thirteen paces over ten metres: 0.77 m each.
  expect(inPaces(10, 13)).toBe(13);
  expect(inPaces(3, 13)).toBe(4);
  expect(inPaces(1.2, 13)).toBe(1.5);
  expect(inPaces(0, 13)).toBe(0);
});

test('a pace of ten centimetres, of two metres, or none is told', () => {
  for (const wrong of [100, 5, 0, -3, Number.NaN]) expect(paceProblem(wrong)).toMatch(/walk them once more/);
  for (const right of [8, 13, 45]) expect(paceProblem(right)).toBeNull();
});
