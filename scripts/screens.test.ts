import { leadsTo, screenNames, screens, topicOf, type Screen } from '../src/features/shell/screens';
import { addresses } from '../testing/browser/addresses';
import { allDoors } from './lib/access';

const all = screenNames.map((name) => [name, screens[name] as Screen] as const);
const ids = { planned: 'P', held: 'H', player: 'N', challenge: 'C', vow: 'V' };

/** Pages nobody is meant to look at, with the reason. */
const notScreens: Readonly<Record<string, string>> = {
  '/benches': 'leads on to the first calculator',
  '/sessions/[id]': 'leads on to the plan',
  '/blank': 'the reference of the benchmarks',
};

test('every page is a screen in the list, and every screen has a page', () => {
  const pages = allDoors().flatMap(({ kind, name }) => (kind === 'page' ? [name] : []));
  const listed = new Set(all.map(([, { route }]) => route));
  expect([...listed].filter((route) => !pages.includes(route))).toEqual([]);
  expect(pages.filter((page) => !listed.has(page)).sort()).toEqual(Object.keys(notScreens).sort());
});

test.each(all)('%s is seen by whom its page lets in, and its address leads to it', (name, screen) => {
  const door = allDoors().find((one) => one.kind === 'page' && one.name === screen.route)!;
  expect(door.access).toEqual([screen.seenBy]);
  const address = addresses[name];
  if (typeof address !== 'function') return expect(address.none).toMatch(/walk/);
  const [path] = address(ids).split('?');
  expect(leadsTo(screen.route, path!)).toBe(true);
  expect(topicOf(path!)).toBe(screen.topic);
});

test('a page nobody listed belongs to no topic', () => {
  expect(topicOf('/no/such/page')).toBe('none');
  expect(topicOf('/drills/new')).toBe('drills');
});
