import { monotonicFactory } from 'ulid';
import { plainBook } from '@/drills';
import { ageBandOf } from '../src/drills/base/age-band';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { finish, nextBlock } from '../testing/browser/session';

/* A whole session of every measure a step of the catalogue can have, in the demo's own book: recorded on court, read in the review. */
let app: App;
let browser: Browser;
let page: Page;
let sessionId: string;

/** One step of every measure and every kind of dose. */
const blocks: readonly (readonly [drillId: string, stepId: string])[] = [
  ['shoulder-and-side', 'standing-series'],
  ['growing-hops', 'two-lines'],
  ['balls-of-feet-balance', 'flat-floor'],
  ['palm-up-bounce', 'row-20'],
  ['marker-touches', 'narrow'],
  ['turn-over-bounce', 'same-height'],
  ['soft-catch', 'head-high'],
  ['triangle-run', 'timed-lap'],
  ['figure-of-eight', 'slow-eight'],
  ['ring-target', 'underarm-throw'],
  ['sock-taps-in-one-go', 'total-taps'],
  ['touch-routine', 'four-bounces'],
  ['say-where-it-lands', 'say-and-play'],
  ['most-laps', 'free-hands'],
];

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  await browser.driver.get(`${app.url}/squad`);
  await page.press('Add a player');
  await page.type('Name', 'Mika');
  await page.type('Birth year', '2016');
  await page.press('Add player');
  await page.sees('Mika');
  await browser.driver.get(`${app.url}/sessions`);
  await page.press('Plan a session');
  await page.type('Title', 'One of each');
  await page.tick('Mika');
  await page.openPlan();
  await page.sees('The tape is empty.');
  sessionId = (await app.query(`select id from session where title = 'One of each'`))[0]!.id as string;
  const playerId = (await app.query(`select id from player where name = 'Mika'`))[0]!.id as string;
  const newId = monotonicFactory();
  for (const [position, [drillId, stepId]] of blocks.entries()) {
    const id = newId();
    const dose = JSON.stringify(plainBook.step(drillId, stepId)!.doses[ageBandOf(10)]);
    await app.query(
      `insert into block (id, session_id, position, drill_id, step_id, dose) values (?, ?, ?, ?, ?, ?)`,
      [id, sessionId, position, drillId, stepId, dose],
    );
    await app.query(`insert into block_player (block_id, player_id) values (?, ?)`, [id, playerId]);
  }
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const count = `document.querySelector('[data-count]').textContent`;
const today = `document.querySelector('[data-best]').textContent`;
const phase = `document.querySelector('[data-phase]').dataset.phase`;

/** Presses the player's zone, as a finger does. */
async function tap(times: number, zone = 'touch'): Promise<void> {
  await browser.driver.executeScript(
    `for (let i = 0; i < ${times}; i++) document.querySelector('[data-${zone}-of="1"]').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }))`,
  );
}

async function work(title: string): Promise<void> {
  await page.sees(title);
  await page.press('Start block');
  await page.becomes(phase, 'work');
}

test('the plan takes all of them', async () => {
  await browser.driver.get(`${app.url}/sessions/${sessionId}/plan`);
  await page.becomes(`document.querySelectorAll('[data-block]').length`, blocks.length);
  await page.press('Run');
  await page.sees('Start block');
});

