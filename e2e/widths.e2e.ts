import { openApp, type App } from './lib/app';
import { openBrowser, setViewport, type Browser } from './lib/browser';
import { forFingers, forMouse, misfits } from './lib/fits';
import { Page } from './lib/page';
import { demoIds, views, type Ids } from './lib/views';

/* Every view on a phone, a tablet and a laptop: nothing scrolls sideways, no text is cut, and every control can be pressed. */
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

describe.each([
  ['a phone', 390, 844, forFingers],
  ['a tablet', 1024, 768, forFingers],
  ['a laptop', 1280, 800, forMouse],
] as const)('on %s, %d wide', (_device, width, height, target) => {
  beforeAll(() => setViewport(browser.driver, width, height));
  test.each([...views])('%s', async (_name, path, words) => {
    await browser.driver.get(app.url + path(ids));
    await page.sees(words);
    await browser.driver.executeAsyncScript(`document.fonts.ready.then(() => arguments[0]())`);
    expect(await misfits(browser.driver, target)).toEqual([]);
  });
});
