import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { plainBook } from '@/drills';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { bouncesFor, playRow, teach } from '../testing/browser/bounces';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { PlayedMicrophone } from '../testing/browser/microphone';
import { Page, patienceMs } from '../testing/browser/page';

/* By ear at home: allowed by the coach, on the family's page and in the file, without the server too. */
const rowOf = 9;
let app: App;
let browser: Browser;
let page: Page;
let microphone: PlayedMicrophone;
let playerId: string;
let link: string;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser(1280, 800, { microphone: true })]);
  page = new Page(browser.driver);
  microphone = new PlayedMicrophone(page);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const run = <T>(script: string) => browser.driver.executeScript<T>(`return (${script})`);
const says = (words: string) => `document.body.innerText.includes(${JSON.stringify(words)})`;

/** Opens the ear, teaches it, listens to the row, and stops. */
async function hear(): Promise<void> {
  await page.press('Count by ear');
  await page.press('Open the microphone');
  await teach(page, 'Bounces on the strings');
  await microphone.play('lesson');
  await page.sees('taught');
  await page.press('Listen and count');
  await page.becomes(`document.querySelector('[data-heard]')?.textContent`, '0');
  await playRow(microphone, rowOf);
  await page.press('Stop');
  await page.becomes(`/\\b${rowOf}\\b/.test(document.querySelector('[data-kept-as]').textContent)`, true);
}

test('a coach allows it with the vow, where something of it can be heard', async () => {
  await browser.driver.get(`${app.url}/squad`);
  await page.press('Add a player');
  await page.type('Name', 'Mika Underhill');
  await page.type('Birth year', '2016');
  await page.press('Add player');
  await page.sees('Mika Underhill');
  playerId = String((await app.query('select id from player'))[0]!.id);
  await browser.driver.get(`${app.url}/vows/new?player=${playerId}&drill=rim-roll`);
  await page.sees('A vow with Mika');
  expect(await run(says('The phone may count by ear'))).toBe(false);
  await page.choose('Drill', plainBook.drill('palm-up-bounce')!.title);
  await page.choose('Step', plainBook.step('palm-up-bounce', 'row-20')!.title);
  for (const day of ['Sat', 'Sun']) await page.press(day);
  await page.tick('The phone may count by ear');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Make the vow');
  await page.press('Put a link on it');
  await page.sees('It is shown here once');
  link = await run<string>(`document.querySelector('[data-link] a').href`);
});

test('a family’s phone is taught, counts a row, and the log says that it was heard', async () => {
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(link);
  await page.sees('Everything is with your coach.');
  await bouncesFor(microphone, rowOf);
  await hear();
  expect(await axeViolations(browser.driver)).toEqual([]);
  expect(await run('document.documentElement.scrollWidth')).toBe(390);
  // Pressed twice, it is kept once.
  const rows = await run<string>(`document.querySelector('[data-kept-as]').textContent`);
  await run(
    `(() => { const keep = [...document.querySelectorAll('button')].find((one) => one.textContent.includes('Keep what was heard')); keep.click(); keep.click(); })()`,
  );
  await page.sees(
    `Best ${rowOf} in a row, ${(rows.match(/\d+/g) ?? []).reduce((sum, n) => sum + Number(n), 0)} in all.`,
  );
  await app.comesToHold(
    `select count(*) >= ${rowOf} as all_there, min(origin) as origin from touch_event where kind = 'touch'`,
    [{ all_there: 1, origin: 'ear 1' }],
  );
  // One press takes all of it back, another gives nothing else away.
  await page.press('Close');
  await page.press('Take back');
  await page.sees('Nothing is counted yet.');
  expect(await browser.faults()).toEqual([]);
});

test('with the server away its ear is there all the same', async () => {
  await browser.driver.wait(
    () =>
      browser.driver.executeAsyncScript<boolean>(
        `const [done] = arguments;
         const parts = JSON.parse(document.getElementById('vow-data').textContent).ear;
         Promise.all([location.pathname, parts.worker, ...parts.later].map((one) => caches.match(one)))
           .then((kept) => done(kept.every(Boolean)));`,
      ),
    patienceMs,
    'The page is never kept with its ear.',
  );
  await page.becomes(`document.querySelector('[data-waiting]').dataset.waiting`, '0');
  await app.stop();
  await browser.driver.navigate().refresh();
  await page.sees('Nothing is counted yet.');
  await bouncesFor(microphone, rowOf);
  await page.press('Count by ear');
  await page.press('Open the microphone');
  // It can be taught: sound comes through, and the ear's own worker answers.
  await teach(page, 'Bounces on the strings');
  await page.sees('0 of 5');
  await page.press('Close');
  await page.press('one more touch');
  await page.sees('kept on this phone');
  await app.start();
  await browser.driver.navigate().refresh();
  await page.sees('Everything is with your coach.');
  await setViewport(browser.driver, 1280, 800);
  await browser.driver.get(`${app.url}/vows`);
  await page.sees('1 good one');
  // The failed fetches of a server that is away are none of the page's faults.
  await browser.faults();
});

test('the one file hears too, and its text says so', async () => {
  await browser.driver.get(`${app.url}/players/${playerId}/vows`);
  const { bytes: html } = await browser.download(() => page.press('As one file'));
  expect(Buffer.byteLength(html)).toBeLessThan(400 * 1024);
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-ear-'));
  const file = path.join(folder, 'vow.html');
  writeFileSync(file, html);
  await browser.driver.get(`file://${file}`);
  await page.sees('Mika’s vow');
  await bouncesFor(microphone, rowOf);
  await hear();
  await page.press('Keep what was heard');
  await page.sees(`Best ${rowOf} in a row`);
  await page.press('Close');
  await page.press('Make the text');
  await page.find('textarea');
  const text = await run<string>(`document.querySelector('textarea').value`);
  expect(await browser.faults()).toEqual([]);
  rmSync(folder, { recursive: true });
  await browser.driver.get(`${app.url}/vows`);
  await page.press('Take a text over');
  await browser.driver.executeScript(
    `const area = document.querySelector('[role=dialog] textarea');
     Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(area, arguments[0]);
     area.dispatchEvent(new Event('input', { bubbles: true }));`,
    text,
  );
  await page.press('Look at it');
  await page.press('Take it over');
  await app.comesToHold(
    `select max(value) as best, min(origin) as origin from touch_event where kind = 'result'`,
    [{ best: rowOf, origin: 'ear 1' }],
  );
});

test('taken back by the coach, the page offers it no more', async () => {
  const [vow] = await app.query('select id from vow');
  await browser.driver.get(`${app.url}/vows/${String(vow!.id)}/edit`);
  await page.sees('Change Mika');
  await page.tick('The phone may count by ear');
  await page.press('Change it from today');
  await app.comesToHold(`select json_extract(promise, '$.byEar') as allowed from vow`, [{ allowed: 0 }]);
  await browser.driver.get(link);
  await page.sees('Everything is with your coach.');
  expect(await run(says('Count by ear'))).toBe(false);
});
