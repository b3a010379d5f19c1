import { openApp, type App } from './lib/app';
import { axeViolations } from './lib/axe';
import { openBrowser, setViewport, type Browser } from './lib/browser';
import { Page } from './lib/page';
import { demoIds, views, type Ids } from './lib/views';

let app: App;
let browser: Browser;
let page: Page;
let ids: Ids;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  ids = await demoIds(app);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const everyView = [
  ...views,
  ['Player, all time', (of: Ids) => `/players/${of.bram}?drill=racket-wall-rally&all=1`, 'attempts in all'],
] as const;

describe.each(['day', 'night'] as const)('%s', (theme) => {
  beforeAll(async () => {
    await browser.driver.get(app.url);
    await browser.driver.manage().addCookie({ name: 'vowstep-theme', value: theme, sameSite: 'Strict' });
  });

  test.each([...everyView])('%s opens without a fault', async (_name, path, words) => {
    await browser.driver.get(app.url + path(ids));
    await page.sees(words);
    await page.becomes('document.documentElement.dataset.theme', theme);
    expect(await axeViolations(browser.driver)).toEqual([]);
    expect(await browser.faults()).toEqual([]);
    // Nothing runs out of the screen sideways.
    await page.becomes('document.documentElement.scrollWidth <= innerWidth', true);
  });
});

test.each([
  ['the sheet of a new player', '/squad', 'Add a player', 'Kept on this computer only.'],
  ['the sheet of a new session', '/sessions', 'Plan a session', 'First the booking'],
  ['the sheet of a new place', '/places', 'Add a place', 'Wall that may be hit'],
  ['a starting point', '/drills', 'Ready position', 'Soft knees, light heels'],
])('%s has no violation either', async (_name, path, button, words) => {
  await browser.driver.get(app.url + path);
  await page.press(button);
  await page.sees(words);
  expect(await axeViolations(browser.driver)).toEqual([]);
  expect(await browser.faults()).toEqual([]);
});

test.each([
  ['Today', () => '/', 'to spare', 'Booked time − all blocks together.'],
  ['Drill', () => '/drills/palm-up-bounce', 'Belt height', 'Six tenths of the height.'],
  ['Squad', () => '/squad', 'touches of', 'Every good touch in every attempt'],
  ['Player', () => `/players/${ids.nessa}?drill=palm-up-bounce`, 'Best of', 'The highest result of'],
  ['Plan', () => `/sessions/${ids.planned}/plan`, 'touches in the session', 'Sum over the blocks.'],
  ['Review', () => `/sessions/${ids.held}/review`, 'Proposed:', 'any new best is success'],
])('a number on %s opens to its formula', async (_name, path, number, formula) => {
  await browser.driver.get(app.url + path());
  await page.press(number);
  await page.sees(formula);
  await page.sees('Source:');
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('on court the numbers of the tiles open to their formulas', async () => {
  await browser.driver.get(`${app.url}/sessions/${ids.planned}/run`);
  await page.press('More');
  await page.press('Numbers');
  await page.sees('Numbers of this block');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Aim ');
  await page.sees('What was decided in the last review of this step');
  await page.sees('Source:');
});

test('on a phone one player fits, with zones for a thumb', async () => {
  const [row] = await app.query(
    `select p.session_id as id from session_player p join session s on s.id = p.session_id where s.state = 'planned' limit 1`,
  );
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(`${app.url}/sessions/${row!.id as string}/run`);
  await page.sees('Start block');
  // Not against the window: it grows with what sticks out of it.
  await page.becomes('document.documentElement.scrollWidth', 390);
  expect(await axeViolations(browser.driver)).toEqual([]);
  const small = await browser.driver.executeScript<
    string[]
  >(`return [...document.querySelectorAll('[data-touch-of], [data-miss-of], footer button')]
    .filter((zone) => zone.getBoundingClientRect().height < 64 || zone.getBoundingClientRect().width < 64).map((zone) => zone.textContent)`);
  expect(small).toEqual([]);
  await setViewport(browser.driver, 1280, 800);
});
