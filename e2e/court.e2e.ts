import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import {
  bookSession,
  count,
  onServer,
  phase,
  tap,
  turn,
  turnTo,
  waiting,
  type Booked,
} from '../testing/browser/session';

/* What is done on court besides counting: adjust, correct, note, time, call, trim, and count with others. */
let app: App;
let browser: Browser;
let page: Page;
let at: Booked;
const run = () => `${app.url}/sessions/${at.sessionId}/run`;
const dialogs = `document.querySelectorAll('[role=dialog]').length`;
const closed = async () => {
  while ((await browser.driver.executeScript<number>(`return ${dialogs}`)) > 0) await page.keys(Key.ESCAPE);
};
const events = (kind: string) =>
  app.query('select player_id, value, text, by, ref from touch_event where kind = ? order by id', [kind]);

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  at = await bookSession(
    app,
    page,
    ['Mika', 'Robin'],
    [
      ['palm-up-bounce', 'row-20'],
      ['marker-touches', 'called'],
      ['ring-target', 'underarm-throw'],
      ['growing-hops', 'two-lines'],
      ['figure-of-eight', 'slow-eight'],
    ],
    30,
  );
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

describe('counting and adjusting', () => {
  test('a count that was called out is typed in, with the pad or with keys, and is marked as reported', async () => {
    await browser.driver.get(run());
    await page.press('Start block');
    await page.becomes(phase, 'work');
    await tap(page, 1, 6);
    await page.press('Mika: type a count');
    await page.sees('Mika: we counted aloud');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.keys('1', '4');
    await page.press('Keep 14');
    await page.becomes(`document.querySelectorAll('[data-best]')[0].textContent`, '14');
    // The key C types for who was counted last.
    await page.keys('c');
    await page.sees('Mika: we counted aloud');
    await page.keys('9', Key.ENTER);
    await page.becomes(dialogs, 0);
    await page.becomes(waiting, '0');
    expect((await events('result')).map((row) => row.value)).toEqual([14, 9]);
  });

  test('a past count is corrected as an event, with who and when, and undo takes it back', async () => {
    await page.press('More');
    await page.type('Who counts', 'Joss');
    await page.press('Numbers');
    await page.press('Correct attempt 2');
    await page.keys('1', '2');
    await page.press('Keep 12');
    await page.sees(/corrected by Joss on \d+ \w+ \d{4} at \d\d:\d\d/);
    expect(await axeViolations(browser.driver)).toEqual([]);
    await closed();
    await page.becomes(`document.querySelectorAll('[data-best]')[0].textContent`, '12');
    await page.becomes(waiting, '0');
    expect(await events('fix')).toMatchObject([{ value: 12, by: 'Joss' }]);
    await page.press('Undo');
    await page.becomes(`document.querySelectorAll('[data-best]')[0].textContent`, '14');
  });

  test('one step up for one player: the next attempt is counted on it', async () => {
    await page.press('Adjust');
    await page.sees('Who picks');
    await page.press('Robin');
    await page.press('The player picks');
    await page.press('One step up');
    await page.sees('now on a step of their own choice');
    await page.press('walking');
    await page.press('Breathless');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await closed();
    await page.sees('walking, shorter dose');
    await tap(page, 2, 4);
    await page.becomes(count(1), '4');
    await page.becomes(waiting, '0');
    expect(await events('step')).toMatchObject([{ player_id: at.playerIds[1], value: 1 }]);
    expect(await events('change')).toMatchObject([{ text: 'walking', value: 1 }]);
    expect(await events('breathless')).toMatchObject([{ value: 1 }]);
  });

  test('for everybody: an easing and the ball, one press each; no feed where nobody feeds; undo takes one back', async () => {
    await page.keys('a');
    await page.press('Everybody');
    await page.press('bigger ball');
    await page.press('orange');
    await page.becomes(`!!document.querySelector('[role=dialog] [aria-label="Feed"]')`, false);
    await page.press('green');
    await closed();
    await page.sees('bigger ball, green ball');
    await page.press('Undo');
    await page.sees('bigger ball, orange ball');
    await page.becomes(waiting, '0');
    expect(await events('ball')).toMatchObject([
      { player_id: null, text: 'orange' },
      { player_id: null, text: 'green' },
    ]);
  });

  test('a checkpoint that held and one that broke, a phrase and a note: one press each', async () => {
    await page.press('Adjust');
    await page.press('Mika');
    await page.press('Look and say');
    await page.press('Held: ');
    await page.press('Best effort today');
    await page.type('Own words', 'Looked up twice');
    await page.press('Keep note');
    await page.sees('“Looked up twice”');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await closed();
    await page.becomes(waiting, '0');
    expect(await events('held')).toHaveLength(1);
    expect((await events('note')).map((row) => row.text)).toEqual(['Best effort today', 'Looked up twice']);
  });
});

