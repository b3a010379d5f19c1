import { By } from 'selenium-webdriver';
import { pdfPages } from '../testing/pdf-picture';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { demoSession } from '../testing/browser/demo';
import { Page, patienceMs } from '../testing/browser/page';

/* From a session of last week to next week's, changed in two places and printed: with the mouse, and counted. */
let app: App;
let browser: Browser;
let page: Page;
let clicks = 0;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const press = async (name: string) => {
  clicks += 1;
  await page.press(name);
};
const saved = () => page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');

test('last week’s session is planned again for next week, changed in two places and printed, in at most twelve clicks', async () => {
  await browser.driver.get(`${app.url}/sessions`);
  const last = await demoSession(app, { state: 'finished', title: 'Hands and strokes' });
  await page.sees('Past');
  await browser.driver.executeScript(
    `document.querySelector('a[href="/sessions/${last.id}/review"]').parentElement.querySelector('button').click()`,
  );
  clicks += 1;
  await page.sees('Hands and strokes again');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await press('Open the plan');
  await page.sees('Add a drill');
  // The same group, hour and blocks, on another day.
  const id = (await browser.driver.getCurrentUrl()).match(/sessions\/(\w+)/)![1]!;
  const [now] = await app.query('select * from session where id = ?', [id]);
  expect(now).toMatchObject({ title: 'Hands and strokes', start_time: last.startTime, state: 'planned' });
  const drills = (id: unknown) =>
    app.query('select drill_id from block where session_id = ? order by position', [id as string]);
  expect(await drills(now!.id)).toEqual(await drills(last.id));

  // One drill more, and one block less.
  const before = (await drills(now!.id)).length;
  await press('Add Most laps');
  await page.becomes(`document.querySelectorAll('[data-block]').length`, before + 1);
  clicks += 1;
  await (await browser.driver.findElements(By.css('[data-block]')))[0]!.click();
  await press('Take out');
  await page.becomes(`document.querySelectorAll('[data-block]').length`, before);
  await saved();
  await press('More');
  await press('On paper');
  await page.sees('To ask at the end');
  await browser.driver.executeScript('window.print = () => { window.printed = true; }');
  await press('Print');
  await page.becomes('window.printed', true);
  expect(clicks).toBeLessThanOrEqual(12);
});

test('planned again once more it is not booked twice: the next free week is filled in, a taken day is said', async () => {
  const paper = await browser.driver.getCurrentUrl();
  const last = await demoSession(app, { state: 'finished', title: 'Hands and strokes' });
  const [booked] = await app.query(
    `select day from session where title = 'Hands and strokes' and state = 'planned' and created_at_ms = (select max(created_at_ms) from session)`,
  );
  const weekLater = new Date(Date.parse(String(booked!.day)) + 7 * 86_400_000).toISOString().slice(0, 10);
  await browser.driver.get(`${app.url}/sessions`);
  await page.sees('Past');
  await browser.driver.executeScript(
    `document.querySelector('a[href="/sessions/${last.id}/review"]').parentElement.querySelector('button').click()`,
  );
  await page.sees('Hands and strokes again');
  const day = `document.querySelector('[role=dialog] [type=date]').value`;
  await page.becomes(day, weekLater);
  // The day that is taken, chosen by hand.
  await page.setValue('Day', String(booked!.day));
  await page.sees(/Hands and strokes already has .*the coach and the place\./);
  await page.sees('Open the plan anyway');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Move to');
  await page.becomes(day, weekLater);
  await page.becomes(`document.querySelector('[data-clashes]')`, null);

  // A plan that is moved to the taken day says so too, and how to mend it.
  await browser.driver.get(paper.replace('/paper', '/plan'));
  await page.sees('Add a drill');
  await page.press('Booking');
  await page.setValue('Day', last.day);
  await page.press('Change the booking');
  await page.becomes(`document.querySelector('[data-clashes]')`, null);
  await page.press('Undo');
  await saved();
  expect(await browser.faults()).toEqual([]);
  await browser.driver.get(paper);
});

