import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { bookSession, finish, tap, type Booked } from '../testing/browser/session';

/* What was held is history: who came, what was counted, what was decided; put right only where it is logged. */
let app: App;
let browser: Browser;
let page: Page;
let booked: Booked;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  booked = await bookSession(app, page, ['Mika', 'Sol'], [['palm-up-bounce', 'row-20']]);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const go = (where: string) => browser.driver.get(`${app.url}${where}`);
const best = `document.querySelector('[data-best]').textContent`;
const decisions = () => app.query(`select verdict, target, reason, evidence from decision`);

test('who is absent gets no turn on court', async () => {
  await go('/');
  await page.press('Who is here?');
  await page.sees('Who is absent gets no turn');
  expect(await axeViolations(browser.driver)).toEqual([]);
  const sol = await page.find('[aria-label="Sol"] button:last-child');
  await sol.click();
  await page.becomes(`document.querySelector('[aria-label="Sol"] button:last-child').ariaPressed`, 'true');
  await page.press('All the others are here');
  await page.becomes(`document.querySelector('[aria-label="Mika"] button').ariaPressed`, 'true');
  await page.press('Done');
  await go(`/sessions/${booked.sessionId}/run`);
  await page.sees('Start block');
  await page.becomes(`document.querySelectorAll('[data-touch-of]').length`, 1);
});

test('a mark reached on two days is decided on, and the plan of what was held is locked', async () => {
  await page.press('Start block');
  await tap(page, 1, 9);
  await page.tap('Mika: Count a miss');
  await finish(page);
  await page.sees('Review: On court');
  await page.becomes(best, '9');
  await page.press('Accept');
  await page.sees('Decided');
  await go(`/sessions/${booked.sessionId}/plan`);
  await page.sees('Held: it stays as it was done.');
  await page.becomes(`document.querySelector('section[aria-label="Block"] select').disabled`, true);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('correct it in the review');
  await page.sees('Correct what was done');
});

test('a correction changes the step of the counts; the decision stays, with what it was made on; it can be taken back', async () => {
  const before = await decisions();
  expect(before).toHaveLength(1);
  expect(JSON.parse(before[0]!.evidence as string)).toMatchObject({ best: 9, results: [9] });
  await page.press('Correct what was done');
  await page.choose('Mika', 'Flick and settle');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Correct it');
  await page.sees('Decided on a best of 9 in a row (that day 9)');
  expect(await decisions()).toEqual(before);
  const step = async () =>
    (await app.query(`select distinct step_id as step from attempt`)).map((row) => row.step);
  expect(await step()).toEqual(['settle']);
  await page.press('Undo');
  await page.sees('The correction is taken back.');
  await page.becomes(`document.querySelector('[data-was]') === null`, true);
  expect(await step()).toEqual(['row-20']);
  expect(await decisions()).toEqual(before);
});

test('a day that was written down wrong is put right, and the results move with it', async () => {
  const [{ today }] = (await app.query(`select day as today from session where id = ?`, [
    booked.sessionId,
  ])) as [{ today: string }];
  const yesterday = new Date(Date.parse(`${today}T12:00:00Z`) - 86_400_000).toISOString().slice(0, 10);
  await page.press('Another day?');
  await browser.driver.executeScript(
    `const field = document.querySelector('input[type=date]');
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, arguments[0]);
     field.dispatchEvent(new Event('input', { bubbles: true }));`,
    yesterday,
  );
  await page.press('Correct the day');
  await page.sees('Corrected.');
  expect(await app.query(`select distinct day from attempt`)).toEqual([{ day: yesterday }]);
  expect(await app.query(`select day from session`)).toEqual([{ day: yesterday }]);
});

test('a session nobody ran asks what happened, when its day is over', async () => {
  await app.query(
    `insert into session (id, title, day, start_time, booked_min, created_at_ms)
     values ('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'Rained off', '2020-01-06', '16:30', 30, 0)`,
  );
  await go('/sessions');
  await page.sees('Rained off was not run.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('It was not held');
  await page.press('rain');
  await page.sees('not held: rain');
  await page.becomes(`document.body.textContent.includes('was not run.')`, false);
});

test('the day is the coach’s own: a browser far away says where it is', async () => {
  const zone = 'Pacific/Kiritimati';
  const chromium = browser.driver as unknown as {
    sendDevToolsCommand(name: string, params: object): Promise<void>;
  };
  await chromium.sendDevToolsCommand('Emulation.setTimezoneOverride', { timezoneId: zone });
  await go('/');
  const day = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'long',
    day: 'numeric',
    month: 'long',
  });
  await page.becomes(`document.querySelector('h1').textContent`, day.format(new Date()).replace(',', ''));
  expect(await browser.faults()).toEqual([]);
});