describe('time', () => {
  const left = `document.querySelector('[data-phase]').innerText.match(/(\\d+):(\\d\\d)/).slice(1).reduce((m, s) => 60 * m + Number(s), 0)`;

  test('a stretch is made longer, skipped and repeated', async () => {
    await turn(page, 'n');
    await page.sees('Called side');
    await page.press('Start block');
    await page.becomes(phase, 'work');
    await page.press('Time:');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('30 s more work');
    await page.becomes(`${left} > 30`, true);
    await page.press('Skip the rest of this work');
    await page.becomes(phase, 'rest');
    await page.press('Repeat this rest');
    await page.press('Skip the rest of this rest');
    await page.becomes(phase, 'work');
    await closed();
  });

  test('calls are shown large as they are made, and an answer is noted with its call', async () => {
    await page.becomes(
      `['left', 'right'].includes(document.querySelector('[data-call]').dataset.call)`,
      true,
    );
    await tap(page, 1, 1);
    await tap(page, 2, 1, 'miss');
    await page.becomes(waiting, '0');
    const rows = await app.query(
      `select kind, text from touch_event where block_id = ? and text is not null and kind <> 'begun'`,
      [at.blockIds[1]!],
    );
    expect(rows.map((row) => row.kind).sort()).toEqual(['drop', 'touch']);
    for (const row of rows) expect(['left', 'right']).toContain(row.text);
    await page.press('More');
    await page.press('Numbers');
    await page.sees(/Right answers: (left|right) 1 of 1\./);
    await closed();
  });

  test('two blocks change places, and the block before can be gone back to', async () => {
    await turn(page, 'n');
    await page.sees('Ring target');
    await page.keys('t');
    await page.press('Swap with Growing hops');
    await page.sees('Growing hops');
    await browser.driver.navigate().refresh();
    await page.sees('3/5 Growing hops');
    await turn(page, 'p');
    await page.sees('Marker touches');
    await turn(page, 'n');
    await page.sees('3/5 Growing hops');
  });

  test('running late: what could be trimmed is offered, and only what is pressed is done', async () => {
    await page.press('Start block');
    // The device's clock is put forward to where a minute too much is planned, and no further, so that one block less is
    // enough however long the machine took to get here.
    await browser.driver.executeScript(
      `const now = Date.now; window.aheadMs = 0; Date.now = () => now() + window.aheadMs;`,
    );
    await page.press('Time:');
    const over = `Number(document.querySelector('[data-over]').dataset.over)`;
    const overNow = () => browser.driver.executeScript<number>(`return ${over}`);
    for (let overS = await overNow(); overS < 45; overS = await overNow()) {
      // What goes by of the running block does not count yet, so that this may take a second leap.
      await browser.driver.executeScript(`window.aheadMs += ${1000 * (60 - overS)}`);
      await page.becomes(`${over} > ${overS + 10}`, true);
    }
    await page.becomes(`document.querySelector('[data-late]') !== null`, true);
    await page.sees(/what is planned runs \d+:\d\d over/);
    const offer = await page.find('[data-offer=out]');
    const words = await offer.getText();
    expect(words).toMatch(/^Leave out (Ring target|Figure of eight).*: saves \d+:\d\d, ends on time\.$/);
    const before = await onServer(app, at.blockIds.slice(2));
    expect(before.filter((event) => /"(out|share)"/.test(event))).toEqual([]);
    await offer.click();
    await page.sees(': left out');
    await page.becomes(`document.querySelector('[data-late]') === null`, true);
    await page.press('Put back');
    await page.becomes(`document.querySelector('[data-late]') !== null`, true);
    await (await page.find('[data-offer=out]')).click();
    await page.sees(': left out');
    await closed();
    // The next block is the one that was not left out.
    const kept = words.includes('Ring target') ? 'Figure of eight' : 'Ring target';
    await turn(page, 'n');
    await page.sees(kept);
    await page.sees('Finish session');
  });
});

