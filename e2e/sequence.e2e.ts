import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { demoBlock, demoSession } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';
import { nextBlock } from '../testing/browser/session';

/* A shadow sequence composed, refused as too fast, slowed, kept, put into a plan, run and counted. */
let app: App;
let browser: Browser;
let page: Page;
let block: string;
let session: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  session = (await demoSession(app, { state: 'planned', drill: 'shadow-patterns' })).id;
  block = await demoBlock(app, session, 'shadow-patterns');
  // The step of four strokes in a time, whatever rung they stand on today.
  const dose = JSON.stringify({ kind: 'timed', rounds: 2, workS: 40, restS: 40 });
  await app.query(`update block set step_id = 'four-shots', dose = ? where id = ?`, [dose, block]);
  await app.query(`update block_player set step_id = 'four-shots' where block_id = ?`, [block]);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const script = <T>(text: string) => browser.driver.executeScript<T>(`return ${text}`);
const sentence = `document.querySelector('[data-sentence]')?.textContent ?? ''`;

test('composed: a word that is wrong is told with the right one, strokes are moved and taken out by key', async () => {
  await browser.driver.get(`${app.url}/drills`);
  await page.press('Shadow sequences');
  await page.sees('Stroke by stroke');
  await browser.driver.get(`${app.url}/drills/sequences?block=${block}&of=two-forehands`);
  await page.sees('Stroke by stroke');
  await page.type('Strokes, with commas', 'bh corner, fh pivott, fh wide');
  await page.sees('did you mean “pivot”?');
  await page.sees('Once the line can be read');
  await page.type('Strokes, with commas', 'bh corner, fh pivot loop, fh wide');
  await page.sees('3 strokes');
  await page.choose('Side', 'backhand');
  await page.choose('Place', 'middle');
  await page.press('Add stroke');
  await page.becomes(
    `document.querySelector('#sequence-line').value`,
    'bh corner, fh pivot loop, fh wide, bh middle',
  );
  await page.press('Earlier: stroke 4');
  await page.becomes(
    `document.querySelector('#sequence-line').value`,
    'bh corner, fh pivot loop, bh middle, fh wide',
  );
  await page.press('Undo the last change');
  await page.becomes(
    `document.querySelector('#sequence-line').value`,
    'bh corner, fh pivot loop, fh wide, bh middle',
  );
  // Other strokes are not called after those of the catalogue.
  await page.becomes(`document.querySelector('[aria-label="Kept sequences"] input').value`, '');
  await page.press('Fastest tempo:');
  await page.sees('the slowest of them');
  await page.keys(Key.ESCAPE);
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('too fast is refused with what can be played, and slowed with one press', async () => {
  await page.type('Tempo', '80');
  await page.sees('Too fast for');
  const [, fastest] = /\. (\d+) a minute can be played/.exec(await script<string>(sentence))!;
  expect(
    await script(
      `[...document.querySelectorAll('button')].find((one) => one.textContent.includes('Write into this block')).disabled`,
    ),
  ).toBe(true);
  await page.sees('Too fast to be called');
  await page.press('Slow it down');
  await page.sees(`the fastest is ${fastest}`);
  await page.press('Workout of 10 minutes');
  await page.sees(/\d+ rounds of \d+ s with \d+ s of rest/);
  await page.press('By itself');
  await page.press('Play it');
  await page.sees('Stop');
  await page.press('Stop');
});

test('kept, taken off and brought back; then written into the block', async () => {
  await page.type('Name', 'Round the corner');
  await page.press('Keep it');
  await page.sees('“Round the corner” is kept.');
  const row = `select line, removed_at_ms is null as kept from shadow_sequence where name = 'Round the corner'`;
  const line = 'bh corner, fh pivot loop, fh wide, bh middle';
  await app.comesToHold(row, [{ line, kept: 1 }]);
  await page.press('Remove Round the corner');
  await page.sees('was removed');
  await app.comesToHold(row, [{ line, kept: 0 }]);
  // The notice's own, not that of the line.
  await browser.driver.executeScript(
    `[...document.querySelectorAll('button')].find((one) => one.textContent.trim() === 'Undo').click()`,
  );
  await page.becomes(
    `document.querySelectorAll('[aria-label="Kept sequences"] [aria-label="Remove Round the corner"]').length`,
    1,
  );
  await app.comesToHold(row, [{ line, kept: 1 }]);
  // The same strokes as a promise for home, on the card in whole words.
  await page.press('Make it a vow');
  await page.sees('Strokes, in short words');
  await page.press('Make the vow');
  await page.sees(
    'Your strokes, over and over: backhand corner; forehand pivot (loop); forehand wide; backhand middle.',
  );
  const [kept] = await app.query(`select id from shadow_sequence where name = 'Round the corner'`);
  await browser.driver.get(`${app.url}/drills/sequences?block=${block}&of=${kept!.id as string}`);
  await page.sees('Stroke by stroke');
  await page.press('Write into this block');
  await page.sees('Written into Feet and counter');
  await browser.driver.get(`${app.url}/sessions/${session}/plan`);
  await page.press('Shadow patterns');
  await page.sees('“Round the corner”: bh corner, fh pivot loop, fh wide, bh middle');
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(`${app.url}/drills/sequences?block=${block}`);
  await page.sees('bh corner');
  expect(await script('document.documentElement.scrollWidth')).toBe(390);
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('run: each stroke is called as it is due, and a whole pass is one press', async () => {
  await setViewport(browser.driver, 1024, 768);
  await browser.driver.get(`${app.url}/sessions/${session}/run`);
  // It is planned for another day.
  await page.press('Run it today');
  await page.sees('Start block');
  await nextBlock(page);
  await nextBlock(page);
  await page.sees('Shadow patterns');
  await page.press('Start block');
  await page.becomes(`document.querySelector('[data-call]').dataset.call`, 'backhand corner');
  await page.becomes(`document.querySelector('[data-call]').dataset.call`, 'forehand pivot');
  await page.tap('Whole pass +4');
  await page.tap('Whole pass +4');
  await page.sees('2 whole');
  await page.press('Undo');
  await page.sees('1 whole');
  await page.sees('All safe on the server');
  const passes = await app.query(`select value from touch_event where block_id = ? and kind = 'touch'`, [
    block,
  ]);
  expect(passes).toEqual([{ value: 4 }, { value: 4 }]);
  expect(await browser.faults()).toEqual([]);
});
