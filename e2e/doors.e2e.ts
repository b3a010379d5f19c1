import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort, startServer } from '../scripts/lib/server.js';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page, patienceMs } from '../testing/browser/page';
import { demoIds } from '../testing/browser/views';

/* Who comes in, what they may, what goes out and comes in as a file, and the way back. */
let app: App;
let browser: Browser;
let page: Page;
const passcode = 'quiet lantern over gravel';
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-doors-'));

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
  rmSync(folder, { recursive: true, force: true });
});

const audit = async () =>
  (await app.query('select who, what from audit order by at_ms desc, id desc')).map(
    ({ who, what }) => `${String(who)} ${String(what)}`,
  );
/** Paths of run screens that are kept, one after the other. */
const keptPages = `caches.keys()
  .then((names) => Promise.all(names.filter((name) => name.startsWith('vowstep-court-')).map((name) => caches.open(name))))
  .then((all) => Promise.all(all.map((one) => one.keys())))
  .then((all) => all.flat().map(({ url }) => new URL(url).pathname).join())`;

/** What rests in the browser's store: names of children in what waits, and how many marks that are safe. */
const resting = (on: Page): Promise<{ names: string[]; settled: number }> =>
  on.driver.executeAsyncScript(`const done = arguments[0];
    const open = indexedDB.open('vowstep');
    open.onsuccess = async () => {
      const tx = open.result.transaction(['events', 'settled', 'held-back']);
      const all = (name) => new Promise((give) => { const ask = tx.objectStore(name).getAll(); ask.onsuccess = () => give(ask.result); });
      const named = [...(await all('events')), ...(await all('held-back'))].flatMap(({ where }) => (where ? [where.player] : []));
      const settled = (await all('settled')).length;
      open.result.close();
      done({ names: [...new Set(named)], settled });
    };`);

const signIn = async (on: Page, name: string, word = passcode) => {
  await on.sees('Forgotten?');
  await on.type('Name', name);
  await on.type('Passcode', word);
  await on.press('Sign in');
};

test('on an address others can reach, it starts only once an owner has a passcode, and then asks for it', async () => {
  const env = { VOWSTEP_DATABASE_URL: `file:${path.join(folder, 'first.db')}` };
  const port = await freePort();
  await expect(startServer({ port, host: '0.0.0.0', env })).rejects.toThrow(/nobody has a passcode yet/);
  const setting = spawn('npm', ['run', '-s', 'passcode'], { env: { ...process.env, ...env } });
  setting.stdin.end(`Ottilie\n${passcode}\n`);
  expect(await new Promise((resolve) => setting.on('close', resolve))).toBe(0);
  const server = await startServer({ port, host: '0.0.0.0', env });
  const there = await fetch(`${server.url}/squad`, { redirect: 'manual' });
  expect([there.status, there.headers.get('location')]).toEqual([307, '/sign-in?to=%2Fsquad']);
  expect((await fetch(`${server.url}/api/book`)).status).toBe(401);
  await server.stop();
});

