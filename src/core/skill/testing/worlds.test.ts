import { heldIn, worldMarks, worlds, type World } from './worlds';

/** Forecasts of counts against the clock in a world, of three marks each. */
function forecastsIn(world: World) {
  const all = worldMarks.map((mark) => heldIn(world, 'rate', mark, 80, 11));
  const mean = (of: 'inside' | 'said' | 'came') => all.reduce((sum, one) => sum + one[of], 0) / all.length;
  return { inside: mean('inside'), said: mean('said'), came: mean('came') };
}

test.each(worlds)('forecasts hold where players learn as nobody assumed: %s', (world) => {
  const { inside, said, came } = forecastsIn(world);
  expect(Math.abs(inside - 0.8)).toBeLessThan(0.1);
  expect(Math.abs(said - came)).toBeLessThan(0.12);
});
