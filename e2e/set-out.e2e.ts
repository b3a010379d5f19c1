import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { textOfPdf } from '../testing/browser/pdf';
import { demoIds } from '../testing/browser/views';

/* A session set out in its hall: marks by two tapes, a pillar in the way, and all of it on paper. */
let app: App;
let browser: Browser;
let page: Page;
let session: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  session = (await demoIds(app)).planned;
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const script = <T>(text: string) => browser.driver.executeScript<T>(`return ${text}`);
const shown = `document.querySelector('[data-slot]:not(.hidden)')`;
const rows = `[...${shown}.querySelectorAll('tbody tr')].map((row) => [...row.children].map((cell) => cell.innerText))`;
const open = async (title: string) => {
  await browser.driver.get(`${app.url}/sessions/${session}/set-out`);
  await page.sees('Left end of the wall');
  await browser.driver.executeScript(
    `[...document.querySelectorAll('nav[aria-label=Blocks] button')].find((one) => one.textContent.includes('${title}')).click()`,
  );
  await page.becomes(`${shown}.getAttribute('aria-label')`, title);
};

test('from the plan: every mark has two tapes that find it, in metres and in the coach’s own paces', async () => {
  await browser.driver.get(`${app.url}/sessions/${session}/plan`);
  await page.press('More');
  await page.press('Set-out');
  await page.sees('Every mark by two tapes.');
  await open('Marker touches');
  const [children] = await app.query(`select count(*) as n from session_player where session_id = ?`, [
    session,
  ]);
  const marks = await script<string[][]>(rows);
  expect(marks).toHaveLength(2 * Number(children!.n));
  // The hall is 24 m along its wall: both tapes give the point back by the law of cosines, inside the floor.
  for (const [, , left, right] of marks) {
    const [a, b] = [parseFloat(left!), parseFloat(right!)];
    const x = (a * a - b * b + 24 * 24) / 48;
    const y = Math.sqrt(a * a - x * x);
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(24);
    expect(y).toBeGreaterThan(0);
    expect(y).toBeLessThan(7);
  }
  await page.type('Your paces over ten metres', '100');
  await page.sees('walk them once more and count');
  await page.type('Your paces over ten metres', '13');
  await page.becomes(`${shown}.innerText.includes('Paces')`, true);
  const [first] = await script<string[][]>(rows);
  expect(parseFloat(first![4]!)).toBeCloseTo(Math.round(2 * 1.3 * parseFloat(first![2]!)) / 2, 1);
  expect(await axeViolations(browser.driver)).toEqual([]);

  // From the court, in a tab of its own, it opens at the block that is on.
  const [third] = await app.query(
    `select id from block where session_id = ? and drill_id = 'racket-wall-rally'`,
    [session],
  );
  await browser.driver.get(`${app.url}/sessions/${session}/set-out?block=${third!.id as string}`);
  await page.becomes(`${shown}.getAttribute('aria-label')`, 'Racket wall rally');

  // Or small, on the court itself.
  await browser.driver.get(`${app.url}/sessions/${session}/run`);
  await page.press('More');
  await page.press('Set-up');
  await page.becomes(`document.querySelectorAll('[data-small-plan] svg').length`, 1);
  expect(await axeViolations(browser.driver)).toEqual([]);

  // Wall drills are along the wall, and say how high its mark is.
  await open('Racket wall rally');
  await page.sees('Mark on the wall: 1.4 m high');
});

test('a pillar is put in the way by hand and by key: lanes go round it; outside the hall it is refused', async () => {
  await open('Marker touches');
  const before = await script<string[][]>(rows);
  await browser.driver.get(`${app.url}/places`);
  await browser.driver.executeScript(
    `[...document.querySelectorAll('button')].find((one) => one.textContent.includes('Change Rope hall')).click()`,
  );
  await page.press('Add a thing');
  const thing = `document.querySelector('[data-thing="3"]')`;
  await page.becomes(
    `${thing}?.getAttribute('aria-label')`,
    '4 pillar, 0 m along, 0 m out: arrow keys move it',
  );
  await browser.driver.executeScript(`${thing}.focus()`);
  await page.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_DOWN);
  await page.becomes(
    `${thing}.getAttribute('aria-label')`,
    '4 pillar, 0.3 m along, 0.1 m out: arrow keys move it',
  );
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.setValue('4 pillar: along', '30');
  await page.press('Save place');
  await page.sees('The pillar ends 30.4 m along, and the place is 24 m there');
  await page.setValue('4 pillar: along', '0.3');
  await page.press('Save place');
  await page.sees('Rope hall is saved.');

  await open('Marker touches');
  const after = await script<string[][]>(rows);
  expect(after).toHaveLength(before.length);
  expect(after).not.toEqual(before);
  expect(await browser.faults()).toEqual([]);
});

