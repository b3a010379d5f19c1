import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { teach } from '../testing/browser/bounces';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { bookSession, phase, tap, turn, waiting, type Booked } from '../testing/browser/session';

/* Stations side by side: from a built plan to a circuit that is run with two phones, looked at and printed. */
let app: App;
let browser: Browser;
let page: Page;
let at: Booked;
const saved = `document.querySelector('[role=status]').textContent`;
const round = `document.querySelector('[data-circuit-round]').dataset.circuitRound`;
const dialogs = `document.querySelectorAll('[role=dialog]').length`;
const closed = async () => {
  while ((await browser.driver.executeScript<number>(`return ${dialogs}`)) > 0) await page.keys(Key.ESCAPE);
};
/** In a round's work, and for longer than the moment in which presses are still meant for those who have just left. */
const steadily = (phone: Page, n: number) =>
  phone.becomes(
    `(() => { const now = ${round} + ' ' + ${phase}; if (window.lastSeen?.now !== now) window.lastSeen = { now, at: performance.now() }; return now === '${n} work' && performance.now() - window.lastSeen.at > 500; })()`,
    true,
  );
const there = `[...document.querySelectorAll('[data-station]')].map((one) => one.innerText).join(' ')`;
const touches = (blockId: string, playerId: string) =>
  app.query(
    `select count(*) as n, count(distinct device) as devices from touch_event where block_id = ? and player_id = ? and kind = 'touch'`,
    [blockId, playerId],
  );

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  page = new Page(browser.driver);
  at = await bookSession(app, page, ['Mika', 'Robin', 'Sanna', 'Tove'], [], 20);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

