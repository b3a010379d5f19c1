import { openApp, type App } from '../testing/browser/app';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { demoPlayer, demoSession } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';
import { finish, nextUntil, phase, tap, waiting } from '../testing/browser/session';

/*
 * The demo as whoever starts it today finds it: `npm test` runs this walk on the day it really is, the sweep
 * (scripts/sweep.mjs) on every day that is different from others.
 */
let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

test('it shows what the pictures show: two sessions today, more this week, homework, somebody to move up', async () => {
  await browser.driver.get(app.url);
  await page.sees('2 sessions today.');
  const today = await browser.driver.executeScript<string>(
    `const now = new Date(); return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((n) => String(n).padStart(2, '0')).join('-')`,
  );
  const planned = await app.query(
    `select day, title from session where state = 'planned' order by day, start_time`,
  );
  expect(planned.map(({ day }) => day).filter((day) => day === today)).toHaveLength(2);
  expect(planned.filter(({ day }) => String(day) > today)).toHaveLength(2);
  await page.sees('Coming up');
  await page.becomes(`document.querySelectorAll('section[aria-label="Coming up"] li').length`, 2);
  await page.sees('From home since the last session');
  await page.sees(/[A-Z]\w+ \w+: \d+ days?, [\d,]+ good ones?/);
  // Nobody asks what became of a session that is still to come.
  expect(await page.text()).not.toContain('What happened?');
  await browser.driver.get(`${app.url}/squad/needs`);
  await page.sees('Ready to move');
  await browser.driver.get(`${app.url}/vows`);
  await page.sees('vows running');
  expect(await browser.faults()).toEqual([]);
});

test('a session is run, counted and reviewed, and its child’s page has the count', async () => {
  const session = await demoSession(app, { state: 'planned', title: 'Wall and feet', player: 'Nessa' });
  await browser.driver.get(app.url);
  await page.press('Start session');
  await page.sees('Start block');
  await nextUntil(page, 'Palm-up bounce');
  await page.press('Start block');
  await page.becomes(phase, 'work');
  const [{ position }] = (await app.query(
    `select position from session_player where session_id = ? and player_id = ?`,
    [session.id, await demoPlayer(app, 'Nessa')],
  )) as [{ position: number }];
  await tap(page, position + 1, 7);
  await page.becomes(waiting, '0');
  await nextUntil(page, 'Finish session');
  await finish(page);
  await page.sees('Review: Wall and feet');
  await page.press('Palm-up bounce');
  await page.becomes(`document.querySelector('[data-player="Nessa Quillby"] [data-best]').textContent`, '7');
  await browser.driver.get(`${app.url}/players/${await demoPlayer(app, 'Nessa')}?drill=palm-up-bounce`);
  await page.sees('attempts in twelve weeks');
  await browser.driver.get(`${app.url}/sessions`);
  await page.press('Plan Wall and feet again');
  await page.sees('Wall and feet again');
  expect(await browser.faults()).toEqual([]);
});
