import { renderToStaticMarkup } from 'react-dom/server';
import { tapesTo } from '@/core/geometry/taping';
import type { Place } from '@/core/venues/place';
import { plainBook } from '@/drills';
import { layoutChild } from '@/drills/layouts';
import { newBlock } from '@/session/plan/place-block';
import { setOutOf, type PlacedSlot, type SetOutPlayer } from '@/session/plan/set-out';
import type { SessionSetOutView } from '@/server/views/session-set-out';
import { pack } from '@/ui/packed';
import { UnitsProvider } from '@/ui/units-provider';
import { FloorPlan } from './floor-plan';
import { SetOutPage } from './set-out';
import { TapeList } from './tape-list';
import { Together } from './together';

const hall: Place = {
  name: 'Hall',
  lengthM: 20,
  widthM: 10,
  ceilingM: 6,
  surface: 'wood',
  wallM: 8,
  wallSide: 'long',
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
  things: [{ kind: 'pillar', xM: 10, yM: 9, widthM: 0.5, depthM: 0.5 }],
};
const players = ['Ada Larkin', 'Bo Larkin'].map((name, n): SetOutPlayer => ({
  id: `p${n}`,
  name,
  age: 8 + n,
  child: layoutChild({ age: 8 + n, sport: 'tennis', heightCm: null, racketIn: null }),
}));
const blockOf = (drillId: string, n: number) =>
  newBlock(plainBook, drillId, players, () => undefined, `b${n}`)!;
const setOut = (drills: readonly string[], place = hall) =>
  setOutOf(plainBook, drills.map(blockOf), players, { place, atHand: () => Infinity });
const slotOf = (drillId: string, place = hall): PlacedSlot => setOut([drillId], place).slots[0]!;
const numbered = ({ comes, stays }: PlacedSlot) => [...comes, ...stays];
const words = (html: string) =>
  html
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

describe('the drawing is to scale', () => {
  const draw = (slot: PlacedSlot, place = hall) =>
    renderToStaticMarkup(<FloorPlan place={place} slot={slot} numbered={numbered(slot)} />);
  /** Pixels of a metre: the bar below the floor is five metres of a long hall. */
  const bar = (html: string) => {
    const [, from, to] = /M([\d.]+) [\d.]+H([\d.]+)M/.exec(html)!;
    return Number(to) - Number(from);
  };

  test('the bar, the floor and the wall agree', () => {
    const html = draw(slotOf('marker-touches'));
    const perM = bar(html) / 5;
    const [, width, height] = /<rect x="16" y="30" width="([\d.]+)" height="([\d.]+)"/.exec(html)!;
    expect(Number(width) / perM).toBeCloseTo(20, 6);
    expect(Number(height) / perM).toBeCloseTo(10, 6);
    const [, x1, x2] = /<line x1="([\d.]+)" x2="([\d.]+)"[^>]*stroke="var\(--now\)"/.exec(html)!;
    expect((Number(x2) - Number(x1)) / perM).toBeCloseTo(8, 6);
  });
  test('rings are as large as they are chalked', () => {
    const html = draw(slotOf('ring-target'));
    const perM = bar(html) / 5;
    const radii = [...html.matchAll(/<circle [^>]*r="([\d.]+)"[^>]*stroke="var\(--ink\)"/g)].map(
      ([, r]) => Math.round((100 * Number(r)) / perM) / 100,
    );
    expect([...new Set(radii)].sort()).toEqual([0.4, 0.8, 1.2]);
  });
  test('every mark has its number where it lies', () => {
    const slot = slotOf('star-of-four');
    const html = draw(slot);
    const perM = bar(html) / 5;
    const texts = [...html.matchAll(/<text x="([\d.]+)" y="([\d.]+)"[^>]*font-weight="700"[^>]*>(\d+)</g)];
    expect(texts).toHaveLength(slot.comes.length);
    for (const [, x, y, number] of texts) {
      const { at } = slot.comes[Number(number) - 1]!;
      expect((Number(x) - 7 - 16) / perM).toBeCloseTo(at.x, 6);
      expect((Number(y) + 6 - 30) / perM).toBeCloseTo(at.y, 6);
    }
  });
  test('it says in words what it shows: the place, the lanes, the marks; in feet where feet are read', () => {
    const slot = slotOf('marker-touches');
    expect(draw(slot)).toContain(
      'aria-label="Hall from above, 20 by 10 m, to scale. Marker touches: 2 lanes. 4 marks to tape."',
    );
    const feet = renderToStaticMarkup(
      <UnitsProvider lengths="feet">
        <FloorPlan place={hall} slot={slot} numbered={numbered(slot)} />
      </UnitsProvider>,
    );
    expect(feet).toMatch(/ft/);
    expect(words(feet)).not.toMatch(/\d m\b/);
  });
  test('what stands in the hall is there, and whose lane it is', () => {
    const html = words(draw(slotOf('marker-touches')));
    expect(html).toContain('pillar');
    expect(html).toContain('1 Ada');
    expect(html).toContain('2 Bo');
  });
});

