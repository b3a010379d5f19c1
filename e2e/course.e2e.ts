import { plainBook } from '@/drills';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { bookSession, phase, tap, turn, turnTo, waiting, type Booked } from '../testing/browser/session';

/* A course: booked with a holiday left out, planned, and planned again after a bad session. */
let app: App;
let browser: Browser;
let page: Page;
let at: Booked;
let course: string;
const ladder = plainBook.drill('palm-up-bounce')!.steps;
const sessions = () =>
  app.query(
    `select s.id, s.day, s.state, c.rungs from course_session c join session s on s.id = c.session_id order by s.day`,
  );
const rungsOf = (row: Record<string, unknown>) => JSON.parse(row.rungs as string) as Record<string, string>;
const stepOf = (id: string | undefined) => ladder.findIndex((step) => step.id === id);

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  at = await bookSession(app, page, ['Mika', 'Robin'], [], 45);
  for (const playerId of at.playerIds)
    await app.query(
      `insert into ladder_place (player_id, drill_id, step_id, target, since_ms, why) values (?, 'palm-up-bounce', ?, 5, 0, 'Put here.')`,
      [playerId, ladder[2]!.id],
    );
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

test('four to twelve days with the holidays left out are booked and planned', async () => {
  await browser.driver.get(`${app.url}/sessions`);
  await page.press('Courses');
  await page.sees('Four to twelve sessions that lead somewhere');
  await page.press('Make a course');
  await page.sees('Everybody passes');
  await page.choose('Drill', 'Palm-up bounce');
  await page.choose('Everybody passes', `5. ${ladder[4]!.title}`);
  const [today] = await app.query(`select day from session where id = ?`, [at.sessionId]);
  const setDate = (at: number, day: string) =>
    browser.driver.executeScript(
      `const field = document.querySelectorAll('[role=dialog] input[type=date]')[arguments[0]];
       Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, arguments[1]);
       field.dispatchEvent(new Event('input', { bubbles: true }));`,
      at,
      day,
    );
  const later = (weeks: number) =>
    new Date(Date.parse(`${String(today!.day)}T12:00:00Z`) + weeks * 7 * 86_400_000)
      .toISOString()
      .slice(0, 10);
  await setDate(0, String(today!.day));
  await setDate(1, later(2));
  await page.press('Book and plan 3 sessions');
  await page.sees('Name is empty');
  await page.sees('3 chosen, and a course has 4 to 12 sessions');
  await setDate(1, later(5));
  // A holiday: the third of six.
  await browser.driver.executeScript(
    `document.querySelectorAll('[role=dialog] fieldset input[type=checkbox]')[2].click()`,
  );
  await page.type('Name', 'Twenty by spring');
  expect(await axeViolations(browser.driver)).toEqual([]);
  // The first day is that of the session it goes on from.
  await page.sees('On court already has');
  await page.press('Book and plan 5 sessions anyway');
  await page.sees('What was planned anew');
  const rows = await sessions();
  expect(rows.map((row) => row.day)).toEqual([0, 1, 3, 4, 5].map(later));
  course = (await browser.driver.getCurrentUrl()).split('/').at(-1)!;
  expect(await axeViolations(browser.driver)).toEqual([]);
  for (const width of [390, 1024, 1280]) {
    await setViewport(browser.driver, width, 800);
    await page.becomes('document.documentElement.scrollWidth <= innerWidth', true);
  }
  // The second opens with a retest of the first, and says what is asked for at home.
  await browser.driver.get(`${app.url}/sessions/${rows[1]!.id as string}/plan`);
  await page.sees('(retest)');
  await page.press('Notes 1');
  await page.sees('Home challenge: Palm-up bounce');
});

test('after a bad session the rest is planned again, and says so; the sheets follow', async () => {
  const before = await sessions();
  const first = before[0]!.id as string;
  await browser.driver.get(`${app.url}/sessions/${first}/run`);
  await page.becomes(`document.querySelector('main')?.inert === false`, true);
  await turnTo(page, 'n', 'Palm-up bounce');
  await page.press('Start block');
  await page.becomes(phase, 'work');
  await tap(page, 1, 2);
  await tap(page, 1, 3, 'miss');
  await tap(page, 2, 30);
  await page.becomes(waiting, '0');
  while (
    await browser.driver.executeScript<boolean>(
      `return [...document.querySelectorAll('button')].some((one) => one.textContent.includes('Next block'))`,
    )
  )
    await turn(page, 'n');
  await page.press('Finish session');
  await page.press('Finish');
  await page.sees('Review:');
  await page.press('Palm-up bounce');
  const [mika] = at.playerIds as [string];
  await browser.driver.executeScript(
    `document.querySelector('[role=radiogroup][aria-label="Decision for Mika"] input[value=back]').click()`,
  );
  await browser.driver.executeScript(
    `[...document.querySelector('[role=radiogroup][aria-label="Decision for Mika"]').closest('li').querySelectorAll('button')].find((one) => one.textContent === 'Accept').click()`,
  );
  await page.sees('Decided');
  await browser.driver.get(`${app.url}/courses/${course}`);
  await page.sees(/After .+: .*Mika takes more time: “.+” on .+ instead of “.+”\./);
  const after = await sessions();
  const later = (rows: typeof after) => rows.slice(1).map((row) => stepOf(rungsOf(row)[mika]));
  for (const [index, step] of later(after).entries()) expect(step).toBeLessThanOrEqual(later(before)[index]!);
  expect(later(after)[0]!).toBeLessThan(later(before)[0]!);
  // What is planned is what the course says: the block of the next session has Mika there.
  const [own] = await app.query(
    `select bp.step_id as step from block_player bp join block b on b.id = bp.block_id
     where b.session_id = ? and b.drill_id = 'palm-up-bounce' and b.retest = 0 and bp.player_id = ?`,
    [after[1]!.id as string, mika],
  );
  expect(own!.step).toBe(rungsOf(after[1]!)[mika]);
  expect(await axeViolations(browser.driver)).toEqual([]);

  await page.press('On paper');
  await page.becomes(`document.querySelectorAll('[data-course-sheet]').length`, 2);
  await page.becomes(`document.querySelectorAll('[data-course-wall] tbody tr').length`, 2);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await browser.driver.navigate().back();
  await page.press('Remove');
  await page.sees('is off the list. Its sessions stay');
  await page.press('Undo');
  await page.sees('Twenty by spring');
});
