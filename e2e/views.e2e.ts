import { openApp, type App } from '../testing/browser/app';
import { axeViolations, contrastViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { forFingers, forMouse, misfits } from '../testing/browser/fits';
import { Page } from '../testing/browser/page';
import { demoIds, views, type Ids } from '../testing/browser/views';

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

const devices = [
  ['a laptop', 1280, 800, forMouse],
  ['a tablet', 1024, 768, forFingers],
  ['a phone', 390, 844, forFingers],
] as const;

/** The other colours, without loading again: what fades into them is there at once. */
const wear = (theme: 'day' | 'night') =>
  browser.driver.executeScript(
    `document.documentElement.dataset.theme = '${theme}'; document.body.offsetWidth; for (const one of document.getAnimations()) one.finish()`,
  );

describe('every view, by day and by night, on a laptop, a tablet and a phone', () => {
  afterEach(() => setViewport(browser.driver, 1280, 800));

  test.each([...everyView])(
    '%s opens without a fault, scrolls not sideways, cuts no text, and every control can be pressed',
    async (_name, path, words) => {
      await browser.driver.get(app.url + path(ids));
      await page.sees(words);
      expect(await axeViolations(browser.driver)).toEqual([]);
      await wear('night');
      expect(await contrastViolations(browser.driver)).toEqual([]);
      await wear('day');
      expect(await browser.faults()).toEqual([]);
      await browser.driver.executeAsyncScript(`document.fonts.ready.then(() => arguments[0]())`);
      const found: string[] = [];
      for (const [device, width, height, target] of devices) {
        await setViewport(browser.driver, width, height);
        for (const misfit of await misfits(browser.driver, target)) found.push(`${device}: ${misfit}`);
      }
      expect(found).toEqual([]);
    },
  );

  test('the colours that were chosen last are there from the first paint', async () => {
    await browser.driver.get(app.url);
    await browser.driver.manage().addCookie({ name: 'vowstep-theme', value: 'night', sameSite: 'Strict' });
    for (const address of ['/', `/sessions/${ids.planned}/run`]) {
      await browser.driver.get(app.url + address);
      await page.becomes('document.documentElement.dataset.theme', 'night');
      expect(await axeViolations(browser.driver)).toEqual([]);
    }
    await browser.driver.manage().deleteCookie('vowstep-theme');
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
  ['Player', () => `/players/${ids.player}?drill=palm-up-bounce`, 'Best of', 'The highest result of'],
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
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(`${app.url}/sessions/${ids.planned}/run`);
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
