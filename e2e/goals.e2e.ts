import { By, Key } from 'selenium-webdriver';
import { doseInWords } from '@/core/dose/dose';
import { plainBook } from '@/drills';
import { ageBandOf } from '../src/drills/base/age-band';
import { goalsOf } from '../src/session/base/goals';
import { openApp, type App } from '../testing/browser/app';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { finish, phase, tap, waiting } from '../testing/browser/session';

/* A five-year-old and a fourteen-year-old in one block: the same numbers on every screen, and each passes their own mark. */
let app: App;
let browser: Browser;
let page: Page;
let sessionId = '';

const drillId = 'palm-up-bounce';
const step = plainBook.step(drillId, 'row-20')!;
const ages = { Pim: 5, Tilda: 14 } as const;
type Name = keyof typeof ages;
const names = Object.keys(ages) as Name[];
const goals = (name: Name) => goalsOf({ step, dose: step.doses[ageBandOf(ages[name])] }, ages[name]);
const row = (name: Name, words: string) =>
  `[...document.querySelectorAll('tr')].some((row) => row.textContent.includes('${name}') && row.textContent.includes('${words}'))`;
const tile = (name: Name, words: string) =>
  `[...document.querySelectorAll('[data-touch-of]')].some((tile) => tile.textContent.includes('${name}') && tile.textContent.includes('${words}'))`;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  for (const name of names) {
    await browser.driver.get(`${app.url}/squad`);
    await page.press('Add a player');
    await page.type('Name', name);
    await page.type('Birth year', String(new Date().getFullYear() - ages[name]));
    await page.press('Add player');
    await page.sees(name);
  }
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

test('the drill page says what each is asked for, and what passes', async () => {
  await browser.driver.get(`${app.url}/drills/${drillId}`);
  for (const name of names) {
    await page.choose('Worked out for', name);
    await page.press(step.title);
    const { aim, mark, dose } = goals(name);
    if (dose.kind !== 'row') throw new Error(dose.kind);
    await page.sees(doseInWords(dose));
    await page.sees(`${mark.result} in a row`);
    await page.sees(`on ${mark.days} days, aim today ${aim}`);
    await page.press(`Put ${name} here`);
    await page.sees(`${name} stands here.`);
  }
  // They are asked for different things, or this test would see nothing.
  expect(goals('Pim').aim).toBeLessThan(goals('Tilda').aim);
});

test('the plan asks each for the same', async () => {
  await browser.driver.get(`${app.url}/sessions`);
  await page.press('Plan a session');
  await page.type('Title', 'Both');
  for (const name of names) await page.tick(name);
  await page.openPlan();
  await page.press('Add Palm-up bounce');
  for (const name of names) await page.becomes(row(name, `aims at ${goals(name).aim}`), true);
  await page.becomes(`document.body.textContent.includes('too short to pass')`, false);
  sessionId = (await browser.driver.getCurrentUrl()).match(/sessions\/(\w+)/)![1]!;
});

test('one child’s amount is theirs alone: a dose too short to pass says so, in the plan and on court', async () => {
  const field = await page.find('input[aria-label="Amount of Tilda"]');
  await browser.driver.executeScript('arguments[0].select()', field);
  await field.sendKeys('4', Key.ENTER);
  await page.becomes(
    row('Tilda', `too short to pass today: the mark is ${goals('Tilda').mark.result}`),
    true,
  );
  await page.becomes(row('Pim', `aims at ${goals('Pim').aim}`), true);
  await page.becomes(row('Pim', 'too short'), false);
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
  await browser.driver.get(`${app.url}/sessions/${sessionId}/run`);
  await page.becomes(tile('Pim', `aim ${goals('Pim').aim}`), true);
  await page.becomes(tile('Pim', 'too short'), false);
  await page.becomes(tile('Tilda', 'aim 4too short to pass'), true);
});

test('court, review and the player’s page: the same aim and mark, and no step up on a dose that is too short', async () => {
  await page.press('Start block');
  await page.becomes(phase, 'work');
  const reached = goals('Pim').mark.result;
  await tap(page, 1, reached);
  await tap(page, 2, 4);
  await page.becomes(tile('Pim', `aim ${goals('Pim').aim} ✓`), true);
  await page.press('More');
  await page.press('Numbers');
  await page.press(`Aim ${goals('Pim').aim}`);
  await page.sees('A row is kept up until it is there: the aim is the row of the dose.');
  await page.sees(new RegExp(`Mark to pass\\s+${goals('Pim').mark.result} in a row`));
  while ((await browser.driver.findElements(By.css('[role=dialog]'))).length > 0) await page.keys(Key.ESCAPE);
  await page.becomes(waiting, '0');
  await finish(page);
  await page.sees('Both');
  for (const name of names) await page.sees(`mark ${goals(name).mark.result} on 2 days`);
  await page.sees('Too short to pass today: this dose gives 4 at most');
  const players = await app.query('select id, name from player');
  for (const { id, name } of players) {
    await browser.driver.get(`${app.url}/players/${String(id)}`);
    await page.sees(`needs ${goals(name as Name).mark.result}`);
  }
});

test('on one step each passes their own mark, and both move up', async () => {
  const first = plainBook.step(drillId, 'settle')!;
  const markOf = (name: Name) =>
    goalsOf({ step: first, dose: first.doses[ageBandOf(ages[name])] }, ages[name]).mark;
  expect([markOf('Pim').result, markOf('Tilda').result]).toEqual([3, 8]);
  for (const name of names) {
    await browser.driver.get(`${app.url}/drills/${drillId}`);
    await page.choose('Worked out for', name);
    await page.press(first.title);
    await page.press(`Put ${name} here`);
    await page.sees(`${name} stands here.`);
  }
  await browser.driver.get(`${app.url}/sessions`);
  await page.press('Plan a session');
  await page.type('Title', 'Up');
  for (const name of names) await page.tick(name);
  await page.openPlan();
  await page.press('Add Palm-up bounce');
  await page.becomes(row('Tilda', 'aims at 8'), true);
  await page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
  const id = (await browser.driver.getCurrentUrl()).match(/sessions\/(\w+)/)![1]!;
  await browser.driver.get(`${app.url}/sessions/${id}/run`);
  await page.press('Start block');
  await page.becomes(phase, 'work');
  for (const [index, name] of names.entries()) await tap(page, index + 1, markOf(name).result);
  await page.becomes(tile('Tilda', 'aim 8 ✓'), true);
  await page.becomes(waiting, '0');
  await finish(page);
  await page.press('Accept 2 proposals');
  await page.sees('All decided');
  for (const row of await app.query('select id from player')) {
    await browser.driver.get(`${app.url}/players/${String(row.id)}`);
    await page.sees('Bounce for 20 seconds');
  }
});