describe('others count too', () => {
  test('a helper counts one child on another device, and both results are one', async () => {
    await browser.driver.get(run());
    await page.press('More');
    await page.press('Link to count Robin');
    const field = await page.find('[data-helper-link]');
    const link = (await field.getAttribute('value'))!;
    expect(link).toMatch(/\/help\/[\w-]{22}$/);
    await closed();
    await turn(page, 'p');
    const helper = await openBrowser(390, 844);
    try {
      const other = new Page(helper.driver);
      await helper.driver.get(link);
      await other.sees('Robin');
      expect(await other.text()).not.toContain('Mika');
      await other.becomes('document.documentElement.scrollWidth', 390);
      expect(await axeViolations(helper.driver)).toEqual([]);
      // The coach starts a block; the helper's screen turns to it and counts.
      await turnTo(page, 'p', 'Growing hops');
      await page.press('Go on');
      await other.sees('Growing hops');
      await tap(other, 2, 5);
      await other.becomes(count(0), '5');
      await tap(page, 2, 2);
      await page.becomes(count(1), '7');
      await other.becomes(count(0), '7');
      await page.becomes(waiting, '0');
      const devices = await app.query(
        `select count(distinct device) as n, count(*) as marks from touch_event where block_id = ? and player_id = ? and kind = 'touch'`,
        [at.blockIds[3]!, at.playerIds[1]!],
      );
      expect(devices[0]).toEqual({ n: 2, marks: 7 });

      // The link is withdrawn: the helper is told, and what is counted then stays on the helper's device.
      await page.press('More');
      await page.press('Link to count Robin');
      await page.press('Withdraw');
      await page.sees('The link for Robin is withdrawn.');
      await closed();
      await other.sees('This link was withdrawn by the coach');
      await tap(other, 2, 1);
      await other.becomes(count(0), '8');
      await other.becomes(waiting, '1');
      await helper.driver.navigate().refresh();
      await other.sees('This link does not count any more');
      await page.becomes(count(1), '7');
    } finally {
      await helper.close();
    }
  });

  test('a second tab of the same device is told of, and counts into the same log', async () => {
    const first = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow('tab');
    await browser.driver.get(run());
    await page.sees('open in 1 other tab on this device');
    await page.sees('Growing hops');
    await tap(page, 1, 3);
    await page.becomes(count(0), '3');
    await browser.driver.close();
    await browser.driver.switchTo().window(first);
    await page.becomes(count(0), '3');
    await page.becomes(waiting, '0');
    await page.becomes(`document.body.innerText.includes('other tab')`, false);
    const [row] = await app.query(
      `select count(*) as n from touch_event where block_id = ? and player_id = ? and kind = 'touch'`,
      [at.blockIds[3]!, at.playerIds[0]!],
    );
    expect(row!.n).toBe(3);
  });
});

