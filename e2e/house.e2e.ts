import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';

/* What a house keeps of its own: places, kit, and drills that are changed after they were used. */
let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const places = `[...document.querySelectorAll('section h2')].map((title) => title.textContent)`;

test('a place is changed; one that is taken off comes back by undo', async () => {
  await browser.driver.get(`${app.url}/places`);
  await page.sees('Slipway yard');
  await page.press('Change Living room at home');
  await page.type('Ceiling, m', '1');
  await page.press('Save place');
  await page.sees('Ceiling must be from 1.5 to 50 m.');
  await page.type('Ceiling, m', '2.6');
  await page.press('Save place');
  await page.sees('2.6 m clear');
  const before = await browser.driver.executeScript<string[]>(`return ${places}`);
  await page.press('Remove Living room at home');
  await page.sees('Living room at home was removed.');
  await page.becomes(`${places}.includes('Living room at home')`, false);
  await page.press('Undo');
  await page.becomes(places, before);
});

test('what was taken off a list can be brought back much later', async () => {
  await page.press('Remove Living room at home');
  await page.sees('Living room at home was removed.');
  await browser.driver.navigate().refresh();
  await page.press('Removed: 1');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Bring back Living room at home');
  await page.becomes(`${places}.includes('Living room at home')`, true);
  // The same on every list, however long ago it was.
  const lists = [
    ['/squad', 'player', 'name'],
    ['/sessions', 'session', 'title'],
    ['/benches/feeder', 'feeder_setting', 'name'],
  ] as const;
  for (const [path, table, name] of lists) {
    const [row] = await app.query(`select id, ${name} as name from ${table} limit 1`);
    await app.query(`update ${table} set removed_at_ms = 5 where id = ?`, [row!.id as string]);
    await browser.driver.get(app.url + path);
    await page.press('Removed: 1');
    await page.press('Bring back');
    await page.sees(`${row!.name as string} is back on the list.`);
    expect(await app.query(`select id from ${table} where removed_at_ms is not null`)).toEqual([]);
  }
});

test('fewer markers: what fitted needs a stand-in now, and undo brings the count back', async () => {
  const fitOf = (id: string) => `document.querySelector('[data-drill="${id}"] [data-fit]').dataset.fit`;
  await browser.driver.get(`${app.url}/drills`);
  await page.becomes(fitOf('marker-touches'), 'fits');
  await browser.driver.get(`${app.url}/places`);
  await page.type('marker', `minus${Key.ENTER}`);
  await page.sees('marker must be a whole number, or left open.');
  await page.type('marker', `2${Key.ENTER}`);
  await page.sees('marker: 2.');
  await browser.driver.get(`${app.url}/drills`);
  await page.becomes(fitOf('marker-touches'), 'stand-in');
  await page.sees('rolled socks for marker');
  await browser.driver.get(`${app.url}/places`);
  await page.type('marker', `3${Key.ENTER}`);
  await page.sees('marker: 3.');
  await page.press('Undo');
  await page.sees('marker: 2.');
});

test('an own drill gets a step more, its ladder is turned round, and its dose is its own', async () => {
  await browser.driver.get(`${app.url}/drills/new?vary=rim-roll`);
  await page.type('Title', 'Rim roll on the pier');
  await page.press('Save drill');
  await page.sees('Rim roll on the pier is saved.');
  await page.press('Change');
  await page.sees('Change Rim roll on the pier');
  await page.press('Easier than step 1');
  await page.press('Add a step');
  await page.sees('Step 5');
  await page.press('Save drill');
  await page.sees('Step 5: Step title is empty: write a sentence.');
  const last = async (label: string, text: string) => {
    const fields = await browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('section[aria-label="Step 5"] label')].filter((one) => one.textContent === arguments[0]).map((one) => one.htmlFor)`,
      label,
    );
    const field = await page.find(`[id="${fields[0]}"]`);
    await field.clear();
    await field.sendKeys(text);
  };
  await last('Step title', 'With eyes shut');
  await last('Cue', 'Feel it roll.');
  await last('What changed', 'The eyes are closed for one round.');
  await last('Task', 'One round with your eyes shut, then look.');
  const small = await page.find('input[aria-label="Target, 4-6 years, step 5"]');
  await small.clear();
  await small.sendKeys('2');
  await page.press('Save drill');
  await page.sees('Rim roll on the pier is saved.');
  await page.becomes(
    `[...document.querySelectorAll('[aria-label="The ladder, easiest first"] button')].map((step) => step.textContent)`,
    [
      '1The other way round',
      '2One way round',
      '3Side to side on the bat',
      '4Round and back in turn',
      '5With eyes shut',
    ],
  );
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('a step that stands in a plan is not pulled from under it', async () => {
  await page.press('Add to session');
  await page.sees('is at the end of');
  await page.press('Change');
  await page.sees('Change Rim roll on the pier');
  await page.press('Take out step 1');
  await page.press('Save drill');
  await page.sees('Step “The other way round” is in a plan or has counts: keep it');
  await page.press('Leave');
  await page.press('Remove');
  await page.sees('Rim roll on the pier was removed.');
  // The plan still has it.
  const [{ id }] = (await app.query(`select session_id as id from block where drill_id like 'own-%'`)) as [
    { id: string },
  ];
  await browser.driver.get(`${app.url}/sessions/${id}/plan`);
  await page.sees('Add a drill');
  await page.becomes(
    `[...document.querySelectorAll('[data-block]')].some((piece) => piece.textContent.includes('Rim roll on the pier'))`,
    true,
  );
  // And it is offered no more.
  await page.type('Find a drill', 'pier');
  await page.sees('No drill has these words.');
});

test('an unknown drill says so and leads back; a catalogue drill cannot be changed, only varied', async () => {
  await browser.driver.get(`${app.url}/drills/nowhere`);
  await page.sees(/There is no|not here|Nothing/);
  await browser.driver.get(`${app.url}/drills/carry/edit`);
  await page.sees('Only your own drills can be changed.');
  await page.press('Vary this one');
  await page.becomes(`document.querySelector('input[name=title]').value`, 'Carry, our way');
});

test.each([
  ['/drills', 'Starting points'],
  ['/drills/palm-up-bounce', 'Look for'],
  ['/places', 'Rope hall'],
  ['/schools', 'Take-back'],
])('%s can be read on a phone', async (path, words) => {
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(app.url + path);
  await page.sees(words);
  // Not against the window: it grows with what sticks out of it.
  await page.becomes(`document.documentElement.scrollWidth`, 390);
  await setViewport(browser.driver, 1280, 800);
});
