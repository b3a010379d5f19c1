import fc from 'fast-check';
import { seededRandom } from '../../base/random';
import { aimFeeder } from './aim';
import { feederEvents } from './events';
import { feed, feedSpread, landingMap, type FeederPlace, type FeederSettings } from './feeder';
import { feedTiming, reactionS, swingS } from './interval';
import { lobRamp, mostSideSteps, stepsBack } from './ramp';

const machine: FeederSettings = {
  ball: 'green',
  speedMps: 11,
  elevationDeg: 22,
  spinPerMin: 0,
  sideDeg: 0,
  intervalS: 4,
  scatterPercent: 3,
  scatterDeg: 1.5,
};
const court: FeederPlace = {
  mouthM: 0.9,
  playerM: 11,
  netAtM: 5,
  netM: 0.9,
  floor: 'court',
  tableFromM: null,
  ceilingM: null,
};
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('a feed goes up, lands, and comes to the player, in that order', () => {
  const one = feed(machine, court, 11);
  expect(one.fault).toBeNull();
  expect(one.apexS).toBeGreaterThan(0);
  expect(one.bounceS).toBeGreaterThan(one.apexS);
  expect(one.contactS).toBeGreaterThan(one.bounceS!);
  expect(one.landM).toBeLessThan(11);
  expect(one.apexM).toBeGreaterThan(0.9);
});

test.each<[string, Partial<FeederSettings>, Partial<FeederPlace>, string]>([
  ['the net', { speedMps: 20, elevationDeg: -1 }, {}, 'net'],
  ['the ceiling', { elevationDeg: 60, speedMps: 14 }, { ceilingM: 4 }, 'ceiling'],
  ['too soft for the net', { speedMps: 3 }, { netAtM: null }, 'never comes'],
])('%s is said', (_name, settings, place, fault) => {
  expect(feed({ ...machine, ...settings }, { ...court, ...place }, 11).fault).toBe(fault);
});

test('the inverse: what is aimed lands on its spot with its arc, for every spot, arc and spin', () => {
  fc.assert(
    fc.property(
      num(6.5, 12),
      num(-2, 2),
      num(1.8, 4.5),
      num(-1200, 1200),
      (alongM, sideM, apexM, spinPerMin) => {
        const aimed = aimFeeder({ ...machine, spinPerMin }, court, { alongM, sideM, apexM });
        if (!aimed.ok) return expect(aimed.why).toBe('net');
        const one = feed(aimed.settings, { ...court, playerM: 40 }, 40);
        // To two millimetres, off the axis as on it.
        expect(Math.abs(one.landM! - alongM)).toBeLessThan(0.002);
        expect(Math.abs(one.landSideM - sideM)).toBeLessThan(0.002);
        expect(one.apexM).toBeCloseTo(apexM, 2);
      },
    ),
    { numRuns: 60, seed: 3 },
  );
});

test('what cannot be aimed says why', () => {
  expect(aimFeeder(machine, court, { alongM: 9, sideM: 0, apexM: 0.5 })).toEqual({
    ok: false,
    why: 'too low',
  });
  expect(aimFeeder(machine, { ...court, ceilingM: 3 }, { alongM: 9, sideM: 0, apexM: 4 })).toEqual({
    ok: false,
    why: 'ceiling',
  });
  expect(aimFeeder(machine, { ...court, netM: 2 }, { alongM: 9, sideM: 0, apexM: 1.5 })).toEqual({
    ok: false,
    why: 'net',
  });
});

test('without scatter every feed is the same; with it the map is as wide as the scatter says', () => {
  const still = landingMap({ ...machine, scatterDeg: 0, scatterPercent: 0 }, court, 11, 5, seededRandom(1));
  expect(still.spreadM).toBeCloseTo(0, 9);
  expect(still.good).toBe(5);
  const wide = landingMap(machine, court, 11, 400, seededRandom(2));
  expect(wide.meanM).toBeCloseTo(still.meanM, 0);
  // Sideways: 1.5 degrees over the way to the landing.
  expect(wide.spreadSideM / ((still.meanM * (1.5 * Math.PI)) / 180)).toBeCloseTo(1, 0);
  expect(landingMap(machine, court, 11, 400, seededRandom(2))).toEqual(wide);
});

