import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { demoPlayer, demoSession } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';

/* What a family may ask for, and the copies of the book. */
let app: App;
let browser: Browser;
let page: Page;
let nessa: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  nessa = await demoPlayer(app, 'Nessa');
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

test('the book is copied with one press, and the copy taken away', async () => {
  await browser.driver.get(app.url);
  await page.press('Settings');
  await page.sees('Copies of the book');
  await page.press('Copy the book now');
  await page.sees('looked through, sound');
  await page.becomes(`document.querySelectorAll('[data-copy]').length`, 1);
  await page.sees('9 players');
  expect(await axeViolations(browser.driver)).toEqual([]);
  const copy = await browser.download(async () => (await page.find('[data-copy] a')).click());
  expect(copy.bytes.toString('latin1', 0, 15)).toBe('SQLite format 3');
  const wrong = await browser.driver.executeAsyncScript<number>(
    `fetch('/api/copies/..%2Fapp.db').then((answer) => arguments[0](answer.status))`,
  );
  expect(wrong).toBe(404);
});

test('a family gets everything about their child, on a page and as a file', async () => {
  await browser.driver.get(`${app.url}/players/${nessa}`);
  await page.press('Everything about Nessa Quillby');
  await page.sees('Nothing here is about anybody else.');
  // Home practice and the room it is done in belong to it.
  await page.sees(/Tue 29 Sept to Mon 19 Oct, Palm-up bounce\s+Twenty in a row: .* \(21 days\)/);
  await page.sees('quiet from 20:00 to 07:00');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.becomes(`/Juno|Teo|Corin|Bram|Pia/.test(document.querySelector('main').textContent)`, false);
  const { bytes } = await browser.download(async () => (await page.find('a[download]')).click());
  const file = bytes.toString('utf8');
  expect(JSON.parse(file)).toMatchObject({
    format: 'vowstep-child',
    version: 1,
    player: { name: 'Nessa Quillby' },
  });
  expect(file).not.toMatch(/Juno|Teo|Corin|Bram|Pia/);
});

test('a child is removed for good after the name is typed, and the copy that still holds them is named', async () => {
  await browser.driver.get(`${app.url}/players/${nessa}`);
  const held = (await demoSession(app, { state: 'finished', player: 'Nessa' })).id;
  await page.press('Remove for good');
  await page.sees('This cannot be undone.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.type('Type Nessa Quillby to go on', 'Nessa');
  await browser.driver.executeScript(`document.querySelector('[role=dialog] [type=submit]').click()`);
  await page.sees('That is not the name');
  await page.type('Type Nessa Quillby to go on', 'Nessa Quillby');
  await browser.driver.executeScript(`document.querySelector('[role=dialog] [type=submit]').click()`);
  await page.sees('is removed for good');
  await page.sees('These older copies of the book still hold the child');
  await page.press('To the squad');
  await page.sees('8 players');
  expect(await app.query(`select count(*) as n from player where name like '%Nessa%'`)).toEqual([{ n: 0 }]);
  // The reviews of what was held go on without the name.
  await browser.driver.get(`${app.url}/sessions/${held}/review`);
  await page.sees('A child who left');
  await browser.driver.get(`${app.url}/players/${nessa}`);
  await page.sees('not');
});
