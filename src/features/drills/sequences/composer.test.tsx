import { renderToStaticMarkup } from 'react-dom/server';
import type { PlayerFacts } from '@/server/views/facts';
import type { SequencesView } from '@/server/views/sequences';
import { Composer } from './composer';

jest.mock('@/server/actions', () => ({}));
jest.mock('@/ui/whole-book', () => ({ useWholeBook: () => jest.requireActual('@/drills').plainBook }));

const facts = (id: string, more: Partial<PlayerFacts>): PlayerFacts => ({
  id,
  name: id,
  age: 10,
  sport: 'table tennis',
  hand: 'right',
  stage: null,
  focus: '',
  careNote: '',
  heightCm: null,
  racketIn: null,
  ...more,
});
const view = (players: readonly PlayerFacts[], more: Partial<SequencesView> = {}): SequencesView => ({
  players,
  fits: {},
  sessions: [],
  sequences: [],
  takenOff: [],
  ...more,
});
const page = (
  of: SequencesView,
  start: Partial<{ playerId: string; blockId: string; sequence: string }> = {},
) =>
  renderToStaticMarkup(<Composer view={of} start={{ playerId: '', blockId: '', sequence: '', ...start }} />);
const feetX = (html: string) => Number(/data-feet[^]*?cx="([\d.]+)"/.exec(html)![1]);

test('an empty book: worked out for a child of ten, nothing to write into, and said so', () => {
  const html = page(view([]), { sequence: 'corner-middle-corner-wide' });
  expect(html).toContain('A child of ten can play it at');
  expect(html).toContain('No plan ahead has a block this could go into');
  expect(html).not.toContain('Make it a vow');
});

test('only those who play the sport are offered, and a left-hander’s floor is the mirror', () => {
  const players = [facts('Righty', {}), facts('Lefty', { hand: 'left' }), facts('Tess', { sport: 'tennis' })];
  const right = page(view(players), { playerId: 'Righty', sequence: 'backhand-and-pivot' });
  const left = page(view(players), { playerId: 'Lefty', sequence: 'backhand-and-pivot' });
  expect(right).not.toContain('Tess');
  expect(right).toContain('Make it a vow for Righty');
  expect(left).toContain('for a left-hander');
  // About the middle of the drawing, 280 of its 560 units: both feet of the one are mirrored to those of the other.
  const ellipses = (html: string) =>
    [...html.matchAll(/<ellipse cx="([\d.]+)"/g)].map(([, x]) => Number(x) - 280);
  const mirrored = ellipses(left).map((x) => -x);
  expect([...ellipses(right)].sort((a, b) => a - b)).toEqual(
    [...mirrored].sort((a, b) => a - b).map((x) => expect.closeTo(x, 6)),
  );
  expect(feetX(right)).not.toBeCloseTo(feetX(left), 1);
});

test('a kept sequence, and what a block has already, are begun with', () => {
  const kept = {
    id: 'k',
    name: 'Mine',
    sport: 'tennis' as const,
    ground: 'red' as const,
    line: 'fh wide, bh wide',
  };
  expect(page(view([], { sequences: [kept] }), { sequence: 'k' })).toContain('fh wide, bh wide</textarea>');
  const block = {
    id: 'b',
    drillId: 'shadow-patterns',
    stepId: 'four-shots',
    setting: {
      kind: 'sequence' as const,
      name: 'There',
      sport: 'table tennis' as const,
      ground: 'table' as const,
      lines: ['fh corner, bh middle'],
      rounds: [{ line: 0, perMin: 20 }],
      way: 'even' as const,
    },
  };
  const session = {
    id: 's',
    title: 'Tuesday',
    day: '2026-12-01',
    placeId: null,
    playerIds: [],
    blocks: [block],
  };
  const bare = { ...session, blocks: [{ ...block, setting: null }] };
  expect(page(view([], { sessions: [bare] }), { blockId: 'b' })).toContain(
    'bh corner, fh middle, bh corner, fh wide</textarea>',
  );
  const html = page(view([], { sessions: [session] }), { blockId: 'b' });
  expect(html).toContain('fh corner, bh middle</textarea>');
  expect(html).toContain('There now: “There”: fh corner, bh middle; 20 strokes a minute.');
});
