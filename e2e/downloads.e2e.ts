import type { WebElement } from 'selenium-webdriver';
import { host, openApp, type App } from '../testing/browser/app';
import { openBrowser, type Browser } from '../testing/browser/browser';
import type { Download } from '../testing/browser/download';
import { qrOnPage } from '../testing/browser/qr';
import { Page } from '../testing/browser/page';
import { demoIds, views, type Ids } from '../testing/browser/views';

/* Everything that can be saved is pressed, on loopback and at a plain-http host name, and what arrives is opened. */
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

/** How a sound file of each ending begins, or what it must be. */
const soundness: Readonly<Record<string, (bytes: Buffer) => boolean>> = {
  pdf: (bytes) => bytes.toString('latin1', 0, 5) === '%PDF-' && bytes.includes('%%EOF'),
  json: (bytes) => typeof JSON.parse(bytes.toString('utf8')) === 'object',
  csv: (bytes) => bytes.toString('utf8').split(/\r?\n/)[0]!.includes(','),
  svg: (bytes) => /<svg[^]*<\/svg>$/.test(bytes.toString('utf8').trim()),
  html: (bytes) => /^<!doctype html>[^]*<\/html>$/i.test(bytes.toString('utf8').trim()),
  wav: (bytes) => bytes.toString('latin1', 0, 4) === 'RIFF',
  vtt: (bytes) => bytes.toString('utf8').startsWith('WEBVTT'),
  db: (bytes) => bytes.toString('latin1', 0, 15) === 'SQLite format 3',
};

function isSound({ name, bytes }: Download): void {
  const sound = soundness[name.split('.').at(-1)!];
  expect([name, sound?.(bytes)]).toEqual([name, true]);
}

/** What a press saves; where nothing comes, what was pressed is said. */
const arrives = (what: string, press: () => Promise<void>): Promise<Download> =>
  browser.download(press).catch((error: Error) => {
    throw new Error(`${what}. ${error.message}`);
  });

/** Every link and button of the page that saves a file; what is alike on several pages (the same address but for its ids) once. */
const savers = `[...document.querySelectorAll('a[download], [data-file]')].filter((one) => one.checkVisibility())`;

const saved: string[] = [];

test.each([...views])('%s: what can be saved arrives', async (name, path, words) => {
  const address = app.url + path(ids);
  await browser.driver.get(address);
  await page.sees(words);
  // Drawn is not alive: until then a press would do nothing.
  await page.becomes(
    `${savers}.every((one) => Object.keys(one).some((key) => key.startsWith('__react')))`,
    true,
  );
  const count = await browser.driver.executeScript<number>(`return ${savers}.length`);
  for (let nth = 0; nth < count; nth++) {
    const label = await browser.driver.executeScript<string>(
      `const one = ${savers}[${nth}]; return one.getAttribute('href') ?? one.textContent.trim()`,
    );
    isSound(
      await arrives(`${name}, number ${nth}: ${label}`, async () => {
        const one = await browser.driver.executeScript<WebElement>(`return ${savers}[${nth}]`);
        // In the middle of the screen, away from the notices at its edge.
        await browser.driver.executeScript(
          `arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })`,
          one,
        );
        await one.click();
      }),
    );
    saved.push(`${name}: ${label}`);
  }
  // The page is still there: no press has left it.
  expect(await browser.driver.getCurrentUrl()).toBe(address);
  await page.sees(words);
});

test('the walk has pressed what the screens are known to save', () => {
  for (const known of ['Card: PDF', 'A player’s vows: As one file', 'Files: /api/book', 'Over the net: Save'])
    expect(saved.some((one) => one.startsWith(known))).toBe(true);
});

test('a plan’s menu saves its sheet and its file', async () => {
  await browser.driver.get(`${app.url}/sessions/${ids.planned}/plan`);
  await page.press('More');
  for (const words of ['As PDF', 'For another Vow Step'])
    isSound(await browser.download(() => page.press(words)));
});

test('a block’s track and its words are saved on court', async () => {
  await browser.driver.get(`${app.url}/sessions/${ids.planned}/run`);
  await page.sees('Start block');
  await page.press('More');
  for (const words of ['Practice track (WAV)', 'Its words (WebVTT)'])
    isSound(await browser.download(() => page.press(words)));
});

test('before a link is made it is said whether a phone can open it; its code leads there', async () => {
  const reach = `document.querySelector('[data-reach]')?.dataset.reach`;
  const where = host ? app.url : '';
  const words = host
    ? `Phones in this network open it at ${app.url}.`
    : 'Phones cannot open links of this computer';
  for (const path of [`/vows/${ids.vow}/card`, `/players/${ids.player}/vows`]) {
    await browser.driver.get(app.url + path);
    await page.sees(words);
    expect(await browser.driver.executeScript(`return ${reach}`)).toBe(where);
  }
  if (!host) await page.sees('works on any phone without this computer');
  await page.press('Make a link');
  const link = `document.querySelector('[data-link] a')?.href ?? ''`;
  await page.becomes(`(${link}).startsWith(${JSON.stringify(`${app.url}/vow/`)})`, true);
  expect(await qrOnPage(browser.driver)).toBe(await browser.driver.executeScript(`return ${link}`));
  await browser.driver.get(`${app.url}/settings`);
  await page.press('Calendar address');
  await page.sees(words);
  await browser.driver.get(`${app.url}/sessions/${ids.planned}/run`);
  await page.sees('Start block');
  await page.press('More');
  await page.sees(words);
  // Of a file over plain http the browser says so itself.
  const faults = await browser.faults();
  expect(faults.filter((fault) => !fault.includes('was loaded over an insecure connection'))).toEqual([]);
});

test('what cannot be made is said on the page, which stays', async () => {
  await browser.driver.get(`${app.url}/vows/${ids.vow}/card`);
  await page.sees('For whoever helps');
  await app.query(`delete from vow_day where vow_id = ?`, [ids.vow]);
  await app.query(`delete from vow where id = ?`, [ids.vow]);
  await page.press('PDF');
  await page.sees('This vow is not on record');
  await page.sees('For whoever helps');
});
