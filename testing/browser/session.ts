import { monotonicFactory } from 'ulid';
import { plainBook } from '../../src/drills';
import { ageBandOf } from '../../src/drills/base/age-band';
import type { App } from './app';
import { patienceMs, type Page } from './page';

const newId = monotonicFactory();

export interface Booked {
  readonly sessionId: string;
  readonly blockIds: readonly string[];
  readonly playerIds: readonly string[];
}

/** Adds players by hand, books a session for them, and puts steps into its plan. */
export async function bookSession(
  app: App,
  page: Page,
  names: readonly string[],
  steps: readonly (readonly [drillId: string, stepId: string])[],
  bookedMin = 60,
): Promise<Booked> {
  for (const name of names) {
    await page.driver.get(`${app.url}/squad`);
    await page.press('Add a player');
    await page.type('Name', name);
    await page.type('Birth year', '2016');
    await page.press('Add player');
    await page.sees(name);
  }
  await page.driver.get(`${app.url}/sessions`);
  await page.press('Plan a session');
  await page.type('Title', 'On court');
  for (const name of names) await page.tick(name);
  await page.type('Minutes', String(bookedMin));
  await page.openPlan();
  await page.sees('The tape is empty.');
  const [session] = await app.query('select id from session order by created_at_ms desc limit 1');
  const sessionId = session!.id as string;
  // Half a day from now: a session that is begun near its hour ends by the booking, and the test would know what time it is.
  const hour = (new Date().getHours() + 12) % 24;
  await app.query('update session set start_time = ? where id = ?', [
    `${String(hour).padStart(2, '0')}:00`,
    sessionId,
  ]);
  const players = await app.query(
    `select player_id as id from session_player where session_id = ? order by position`,
    [sessionId],
  );
  const playerIds = players.map((row) => row.id as string);
  const blockIds: string[] = [];
  for (const [position, [drillId, stepId]] of steps.entries()) {
    const id = newId();
    const dose = JSON.stringify(plainBook.step(drillId, stepId)!.doses[ageBandOf(10)]);
    await app.query(
      `insert into block (id, session_id, position, drill_id, step_id, dose) values (?, ?, ?, ?, ?, ?)`,
      [id, sessionId, position, drillId, stepId, dose],
    );
    for (const playerId of playerIds)
      await app.query(`insert into block_player (block_id, player_id) values (?, ?)`, [id, playerId]);
    blockIds.push(id);
  }
  return { sessionId, blockIds, playerIds };
}

/** Presses a player's zone so many times, as a finger does. */
export async function tap(page: Page, digit: number, times: number, zone = 'touch'): Promise<void> {
  await page.becomes(alive, true);
  await page.driver.executeScript(
    `for (let i = 0; i < ${times}; i++) document.querySelector('[data-${zone}-of="${digit}"]').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }))`,
  );
}

/** A court screen that has only been drawn cannot be pressed yet. */
export const alive = `document.querySelector('main')?.inert === false`;
export const count = (player = 0) => `document.querySelectorAll('[data-count]')[${player}].textContent`;
export const phase = `document.querySelector('[data-phase]').dataset.phase`;
/** The builds whose service worker keeps pages, as names of what it keeps. */
export const keptBuilds = `caches.keys().then((names) => names.filter((name) => name.startsWith('vowstep-court-')).join())`;
export const waiting = `document.querySelector('[data-waiting]').dataset.waiting`;

/** Every event this device holds, waiting or settled, as `id kind player value text`, in order. */
export async function onDevice(page: Page, blockIds: readonly string[]): Promise<string[]> {
  return page.driver.executeAsyncScript(
    `const [blockIds, done] = arguments;
     const open = indexedDB.open('vowstep');
     open.onsuccess = async () => {
       const tx = open.result.transaction(['events', 'settled']);
       const all = (name) => new Promise((give) => { const ask = tx.objectStore(name).getAll(); ask.onsuccess = () => give(ask.result); });
       const events = [...(await all('events')), ...(await all('settled'))];
       open.result.close();
       done([...new Set(events.filter((e) => blockIds.includes(e.blockId)).map((e) => JSON.stringify([e.id, e.kind, e.playerId, e.attempt, e.value, e.ref, e.text ?? null, e.atMs])))].sort());
     };`,
    blockIds,
  );
}

/** The same of the server. */
export async function onServer(app: App, blockIds: readonly string[]): Promise<string[]> {
  const rows = await app.query(
    `select id, kind, player_id, attempt, value, ref, text, at_ms from touch_event where block_id in (${blockIds.map(() => '?').join(',')})`,
    [...blockIds],
  );
  return rows
    .map((row) =>
      JSON.stringify([row.id, row.kind, row.player_id, row.attempt, row.value, row.ref, row.text, row.at_ms]),
    )
    .sort();
}

const heading = `return document.querySelector('h1 span')?.textContent ?? ''`;

/** Turns to the next block or the one before, by a key. */
export async function turn(page: Page, key: 'n' | 'p', times = 1): Promise<void> {
  for (let n = 0; n < times; n++) await turnBy(page, () => page.keys(key));
}

/** Turns on, or back, until the page says what is looked for. */
export async function turnTo(page: Page, key: 'n' | 'p', words: string): Promise<void> {
  await seen(page, words, () => turn(page, key));
}

/** The same by the button. */
export async function nextUntil(page: Page, words: string): Promise<void> {
  await seen(page, words, () => nextBlock(page));
}

async function seen(page: Page, words: string, turned: () => Promise<void>): Promise<void> {
  // More blocks than any plan here has: what is not found by then is not there.
  for (let n = 0; n < 12 && !(await page.text()).includes(words); n++) await turned();
  await page.sees(words);
}

/**
 * One press, one turn: it waits until the page listens, and afterwards until the next press cannot be the double of this
 * one. A press that was such a double, of something else that turned the page, is done once more; one that only takes
 * long to show would turn twice, so that is long waited for.
 */
async function turnBy(page: Page, press: () => Promise<void>): Promise<void> {
  await page.becomes(alive, true);
  const before = await page.driver.executeScript<string>(heading);
  const turned = async () => (await page.driver.executeScript<string>(heading)) !== before;
  for (let n = 0; ; n++) {
    await press();
    if (await page.driver.wait(turned, patienceMs / 4).catch(() => false)) break;
    if (n === 3) throw new Error(`The page does not turn. It says:\n${await page.text()}`);
  }
  await rested(page);
}

/** Waits until a press is neither the double of one now nor too soon after it for a number to count. */
export async function rested(page: Page): Promise<void> {
  const now = await page.driver.executeScript<number>('return performance.now()');
  await page.becomes(`performance.now() - ${now} > 850`, true);
}

/** Turns to the next block by its button. */
export async function nextBlock(page: Page): Promise<void> {
  await turnBy(page, () => page.press('Next block'));
}

/** Ends the session: asked once, answered once. */
export async function finish(page: Page): Promise<void> {
  await page.press('Finish session');
  await page.press('Finish now');
}
