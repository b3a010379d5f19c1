import { courtKinds, courts, netHeightAt } from './courts';
import {
  directions,
  arcsInWords,
  flownSpread,
  flownStretch,
  shareOfFarSide,
  straightStretch,
  type ContactPoint,
} from './over';

const { full, red, table } = courts;
const at = (fromNetM: number, heightM: number, sideM = 0): ContactPoint => ({ fromNetM, heightM, sideM });

// ITF and ITTF (memory).
test('courts have their published sizes, and a net that sags to the strap', () => {
  expect(full).toMatchObject({ lengthM: 23.77, widthM: 8.23, netM: 0.914 });
  expect([red.lengthM >= 10.97, red.lengthM <= 12.8, red.widthM >= 4.27, red.widthM <= 6.1]).not.toContain(
    false,
  );
  expect(table.netM).toBeCloseTo(0.76 + 0.1525, 9);
  expect(netHeightAt(full, 0)).toBe(0.914);
  expect(netHeightAt(full, 4.115)).toBeCloseTo(1.07, 9);
  expect(netHeightAt(full, -4.115)).toBeCloseTo(1.07, 9);
});

describe('a straight line', () => {
  test('over the middle of the net from 2.5 m, twelve metres back: similar triangles', () => {
    const stretch = straightStretch(full, at(11.885, 2.5), 0, 0)!;
    expect(stretch.fromM).toBeCloseTo((11.885 * 0.914) / (2.5 - 0.914), 9);
    expect(stretch.toM).toBeCloseTo(11.885, 9);
  });
  test('below the net nothing, and the higher the more', () => {
    for (const kind of courtKinds) {
      const court = courts[kind];
      expect(straightStretch(court, at(1, court.netM - 0.05), 0, 0)).toBeNull();
      const low = straightStretch(court, at(court.lengthM / 4, court.netM + 0.6), 0, 0);
      const high = straightStretch(court, at(court.lengthM / 4, court.netM + 1.4), 0, 0)!;
      expect(high.fromM).toBeLessThan(low?.fromM ?? Infinity);
    }
  });
  test('from far back and low the whole far side is hidden', () => {
    expect(straightStretch(full, at(11.885, 1.5), 0, 0)).toBeNull();
  });
  test('clearance hides more', () => {
    expect(straightStretch(full, at(6, 2.4), 0.3, 0)!.fromM).toBeGreaterThan(
      straightStretch(full, at(6, 2.4), 0, 0)!.fromM,
    );
  });
});

describe('a flown ball', () => {
  const hit = { ball: 'yellow', speedMps: 20, spinPerMin: 0 } as const;
  test('gravity brings down what the straight line could not', () => {
    const flown = flownStretch(full, at(11.885, 1), hit, 0.2, 0)!;
    expect(straightStretch(full, at(11.885, 1), 0.2, 0)).toBeNull();
    expect(flown.stretch.toM).toBeLessThanOrEqual(11.885);
    expect(flown.stretch.toM).toBeGreaterThan(flown.stretch.fromM);
    for (const { fromDeg, toDeg } of flown.arcs) expect(toDeg).toBeGreaterThan(fromDeg);
  });
  test('topspin lets a hard ball land shorter; a wider clearance leaves less room', () => {
    const near = (spinPerMin: number, clearance: number) =>
      flownStretch(full, at(11.885, 1), { ...hit, speedMps: 28, spinPerMin }, clearance, 0)!.stretch.fromM;
    expect(near(2400, 0.2)).toBeLessThan(near(0, 0.2));
    expect(near(2400, 0.8)).toBeGreaterThan(near(2400, 0.2));
  });
  test('a hard hit has two arcs with a gap between them: a drive, and a lob; a soft one has one', () => {
    const hard = flownStretch(full, at(11.885, 1), hit, 0.2, 0)!;
    expect(hard.arcs).toHaveLength(2);
    const [drive, lob] = hard.arcs;
    expect(drive!.toDeg).toBeLessThan(lob!.fromDeg - 5);
    expect(arcsInWords(hard.arcs)).toMatch(/^drive -?\d+° to \d+° or lob \d+° to \d+°$/);
    // In a vacuum both angles of one distance add up to about 90°; the air takes some off the higher one.
    expect(drive!.toDeg + lob!.fromDeg).toBeGreaterThan(65);
    expect(drive!.toDeg + lob!.fromDeg).toBeLessThan(95);
    const soft = flownStretch(full, at(4, 1), { ...hit, speedMps: 9 }, 0.2, 0)!;
    expect(soft.arcs).toHaveLength(1);
    expect(arcsInWords(soft.arcs)).toMatch(/^hit -?\d+° to \d+°$/);
  });
  test('too soft to get over, nothing', () => {
    expect(flownStretch(full, at(11.885, 1), { ...hit, speedMps: 6 }, 0.2, 0)).toBeNull();
  });
  test('on a table the flight ends on the table', () => {
    const over = flownStretch(
      table,
      at(1.6, 1),
      { ball: 'table tennis', speedMps: 6, spinPerMin: 1500 },
      0.05,
      0,
    )!;
    expect(over.stretch.toM).toBeLessThanOrEqual(1.37);
  });
});

test('the share of the far side is an area: all of it is one, what the net hides is missing', () => {
  const contact = at(2, 2.4);
  const rays = directions(full, contact, 401).map((side) => ({
    sideAtBaselineM: side,
    stretch: straightStretch(full, contact, 0, side),
  }));
  const share = shareOfFarSide(full, contact, rays);
  // Hidden: up to 2 · 0.914 / (2.4 − 0.914) = 1.23 m in the middle and 2 · 1.07 / 1.33 = 1.61 m at the sides.
  expect(share).toBeGreaterThan(1 - 1.61 / 11.885);
  expect(share).toBeLessThan(1 - 1.23 / 11.885);
  const none = rays.map((ray) => ({ ...ray, stretch: null }));
  expect(shareOfFarSide(full, contact, none)).toBe(0);
  // From a tower, right at the net, everything.
  const tower = at(0.3, 30);
  const all = directions(full, tower, 801).map((side) => ({
    sideAtBaselineM: side,
    stretch: straightStretch(full, tower, 0, side),
  }));
  expect(shareOfFarSide(full, tower, all)).toBeGreaterThan(0.97);
});

test('the ends of a flown stretch are known as well as the ball is', () => {
  const hit = { ball: 'yellow', speedMps: 20, spinPerMin: 0 } as const;
  const off = flownSpread(full, at(11.885, 1), hit, 0.2, 0);
  expect(off.fromM + off.toM).toBeGreaterThan(0.05);
  expect(off.fromM + off.toM).toBeLessThan(3);
  expect(flownSpread(full, at(11.885, 1), { ...hit, speedMps: 6 }, 0.2, 0)).toEqual({ fromM: 0, toM: 0 });
});
