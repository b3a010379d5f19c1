import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { everyS, giveClip, testClips } from '../testing/browser/clip';
import { Page } from '../testing/browser/page';
import { bookSession, type Booked } from '../testing/browser/session';

/* A clip with flashes and clicks half a second apart: marked, timed, counted. */
const flashes = testClips.bounces;
let app: App;
let browser: Browser;
let page: Page;
let at: Booked;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  at = await bookSession(app, page, ['Mika'], [['palm-up-bounce', 'row-20']]);
});
afterAll(async () => {
  await browser.close();
  await app.close();
});

const script = <T>(text: string): Promise<T> => browser.driver.executeScript<T>(`return (${text})`);
const shown = `parseFloat(document.querySelector('[data-at]').textContent)`;
/** Whether the frame that is shown is a flash: its corner is white. */
const flash = `(() => { const c = document.createElement('canvas'); c.width = 320; c.height = 180; const d = c.getContext('2d'); d.drawImage(document.querySelector('video'), 0, 0, 320, 180); return d.getImageData(20, 20, 1, 1).data[0] > 128; })()`;

/** Steps a frame on by its key, and waits until it is shown; the time of that frame. */
async function frameOn(): Promise<number> {
  const before = await script<number>(shown);
  const moved = async () => (await script<number>(shown)) > before;
  // While it looks for a frame another press is passed over: then once more, as a finger would.
  do await page.keys(Key.ARROW_RIGHT);
  while (!(await browser.driver.wait(moved, 4000).catch(() => false)));
  return script<number>(shown);
}

/** The first frame of the next flash after a moment: its time, and how long the frame before it was shown. */
async function flashAfter(fromS: number): Promise<{ atS: number; frameS: number }> {
  await browser.driver.executeScript(
    `const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
     const range = document.querySelector('input[type=range]');
     set.call(range, arguments[0]);
     range.dispatchEvent(new Event('input', { bubbles: true }));`,
    fromS,
  );
  await page.becomes(`Math.abs(${shown} - ${fromS}) < 0.3 && !document.querySelector('video').seeking`, true);
  let before = await script<number>(shown);
  expect(await script(flash)).toBe(false);
  for (;;) {
    const atS = await frameOn();
    if (await script(flash)) return { atS, frameS: atS - before };
    before = atS;
  }
}

test('files that cannot be looked at are refused in words', async () => {
  // From the court, whose service worker has kept another worker of ours by then.
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/run`);
  await page.sees('Start block');
  await page.becomes(`navigator.serviceWorker.controller !== null`, true);
  await page.becomes(
    `caches.match(performance.getEntriesByType('resource').find((one) => one.name.includes('worker'))?.name).then((kept) => kept !== undefined)`,
    true,
  );
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/clip`);
  await page.sees('Open a clip');
  await page.becomes(
    `Object.keys(document.querySelector('input[type=file]')).some((key) => key.startsWith('__react'))`,
    true,
  );
  const give = (name: string, type: string, text: string) =>
    browser.driver.executeScript(
      `const [name, type, text] = arguments;
       const bag = new DataTransfer();
       bag.items.add(new File(text ? [text] : [], name, { type }));
       const field = document.querySelector('input[type=file]');
       field.files = bag.files;
       field.dispatchEvent(new Event('change', { bubbles: true }));`,
      name,
      type,
      text,
    );
  await give('empty.mp4', 'video/mp4', '');
  await page.sees('“empty.mp4” is empty');
  await give('plan.pdf', 'application/pdf', 'x');
  await page.sees('“plan.pdf” is no film and no sound');
  await give('broken.mp4', 'video/mp4', 'this is no film');
  await page.sees('“broken.mp4” cannot be played here');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Close broken.mp4');
  // What the browser itself says of a broken file is no fault of the page.
  await browser.faults();
});

test('marks are right to a frame, and the touches of its sound are counted', async () => {
  await giveClip(page, 'Open a clip', 'bounces', 'bounces.webm');
  await page.sees('Frame on');
  await page.becomes(`document.querySelector('input[type=range]').max > 3`, true);
  const marked = (n: number) =>
    page.becomes(
      `document.querySelector('[role=group][aria-label=Marks]').innerText.includes('· ${n}')`,
      true,
    );
  const first = await flashAfter(0.4);
  await page.keys('c');
  await marked(1);
  const times = [first];
  for (let k = 1; k < 4; k++) {
    times.push(await flashAfter(first.atS + k * everyS - 0.15));
    await page.keys('c');
    await marked(k + 1);
  }
  for (const [k, { atS, frameS }] of times.entries())
    expect(Math.abs(atS - first.atS - k * everyS)).toBeLessThanOrEqual(
      Math.max(frameS, first.frameS) + 0.002,
    );
  await page.sees(/Hits: 1[12]\d a minute, give or take/);
  // A step back shows the frame before, and the mark is taken off by its key.
  await page.keys('c');
  await marked(3);
  await page.keys('c');
  await marked(4);
  const last = times.at(-1)!;
  await page.keys(Key.ARROW_LEFT);
  await page.becomes(`${shown} < ${last.atS}`, true);
  expect(await script(flash)).toBe(false);
  await page.press('Count its touches by ear');
  await page.becomes(`document.querySelector('[data-clip-count]').textContent`, String(flashes));
  expect(await script(`document.querySelectorAll('[data-heard-at]').length`)).toBe(flashes);
  // What was heard lies where the flashes are.
  const heard = await script<number[]>(
    `[...document.querySelectorAll('[data-heard-at]')].map((one) => Number(one.dataset.heardAt))`,
  );
  for (let k = 1; k < flashes; k++) expect(heard[k]! - heard[k - 1]!).toBeCloseTo(everyS, 2);
  expect(await axeViolations(browser.driver)).toEqual([]);
});