test('the paper says what the plan says: every child’s aim, and nothing to press when it is printed', async () => {
  expect(await axeViolations(browser.driver)).toEqual([]);
  const aims = await browser.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('[data-paper-line]')].map((line) => line.querySelector('b').textContent)`,
  );
  expect(aims.length).toBeGreaterThan(5);
  const id = (await browser.driver.getCurrentUrl()).match(/sessions\/(\w+)/)![1]!;
  const chromium = browser.driver as unknown as {
    sendDevToolsCommand(name: string, params: object): Promise<void>;
    sendAndGetDevToolsCommand(name: string, params: object): Promise<{ data: string }>;
  };
  await chromium.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' });
  await page.becomes(
    `[...document.querySelectorAll('header, nav, select')].every((one) => getComputedStyle(one).display === 'none')`,
    true,
  );
  const { data } = await chromium.sendAndGetDevToolsCommand('Page.printToPDF', { preferCSSPageSize: true });
  // A session of an hour is one sheet of paper, both sides.
  const pages = Buffer.from(data, 'base64')
    .toString('latin1')
    .match(/\/Type\s*\/Page\b/g)!.length;
  expect(pages).toBeLessThanOrEqual(2);
  await chromium.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' });
  // The plan’s own aims, block by block.
  await browser.driver.get(`${app.url}/sessions/${id}/plan`);
  await page.sees('Add a drill');
  const planned: string[] = [];
  for (const block of await browser.driver.findElements(By.css('[data-block]'))) {
    await block.click();
    planned.push(
      ...(await browser.driver.executeScript<string[]>(
        `return [...document.querySelectorAll('[aria-label="Block"] tbody tr')].flatMap((row) => row.cells[2].innerText.match(/aims at ([0-9.½⅓⅔¼¾]+)/)?.[1] ?? [])`,
      )),
    );
  }
  for (const aim of aims) expect(planned).toContain(aim.match(/aim (\S+)/)![1]);
});

test.each([
  ['/squad', '9 players.', 1],
  ['/drills/racket-wall-rally', 'Look for', 2],
])('%s (%s) prints on %d page, without the way round', async (path, words, most) => {
  const chromium = browser.driver as unknown as {
    sendAndGetDevToolsCommand(name: string, params: object): Promise<{ data: string }>;
  };
  await browser.driver.get(app.url + path);
  await page.sees(words);
  const { data } = await chromium.sendAndGetDevToolsCommand('Page.printToPDF', {
    paperWidth: 8.27,
    paperHeight: 11.69,
  });
  const pages = Buffer.from(data, 'base64')
    .toString('latin1')
    .match(/\/Type\s*\/Page\b/g)!.length;
  expect(pages).toBeLessThanOrEqual(most);
});

test('the same sheet is taken away as a PDF file', async () => {
  const planned = await demoSession(app, { state: 'planned' });
  await browser.driver.get(`${app.url}/sessions/${planned.id}/plan`);
  await page.press('More');
  const { name, bytes } = await browser.download(() => page.press('As PDF'));
  expect(name).toBe(`${planned.title} ${planned.day}.pdf`);
  expect(pdfPages(bytes)).toBeGreaterThan(0);
});

test('week by week until a day, with a holiday left out; taken back with one press', async () => {
  await browser.driver.get(`${app.url}/sessions`);
  const count = async () =>
    (await app.query(`select count(*) as n from session where removed_at_ms is null`))[0]!.n as number;
  const before = await count();
  await browser.driver.executeScript(
    `document.querySelector('[aria-label^="Plan Wall and feet again"]').click()`,
  );
  await page.sees('Every week until');
  const first = await browser.driver.executeScript<string>(
    `return document.querySelector('[type=date]').value`,
  );
  const until = new Date(Date.parse(first) + 21 * 24 * 3600 * 1000).toISOString().slice(0, 10);
  await page.setValue('Every week until', until);
  await page.sees('Plan 4 sessions');
  await browser.driver.executeScript(`document.querySelectorAll('[role=dialog] [type=checkbox]')[1].click()`);
  await page.press('Plan 3 sessions');
  await page.sees('Wall and feet is planned on 3 days.');
  expect(await count()).toBe(before + 3);
  await page.press('Undo');
  await page.becomes(`document.body.textContent.includes('is planned on 3 days')`, false);
  await browser.driver.wait(async () => (await count()) === before, patienceMs);

  const known = (await app.query('select id from session')).map(({ id }) => String(id));
  // The same weeks, each built for what the children need then: no drill of one in the next.
  await browser.driver.executeScript(
    `document.querySelector('[aria-label^="Plan Wall and feet again"]').click()`,
  );
  await page.setValue(
    'Every week until',
    new Date(Date.parse(first) + 7 * 24 * 3600 * 1000).toISOString().slice(0, 10),
  );
  await page.press('Build each anew');
  await page.sees('Wall and feet is planned on 2 days.');
  const built = (
    await app.query(
      `select session_id as id, group_concat(drill_id) as drills from block group by session_id`,
    )
  ).filter(({ id }) => !known.includes(String(id)));
  expect(built).toHaveLength(2);
  const [one, other] = built.map(({ drills }) => String(drills).split(','));
  expect(one!.length).toBeGreaterThan(3);
  expect(other!.filter((id) => one!.includes(id))).toEqual([]);
  expect(await browser.faults()).toEqual([]);
});

test('on a phone every place is in reach, and no title is lost', async () => {
  await setViewport(browser.driver, 390, 844);
  for (const path of ['/', '/sessions', '/squad', '/drills', '/places', '/schools']) {
    await browser.driver.get(app.url + path);
    await page.sees('Vows');
    expect([path, await browser.driver.executeScript(wide)]).toEqual([path, []]);
  }
  await browser.driver.get(`${app.url}/sessions`);
  await page.sees('Hands and strokes');
});

test('a session of another day is not moved in silence: it asks, and runs a copy or the session itself', async () => {
  await setViewport(browser.driver, 1024, 768);
  const [last] = await app.query(
    `select id, day from session s where state = 'planned' and kind = 'court' and removed_at_ms is null
     and exists (select 1 from block b where b.session_id = s.id) order by day desc limit 1`,
  );
  const planned = { id: String(last!.id), day: String(last!.day) };
  const dayOf = async (id: string) => (await app.query('select day from session where id = ?', [id]))[0]!.day;
  const today = await browser.driver.executeScript<string>(
    `return new Date().toLocaleDateString('sv', { timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone })`,
  );
  expect(planned.day).not.toBe(today);
  const idHere = async () => (await browser.driver.getCurrentUrl()).match(/sessions\/(\w+)\/run/)![1]!;
  await browser.driver.get(`${app.url}/sessions/${planned.id}/plan`);
  await page.press('Run');
  await page.sees('Run it today instead?');
  expect(await axeViolations(browser.driver)).toEqual([]);
  // A key that would start the block does nothing while it is asked.
  await page.keys(' ');
  await page.press('Cancel');
  await page.sees('Add a drill');
  expect(await dayOf(planned.id)).toBe(planned.day);
  await page.press('Run');
  await page.press('Run a copy today');
  await page.sees('Start block');
  const copy = await idHere();
  expect(copy).not.toBe(planned.id);
  expect([await dayOf(copy), await dayOf(planned.id)]).toEqual([today, planned.day]);
  await browser.driver.get(`${app.url}/sessions/${planned.id}/run`);
  await page.press('Run it today');
  await page.sees('Start block');
  expect([await idHere(), await dayOf(planned.id)]).toEqual([planned.id, today]);
  expect(
    await app.query(
      'select count(*) as n from touch_event e join block b on b.id = e.block_id where b.session_id = ?',
      [planned.id],
    ),
  ).toEqual([{ n: 0 }]);
  expect(await browser.faults()).toEqual([]);
});

/** Links of the header that are cut off, and whatever makes the page scroll sideways. */
const wide = `
  const out = [...document.querySelectorAll('header a')]
    .filter((one) => { const { left, right } = one.getBoundingClientRect(); return left < 0 || right > innerWidth; })
    .map((one) => one.textContent);
  return document.documentElement.scrollWidth > innerWidth ? [...out, 'scrolls to ' + document.documentElement.scrollWidth] : out;`;