test('the first passcode makes an owner, who stays signed in; a coach is added', async () => {
  await browser.driver.get(`${app.url}/settings`);
  await page.press('Set your passcode');
  await page.type('Name', 'Ottilie Brandt');
  await page.type('Passcode', 'password');
  await page.press('Add');
  await page.sees('too easy to guess');
  await page.type('Passcode', passcode);
  await page.press('Add');
  await page.sees('You sign in as Ottilie Brandt from now on.');
  await page.sees('Signed in as Ottilie Brandt');
  await page.press('Add a coach');
  await page.type('Name', 'Sefa Lund');
  await page.type('Passcode', passcode);
  await page.press('Add');
  await page.sees('Sefa Lund can sign in.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  expect((await fetch(`${app.url}/api/drills`)).status).toBe(401);
});

test('two coaches have one plan open: the second save is refused, both versions stand, and both are written down', async () => {
  const { planned } = await demoIds(app);
  const other = await openBrowser();
  const theirs = new Page(other.driver);
  try {
    await other.driver.get(`${app.url}/sessions/${planned}/plan`);
    // Four wrong ones: the door says how long to wait, and even the right one waits.
    for (let n = 0; n < 3; n++) {
      await signIn(theirs, 'Sefa Lund', `wrong ${n}`);
      await theirs.sees(n < 2 ? 'Name or passcode is wrong.' : 'has to wait 5 seconds');
    }
    // A slow machine takes longer over a passcode than the wait is long: it is made longer.
    await app.query('update sign_in_try set last_at_ms = last_at_ms + 45000');
    await signIn(theirs, 'Sefa Lund');
    await theirs.sees(/Too many wrong tries: wait \d+ seconds/);
    await app.query('update sign_in_try set last_at_ms = last_at_ms - 120000');
    await signIn(theirs, 'Sefa Lund');
    // Signed in, they are where they wanted to go.
    await theirs.sees('Breathless');

    await browser.driver.get(`${app.url}/sessions/${planned}/plan`);
    await page.sees('Breathless');
    await page.press('Take out this block');
    await page.sees('Saved');
    await theirs.press('Take out this block');
    await theirs.sees('Changed in another window');
    expect((await audit())[0]).toBe('Ottilie Brandt session.plan');
    await theirs.press('Keep mine');
    await theirs.sees('Saved');
    expect((await audit())[0]).toBe('Sefa Lund session.plan');

    // What is an owner's is not there for a coach.
    await other.driver.get(`${app.url}/settings`);
    await theirs.sees('Signed in as Sefa Lund');
    expect(await theirs.text()).not.toContain('Copies of the book');
    await theirs.press('Sign out everywhere');
    await theirs.sees('Forgotten?');
    await other.driver.get(`${app.url}/squad`);
    await theirs.sees('Forgotten?');
  } finally {
    await other.close();
  }
});

test('a table with three bad lines says which, takes the rest, and is taken back as a whole', async () => {
  const file = path.join(folder, 'squad.csv');
  writeFileSync(
    file,
    'Child;Born;Plays;Hand\nYrsa;2015;tennis;L\nOve;twelve;tennis;R\n;2015;tennis;R\nTove;2014;golf;R\n',
  );
  await browser.driver.get(`${app.url}/files`);
  await page.sees('Bring a file in');
  await (await page.find('input[type=file]')).sendKeys(file);
  await page.sees('1 new, 0 changed, 0 the same, 3 left out.');
  await page.sees('Birth year must be a year, such as 2016.');
  await page.sees('Sport must be tennis or table tennis: choose one.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Take over 1 line');
  await page.sees('Brought in lately');
  const squad = async () =>
    (await app.query('select name from player where removed_at_ms is null')).map((row) => row.name);
  expect(await squad()).toContain('Yrsa');
  await page.press('Take it back');
  await page.sees('is taken back');
  expect(await squad()).not.toContain('Yrsa');

  // The whole book, cut in half.
  const { value } = await browser.driver.manage().getCookie('vowstep-coach');
  const book = await (
    await fetch(`${app.url}/api/book`, { headers: { cookie: `vowstep-coach=${value}` } })
  ).text();
  const half = path.join(folder, 'half.json');
  writeFileSync(half, book.slice(0, book.length / 2));
  await (await page.find('input[type=file]')).sendKeys(half);
  await page.sees('could not be read. Nothing of it was stored.');

  // As large as a file may be, whatever the framework would make of it; and one that is larger.
  const look = async (body: string) => {
    const headers = { 'content-type': 'application/json', cookie: `vowstep-coach=${value}` };
    const answer = await fetch(`${app.url}/api/book?look=1`, { method: 'POST', headers, body });
    return (await answer.text()).trim().split('\n').at(-1)!;
  };
  expect(JSON.parse(await look(book + ' '.repeat(30 * 2 ** 20)))).toMatchObject({ done: { part: 'book' } });
  expect(await look(book + ' '.repeat(64 * 2 ** 20))).toContain('over 48 MB');
});

test('a copy is looked at and put back: who is signed in stays so, what came since is gone, and it is written down', async () => {
  await browser.driver.get(`${app.url}/settings`);
  await page.press('Copy the book now');
  await page.sees('looked through, sound.');
  await browser.driver.get(`${app.url}/squad`);
  await page.press('Add a player');
  await page.type('Name', 'Since then');
  await page.type('Birth year', '2015');
  await page.press('Add player');
  await page.sees('10 players.');
  await browser.driver.get(`${app.url}/settings`);
  await page.press('Put back…');
  await page.sees('Put this copy back?');
  await page.becomes(
    `[...document.querySelectorAll('[role=dialog] tbody tr')].map((row) => row.innerText.split(/\\s+/).at(-1))`,
    ['1', 'none', 'none'],
  );
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Put it back');
  await page.sees('is the book now');
  await browser.driver.get(`${app.url}/squad`);
  await page.sees('9 players.');
  await browser.driver.get(`${app.url}/settings`);
  await page.sees('put a copy back');
  await page.sees('Signed in as Ottilie Brandt');
});

test('a calendar’s address gives the sessions and no child, until it is withdrawn', async () => {
  await page.press('Calendar address');
  await page.type('Whose calendar', 'Sefa');
  await page.press('Make it');
  const address = await (await page.find('[data-made]')).getText();
  const answer = await fetch(address);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
  const calendar = await answer.text();
  expect(calendar.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(3);
  expect(answer.headers.get('referrer-policy')).toBe('same-origin');
  for (const { name, id } of await app.query('select name, id from player')) {
    expect(calendar).not.toContain(String(name).split(' ')[0]);
    expect(calendar).not.toContain(String(id));
  }
  // One letter changed is another address.
  const wrong = address.slice(0, -1) + (address.endsWith('A') ? 'B' : 'A');
  expect((await fetch(wrong)).status).toBe(410);
  await page.press('Close');
  await page.press('Withdraw');
  await page.sees('opens nothing any more');
  expect((await fetch(address)).status).toBe(410);
});

test('a drawing is a file of its own: whole, with its colours in it', async () => {
  await browser.driver.get(`${app.url}/benches/wall`);
  await page.sees('give or take');
  await browser.driver.executeScript(
    `window.made = null; URL.createObjectURL = (blob) => { blob.text().then((text) => { window.made = text; }); return '#'; };`,
  );
  await page.press('Save the drawing');
  await page.becomes(`window.made !== null`, true);
  const [root, error, title, texts] = await browser.driver.executeScript<[string, number, string, number]>(`
    const drawing = new DOMParser().parseFromString(window.made, 'image/svg+xml');
    return [drawing.documentElement.nodeName, drawing.querySelectorAll('parsererror').length,
            drawing.querySelector('title').textContent, drawing.querySelectorAll('text').length];`);
  expect([root, error, texts > 5]).toEqual(['svg', 0, true]);
  expect(title).toContain('Side view to scale');
  const made = await browser.driver.executeScript<string>('return window.made');
  expect(made).not.toMatch(/var\(--| class=/);
  expect(made).toMatch(/fill="rgb\(/);
});

test('signed out in the middle of a session: counting goes on, all of it goes when signed in again, and the kept page is the court’s', async () => {
  const { planned } = await demoIds(app);
  await browser.driver.get(`${app.url}/sessions/${planned}/run`);
  await page.press('Start block');
  await page.sees('All safe on the server');
  await page.becomes(`navigator.serviceWorker.controller !== null`, true);
  const touches = async () =>
    (await app.query(
      `select by, count(*) as n from touch_event where device <> '' and at_ms > ? group by by`,
      [Date.now() - 600_000],
    )) as { by: string; n: number }[];
  await app.query('update sign_in set ended_at_ms = 1 where ended_at_ms is null');
  await browser.driver.executeScript(
    `for (let i = 0; i < 3; i++) document.querySelector('[data-touch-of]').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));`,
  );
  await page.sees('You are signed out.');
  await page.becomes(keptPages, '');
  const before = (await touches()).reduce((sum, { n }) => sum + n, 0);
  // At the same address stands the door now; with the server away, what was kept of the court.
  await browser.driver.get(`${app.url}/sessions/${planned}/run`);
  await page.sees('not on the server yet');
  expect(await resting(page)).toEqual({ names: [''], settled: 0 });
  await signIn(page, 'Ottilie Brandt');
  // The page is there before it has looked at what the device kept.
  const sum = async () => (await touches()).reduce((all, { n }) => all + n, 0);
  await browser.driver.wait(async () => (await sum()) > before, patienceMs, 'What was kept never arrives.');
  await page.sees('All safe on the server');
  const after = await touches();
  expect(after.map(({ by }) => by)).toContain('Ottilie Brandt');
  await page.becomes(`${keptPages}.then((text) => text.includes('/run'))`, true);
  await app.stop();
  await browser.driver.get(`${app.url}/sessions/${planned}/run`);
  await page.sees('out of reach');
  await page.sees('Pause');
  await app.start();
  await page.sees('All safe on the server');
});

test('who signs out leaves nobody on the device: no page opens without the server, no mark says a name', async () => {
  const { planned } = await demoIds(app);
  const run = `${app.url}/sessions/${planned}/run`;
  await browser.driver.get(run);
  await page.becomes(`${keptPages}.then((text) => text.includes('/run'))`, true);
  expect((await resting(page)).settled).toBeGreaterThan(0);
  await browser.driver.get(`${app.url}/settings`);
  await browser.driver.executeScript(`localStorage.setItem('vowstep-draft-plan-x', '{}')`);
  await page.press('Sign out');
  await page.sees('1 draft not saved yet');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Stay signed in');
  await page.press('Sign out');
  await page.sees('1 draft not saved yet');
  await browser.driver.executeScript(
    `[...document.querySelectorAll('[role=dialog] button')].find((one) => one.innerText.trim() === 'Sign out').click()`,
  );
  await page.sees('Forgotten?');
  await page.becomes(keptPages, '');
  expect(await resting(page)).toEqual({ names: [], settled: 0 });
  expect(
    await browser.driver.executeScript(`return localStorage.getItem('vowstep-draft-plan-x')`),
  ).toBeNull();
  // The way back leads to the door.
  await browser.driver.navigate().back();
  await page.sees('Forgotten?');
  await app.stop();
  await browser.driver.get(run);
  await page.sees('The server is out of reach');
  await app.start();
});

test('what cannot be taken back asks for the passcode once more, and then goes on', async () => {
  await (browser.driver as unknown as Driver).setDownloadPath(folder);
  await browser.driver.get(`${app.url}/files`);
  await signIn(page, 'Ottilie Brandt');
  await page.sees('Take away');
  await app.query('update sign_in set created_at_ms = created_at_ms - 3600000');
  await page.press('The whole book: Take');
  await page.sees('Your passcode, once more');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.type('Passcode', 'not this one');
  await page.press('Go on');
  await page.sees('That is not your passcode.');
  await page.type('Passcode', passcode);
  await page.press('Go on');
  await browser.driver.wait(
    () => readdirSync(folder).some((name) => /^vowstep-book-.*\.json$/.test(name)),
    patienceMs,
    'The book never arrives.',
  );
});

test('a passcode is changed only with the one of now', async () => {
  await browser.driver.get(`${app.url}/settings`);
  await page.press('Change passcode');
  await page.type('Your passcode of now', 'not this one');
  await page.type('New passcode', 'seven slow green trains');
  await page.press('Change the passcode');
  await page.sees('That is not your passcode.');
  await page.type('Your passcode of now', passcode);
  await page.press('Change the passcode');
  await page.sees('Your passcode is changed.');
});