test('counts, times and checkpoints go into the block’s log, and say where they come from', async () => {
  // Pressed twice, it is kept once.
  await script(
    `(() => { const keep = [...document.querySelectorAll('button')].find((one) => one.textContent.includes('Keep ${flashes}')); keep.click(); keep.click(); })()`,
  );
  await page.sees(`Kept ${flashes} in a row`);
  await app.comesToHold(`select value, origin from touch_event where kind = 'result'`, [
    { value: flashes, origin: 'clip 1' },
  ]);
  await page.press('Note it: Hits');
  const press = (name: string) =>
    script(
      `[...document.querySelectorAll('button')].find((one) => one.getAttribute('aria-label')?.startsWith('${name}')).click()`,
    );
  expect(await script(`document.querySelector('[aria-label^="Held, clip"]')`)).toBeNull();
  await press('Held, felt');
  await page.becomes(`document.querySelector('[aria-label^="Held, clip"]') !== null`, true);
  await press('Broke, clip');
  await page.sees('What Mika felt is what the clip shows in 0 of 1');
  await app.comesToHold(
    `select kind, origin from touch_event where kind in ('held', 'broke', 'note') order by kind`,
    [
      { kind: 'broke', origin: 'clip 1' },
      { kind: 'held', origin: 'felt' },
      { kind: 'note', origin: 'clip 1' },
    ],
  );
});

test('a still is kept with the child’s page on this device, removed with a way back, and goes with the child', async () => {
  await page.press('Keep this still');
  await page.sees('Kept with Mika, on this device.');
  const clip = await browser.driver.getWindowHandle();
  await browser.driver.switchTo().newWindow('tab');
  await browser.driver.get(`${app.url}/players/${at.playerIds[0]!}`);
  await page.sees('On this device alone, in no copy of the book.');
  await page.becomes(`document.querySelector('[data-still] img').naturalWidth`, 320);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Remove: Palm-up bounce');
  await page.sees('The still was removed.');
  await page.press('Undo');
  await page.becomes(`document.querySelectorAll('[data-still]').length`, 1);
  // Nothing of it is in the book.
  const tables = await app.query(`select count(*) as n from sqlite_master where name like '%still%'`);
  expect(tables).toEqual([{ n: 0 }]);
  await browser.driver.close();
  await browser.driver.switchTo().window(clip);
});

test('two clips start together at the same mark; slow, mirrored and measured', async () => {
  await giveClip(page, 'Open a second clip beside it', 'short', 'other.webm');
  await page.becomes(`document.querySelectorAll('video').length`, 2);
  await page.sees('Set the same mark in both');
  await script(
    `document.querySelector('[aria-label="Second clip"]').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }))`,
  );
  await page.keys('c');
  await page.sees('Start both');
  await page.press('Start both');
  await page.becomes(
    `[...document.querySelectorAll('video')].every((one) => !one.paused || one.ended)`,
    true,
  );
  await page.becomes(`[...document.querySelectorAll('video')].every((one) => one.paused)`, true);
  await page.press('Mirror');
  await page.press('Measure');
  await page.sees('Tap the ends of a line');
  const tap = (x: number, y: number) =>
    script(
      `(() => { const svg = document.querySelector('[role=application]'); const { left, top } = svg.getBoundingClientRect(); svg.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: left + ${x}, clientY: top + ${y} })); })()`,
    );
  await tap(40, 120);
  await tap(140, 20);
  await page.sees(/45°, give or take \d+° against level/);
  // The tap line is 1.41 m long, so its ends are a metre apart in height.
  await page.type('Length of this line, metres', '1.414');
  await page.press('Measure by it');
  await tap(40, 120);
  await tap(140, 20);
  await page.sees(/1\.00 m up, give or take 0\.\d\d/);
  await setViewport(browser.driver, 390, 844);
  expect(await script('document.documentElement.scrollWidth')).toBe(390);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await setViewport(browser.driver, 1280, 800);
  await page.press('To the review');
  await page.sees('from a clip');
  await page.sees('Felt as the clip shows it: 0 of 1');
  // Another child's still, who was removed for good: it goes when the next page of a player is opened.
  const kept = `new Promise((give) => { const open = indexedDB.open('vowstep-stills'); open.onsuccess = () => { const ask = open.result.transaction('stills').objectStore('stills').getAll(); ask.onsuccess = () => { open.result.close(); give(ask.result.length); }; }; })`;
  await script(
    `new Promise((give) => { const open = indexedDB.open('vowstep-stills'); open.onsuccess = () => { const tx = open.result.transaction('stills', 'readwrite'); tx.objectStore('stills').put({ id: 'gone', playerId: '01ARZ3NDEKTSV4RRFFQ69G5FAV', words: 'x', atMs: 1, picture: new Blob(['x']) }); tx.oncomplete = () => { open.result.close(); give(true); }; }; })`,
  );
  await page.becomes(kept, 2);
  await browser.driver.get(`${app.url}/players/${at.playerIds[0]!}`);
  await page.becomes(kept, 1);
  await browser.faults();
  await page.sees('On this device alone');
  expect(await browser.faults()).toEqual([]);
});
