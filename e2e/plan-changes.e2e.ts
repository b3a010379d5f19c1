import { plainBook } from '@/drills';
import { ageBandOf } from '../src/drills/base/age-band';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import {
  bookSession,
  count,
  finish,
  nextBlock,
  phase,
  rested,
  tap,
  turn,
  turnTo,
  waiting,
  type Booked,
} from '../testing/browser/session';

/* The plan changes while it is run: what was counted stays what it was, and nothing is lost or put elsewhere. */
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
      ['toss-and-catch', 'hand-to-hand'],
      ['marker-touches', 'called'],
    ],
  );
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

/** Changes the plan as another device would. */
const replan = (sql: string, args: string[]) =>
  app
    .query(sql, args)
    .then(() => app.query('update session set revision = revision + 1 where id = ?', [at.sessionId]));
const setStep = (block: number, drillId: string, stepId: string) =>
  replan('update block set step_id = ?, dose = ? where id = ?', [
    stepId,
    JSON.stringify(plainBook.step(drillId, stepId)!.doses[ageBandOf(10)]),
    at.blockIds[block]!,
  ]);
const touches = (blockId: string) =>
  app.query(`select player_id, kind, text from touch_event where block_id = ? order by id`, [blockId]);
const attempts = async (blockId: string) => {
  await fetch(`${app.url.replace(/hall\.test/, '127.0.0.1')}/sessions/${at.sessionId}/review`);
  return app.query('select step_id, result from attempt where block_id = ? order by player_id, number', [
    blockId,
  ]);
};

test('a running screen shows a plan that changed, and says so; a begun block stays as it was begun', async () => {
  await browser.driver.get(run());
  await page.sees('Palm-up bounce: Twenty in a row');
  await setStep(0, 'palm-up-bounce', 'row-50');
  await page.sees('The plan was changed elsewhere');
  await page.sees('Palm-up bounce: Fifty');
  await page.press('Seen');
  await page.press('Start block');
  await page.becomes(phase, 'work');
  await tap(page, 1, 6);
  await page.becomes(waiting, '0');
  await setStep(0, 'palm-up-bounce', 'row-20');
  await page.sees('The plan was changed elsewhere');
  await page.sees('Palm-up bounce: Fifty');
  await tap(page, 1, 1);
  await page.becomes(count(0), '7');
  await page.becomes(waiting, '0');
  expect(await attempts(at.blockIds[0]!)).toEqual([{ step_id: 'row-50', result: 7 }]);
});

test('a plan that cannot be fetched just now never takes the screen away', async () => {
  // Everything but counts fails on its way, as when the server goes in the very moment.
  await browser.driver.executeScript(
    `window.failed = 0;
     const fetchAsBefore = window.fetch;
     window.fetch = (to, ...how) => {
       if (window.failed === null || String(to?.url ?? to).includes('/touches')) return fetchAsBefore(to, ...how);
       window.failed += 1;
       return Promise.reject(new TypeError('The network is gone.'));
     }`,
  );
  await replan('update block set position = position where id = ?', [at.blockIds[3]!]);
  await page.becomes('window.failed > 0', true);
  await tap(page, 1, 1);
  await page.becomes(count(0), '8');
  await browser.driver.executeScript('window.failed = null');
  await page.sees('The plan was changed elsewhere');
  await page.press('Seen');
  await page.becomes(count(0), '8');
  await page.becomes('window.failed', null);
});

test('a block begun without the server is what it was begun as, whatever the plan says by then', async () => {
  await nextBlock(page);
  await page.sees('Clap and catch');
  await app.kill();
  await tap(page, 2, 4);
  await page.sees('Server out of reach');
  await setStep(1, 'clap-and-catch', 'three-claps');
  await app.start();
  await page.becomes(waiting, '0');
  await page.sees('All safe on the server');
  expect(await attempts(at.blockIds[1]!)).toEqual([{ step_id: 'five-claps', result: 4 }]);
});