describe('trouble with the device', () => {
  test('a clock that is set back is told of, and the session goes on by its own time', async () => {
    await browser.driver.get(run());
    await page.sees('Growing hops');
    await tap(page, 1, 1);
    await browser.driver.executeScript(`const now = Date.now; Date.now = () => now() - 600000`);
    const told = `Number(/set back by (\\d+)(:\\d\\d)? min/.exec(document.body.innerText)?.[1] ?? 0)`;
    // It may have been told to go back to the real time already: the test above had put it forward.
    await page.becomes(`${told} >= 10`, true);
    await tap(page, 1, 1);
    await page.becomes(waiting, '0');
    const rows = await app.query(`select at_ms as at from touch_event order by id desc limit 2`);
    expect(Number(rows[0]!.at)).toBeGreaterThanOrEqual(Number(rows[1]!.at));
    expect(Number(rows[0]!.at) - Number(rows[1]!.at)).toBeLessThan(60_000);
  });

  test('a store that takes nothing is told of, and the counts still reach the server', async () => {
    await browser.driver.get(run());
    await page.sees('Growing hops');
    const before = Number(await browser.driver.executeScript(`return ${count(0)}`));
    await browser.driver.executeScript(
      `IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); }`,
    );
    await tap(page, 1, 2);
    await page.sees('store is full or closed');
    await page.becomes(count(0), String(before + 2));
    await page.becomes(waiting, '0');
  });
});

describe('fit for the bench', () => {
  test.each([
    [1280, 800],
    [1024, 768],
  ])('at %d x %d nothing is cut off, and what is pressed in play is large enough', async (width, height) => {
    await setViewport(browser.driver, width, height);
    await browser.driver.get(run());
    await page.sees('Growing hops');
    await page.becomes('document.documentElement.scrollHeight <= innerHeight', true);
    const small = await browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('[data-touch-of], [data-miss-of], [data-zone-of], main button, main a')]
        .filter((zone) => { const box = zone.getBoundingClientRect(); return box.height < 64 || box.width < 64 || box.bottom > innerHeight + 1 || box.right > innerWidth + 1; })
        .map((zone) => zone.textContent)`,
    );
    expect(small).toEqual([]);
    await page.becomes(
      `parseFloat(getComputedStyle(document.querySelector('[data-count]')).fontSize) >= 120`,
      true,
    );
  });

  test('left-handed, at night, and awake', async () => {
    await setViewport(browser.driver, 1280, 800);
    const startX = `document.querySelector('footer button').getBoundingClientRect().left`;
    expect(await browser.driver.executeScript(`return ${startX}`)).toBeLessThan(640);
    await page.press('More');
    await page.press('Left-handed');
    await page.press('Night hall');
    await closed();
    await page.becomes(`${startX} > 640`, true);
    await page.becomes(`document.documentElement.dataset.theme`, 'night');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await browser.driver.navigate().refresh();
    await page.becomes(`${startX} > 640`, true);
  });

  test('a practice track is a sound file and a list of words the browser itself can read', async () => {
    await turn(page, 'p');
    await page.sees('Marker touches');
    await page.press('More');
    await page.sees('Calls: sides');
    // What the browser saves is caught on its way, as it would be written to a file.
    await browser.driver.executeScript(
      `window.saved = []; const make = URL.createObjectURL; URL.createObjectURL = (blob) => (window.saved.push(blob), make(blob)); HTMLAnchorElement.prototype.click = () => {};`,
    );
    await page.press('Practice track (WAV)');
    await page.becomes('window.saved.length', 1);
    await page.press('Its words (WebVTT)');
    await page.becomes('window.saved.length', 2);
    const read = await browser.driver.executeAsyncScript<{ seconds: number; cues: number }>(
      `const [done] = arguments;
       (async () => {
         const [wav, vtt] = window.saved;
         const sound = await new OfflineAudioContext(1, 1, 16000).decodeAudioData(await wav.arrayBuffer());
         done({ seconds: sound.duration, cues: (await vtt.text()).split(' --> ').length - 1 });
       })().catch((error) => done(String(error)));`,
    );
    // Three rounds of a minute, two rests of 20 s, the count-in of 3 s and 2 s to die away.
    expect(read).toMatchObject({ seconds: 225 });
    expect(read.cues).toBeGreaterThan(50);
    await closed();
    expect(await browser.faults()).toEqual([]);
  });
});
