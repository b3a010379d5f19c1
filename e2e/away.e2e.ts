import { host, openApp, type App } from '../testing/browser/app';
import { buildServiceWorker } from '../scripts/lib/service-worker.js';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page, patienceMs } from '../testing/browser/page';
import {
  bookSession,
  count,
  onDevice,
  onServer,
  phase,
  tap,
  waiting,
  type Booked,
  nextBlock,
  finish,
  keptBuilds,
} from '../testing/browser/session';

/* With the server away: counting goes on, a reload works, a second block is run, and everything arrives once. */
let app: App;
let browser: Browser;
let page: Page;
let at: Booked;
const run = () => `${app.url}/sessions/${at.sessionId}/run`;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  at = await bookSession(
    app,
    page,
    ['Mika', 'Robin'],
    [
      ['palm-up-bounce', 'row-20'],
      ['clap-and-catch', 'five-claps'],
      ['turn-over-bounce', 'same-height'],
    ],
  );
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

/** The service worker keeps the page and what it is made of, and all clips. */
const kept = `Promise.all([caches.match(location.pathname), caches.match('/calls/rest.wav', { ignoreSearch: true })]).then(([page, clip]) => !!page && !!clip)`;
/** Over plain http there is no service worker: without the server a page stays open and goes on, and is not loaded again. */
const reload = () => (host ? Promise.resolve() : browser.driver.navigate().refresh());

test('two blocks without the server, with a reload in between, arrive exactly as they were counted', async () => {
  await browser.driver.get(run());
  await page.sees('Start block');
  if (host)
    await page.sees('This address is plain http: without the server this page cannot be loaded again');
  else
    await browser.driver.wait(
      () => browser.driver.executeAsyncScript<boolean>(`${kept}.then(arguments[0])`),
      patienceMs,
      'The run screen is never kept.',
    );
  await page.press('Start block');
  await page.becomes(phase, 'work');
  await tap(page, 1, 5);
  await page.becomes(waiting, '0');
  await page.sees('All safe on the server');

  // Ended by somebody, not lost: the court is told first.
  await app.stop();
  await page.sees('The server is being ended. Count on');
  await tap(page, 1, 3);
  await tap(page, 2, 4);
  await tap(page, 2, 1, 'miss');
  await page.sees('Server out of reach');
  await page.sees('safe here, on the way');

  // A reload without the server: the clock and every count are still there.
  await reload();
  await page.becomes(count(0), '8');
  await page.becomes(`document.querySelectorAll('[data-best]')[1].textContent`, '4');
  await page.sees('Pause');
  await tap(page, 2, 6);
  await page.becomes(count(1), '6');

  // A second block, and another reload in the middle of it.
  await nextBlock(page);
  await page.sees('Clap and catch');
  await page.press('Start block');
  await page.becomes(phase, 'work');
  await tap(page, 1, 7);
  // Safe here: a reload before that asks first.
  await page.becomes(`document.body.innerText.includes('not kept yet')`, false);
  await reload();
  await page.sees('Clap and catch');
  await page.becomes(count(0), '7');
  await page.press('Undo');
  await page.becomes(count(0), '6');

  const counted = await onDevice(page, at.blockIds);
  expect(await onServer(app, at.blockIds)).not.toEqual(counted);
  await app.start();
  await page.becomes(waiting, '0');
  await page.sees('All safe on the server');
  await page.becomes(`document.body.innerText.includes('being ended')`, false);
  // Begun and start, 8 + 4 + 1 + 6 marks, end, begun and start, 7 marks and an undo: nothing lost, nothing doubled.
  expect(counted).toHaveLength(2 + 19 + 1 + 2 + 7 + 1);
  expect(await onServer(app, at.blockIds)).toEqual(counted);
});

test('a page that was never opened says so when the server is away', async () => {
  // Over plain http it is the browser that says so.
  if (host) return;
  await app.kill();
  await browser.driver.get(`${app.url}/squad`);
  await page.sees('The server is out of reach');
  await page.sees('Nothing is lost');
  await app.start();
  await page.press('Try again');
  await page.sees('2 players.');
});

test('a newer build waits until the page is closed, has renewed what was kept, and opens it without the server', async () => {
  if (host) return;
  await browser.driver.get(run());
  await page.sees('Clap and catch');
  const before = (await browser.driver.executeScript(`return ${keptBuilds}`)) as string;
  try {
    await buildServiceWorker('newer');
    await browser.driver.executeScript(
      `return navigator.serviceWorker.getRegistration().then((one) => one.update()).then(() => true)`,
    );
    await page.becomes(
      `navigator.serviceWorker.getRegistration().then(({ waiting }) => waiting?.state)`,
      'installed',
    );
    // The page that is open goes on under the worker it has.
    expect(await browser.driver.executeScript(`return ${keptBuilds}`)).toBe(`${before},vowstep-court-newer`);
    await tap(page, 2, 1);
    await page.becomes(waiting, '0');

    // The browser lets the older one end its work first, and that only while no page is open: it is left closed for a while.
    const closedForMs = 2000;
    await page.closeTab();
    await browser.driver.wait(
      async () => {
        await browser.driver.get(run());
        await page.sees('Clap and catch');
        if ((await browser.driver.executeScript(`return ${keptBuilds}`)) === 'vowstep-court-newer')
          return true;
        await page.closeTab();
        return false;
      },
      3 * patienceMs,
      'The newer worker never takes over.',
      closedForMs,
    );
    await app.kill();
    await browser.driver.navigate().refresh();
    await page.sees('Clap and catch');
    await tap(page, 2, 1);
    await page.sees('Server out of reach');
    await app.start();
    await page.becomes(waiting, '0');
  } finally {
    await buildServiceWorker();
  }
});

test('the session cannot be finished while counts are on their way, and can when they are there', async () => {
  await browser.driver.get(run());
  await page.sees('Clap and catch');
  await nextBlock(page);
  await page.press('Start block');
  await page.becomes(phase, 'work');
  await app.kill();
  await tap(page, 1, 3);
  await finish(page);
  await page.sees('The server cannot be reached');
  await app.start();
  await page.becomes(waiting, '0');
  await finish(page);
  await page.sees('Review: On court');
  const [row] = await app.query('select state from session');
  expect(row!.state).toBe('finished');
});
