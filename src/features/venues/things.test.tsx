import { renderToStaticMarkup } from 'react-dom/server';
import type { FloorThing, Place } from '@/core/venues/place';
import { FloorDrawing } from './floor-drawing';
import { ThingsDrawing } from './things-drawing';

const pillar: FloorThing = { kind: 'pillar', xM: 6, yM: 3, widthM: 0.5, depthM: 0.5 };
const door: FloorThing = { kind: 'door', xM: 11, yM: 0, widthM: 1, depthM: 0.2 };
const place = { lengthM: 6, widthM: 12, wallSide: null, wallM: 4, things: [pillar, door] } as const;
const whole: Place = {
  ...place,
  name: 'Yard',
  ceilingM: null,
  surface: 'court',
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
} as const;

const drawn = (one: Parameters<typeof ThingsDrawing>[0]['place']) =>
  renderToStaticMarkup(<ThingsDrawing place={one} onMove={() => undefined} />);

test('things are buttons that say where they stand and what moves them', () => {
  const html = drawn(place);
  expect(html).toContain('aria-label="1 pillar, 6 m along, 3 m out: arrow keys move it"');
  expect(html).toContain('aria-label="2 door, 11 m along, 0 m out: arrow keys move it"');
  expect(html.match(/role="button" tabindex="0"/g)).toHaveLength(2);
});

test('to scale: the long side along, a thing where its numbers say, and room for a finger round it', () => {
  const html = drawn(place);
  const [, width, height] = /<rect x="8" y="8" width="([\d.]+)" height="([\d.]+)"/.exec(html)!;
  const perM = Number(width) / 12;
  expect(Number(height)).toBeCloseTo(6 * perM, 6);
  expect(html).toContain(`<rect x="${8 + 6 * perM}" y="${8 + 3 * perM}"`);
  for (const [, w, h] of html.matchAll(/width="([\d.]+)" height="([\d.]+)" fill="transparent"/g)) {
    expect(Number(w)).toBeGreaterThanOrEqual(44);
    expect(Number(h)).toBeGreaterThanOrEqual(44);
  }
});

test('along the short side the floor stands upright; a size that is none yet draws nothing', () => {
  const html = drawn({ ...place, wallSide: 'short', things: [] });
  const [, width, height] = /<rect x="8" y="8" width="([\d.]+)" height="([\d.]+)"/.exec(html)!;
  expect(Number(height) / Number(width)).toBeCloseTo(2, 6);
  expect(drawn({ ...place, lengthM: 0 })).toBe('');
});

test('words near the right end stand on the left of their thing, so that none is cut off', () => {
  const html = drawn(place);
  expect(html).toMatch(/text-anchor="start"[^>]*>1 pillar/);
  expect(html).toMatch(/text-anchor="end"[^>]*>2 door/);
});

test('the small drawing of a place has its things and its wall, in the open with a dashed edge', () => {
  const html = renderToStaticMarkup(<FloorDrawing place={whole} />);
  expect(html).toContain('aria-label="Yard from above: 6 by 12 m"');
  expect(html).toContain('stroke-dasharray="5 4"');
  // The floor, a pillar and a door.
  expect(html.match(/<rect /g)).toHaveLength(3);
  expect(html).not.toContain('1 pillar');
});