describe('the list of tapes', () => {
  const list = (slot: PlacedSlot, paces: number | null = null) =>
    renderToStaticMarkup(<TapeList slot={slot} paces={paces} />);

  test('each mark in the order it is walked to, with the two lengths that find it', () => {
    const slot = slotOf('triangle-run');
    const rows = [...list(slot).matchAll(/<tr class="border-t[^"]*">(.*?)<\/tr>/g)].map(([, row]) =>
      [...row!.matchAll(/<t[dh][^>]*>(.*?)<\/t[dh]>/g)].map(([, cell]) => words(cell!)),
    );
    expect(rows).toHaveLength(slot.comes.length);
    for (const [n, [number, label, left, right]] of rows.entries()) {
      const { at, label: wanted } = slot.comes[n]!;
      const { fromLeft, fromRight } = tapesTo(at, slot.floor.alongM);
      expect(number).toBe(String(n + 1));
      expect(label).toContain(wanted);
      expect(parseFloat(left!)).toBeCloseTo(fromLeft, 1);
      expect(parseFloat(right!)).toBeCloseTo(fromRight, 1);
    }
  });
  test('a third tape as a check, the walk, and both ways across the floor', () => {
    const text = words(list(slotOf('triangle-run')));
    expect(text).toMatch(/Check: from “.+” to “.+” it is [\d.]+ m\./);
    expect(text).toMatch(/In this order you walk [\d.]+ m from the left corner\./);
    // 20 by 10: the root of 500.
    expect(text).toContain('both ways across it are 22.36 m');
  });
  test('paces beside metres, once they are counted', () => {
    const slot = slotOf('triangle-run');
    expect(words(list(slot))).not.toContain('Paces');
    const { fromLeft } = tapesTo(slot.comes[0]!.at, 20);
    // Ten paces over ten metres: a metre each, to the half.
    expect(words(list(slot, 10))).toContain(`${Math.round(2 * fromLeft) / 2} /`);
  });
  test('what lies there already is named, and not walked to again', () => {
    const { slots } = setOut(['marker-touches', 'marker-touches']);
    const text = words(list(slots[1]!));
    expect(text).toMatch(/^There already, and stays: 1 .+, 2 .+, 3 .+, 4 .+\./);
    expect(text).not.toContain('In this order');
  });
  test('close to the wall two tapes say little: it is measured straight out', () => {
    const slot = slotOf('marker-touches');
    const near = { ...slot, comes: [{ at: { x: 6, y: 0.3 }, label: 'Near' }], stays: [] };
    expect(words(list(near))).toContain('near the wall: straight out from it 0.3 m, at 6 m along');
    const on = { ...near, comes: [{ at: { x: 6, y: 0 }, label: 'On it' }] };
    expect(words(list(on))).toContain('on the wall’s line: the left tape alone');
  });
  test('all blocks together: every mark once, with the blocks it is for; near the wall it is measured out here too', () => {
    const { place, slots } = setOut(['marker-touches', 'marker-touches', 'triangle-run']);
    const text = words(renderToStaticMarkup(<Together place={place} slots={slots} paces={10} />));
    expect(text).toContain('1, 2');
    expect(text).toContain('Paces');
    const near = { ...slots[0]!, comes: [{ at: { x: 6, y: 0.3 }, label: 'Near' }], stays: [] };
    expect(words(renderToStaticMarkup(<Together place={place} slots={[near]} paces={null} />))).toContain(
      'near the wall: straight out from it 0.3 m, at 6 m along',
    );
  });
  test('nothing to tape is said', () =>
    expect(words(list(slotOf('palm-up-bounce')))).toBe('Nothing lies on the floor for this.'));
});

