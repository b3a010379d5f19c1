import { openApp, type App } from './lib/app';
import { openBrowser, setViewport, type Browser } from './lib/browser';
import { forFingers, forMouse, misfits } from './lib/fits';
import { Page } from './lib/page';

/* Every view on a phone, a tablet and a laptop: nothing scrolls sideways, no text is cut, and every control can be pressed. */
let app: App;
let browser: Browser;
let page: Page;
const ids: Record<string, string> = {};

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  const pick = async (name: string, sql: string) => (ids[name] = (await app.query(sql))[0]!.id as string);
  await pick('planned', `select id from session where state = 'planned' order by day, start_time limit 1`);
  await pick(
    'held',
    `select id from session where state = 'finished' order by day desc, start_time desc limit 1`,
  );
  await pick('nessa', `select id from player where name like 'Nessa%'`);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const views: [name: string, path: () => string, words: string | RegExp][] = [
  ['Today', () => '/', 'Coming up'],
  ['Sessions', () => '/sessions', 'Plans to come'],
  ['Squad', () => '/squad', '9 players.'],
  ['Player', () => `/players/${ids.nessa}?drill=palm-up-bounce`, 'attempts in twelve weeks'],
  ['Drills', () => '/drills', 'Starting points'],
  ['Drill', () => '/drills/retreat-for-the-high-ball', 'Teaching styles that act here'],
  ['Write a drill', () => '/drills/new?vary=soft-catch', 'The ladder, easiest first'],
  ['Wall', () => `/benches/wall?player=${ids.nessa}`, 'hits a minute'],
  ['Toss and tap', () => `/benches/toss?player=${ids.nessa}`, 'touches a minute'],
  ['Feeder', () => `/benches/feeder?player=${ids.nessa}`, 'Racket ready'],
  ['Over the net', () => `/benches/net?player=${ids.nessa}`, 'of the far side'],
  ['What if', () => `/benches/rally?player=${ids.nessa}`, 'Press the button'],
  ['Places', () => '/places', 'Slipway yard'],
  ['Teaching styles', () => '/schools', 'Otherwise for a player or a drill'],
  ['Plan', () => `/sessions/${ids.planned}/plan`, 'Breathless'],
  ['On paper', () => `/sessions/${ids.planned}/paper`, 'To ask at the end'],
  ['Review', () => `/sessions/${ids.held}/review`, /Accept \d+ proposals/],
  ['Counts', () => `/sessions/${ids.held}/counts`, 'Back to the review'],
  ['Find', () => '/find?q=hands', 'found for'],
  ['Removed', () => '/removed', 'Nothing has been removed'],
  ['Help', () => '/help', 'Short answers'],
  ['Settings', () => '/settings', 'Copies of the book'],
  ['Everything', () => `/players/${ids.nessa}/everything`, 'anybody else'],
  ['Run', () => `/sessions/${ids.planned}/run`, 'Start block'],
];

describe.each([
  ['a phone', 390, 844, forFingers],
  ['a tablet', 1024, 768, forFingers],
  ['a laptop', 1280, 800, forMouse],
] as const)('on %s, %d wide', (_device, width, height, target) => {
  beforeAll(() => setViewport(browser.driver, width, height));
  test.each(views)('%s', async (_name, path, words) => {
    await browser.driver.get(app.url + path());
    await page.sees(words);
    await browser.driver.executeAsyncScript(`document.fonts.ready.then(() => arguments[0]())`);
    expect(await misfits(browser.driver, target)).toEqual([]);
  });
});