test('the shortest interval is contact, swing and the way back; time to spare counts seeing and the way there', () => {
  const one = feed(machine, court, 11);
  const timing = feedTiming(one, { distanceM: 3, speedMps: 2 });
  expect(timing.shortestS).toBeCloseTo(one.contactS + swingS + 1.5, 9);
  expect(timing.toSpareS).toBeCloseTo(one.contactS - reactionS - 1.5, 9);
  expect(timing.racketReadyS).toBe(one.bounceS);
  expect(feedTiming(one, { distanceM: 4, speedMps: 2 }).shortestS).toBeGreaterThan(timing.shortestS);
});

// Up to two side steps, three at most; more are crossover steps: common practice, no source.
test.each([
  [0, 0, 'stay'],
  [0.4, 1, 'side steps'],
  [1, 2, 'side steps'],
  [1.5, 3, 'side steps'],
  [1.6, 2, 'crossover steps'],
  [3.1, 4, 'crossover steps'],
])('%p m back: %p %s', (backM, steps, how) => {
  expect(stepsBack(backM, 0.5, 0.8)).toEqual({ steps, how });
  expect(mostSideSteps).toBe(3);
});

test('a lob ramp goes deeper, takes ever more steps, and names the depth at which only crossover steps reach', () => {
  const lobs = lobRamp({ ...machine, elevationDeg: 45 }, court, 4.2, {
    reachM: 1.9,
    sideStepM: 0.5,
    strideM: 0.7,
  });
  expect(lobs.length).toBeGreaterThan(10);
  for (let k = 1; k < lobs.length; k++) {
    expect(lobs[k]!.landM).toBeGreaterThan(lobs[k - 1]!.landM);
    expect(lobs[k]!.backM).toBeGreaterThan(lobs[k - 1]!.backM);
  }
  expect(lobs[0]!.backM).toBeLessThan(lobs[0]!.landM - 11);
  const how = lobs.map((one) => one.how);
  expect(how.indexOf('crossover steps')).toBeGreaterThan(how.indexOf('side steps'));
  // Deep enough, and there is not the time.
  expect(lobs.at(-1)!.toSpareS).toBeLessThan(lobs[0]!.toSpareS);
});

test('the machine tells when it feeds, when the ball is at its top, and when it bounces', () => {
  const one = feed(machine, court, 11);
  const events = feederEvents(one, 4, 12);
  expect(events.filter(({ kind }) => kind === 'fed').map(({ atS }) => atS)).toEqual([0, 4, 8]);
  expect(events.map(({ atS }) => atS)).toEqual([...events.map(({ atS }) => atS)].sort((a, b) => a - b));
  expect(events.slice(0, 3).map(({ kind }) => kind)).toEqual(['fed', 'apex', 'bounced']);
  expect(events[1]!.atS).toBe(one.apexS);
  expect(events[2]!.atS).toBe(one.bounceS);
  expect(feederEvents({ apexS: 0.3, bounceS: null }, 2, 4).map(({ kind }) => kind)).toEqual([
    'fed',
    'apex',
    'fed',
    'apex',
  ]);
});

test('what the ranges of ball and floor do to a feed: the ball moves the landing, the floor the height it is met at', () => {
  const off = feedSpread(machine, court, 11);
  expect(off.landM).toBeGreaterThan(0.02);
  expect(off.landM).toBeLessThan(1);
  expect(off.contactM).toBeGreaterThan(0.01);
  expect(off.contactS).toBeLessThan(0.5);
  expect(feedSpread({ ...machine, elevationDeg: -4 }, court, 11)).toEqual({
    landM: 0,
    contactM: 0,
    contactS: 0,
  });
});
