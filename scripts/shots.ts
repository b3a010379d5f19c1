import { catalogue } from '../src/drills';
import { mkdirSync, writeFileSync } from 'node:fs';
import { openApp } from '../testing/browser/app';
import { openBrowser, setViewport } from '../testing/browser/browser';
import { giveClip } from '../testing/browser/clip';
import { Page } from '../testing/browser/page';
import { nextBlock } from '../testing/browser/session';

/** Takes a picture of every main view from the demo data, into docs/screenshots. */
const folder = 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
const { driver } = browser;
const page = new Page(driver);
const id = async (sql: string) => (await app.query(sql))[0]!.id as string;
const sessions = await app.query(`select id from session where state = 'planned' order by day, start_time`);
const [tennis, tableTennis] = sessions.map((row) => row.id as string);
const held = await id(
  `select id from session where state = 'finished' and title = 'Hands and strokes' order by day desc limit 1`,
);
const nessa = await id(`select id from player where name like 'Nessa%'`);

async function shot(name: string): Promise<void> {
  // Fonts in place, and nothing still moving.
  await driver.executeAsyncScript(
    `document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]())))`,
  );
  writeFileSync(`${folder}/${name}.png`, await driver.takeScreenshot(), 'base64');
  console.log(`${folder}/${name}.png`);
}
async function shown(name: string, words: string | RegExp): Promise<void> {
  await page.sees(words);
  await shot(name);
}
async function view(name: string, path: string, words: string | RegExp): Promise<void> {
  await driver.get(app.url + path);
  await shown(name, words);
}

await view('today', '/', 'Coming up');
await view('player', `/players/${nessa}?drill=racket-wall-rally`, 'attempts in twelve weeks');
await view('progress', `/players/${nessa}/progress?drill=clap-and-catch`, 'What is next');
const vow = await id(
  `select v.id from vow v join player p on p.id = v.player_id where p.name like 'Corin%' order by v.until_day desc limit 1`,
);
await driver.get(`${app.url}/vows/${vow}/card`);
await page.press('Put a link on it');
await page.sees('It is shown here once');
const link = await driver.executeScript<string>(`return document.querySelector('[data-link] a').href`);
await setViewport(driver, 390, 844);
await driver.get(link);
await page.sees('Everything is with your coach.');
for (let i = 0; i < 4; i++) await page.press('one more touch');
await page.becomes(`document.querySelector('[data-waiting]').dataset.waiting`, '0');
await shot('vow-phone');
await setViewport(driver, 1280, 800);
await view('drills', '/drills', 'Starting points');
await page.choose('Place', 'Slipway yard');
await page.choose('Family', 'wall');
await page.sees(new RegExp(`\\d of ${catalogue.length} drills`));
await shot('drills');
await view('drill', '/drills/racket-wall-rally', 'Look for');
await view('sequence', '/drills/sequences?of=corner-middle-corner-wide', 'Stroke by stroke');
const yard = await id(`select id from place where name like 'Slipway%'`);
const bench = (name: string) => `/benches/${name}?player=${nessa}&place=${yard}`;
await driver.get(app.url + bench('wall'));
await page.sees('give or take');
await page.press('Keep beside');
await page.setValue('Distance', '4');
await page.setValue('Mark on the wall', '1.8');
await shown('bench-wall', 'give or take');
await view('paper', `/sessions/${tennis}/paper`, 'To ask at the end');
await driver.get(`${app.url}/sessions/${tennis}/set-out`);
await page.sees('Left end of the wall');
await page.press('Marker touches');
await shown('set-out', 'From the left');
await view('plan', `/sessions/${tableTennis}/plan`, 'Add a drill');
await (await page.find('[data-block]:nth-of-type(4)')).click();
await shot('plan');
await driver.get(`${app.url}/sessions/${tennis}/plan`);
await page.press('Build');
await page.becomes(
  `[...document.querySelectorAll('[data-proposal]')].map((one) => one.dataset.proposal).join()`,
  'proven,proven',
  120_000,
);
await shot('build');

// Courtside: to the palm-up bounce, and a few touches for everybody.
await driver.get(`${app.url}/sessions/${tennis}/run`);
await page.sees('Start block');
while (!(await page.text()).includes('Palm-up bounce')) await nextBlock(page);
await page.press('Start block');
await page.becomes(`document.querySelector('[data-phase]').dataset.phase`, 'work');
const press = (digit: number, times: number, zone = 'touch') =>
  driver.executeScript(
    `for (let i = 0; i < ${times}; i++) document.querySelector('[data-${zone}-of="${digit}"]').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }))`,
  );
for (const [digit, times] of [
  [1, 6],
  [2, 11],
  [3, 14],
  [4, 12],
  [5, 9],
  [6, 17],
] as const)
  await press(digit, times);
await press(1, 1, 'miss');
await press(1, 3);
await page.sees('All safe on the server');
await shot('run');

