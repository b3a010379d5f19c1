import { catalogue } from '@/drills';
import { Agent, get } from 'node:http';
import { By } from 'selenium-webdriver';
import { ulid } from 'ulid';
import migrations from '../drizzle/meta/_journal.json';
import { openApp, type App } from '../testing/browser/app';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { demoBlock, demoPlayer, demoSession } from '../testing/browser/demo';
import { Page, patienceMs } from '../testing/browser/page';
import { nextUntil } from '../testing/browser/session';

let app: App;
let browser: Browser;
let page: Page;
let plan: string;
let blockId: string;
let playerId: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  const counted = await demoSession(app, { state: 'planned', title: 'Wall and feet', player: 'Nessa' });
  blockId = await demoBlock(app, counted.id, 'wrist-and-forearm');
  playerId = await demoPlayer(app, 'Nessa');
  // A session nobody counts in: all of its blocks can be taken out.
  const other = await demoSession(app, { state: 'planned', title: 'Table and wall' });
  plan = `${app.url}/sessions/${other.id}/plan`;
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const event = (more: object = {}) => ({
  id: ulid(),
  blockId,
  playerId,
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  atMs: Date.now(),
  monoMs: 5,
  device: 'test',
  ...more,
});
const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  fetch(`${app.url}/api/touches`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json', ...headers },
  });
const send = (events: unknown) => post(JSON.stringify({ events }));
const stored = async () =>
  (await app.query(`select count(*) as n from touch_event where device = 'test'`))[0]!.n as number;

test('health says ok, version and schema version', async () => {
  const answer = await fetch(`${app.url}/api/health`);
  expect(await answer.json()).toEqual({
    ok: true,
    version: expect.stringMatching(/^\d+\.\d+\.\d+$/),
    build: expect.stringMatching(/^[\w-]+$/),
    schemaVersion: migrations.entries.length,
    trouble: null,
  });
});

test.each([
  [
    'malformed',
    () => send([event(), event({ kind: 'jump' })]),
    400,
    'Event 2 of 2 is not sound: kind must be one of',
  ],
  ['not JSON', () => post('{"events": ['), 400, 'body must be JSON'],
  [
    'a form',
    () => post('events=1', { 'content-type': 'application/x-www-form-urlencoded' }),
    415,
    'application/json',
  ],
  ['oversized', () => send(Array(4000).fill(event())), 413, 'body is over 256 KB'],
  ['from another site', () => post('{}', { 'sec-fetch-site': 'cross-site' }), 403, 'own pages only'],
] as const)(
  'a batch that is %s is refused in words, and nothing is stored',
  async (_what, request, status, message) => {
    const before = await stored();
    const answer = await request();
    expect(answer.status).toBe(status);
    expect(await answer.text()).toContain(message);
    expect(await stored()).toBe(before);
  },
);

test('a replayed batch is stored once', async () => {
  const events = [event(), event()];
  const before = await stored();
  expect(await (await send(events)).json()).toMatchObject({ stored: 2 });
  expect(await (await send(events)).json()).toMatchObject({ stored: 0 });
  expect(await stored()).toBe(before + 2);
});

test('another host name is not answered', async () => {
  const { request } = await import('node:http');
  const status = await new Promise((resolve) =>
    request(`${app.url}/squad`, { headers: { host: 'evil.example' } }, (answer) =>
      resolve(answer.resume().statusCode),
    ).end(),
  );
  expect(status).toBe(421);
});

test('pages carry a strict content security policy', async () => {
  const policy = (await fetch(`${app.url}/squad`)).headers.get('content-security-policy')!;
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'(;|$)/);
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});

test.each([
  '/players/nobody',
  '/sessions/nothing/plan',
  '/sessions/nothing/run',
  '/sessions/nothing/review',
  '/nowhere',
])('an unknown address %s says so and leads back', async (path) => {
  await browser.driver.get(app.url + path);
  await page.sees('Nothing stands at this address');
  await page.button('Go to Today');
});

test('a plan that is come back to is the present one: from another tab, and by the back key', async () => {
  const { driver } = browser;
  const blocks = `document.querySelectorAll('[data-block]').length`;
  await driver.get(plan);
  const first = await driver.getWindowHandle();
  const before = await driver.executeScript<number>(`return ${blocks}`);
  await driver.switchTo().newWindow('tab');
  await driver.get(plan);
  await page.press('Add Marker touches');
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
  await driver.close();
  await driver.switchTo().window(first);
  await page.becomes(blocks, before + 1);

  // Away to another page of ours; meanwhile the plan is changed on another device.
  await page.press('Squad');
  await page.sees('9 players.');
  const session = plan.split('/').at(-2)!;
  await app.query(`update session set title = 'Renamed meanwhile', revision = revision + 1 where id = ?`, [
    session,
  ]);
  await driver.navigate().back();
  await page.sees('Renamed meanwhile');
  // It is no conflict to go on from there.
  await page.press('Add Ring target');
  await page.becomes(blocks, before + 2);
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
});