test('a routine is run by the clock: it is marked as done, taken back and marked again', async () => {
  await work('Standing series');
  const done = `document.querySelector('[data-touch-of="1"]').ariaPressed`;
  for (const now of ['true', 'false', 'true']) {
    await tap(1);
    await page.becomes(done, now);
  }
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('a growing count goes round by round: 1 on both lines, then 2, then 3', async () => {
  await nextBlock(page);
  await work('Over two lines');
  await page.sees('1 on every line · Round 1 of 6');
  await tap(2);
  await page.sees('2 on every line · Round 2 of 6');
  await tap(20);
  // 2 + 4 + 6 + 8 are 20, and two of the fifth round.
  await page.becomes(count, '22');
  await page.sees('5 on every line · Round 5 of 6');
  await page.becomes(today, '22');
});

test('a hold, a row and a timed count', async () => {
  await nextBlock(page);
  await work('On the flat floor');
  await tap(1);
  await page.becomes(count, '15');
  await nextBlock(page);
  await work('Twenty in a row');
  await tap(4);
  await tap(1, 'miss');
  await tap(2);
  await page.becomes(count, '2');
  await page.becomes(today, '4');
  // The flash of a miss is gone; the figure stays.
  await page.becomes(`document.querySelector('[data-misses]').textContent`, '1 so far');
  await nextBlock(page);
  await work('Narrow markers');
  await tap(3);
  await page.becomes(count, '3');
});

test('turned too soon: one press brings the block back, running on; finish is in reach, and says what is undone', async () => {
  await nextBlock(page);
  await page.sees('Start block');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Back to ');
  await page.sees('Narrow markers');
  await page.becomes(phase, 'work');
  await page.becomes(count, '3');
  await page.sees('Pause');
  await page.becomes(`document.querySelector('[data-waiting]').dataset.waiting`, '0');
  const [end] = await app.query(
    `select e.id from touch_event e join block b on b.id = e.block_id where e.kind = 'end' and b.drill_id = 'marker-touches' and b.session_id = ?`,
    [sessionId],
  );
  expect(await app.query(`select kind from touch_event where ref = ?`, [String(end!.id)])).toEqual([
    { kind: 'undo' },
  ]);
  await page.keys('t');
  await page.press('Finish session');
  await page.sees(/Not done to the end: .*\./);
  await page.sees(/Not begun: .*\./);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Go on counting');
});

test('evenness: bounces are counted, and their spread is worked out from the time between them', async () => {
  await nextBlock(page);
  await work('All the same height');
  await page.becomes(today, '–');
  await browser.driver.executeAsyncScript(
    `const done = arguments[0];
     const zone = document.querySelector('[data-touch-of="1"]');
     const from = performance.now();
     let taps = 0;
     const beat = setInterval(() => {
       const press = new PointerEvent('pointerdown', { bubbles: true, button: 0 });
       // The beat is even whenever a busy machine gets to it: a press has the moment of the finger.
       Object.defineProperty(press, 'timeStamp', { value: from + 300 * taps });
       zone.dispatchEvent(press);
       if (++taps === 6) { clearInterval(beat); done(); }
     }, 300);`,
  );
  await page.becomes(count, '6');
  await page.becomes(today, '0');
});

test('a grade: ten catches judged by ear, and the sum of their marks', async () => {
  await nextBlock(page);
  await work('Head high');
  expect(await axeViolations(browser.driver)).toEqual([]);
  const told = (answer: string) =>
    `[...document.querySelectorAll('[aria-label="Mika: Told by"] button')].find((one) => one.textContent === '${answer}')`;
  // What is noted beside a mark waits for one.
  await page.becomes(`${told('ear')}.disabled`, true);
  for (const [mark, answer] of [
    ['2 Silent', 'ear'],
    ['1 A buzz', 'feel'],
    ['2 Silent', 'ear'],
    ['0 Bounced', null],
  ] as const) {
    await page.tap(`Mika: ${mark}`);
    await page.becomes(`${told('ear')}.ariaPressed`, 'false');
    if (!answer) continue;
    await browser.driver.executeScript(`${told(answer)}.click()`);
    await page.becomes(`${told(answer)}.ariaPressed`, 'true');
  }
  await page.becomes(count, '5');
  await page.sees('4 graded');
});

test('a lap: one press at its end gives its seconds', async () => {
  await nextBlock(page);
  await work('One lap against the clock');
  await tap(1);
  // One that nobody can run is no best until it is confirmed.
  await page.becomes(`Number(${count}) > 0 && Number(${count}) < 3`, true);
  await page.becomes(today, '–');
  const fromMs = await browser.driver.executeScript<number>('return performance.now()');
  await page.becomes(`performance.now() - ${fromMs} > 5000`, true);
  await tap(1);
  await page.becomes(`Number(${count}) >= 5 && Number(${count}) < 30`, true);
  await page.becomes(`${count} === ${today}`, true);
  await page.press('Broken off');
});

test('laps in a time box, and points', async () => {
  await nextBlock(page);
  await work('Slow eight');
  // Halves of an eight.
  await tap(5);
  await page.becomes(count, '2½');
  await nextBlock(page);
  await page.sees('Underarm throw');
  for (const zone of ['10 Inner ring', '1 Outer ring']) await page.tap(`Mika: ${zone}`);
  await page.becomes(count, '11');
});

test('routines: all touches together, and the weakest part', async () => {
  await nextBlock(page);
  await work('All taps together');
  await tap(6);
  await page.becomes(count, '6');
  await page.becomes(today, '6');
  await nextBlock(page);
  await work('Four bounces, by the weakest');
  await tap(4);
  await page.becomes(count, '4');
  // Three of the four parts are still to come.
  await page.sees('weakest part now 0');
  await page.becomes(today, '0');
});

test('a prediction is graded, and being ready before the bounce stands beside it', async () => {
  await nextBlock(page);
  await work('Say it and play it');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.tap('Mika: 2 Said right and played in');
  await page.press('yes');
  await page.tap('Mika: 1 One of the two');
  await page.press('no');
  await page.becomes(count, '3');
  await nextBlock(page);
  await work('Free hands');
  // Four markers are a lap.
  await tap(6);
  await page.becomes(count, '1½');
  await page.becomes(today, '1½');
  await finish(page);
  await page.sees('Review: One of each');
});

test('the review has a result for each, in its own unit', async () => {
  const best = async () => (await page.find('[data-best]')).getText();
  const read: Record<string, string> = {};
  await page.press(plainBook.drill('shoulder-and-side')!.title);
  await page.sees('Done together, by the clock: Mika.');
  for (const [drillId] of blocks.slice(1)) {
    const { title } = plainBook.drill(drillId)!;
    await page.press(title);
    await page.becomes(`document.querySelector('[data-review-block] h2').textContent`, title);
    read[drillId] = `${await best()} ${await page.driver.executeScript<string>(
      `return document.querySelector('[data-best]').closest('p').querySelector('.text-sm').textContent.trim()`,
    )}`;
  }
  expect(read).toMatchObject({
    'growing-hops': '22 reps',
    'balls-of-feet-balance': '15 s held',
    'palm-up-bounce': '4 in a row',
    'marker-touches': '3 in the time',
    'soft-catch': '5 quality points',
    'figure-of-eight': '2½ laps',
    'ring-target': '11 points',
    'sock-taps-in-one-go': '6 in the time',
    'touch-routine': '0 in the weakest part',
    'say-where-it-lands': '3 quality points',
    'most-laps': '1½ laps',
  });
  await page.press(plainBook.drill('soft-catch')!.title);
  await page.sees('Told by: ear 2, feel 1');
  await page.press(plainBook.drill('say-where-it-lands')!.title);
  await page.sees('Ready before the bounce: yes 1, no 1');
  expect(read['turn-over-bounce']).toMatch(/^[\d.]+ cm spread$/);
  expect(read['triangle-run']).toMatch(/^[\d.]+ s$/);
  expect(await browser.faults()).toEqual([]);
});
