import { By, Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { demoPlayer } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';
import { demoIds } from '../testing/browser/views';

/* What a coach does every day besides counting: fill the time, write things down, find them again, let a child join. */
let app: App;
let browser: Browser;
let page: Page;
let planned: string;
let held: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  ({ planned, held } = await demoIds(app));
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const open = (path: string) => browser.driver.get(app.url + path);
const saved = () => page.becomes(`document.querySelector('[role=status]').textContent`, 'Saved');
const minutes = `[...document.querySelectorAll('[data-listed]')].map((one) => one.lastElementChild.textContent)`;
const number = (text: string) => Number(text.replace('½', '.5').replace(/ min.*/, ''));

describe('filling the time', () => {
  test('a block takes a length, and the list, the tape and the record follow', async () => {
    await open(`/sessions/${planned}/plan`);
    await page.sees('Breathless');
    // The third block is a timed one: rounds are found.
    await (await browser.driver.findElements(By.css('[data-listed]')))[2]!.click();
    await page.sees('3. Marker touches');
    await page.type('Length, min', `8${Key.ENTER}`);
    await page.becomes(`Math.abs(parseFloat(${minutes}[2]) - 8) <= 0.5`, true);
    await saved();
    const [block] = await app.query(`select dose from block where session_id = ? and position = 2`, [
      planned,
    ]);
    expect((JSON.parse(block!.dose as string) as { rounds: number }).rounds).toBeGreaterThan(5);
    await page.type('Length, min', `90${Key.ENTER}`);
    await page.sees('Length must be from ½ to 60 minutes');
    await page.keys(Key.ESCAPE);
  });

  test('a plan that runs over is squeezed: what changes is shown first, and is undone in one step', async () => {
    const before = await browser.driver.executeScript<string[]>(`return ${minutes}`);
    await page.press('Fit to the booking');
    await page.sees('Squeeze all blocks alike');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.becomes(`document.querySelectorAll('[data-fit-change]').length > 0`, true);
    expect(await browser.driver.executeScript(`return ${minutes}`)).toEqual(before);
    await browser.driver.executeScript(
      `[...document.querySelectorAll('[role=dialog] button')].find((one) => one.textContent.startsWith('Change')).click()`,
    );
    await page.becomes(`document.body.textContent.includes('min over')`, false);
    const after = await browser.driver.executeScript<string[]>(`return ${minutes}`);
    expect(after.reduce((sum, one) => sum + number(one), 0)).toBeLessThan(
      before.reduce((sum, one) => sum + number(one), 0),
    );
    await page.press('Undo');
    await page.becomes(minutes, before);
    await saved();
  });

  test('children keep their own doses when the block’s is typed, until all are made the same', async () => {
    await (await browser.driver.findElements(By.css('[data-listed]')))[3]!.click();
    await page.sees('4. Clap and catch');
    const amounts = `[...document.querySelectorAll('input[aria-label^="Amount of"]')].map((one) => one.value)`;
    const before = await browser.driver.executeScript<string[]>(`return ${amounts}`);
    expect(new Set(before).size).toBeGreaterThan(1);
    await page.type('Target, in a row', '7');
    await page.sees('Each child keeps their own dose');
    await page.becomes(amounts, before);
    await page.press('7 for everybody');
    await page.becomes(
      amounts,
      before.map(() => '7'),
    );
    await page.press('Undo');
    await page.press('Undo');
    await page.becomes(amounts, before);
    await saved();
  });
});

test('a plan is kept as a pattern, and the next session starts from it', async () => {
  await page.press('More');
  await page.type('Keep as a pattern, named', 'Our usual');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Keep');
  await page.sees('is kept as a pattern');
  await open('/sessions');
  await page.sees('Our usual');
  await browser.driver.executeScript(
    `[...document.querySelectorAll('[data-pattern]')].find((one) => one.textContent.includes('Our usual')).querySelector('button').click()`,
  );
  await page.sees('First the booking');
  await page.type('Title', 'From the pattern');
  await browser.driver.executeScript(`document.querySelector('[role=dialog] input[type=checkbox]').click()`);
  await page.openPlan();
  await page.sees('Breathless');
  const [made] = await app.query(`select id from session where title = 'From the pattern'`);
  const drills = (id: unknown) =>
    app.query('select drill_id from block where session_id = ? order by position', [id as string]);
  expect(await drills(made!.id)).toEqual(await drills(planned));
});

test('a recap and notes are written in the review, and stand in the next plan and on the player’s page', async () => {
  await open(`/sessions/${held}/review`);
  await page.type('What was hard?', `turning${Key.ENTER}`);
  await page.sees('Kept.');
  await page.choose('About', 'Juno Saltgarth');
  await page.type('A note', `Eyes on the wall${Key.ENTER}`);
  await page.sees('Juno Saltgarth: Eyes on the wall');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await open(`/sessions/${planned}/plan`);
  await page.press('Notes');
  await page.sees('What was hard? turning');
  await page.sees('Eyes on the wall');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await open(`/players/${await demoPlayer(app, 'Juno')}`);
  await page.sees('Eyes on the wall');
  await page.press('Remove the note “Eyes on the wall”');
  await page.sees('Note removed.');
  await page.becomes(`document.querySelectorAll('[data-note]').length`, 0);
  await page.press('Undo');
  await page.becomes(`document.querySelectorAll('[data-note]').length`, 1);
});

describe('finding', () => {
  test('one box finds players, drills by another word for them, sessions and notes', async () => {
    await open('/');
    await page.press('Find');
    await page.sees('by any word');
    await (await page.find('input[type=search]')).sendKeys('footwork', Key.ENTER);
    await page.sees('found for “footwork”');
    await page.becomes(
      `document.querySelector('section[aria-label=Drills] li a span').textContent.length > 0`,
      true,
    );
    await page.becomes(
      `document.querySelector('section[aria-label=Drills] li').textContent.includes('feet')`,
      true,
    );
    expect(await axeViolations(browser.driver)).toEqual([]);
    await open('/find?q=eyes');
    await page.sees('Eyes on the wall');
    await open('/find?q=Rope');
    await page.becomes(`document.querySelectorAll('section[aria-label=Sessions] li').length > 0`, true);
    await open('/find?q=Nessa');
    await page.becomes(`document.querySelectorAll('section[aria-label=Players] li').length`, 1);
    await open('/find?q=%25');
    await page.sees('Nothing has “%” in it.');
  });

  test('lists are narrowed, and Back brings the narrowing back', async () => {
    await open('/sessions');
    await page.choose('Sport', 'table tennis');
    await page.becomes(`new URLSearchParams(location.search).get('sport')`, 'table tennis');
    await page.becomes(
      `[...document.querySelectorAll('section[aria-label=Past] li')].some((one) => one.textContent.includes('Wall and feet'))`,
      false,
    );
    await page.sees('Table and wall');
    await browser.driver.executeScript(`document.querySelector('section[aria-label=Past] li a').click()`);
    await page.sees('Review');
    await browser.driver.navigate().back();
    await page.becomes(`new URLSearchParams(location.search).get('sport')`, 'table tennis');
    await page.sees('Table and wall');
    await page.becomes(
      `document.querySelector('section[aria-label=Past]').textContent.includes('Hands and strokes')`,
      false,
    );
    await page.press('Show all');
    await page.becomes('location.search', '');

    await open('/squad?sport=table+tennis');
    await page.sees('3 of 9 players');
    await open('/drills?family=wall&words=rally');
    await page.becomes(`document.querySelector('input[type=search]').value`, 'rally');
    await page.becomes(`document.querySelectorAll('[data-drill]').length < 12`, true);
  });

  test('what was removed stands in one place and is brought back', async () => {
    await open(`/players/${await demoPlayer(app, 'Teo')}`);
    await page.press('Remove from the squad');
    await page.sees('was removed from the squad');
    await open('/removed');
    await page.sees('Teo Windlestraw');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('Bring back Teo Windlestraw');
    await page.sees('Nothing has been removed.');
  });
});

describe('who is here', () => {
  test('a guest joins a session that is running, in the middle of a block, and is counted', async () => {
    await open(`/sessions/${planned}/run`);
    await page.press('Start block');
    await page.press('More');
    await page.press('Who is here?');
    await page.press('Somebody else came');
    await page.sees('Of the squad');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('Let them join');
    await page.sees('Name is empty');
    await page.type('A guest', 'Guest Gale');
    await page.type('Born in', '2016');
    await page.press('Let them join');
    await page.sees('Guest Gale has joined');
    await page.press('Done');
    await page.press('Close');
    await page.becomes(
      `document.querySelector('[data-touch-of="7"]').textContent.includes('Guest Gale')`,
      true,
    );
    await page.keys('7');
    await page.becomes(`document.querySelector('[data-touch-of="7"]').getAttribute('aria-pressed')`, 'true');
    expect(
      await app.query(
        `select attendance from session_player sp join player p on p.id = sp.player_id where p.name = 'Guest Gale'`,
      ),
    ).toEqual([{ attendance: 'here' }]);
    expect(await browser.faults()).toEqual([]);
  });

  test('a question mark shows the keys, and Escape puts them away', async () => {
    await page.keys('?');
    await page.sees('count for numbers 1 to 12');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.keys(Key.ESCAPE);
    await page.becomes(`document.querySelectorAll('[role=dialog]').length`, 0);
  });
});

test('counts are put right from a list of all blocks and children', async () => {
  await open(`/sessions/${held}/review`);
  await page.press('Correct counts');
  await page.sees('Back to the review');
  expect(await axeViolations(browser.driver)).toEqual([]);
  const row = `[...document.querySelectorAll('section[aria-label="Clap and catch"] details')][0]`;
  await browser.driver.executeScript(`${row}.querySelector('summary').click()`);
  const best = `${row}.querySelector('summary').textContent`;
  await browser.driver.executeScript(
    `[...${row}.querySelectorAll('button')].find((one) => one.getAttribute('aria-label') === 'Correct attempt 1').click()`,
  );
  await page.sees('The first count stays in the log');
  await page.keys('9');
  await page.press('Keep');
  await page.becomes(`${best}.includes('best 9')`, true);
  await page.press('Back to the review');
  await page.sees('corrected');
});

test('a drill of the other game is said in the plan, with a mend', async () => {
  await open(`/sessions/${planned}/plan`);
  await page.sees('Breathless');
  await page.choose('Sport', 'both');
  await (await page.find('input[type=search]')).sendKeys('counter');
  const added = await browser.driver.executeScript<string>(
    `const button = [...document.querySelectorAll('[aria-label=Drills] button')].find((one) => one.textContent.includes('Forehand counter')); button?.click(); return button?.textContent ?? 'none';`,
  );
  expect(added).toContain('Forehand counter');
  await page.sees('This is a drill of table tennis');
  await page.press('Take the block out');
  await page.becomes(`document.querySelectorAll('[data-other-game]').length`, 0);
});

test('an own drill is written with four things, and can be planned', async () => {
  await open('/drills/new');
  await page.sees('Four things first');
  await page.becomes(`document.querySelector('#the-rest').hidden`, true);
  await page.type('Title', 'Pier catches');
  await page.press('Save drill');
  await page.sees('Task is empty');
  await page.type('Task', 'Catch the ball that comes back from the pier.');
  await page.type('Cue', 'Wait for it.');
  await page.choose('How it is counted', 'points: points');
  await page.press('Save drill');
  await page.sees('Pier catches is saved.');
  await page.sees('your own');
  expect(await axeViolations(browser.driver)).toEqual([]);
  // The rest is there when it is wanted, in rows and not in codes.
  await page.press('Change');
  await page.sees('Change Pier catches');
  await page.becomes(`document.querySelector('input[aria-label="Zone"]').value`, 'In the target');
  await page.press('Add a thing');
  await page.becomes(`document.querySelectorAll('input[aria-label="What"]').length`, 2);
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('what cannot be stays in its field with the reason, and Escape gives it up', async () => {
  await open('/benches/wall');
  await page.sees('hits a minute');
  const field = `document.getElementById([...document.querySelectorAll('label')].find((one) => one.textContent === 'Distance').htmlFor)`;
  const before = await browser.driver.executeScript<string>(`return ${field}.value`);
  await page.type('Distance', `-1${Key.TAB}`);
  await page.sees('Distance must be from');
  await page.becomes(`${field}.value`, '-1');
  await page.type('Distance', Key.ESCAPE);
  await page.becomes(`${field}.value`, before);
  await page.becomes(`document.body.textContent.includes('Distance must be from')`, false);
  // How hard the hit is, as the child feels it, with the speed behind.
  await page.becomes(
    `/gentle|firm|hard/.test(document.querySelector('main').textContent) && /\\d m\\/s/.test(document.querySelector('main').textContent)`,
    true,
  );
});