test('a lane is moved and turned by key: what is in its way is said and mended, its tapes follow, and all of it goes back', async () => {
  await open('Marker touches');
  const before = await script<string[][]>(rows);
  // The last one: beside it there is room.
  const lane = `[...${shown}.querySelectorAll('[data-lane]')].at(-1)`;
  await browser.driver.executeScript(`${lane}.focus()`);
  await page.keys(Key.ARROW_LEFT, Key.ARROW_DOWN, 't');
  await page.sees(/lane 6, .*: .*it lies over Marker touches, lane \d/);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await browser.driver.executeScript(
    `[...${shown}.querySelectorAll('[data-in-the-way]')].find((one) => one.innerText.startsWith('Marker touches, lane 6')).querySelector('button').click()`,
  );
  await page.becomes(`${shown}.querySelectorAll('[data-in-the-way]').length`, 0);
  await page.sees('Between lanes and things: at least');
  const after = await script<string[][]>(rows);
  expect(after).toHaveLength(before.length);
  expect(after).not.toEqual(before);
  // Kept with the session: there again after a reload, and on court.
  await page.sees('Moved lanes are kept with the session.');
  await open('Marker touches');
  expect(await script<string[][]>(rows)).toEqual(after);
  const [block] = await app.query(
    `select id from block where session_id = ? and drill_id = 'marker-touches'`,
    [session],
  );
  const onCourt = (await (await fetch(`${app.url}/api/sessions/${session}/set-out`)).json()) as {
    moves: { blockId: string }[];
  };
  expect(onCourt.moves.map(({ blockId }) => blockId)).toEqual([block!.id]);
  await page.press('All together');
  await page.sees('marks in all');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await open('Marker touches');
  await page.press('Put it back');
  await page.becomes(`${shown}.innerText.includes('Put it back')`, false);
  expect(await script<string[][]>(rows)).toEqual(before);
  // The key that puts back can be taken back too.
  await browser.driver.executeScript(
    `[...${shown}.querySelectorAll('button')].find((one) => one.textContent.includes('Undo')).click()`,
  );
  await page.becomes(`${shown}.innerText.includes('Put it back')`, true);
  await page.press('Put it back');
});

test('a hall full of benches has room for nothing, and says so; emptied, it has it again', async () => {
  await app.query(
    `update place set things = '[{"kind":"bench","xM":0,"yM":0.5,"widthM":24,"depthM":6}]' where name = 'Rope hall'`,
  );
  await browser.driver.get(`${app.url}/sessions/${session}/set-out`);
  await page.sees(/Does not fit here: it needs .*it fits in .*Slipway yard/);
  await app.query(`update place set things = null where name = 'Rope hall'`);
  await open('Marker touches');
  expect((await script<string[][]>(rows)).length).toBeGreaterThan(0);
});

test('on paper every block has its drawing and its list', async () => {
  await open('Marker touches');
  const onScreen = await script<string[][]>(rows);
  expect(onScreen.length).toBeGreaterThan(0);
  const blocks = await script<number>(`document.querySelectorAll('[data-slot]').length`);
  const chromium = browser.driver as unknown as {
    sendAndGetDevToolsCommand(name: string, params: object): Promise<{ data: string }>;
    sendDevToolsCommand(name: string, params: object): Promise<void>;
  };
  await chromium.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' });
  const seen = `[...document.querySelectorAll('[data-slot]')].filter((one) => one.checkVisibility() && one.querySelector('svg[viewBox]')).length`;
  await page.becomes(seen, blocks);
  // What is printed says the same numbers as the screen.
  expect(await script<string[][]>(rows)).toEqual(onScreen);
  await page.becomes(`document.querySelector('nav[aria-label=Blocks]').checkVisibility()`, false);
  const { data } = await chromium.sendAndGetDevToolsCommand('Page.printToPDF', { printBackground: true });
  // And so does the file itself: every row of every block is in it, word for word.
  const text = textOfPdf(Buffer.from(data, 'base64'));
  const all = await script<string[][]>(
    `[...document.querySelectorAll('[data-slot] tbody tr')].map((row) => [...row.children].map((cell) => cell.innerText))`,
  );
  expect(all.length).toBeGreaterThan(onScreen.length);
  const printed = text.replace(/\s/g, '');
  expect(all.filter((row) => !printed.includes(row.join('').replace(/\s/g, '')))).toEqual([]);
  expect(text).toContain('Left end of the wall');
  await chromium.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' });
});