describe('the page', () => {
  const page = (more: Partial<SessionSetOutView> = {}, blockId: string | null = null) =>
    renderToStaticMarkup(
      <SetOutPage
        packed={pack({
          session: { id: 's', title: 'Tuesday' },
          setOut: setOut(['marker-touches', 'ring-target']),
          moves: [],
          empty: false,
          ...more,
        })}
        blockId={blockId}
      />,
    );
  const shown = (html: string) =>
    [...html.matchAll(/<section aria-label="([^"]+)"[^>]*class="([^"]*)"/g)].flatMap(([, title, css]) =>
      css!.split(' ').includes('hidden') ? [] : [title],
    );

  test('one block is shown at a time, the one that was asked for first; on paper all of them', () => {
    expect(shown(page())).toEqual(['Marker touches']);
    expect(shown(page({}, 'b1'))).toEqual(['Ring target']);
    expect(shown(page({}, 'nowhere'))).toEqual(['Marker touches']);
    expect(page().match(/print:block/g)!.length).toBeGreaterThanOrEqual(2);
  });
  test('without a place, or without blocks, it says what to do', () => {
    expect(words(page({ setOut: null }))).toContain('Choose the place in the plan');
    expect(words(page({ empty: true }))).toContain('add the first block');
  });
  test('what does not fit says why, and where it would', () => {
    const small: Place = { ...hall, name: 'Room', lengthM: 3, widthM: 3, wallM: 0, things: [] };
    const at = (elsewhere: readonly Place[]) =>
      words(
        page({
          setOut: setOutOf(
            plainBook,
            [blockOf('triangle-run', 0)],
            players,
            { place: small, atHand: () => Infinity },
            elsewhere,
          ),
        }),
      );
    expect(at([hall])).toContain(
      'Made to 60 % of its size it fits. Its mark there: 8.1 s for 10.8 s at 7-9. At its own size it fits in Hall: choose it in the plan.',
    );
    expect(at([])).toContain('Made to 60 % of its size it fits.');
    const none: Place = { ...small, ceilingM: 1.5 };
    expect(
      words(
        page({
          setOut: setOutOf(plainBook, [blockOf('triangle-run', 0)], players, {
            place: none,
            atHand: () => Infinity,
          }),
        }),
      ),
    ).toContain('Neither smaller nor in another of your places: choose another drill.');
  });
  test('turns are said where there is room for fewer than come', () => {
    const narrow: Place = { ...hall, lengthM: 5, widthM: 2.5, wallM: 0, things: [] };
    expect(words(page({ setOut: setOut(['marker-touches'], narrow) }))).toContain('1 of 2 at once, in turns');
  });
  test('where only the short side has room for the wall’s lanes, and nobody named a side, that is said', () => {
    // Nine metres deep at the wall, in a yard of 16 by 8: only with the wall along the eight.
    const yard: Place = { ...hall, lengthM: 16, widthM: 8, wallSide: null, things: [] };
    const across = setOut(['serve-at-the-wall'], yard);
    expect(across.slots[0]).toMatchObject({ isAcross: true, floor: { alongM: 8, deepM: 16 } });
    expect(words(page({ setOut: across }))).toContain('Drawn with the wall along the short side');
    const named = setOut(['serve-at-the-wall'], { ...yard, wallSide: 'short' });
    expect(named.slots[0]!.isAcross).toBe(false);
    expect(words(page({ setOut: named }))).not.toContain('Drawn with the wall');
    // Measured from another side, nothing of the block before is known to lie where it should.
    const { slots } = setOut(['marker-touches', 'serve-at-the-wall', 'marker-touches'], yard);
    expect(slots.map(({ stays }) => stays.length)).toEqual([0, 0, 0]);
    expect(slots.map(({ isAcross }) => isAcross)).toEqual([false, true, false]);
  });
});