test('built, then three drills side by side: groups, one clock, who is where', async () => {
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/plan`);
  await page.press('Build');
  await page.becomes(`document.querySelectorAll('[data-proposal]').length`, 2);
  await page.press('Take it');
  await page.becomes(saved, 'Saved');
  const built = await browser.driver.executeScript<number>(
    `return document.querySelectorAll('[data-listed]').length`,
  );
  expect(built).toBeGreaterThan(2);
  // All of it is taken out again, but for what is wanted here.
  await page.press('Undo');
  await page.sees('The tape is empty.');
  for (const drill of ['Toss and catch', 'Palm-up bounce', 'Marker taps', 'Line hops']) {
    await page.type('Find a drill', drill);
    await browser.driver.executeScript(
      `[...document.querySelectorAll('section[aria-label=Catalogue] button, [aria-label=Catalogue] button')].find((one) => one.textContent.includes('${drill}')).click()`,
    );
    await page.becomes(
      `[...document.querySelectorAll('[data-listed]')].at(-1)?.textContent.includes('${drill}')`,
      true,
    );
  }
  await page.press('Side by side');
  await page.press('Make a circuit');
  await page.sees('No block is chosen: tick 2 to 6 blocks.');
  for (const drill of ['1. Toss and catch', '2. Palm-up bounce', '3. Marker taps']) await page.tick(drill);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Make a circuit');
  await page.sees('Station 1 of 3, side by side');
  await page.becomes(saved, 'Saved');
  expect(await axeViolations(browser.driver)).toEqual([]);

  // Changed: shorter visits, a child by hand, somebody who helps, everybody one on; and undone.
  await page.setValue('At a station, s', '60');
  await page.setValue('Walk on, s', '10');
  await page.choose('Order', 'everybody one on');
  await page.choose('Group of Tove', 'B');
  await page.setValue('Who helps here', 'A mother');
  await page.becomes(saved, 'Saved');
  const rows = await app.query(`select circuit from block where session_id = ? order by position`, [
    at.sessionId,
  ]);
  const parts = rows.map((row) =>
    row.circuit === null ? null : (JSON.parse(row.circuit as string) as Record<string, unknown>),
  );
  expect(parts.map((part) => part?.at ?? null)).toEqual([0, 1, 2, null]);
  expect(parts[0]).toMatchObject({ of: 3, stationS: 60, changeS: 10, order: 'one on', helper: 'A mother' });
  expect(parts[0]!.groups).toEqual(parts[2]!.groups);
  await page.press('Undo');
  await page.becomes(`document.querySelector('input[placeholder="nobody needed"]').value`, '');
  await page.press('Redo');
  await page.becomes(saved, 'Saved');
  for (const width of [390, 1024, 1280]) {
    await setViewport(browser.driver, width, 800);
    await page.becomes('document.documentElement.scrollWidth <= innerWidth', true);
  }
});

test('run with two phones: a station’s and a child’s, and a child who comes in the middle', async () => {
  const blocks = await app.query(`select id from block where session_id = ? order by position`, [
    at.sessionId,
  ]);
  const [toss, bounce, taps] = blocks.map((row) => row.id as string) as [string, string, string];
  const [mika, robin] = at.playerIds as [string, string];
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/run`);
  await page.sees('Side by side');
  await page.sees('1–3/4');
  // Four children in three groups; whoever stands first goes first.
  await page.becomes(`document.querySelectorAll('[data-station]').length`, 3);
  const first = await browser.driver.executeScript<string>(`return ${there}`);
  for (const name of ['Mika', 'Robin', 'Sanna', 'Tove']) expect(first).toContain(name);
  await page.press('Start block');
  await page.becomes(phase, 'work');
  expect(await axeViolations(browser.driver)).toEqual([]);

  await page.press('More');
  await page.press('Link to count station 2. Palm-up bounce');
  const stationLink = (await (await page.find('[data-helper-link]')).getAttribute('value'))!;
  await page.press('Link to count Mika');
  await page.becomes(`document.querySelector('[data-helper-link]').value === '${stationLink}'`, false);
  const childLink = (await (await page.find('[data-helper-link]')).getAttribute('value'))!;
  await closed();
  const [one, two] = await Promise.all([openBrowser(390, 844), openBrowser(390, 844)]);
  try {
    const [station, child] = [new Page(one.driver), new Page(two.driver)];
    await one.driver.get(stationLink);
    await two.driver.get(childLink);
    await station.sees('Palm-up bounce');
    await child.sees('Mika');
    expect(await child.text()).not.toContain('Robin');
    await station.becomes('document.documentElement.scrollWidth', 390);
    expect(await axeViolations(one.driver)).toEqual([]);

    /** Counts once for everybody, wherever they are now; says where Mika is. */
    const where = async (): Promise<string> =>
      browser.driver.executeScript<string>(
        `return document.querySelector('[data-touch-of="1"]').closest('[data-station]').dataset.station`,
      );
    const seen: string[] = [];
    for (let n = 1; n <= 3; n++) {
      await steadily(page, n);
      seen.push(await where());
      // Mika is counted by the child's phone, the others by the coach; who is at the bounces by the phone there too.
      for (const phone of [child, station]) await steadily(phone, n);
      await child.becomes(`document.querySelector('[data-touch-of="1"]') !== null`, true);
      await tap(child, 1, n);
      await tap(page, 2, 1);
      const digit = await station.driver.executeScript<string | null>(
        `return document.querySelector('[data-touch-of]')?.dataset.touchOf ?? null`,
      );
      if (digit) await tap(station, Number(digit), 2);
      if (n < 3) {
        await page.press('Time');
        await page.press('Skip the rest of this work');
        await page.becomes(phase, 'rest');
        await page.press('Skip the rest of this rest');
        await closed();
      }
      if (n === 1) {
        // Somebody comes late, and is put on the list in the middle of it.
        await page.press('More');
        await page.press('Who is here?');
        await page.press('Somebody else came');
        await page.type('A guest', 'Ulla');
        await page.type('Born in', '2016');
        await page.press('Let them join');
        await page.sees('Ulla has joined');
        await closed();
        await page.becomes(
          `document.querySelector('[data-touch-of="5"]')?.textContent.includes('Ulla')`,
          true,
        );
      }
    }
    expect(new Set(seen)).toEqual(new Set([toss, bounce, taps]));
    // A station hears too, from its three dots, until its group walks on; meanwhile the clock waits.
    await page.press('Pause');
    await page.press('Toss and catch: more');
    await page.press('count by ear');
    await page.press('Practice microphone');
    await teach(page, 'Catches');
    await page.sees('taught');
    await page.press('Listen and count');
    await page.becomes(`Number(document.querySelector('[data-heard]')?.textContent) > 2`, true);
    await page.press('Go on');
    await page.press('Time');
    await page.press('Skip the rest of this work');
    await page.sees('This was the practice microphone');
    await closed();
    // Nobody is moved on by a mark of the phone: the coach's clock is everybody's.
    await child.becomes(round, '3');
    for (const phone of [station, child, page]) await phone.becomes(waiting, '0');
    for (const [index, blockId] of seen.entries()) {
      const [row] = await touches(blockId, mika);
      expect(Number(row!.n)).toBeGreaterThanOrEqual(index + 1);
    }
    const total = await app.query(
      `select count(*) as n from touch_event where player_id = ? and kind = 'touch'`,
      [robin],
    );
    expect(Number(total[0]!.n)).toBeGreaterThanOrEqual(3);
    // The phone at the station cannot count anywhere else.
    const device = await app.query(
      `select count(distinct block_id) as n from touch_event where kind = 'touch' and device like 'help-%' and block_id <> ? and player_id <> ?`,
      [bounce, mika],
    );
    expect(device[0]!.n).toBe(0);
  } finally {
    await Promise.all([one.close(), two.close()]);
  }

  // Undo takes back a mark wherever it was made; a correction is typed at its own station.
  await turn(page, 'n');
  await page.sees('Line hops');
  await turn(page, 'p');
  await page.sees('Side by side');
  const starts = await app.query(
    `select block_id, count(*) as n from touch_event where kind = 'start' group by block_id`,
  );
  // Started, and gone on once after the pause, at every station alike.
  expect(starts.map((row) => row.n)).toEqual([2, 2, 2]);
});

test('afterwards each station is looked at, and the sheet says who was where', async () => {
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/review`);
  for (const drill of ['Toss and catch', 'Palm-up bounce', 'Marker taps']) await page.sees(drill);
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/paper`);
  await page.sees('Side by side: 1 min at each station, 10 s to walk on.');
  await page.becomes(`document.querySelectorAll('[data-paper-circuit] tbody tr').length`, 3);
  expect(await axeViolations(browser.driver)).toEqual([]);
  // What was begun stays: a station cannot be changed in the plan.
  await browser.driver.get(`${app.url}/sessions/${at.sessionId}/plan`);
  await page.sees('Held: it stays as it was done.');
  await page.becomes(`document.querySelector('[data-circuit] fieldset').disabled`, true);
});