test('two windows editing one session: nothing is lost, and the coach says which stands', async () => {
  const { driver } = browser;
  await driver.get(plan);
  const first = await driver.getWindowHandle();
  await driver.switchTo().newWindow('window');
  await driver.get(plan);
  await page.press('Add Marker touches');
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
  const blocks = `document.querySelectorAll('[data-block]').length`;
  const theirs = await driver.executeScript<number>(`return ${blocks}`);
  const second = await driver.getWindowHandle();

  await driver.switchTo().window(first);
  await page.press('Take out');
  await page.sees('Changed in another window');
  await page.press('Take the other plan');
  await page.becomes(blocks, theirs);
  await page.press('Undo');
  await page.becomes(blocks, theirs - 2);
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');

  await driver.switchTo().window(second);
  await page.press('Add Ring target');
  await page.sees('Changed in another window');
  await page.press('Keep mine');
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
  await driver.navigate().refresh();
  await page.becomes(blocks, theirs + 1);
  await driver.close();
  await driver.switchTo().window(first);
});

test('a profile with a slip keeps what was typed', async () => {
  await browser.driver.get(`${app.url}/players/${playerId}`);
  await page.press('Change profile');
  await page.type('Name', '  ');
  await page.type('Working on', 'Soft knees');
  await page.press('Save changes');
  await page.sees('Name is empty');
  expect(await (await page.field('Working on')).getAttribute('value')).toBe('Soft knees');
  await page.press('Close');
});

test('a player taken off the squad comes back by undo', async () => {
  await browser.driver.get(`${app.url}/players/${playerId}`);
  await page.press('Remove from the squad');
  await page.sees('8 players.');
  await page.press('Undo');
  await page.sees('9 players.');
});

test('kill -9 during a batch: all of a batch or nothing, and sent again it is there once', async () => {
  const before = await stored();
  const batches = Array.from({ length: 12 }, () => Array.from({ length: 100 }, () => event()));
  const sending = batches.map((batch) =>
    send(batch).then(
      (answer) => answer.ok,
      () => false,
    ),
  );
  // Killed while the first answers come in.
  await Promise.race(sending);
  await app.kill();
  const answers = await Promise.all(sending);
  await app.start();
  for (const [index, batch] of batches.entries()) {
    const marks = batch.map(() => '?').join(',');
    const [row] = await app.query(
      `select count(*) as n from touch_event where id in (${marks})`,
      batch.map((one) => one.id),
    );
    expect([0, 100]).toContain(row!.n);
    // Whatever was answered as stored is there.
    if (answers[index]) expect(row!.n).toBe(100);
  }
  for (const batch of batches) expect((await send(batch)).ok).toBe(true);
  expect(await stored()).toBe(before + 1200);
});

test('the server ends when asked, though a tablet keeps its line and goes on asking', async () => {
  // Ordinary requests share lines; this one tablet holds one line, and asks again as soon as it is answered.
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  let asking = true;
  let answers = 0;
  const ask = () => {
    if (!asking) return;
    get(`${app.url}/api/health`, { agent }, (answer) => {
      answers += 1;
      answer.resume().on('end', ask);
    }).on('error', () => setTimeout(ask, 50));
  };
  ask();
  await browser.driver.wait(() => answers > 5, patienceMs, 'The server does not answer.');
  await app.stop();
  asking = false;
  agent.destroy();
  await app.start();
  expect((await fetch(`${app.url}/api/health`)).status).toBe(200);
});

test.each([
  ['', 200],
  ['?id=carry', 200],
  ['?id=nowhere', 404],
  ["?id=' or 1=1 --", 404],
  ['?id=..%2f..%2fetc', 404],
])('drills to take away: /api/drills%s answers %d', async (query, status) => {
  const answer = await fetch(`${app.url}/api/drills${query}`);
  expect(answer.status).toBe(status);
  expect(answer.headers.get('content-type')).toContain('application/json');
  const body = (await answer.json()) as { format?: string; error?: string; drills?: unknown[] };
  if (status === 404) return expect(body.error).toBe('There is no such drill (any more).');
  expect(answer.headers.get('content-disposition')).toMatch(/^attachment; filename="vow-step-[\w-]+\.json"$/);
  expect(body.format).toBe('vowstep-catalogue');
  expect(body.drills).toHaveLength(query === '' ? catalogue.length : 1);
});

test('counts left on the device are sent from any page, once', async () => {
  const session = (await demoSession(app, { state: 'planned', drill: 'clap-and-catch' })).id;
  const made = async () =>
    (
      await app.query(
        `select count(*) as n from touch_event t join block b on b.id = t.block_id where b.session_id = ?`,
        [session],
      )
    )[0]!.n;
  await browser.driver.get(`${app.url}/sessions/${session}/run`);
  await page.sees('Start block');
  await nextUntil(page, 'Clap and catch');
  await page.becomes(`document.querySelector('[data-waiting]').dataset.waiting`, '0');
  const before = (await made()) as number;
  await app.kill();
  await page.press('Count a miss');
  await page.press('Count a miss');
  await page.sees('Server out of reach');
  await app.start();
  await browser.driver.get(`${app.url}/squad`);
  await page.sees('9 players.');
  await browser.driver.wait(
    // The two misses, and what the block was when they began it.
    async () => (await made()) === before + 3,
    patienceMs,
    'The two misses never arrive.',
  );
});

test('when the server is away, a form keeps its words and says so', async () => {
  await browser.driver.get(`${app.url}/squad`);
  await page.press('Add a player');
  await page.type('Name', 'Robin');
  await page.type('Birth year', '2015');
  await app.kill();
  await page.press('Add player');
  await page.sees('The server could not be reached');
  expect(await (await page.field('Name')).getAttribute('value')).toBe('Robin');
  await app.start();
  await page.press('Add player');
  await page.sees('10 players.');
  expect(await browser.driver.findElements(By.css('[role=dialog]'))).toHaveLength(0);
});