test('a block that was taken out meanwhile: its marks are held back, and the coach says what becomes of them', async () => {
  await nextBlock(page);
  await page.sees('Toss and catch');
  await app.kill();
  await tap(page, 1, 5);
  await tap(page, 1, 1, 'miss');
  await tap(page, 2, 3);
  await page.sees('Server out of reach');
  await replan('delete from block where id = ?', [at.blockIds[2]!]);
  await app.start();
  await page.sees('9 marks are held back on this device');
  await page.sees('9 held back here');
  expect(await axeViolations(browser.driver)).toEqual([]);

  // They are remembered, shown at the desk as well, and not sent again and again.
  await browser.driver.get(`${app.url}/squad`);
  await page.sees('9 marks from court are held back');
  await page.press('Look and decide');
  await page.sees('Mika, Toss and catch');
  await page.sees('Their block or player is not in the plan any more.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Open On court on court');
  await page.sees('9 marks are held back on this device');

  // Finish asks first.
  await turnTo(page, 'n', 'Finish session');
  await page.press('Finish session');
  await page.sees('9 marks are held back on this device and will not be in the review');
  await page.press('Look at what is held back');
  await page.sees('5 touches, 1 miss');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Count it there');
  await page.becomes(`document.querySelectorAll('[data-held-group]').length`, 1);
  await page.press('Keep as a note');
  await page.sees('Nothing is held back any more.');
  await page.press('Close');
  await page.becomes(waiting, '0');
  await page.sees('All safe on the server');
  const moved = await touches(at.blockIds[0]!);
  expect(moved.filter((row) => row.kind === 'touch' && row.player_id === at.playerIds[0])).toHaveLength(
    8 + 5,
  );
  expect(await attempts(at.blockIds[0]!)).toEqual([
    { step_id: 'row-50', result: 8 },
    { step_id: 'row-50', result: 5 },
  ]);
  const notes = (await app.query(`select text from touch_event where kind = 'note'`)).map((row) => row.text);
  expect(notes).toEqual(['Counted elsewhere: 3 touches (Toss and catch: From hand to hand)']);
  await browser.driver.navigate().refresh();
  await page.sees('All safe on the server');
  await page.becomes(`document.body.innerText.includes('held back')`, false);
});

describe('keys and fingers', () => {
  const digits = (n: number) => `document.querySelector('[data-touch-of="${n}"]')`;

  test('a child’s number is theirs for the whole session', async () => {
    await browser.driver.get(run());
    await page.sees('Robin');
    await replan(
      'update block_player set sits_out = 1, step_id = (select step_id from block b where b.id = block_id) where block_id = ? and player_id = ?',
      [at.blockIds[3]!, at.playerIds[0]!],
    );
    await browser.driver.get(run());
    await turnTo(page, 'n', 'Marker touches');
    // Mika sits out; Robin is still number two.
    await page.becomes(`document.querySelectorAll('[data-touch-of]').length`, 1);
    await page.becomes(`${digits(2)} !== null`, true);
    await page.keys('1');
    await page.sees('Number 1 is not in this block.');
  });

  test('a tap before the start is counted, or refused in sight', async () => {
    await tap(page, 2, 1);
    await page.sees('Not counted: start the block first.');
    await page.becomes(count(0), '0');
  });

  test('space starts and pauses, whatever was touched last', async () => {
    await page.becomes(`${digits(2)} !== null`, true);
    await browser.driver.executeScript(`${digits(2)}.focus()`);
    await page.keys(' ');
    await page.becomes(phase, 'work');
    await page.becomes(count(0), '0');
    await browser.driver.executeScript(`document.querySelector('footer button:nth-of-type(2)').focus()`);
    await page.keys(' ');
    await page.sees('Paused');
  });

  test('a double press turns one block, and starts once', async () => {
    const heading = `document.querySelector('h1 span').textContent.trim()`;
    await browser.driver.get(run());
    await turn(page, 'p', 2);
    await rested(page);
    const [from] = (await browser.driver.executeScript<string>(`return ${heading}`)).split('/').map(Number);
    await browser.driver.executeScript(
      `const next = [...document.querySelectorAll('footer button')].find((one) => one.textContent.includes('Next block')); next.click(); next.click();`,
    );
    await page.becomes(heading, `${from! + 1}/3`);
    await rested(page);
    await page.keys('n', 'n');
    await page.becomes(heading, `${from! + 2}/3`);
  });

  test('the first step and the top step say so', async () => {
    await browser.driver.get(run());
    await turnTo(page, 'p', 'Palm-up bounce');
    await page.press('Adjust');
    await page.press('Robin');
    // Where a press leads is on the button, and changes with it: of the first step it leads nowhere.
    const leads = `[...document.querySelectorAll('button')].find((one) => one.innerText.includes('One step back')).innerText`;
    const bottom = /this is the first step|none counted the same way/;
    for (let n = 0; n < 12; n++) {
      const to = await browser.driver.executeScript<string>(`return ${leads}`);
      if (bottom.test(to)) break;
      await page.press('One step back');
      await page.becomes(`${leads} !== ${JSON.stringify(to)}`, true);
    }
    await page.sees(bottom);
    await page.press('Close');
  });

  test('finishing asks, once', async () => {
    await turnTo(page, 'n', 'Finish session');
    await page.press('Finish session');
    await page.sees('Finish the session?');
    await page.press('Go on counting');
    await finish(page);
    await page.sees('Review: On court');
  });
});