// The same by ear: a made-up child stands in for the microphone.
await page.becomes(`document.querySelector('[aria-label$="count by ear"]') !== null`, true);
await driver.executeScript(`document.querySelector('[aria-label$="count by ear"]').click()`);
await page.press('Practice microphone');
for (const sound of ['Bounces on the strings', 'Bounces on the floor']) {
  const teach = `[...document.querySelectorAll('button')].find((one) => one.textContent.trim() === 'Teach: ${sound}')`;
  await page.becomes(`${teach}?.disabled`, false);
  await driver.executeScript(`${teach}.click()`);
  await page.becomes(
    `[...document.querySelectorAll('[data-lesson]')].filter((one) => one.textContent.includes('taught')).length`,
    sound.includes('floor') ? 2 : 1,
  );
}
await page.press('Listen and count');
// Two rows: it is over when nothing more is heard for a while.
await page.becomes(`Number(document.querySelector('[data-heard]')?.textContent) > 8`, true, 60_000);
await driver.executeAsyncScript(
  `const done = arguments[0];
   let last = '', since = performance.now();
   const look = () => {
     const now = document.querySelector('[data-heard]').textContent;
     if (now !== last) [last, since] = [now, performance.now()];
     if (performance.now() - since > 7000) done(); else requestAnimationFrame(look);
   };
   look();`,
);
await page.press('Stop');
await page.sees('Nothing of it is kept');
await shot('by-ear');
await page.press('Close');

// A clip that is drawn here, marked and counted.
await driver.get(`${app.url}/sessions/${held}/clip`);
await page.choose('Block', 'Ring target');
await giveClip(page, 'Open a clip', 'bounces', 'Ring target.webm');
await page.becomes(`document.querySelector('input[type=range]')?.max > 3`, true);
const standsAt = `parseFloat(document.querySelector('[data-at]').textContent)`;
const stand = async (atS: number) => {
  await driver.executeScript(
    `const range = document.querySelector('input[type=range]');
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(range, arguments[0]);
     range.dispatchEvent(new Event('input', { bubbles: true }));`,
    atS,
  );
  await page.becomes(`Math.abs(${standsAt} - ${atS}) < 0.1`, true);
};
for (const [atS, key] of [
  [0.6, 'f'],
  [0.8, 'r'],
  [1.1, 'b'],
  [1.3, 'c'],
  [1.8, 'c'],
  [2.3, 'c'],
] as const) {
  await stand(atS);
  await page.keys(key);
  await page.becomes(
    `document.querySelector('[role=group][aria-label=Marks] [aria-pressed=true]') !== null`,
    true,
  );
}
await page.press('Count its touches by ear');
await page.sees('by the commonest sound');
await driver.executeScript(`window.scrollTo(0, 0)`);
await shot('clip');
await driver.get(`${app.url}/sessions/${held}/review`);
await page.press('Ring target');
await page.sees(/Accept \d+ proposals/);
await shot('review');

// One player on a phone.
await driver.get(`${app.url}/sessions`);
await page.press('Plan a session');
await page.type('Title', 'One to one');
await (await page.find('input[type=checkbox]')).click();
await page.openPlan();
await page.press('Add Clap and catch');
await page.sees('1. Clap and catch');
await page.press('Run');
await page.press('Start block');
await page.becomes(`document.querySelector('[data-phase]').dataset.phase`, 'work');
await setViewport(driver, 390, 844);
await press(1, 8);
await page.sees('All safe on the server');
await shot('run-phone');

// Three stations side by side.
const stations = sessions[2]!.id as string;
await setViewport(driver, 1280, 800);
await driver.get(`${app.url}/sessions/${stations}/plan`);
await page.press('Side by side');
await page.sees('They move to the place of the first of them.');
await driver.executeScript(
  `[...document.querySelectorAll('[role=dialog] input[type=checkbox]')].slice(2, 5).forEach((one) => one.click())`,
);
await page.press('Make a circuit');
await page.sees('touches a child');
await page.sees('Saved');
await driver.get(`${app.url}/sessions/${stations}/run`);
// It is planned for another day.
await page.press('Run it today');
await page.sees('Start block');
while (!(await page.text()).includes('Side by side')) await nextBlock(page);
await page.press('Start block');
await page.becomes(`document.querySelector('[data-phase]').dataset.phase`, 'work');
await driver.executeScript(
  `[...document.querySelectorAll('[data-touch-of]')].forEach((one, at) => { for (let i = 0; i < 4 + 3 * at; i++) one.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true })); })`,
);
await page.sees('All safe on the server');
await shot('circuit');

// A course of eight weeks.
await driver.get(`${app.url}/courses`);
await page.press('Make a course');
await page.sees('Everybody passes');
await driver.executeScript(
  `const field = document.querySelectorAll('[role=dialog] select')[0];
   const value = [...field.options].find((one) => one.text.includes('Hands and strokes')).value;
   Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(field, value);
   field.dispatchEvent(new Event('change', { bubbles: true }));`,
);
await page.choose('Drill', 'Racket wall rally');
await page.type('Name', 'At the wall by spring');
await page.press('Book and plan 8 sessions');
await page.sees('What was planned anew');
await shot('course');
await Promise.all([browser.close(), app.close()]);
