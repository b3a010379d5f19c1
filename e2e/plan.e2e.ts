import { Key } from 'selenium-webdriver';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { Page, patienceMs } from '../testing/browser/page';
import { nextUntil } from '../testing/browser/session';

/* What a coach does to a plan of the demo: every change shows at once in minutes, fit and care, and can be taken back. */
let app: App;
let browser: Browser;
let page: Page;
const ids: Record<string, string> = {};

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  for (const row of await app.query(`select id, title from session where state = 'planned'`))
    ids[row.title as string] = row.id as string;
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

const titles = `[...document.querySelectorAll('[data-block]')].map((piece) => piece.querySelector('[data-title]').textContent)`;
const saved = `document.querySelector('[role=status]').textContent`;

/** Seconds of the piece of tape with these words. */
async function secondsOf(title: string): Promise<number> {
  const text = await browser.driver.executeScript<string>(
    `return [...document.querySelectorAll('[data-block]')].find((piece) => piece.textContent.includes(arguments[0])).querySelector('.tabular').textContent`,
    title,
  );
  const [minutes, seconds] = text.split(':').map(Number);
  return minutes! * 60 + seconds!;
}
async function becomesSeconds(title: string, wanted: (seconds: number) => boolean): Promise<void> {
  let last = 0;
  await browser.driver
    .wait(async () => wanted((last = await secondsOf(title))), patienceMs)
    .catch(() => {
      throw new Error(`${title} takes ${last} s.`);
    });
}
async function open(session: string, block?: string): Promise<void> {
  // What was changed last goes first: a page that is torn away in the same moment would ask before it leaves.
  await page.becomes(`document.querySelector('[role=status]')?.textContent ?? 'Saved'`, 'Saved');
  await browser.driver.get(`${app.url}/sessions/${ids[session]}/plan`);
  await page.sees('Add a drill');
  if (block)
    await browser.driver.executeScript(
      `[...document.querySelectorAll('[data-block]')].find((piece) => piece.textContent.includes(arguments[0])).click()`,
      block,
    );
  if (block) await page.sees(new RegExp(`\\d\\. ${block}`));
}
async function setNumber(name: string, value: string): Promise<void> {
  const input = await page.find(`input[aria-label="${name}"]`);
  await browser.driver.executeScript('arguments[0].select()', input);
  await input.sendKeys(value, Key.ENTER);
}

describe('the shape of a session', () => {
  test('it opens with a retest of the last one, which has its own share', async () => {
    await open('Wall and feet');
    const before = await browser.driver.executeScript<string[]>(`return ${titles}`);
    await page.press('Open with a retest');
    await page.sees('(retest)');
    await page.becomes(`${titles}.length`, before.length + 1);
    await page.sees(/Retest\s+\d+\s%\s+of 8\s% suggested/);
    // One retest is enough.
    await page.becomes(`document.body.textContent.includes('Open with a retest')`, false);
    await page.press('Undo');
    await page.becomes(titles, before);
  });

  test('a second station halves the turns; the plan says how long each waits', async () => {
    await open('Wall and feet', 'Ring target');
    await page.sees(/2 turns/);
    await page.sees(/waits \d/);
    const before = await secondsOf('Ring target');
    await setNumber('Stations', '2');
    await becomesSeconds('Ring target', (seconds) => seconds < before);
    await page.becomes(`document.querySelector('[aria-label=Block]').textContent.includes('2 turns')`, false);
    await setNumber('Stations', '99');
    // What cannot be is not saved; Escape brings back what was.
    await page.becomes(saved, 'Not saved: a number is not finished');
    await page.keys(Key.ESCAPE);
    await page.becomes(`document.querySelector('input[aria-label=Stations]').value`, '2');
    await page.press('Undo');
    await becomesSeconds('Ring target', (seconds) => seconds === before);
  });

  test('a number counts as it is typed; one that cannot be is never called saved', async () => {
    const stations = `document.querySelector('input[aria-label=Stations]').value`;
    await open('Wall and feet', 'Ring target');
    const before = await browser.driver.executeScript<string>(`return ${stations}`);
    const input = await page.find('input[aria-label="Stations"]');
    await browser.driver.executeScript('arguments[0].select()', input);
    // No Enter, and the finger stays in the field.
    await input.sendKeys('3');
    await page.becomes(saved, 'Saved');
    const stored = await app.query(
      `select b.stations from block b where b.session_id = ? and b.drill_id = 'ring-target'`,
      [ids['Wall and feet']!],
    );
    expect(stored).toEqual([{ stations: 3 }]);
    await input.sendKeys('9');
    await page.becomes(saved, 'Not saved: a number is not finished');
    await page.becomes(stations, '39');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await browser.driver.executeScript('arguments[0].select()', input);
    await input.sendKeys(before);
    await page.becomes(saved, 'Saved');
  });

  test('a drink after a block takes its minute', async () => {
    await open('Wall and feet', 'Marker touches');
    const before = await secondsOf('Marker touches');
    await setNumber('Drink after, s', '60');
    await becomesSeconds('Marker touches', (seconds) => seconds === before + 60);
    await page.sees('drink 1 min');
    await page.press('Undo');
    await becomesSeconds('Marker touches', (seconds) => seconds === before);
  });

  test('breathless: one press, less of the same', async () => {
    await open('Wall and feet', 'Shadow forehand');
    const before = await secondsOf('Shadow forehand');
    await page.press('Breathless: shorten');
    await becomesSeconds('Shadow forehand', (seconds) => seconds < before);
    await page.becomes(saved, 'Saved');
    await page.press('Undo');
    await becomesSeconds('Shadow forehand', (seconds) => seconds === before);
  });

  test('one player’s own amount changes that player, and is kept', async () => {
    await open('Wall and feet', 'Clap and catch');
    const value = async (name: string) =>
      (await page.find(`input[aria-label="Amount of ${name}"]`)).getAttribute('value');
    const [juno, teo] = [await value('Juno Saltgarth'), await value('Teo Windlestraw')];
    await setNumber('Amount of Juno Saltgarth', '3');
    await page.becomes(saved, 'Saved');
    expect(await value('Juno Saltgarth')).toBe('3');
    expect(await value('Teo Windlestraw')).toBe(teo);
    await browser.driver.navigate().refresh();
    await open('Wall and feet', 'Clap and catch');
    expect(await value('Juno Saltgarth')).toBe('3');
    await setNumber('Amount of Juno Saltgarth', juno!);
    await page.becomes(saved, 'Saved');
  });

  test('a player who comes has a part in every block, and one who leaves has none', async () => {
    await open('Table and wall', 'Palm-up bounce');
    await page.tick('Teo Windlestraw');
    await page.find('select[aria-label="Own step of Teo Windlestraw"]');
    await page.becomes(saved, 'Saved');
    const parts = `select count(*) as n from block_player p join block b on b.id = p.block_id
      join player q on q.id = p.player_id where b.session_id = ? and q.name like 'Teo%'`;
    expect(await app.query(parts, [ids['Table and wall']!])).toEqual([{ n: 6 }]);
    await page.press('Undo');
    await page.becomes(
      `document.querySelectorAll('select[aria-label="Own step of Teo Windlestraw"]').length`,
      0,
    );
    await page.becomes(saved, 'Saved');
    expect(await app.query(parts, [ids['Table and wall']!])).toEqual([{ n: 0 }]);
  });
});

describe('where it is held', () => {
  async function book(change: () => Promise<void>): Promise<void> {
    await page.press('Booking');
    await change();
    await page.press('Change the booking');
    await page.becomes(`document.querySelectorAll('[role=dialog]').length`, 0);
  }

  test('in a living room the wall drill does not fit, is warned of, and goes out with one press', async () => {
    await open('Wall and feet', 'Racket wall rally');
    await page.becomes(`document.querySelector('[aria-label=Block] [data-fit]').dataset.fit`, 'fits');
    await book(() => page.choose('Place', 'Living room at home'));
    await page.becomes(`document.querySelector('[aria-label=Block] [data-fit]').dataset.fit`, 'no');
    await page.sees('it needs a wall that may be hit, and Living room at home has none');
    await page.sees('Racket wall rally hits a wall, and no wall at Living room at home may be hit.');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('Take Racket wall rally out');
    await page.becomes(`${titles}.some((title) => title.includes('Racket wall rally'))`, false);
    await page.press('Undo');
    await page.press('Undo');
    await page.becomes(`${titles}.some((title) => title.includes('Racket wall rally'))`, true);
  });

  test('in the heat a drink is due sooner, and very hot air stops the work', async () => {
    await open('Wall and feet');
    await page.press('Care');
    const drinks = `document.querySelectorAll('[aria-label=Catalogue] [data-rule="drink break"]').length`;
    const cool = await browser.driver.executeScript<number>(`return ${drinks}`);
    await book(() => page.type('Air, °C', '33'));
    await page.becomes(`${drinks} > ${cool}`, true);
    await page.sees('at 33 °C');
    await book(() => page.type('Air, °C', '36'));
    await page.sees('36 °C is too hot for running work with children');
    await page.press('Undo');
    await page.press('Undo');
    await page.becomes(drinks, cool);
  });

  test('in the quiet hours of the yard the wall rests', async () => {
    await open('Hands and strokes', 'Racket wall rally');
    await book(async () => {
      const start = await page.field('Start');
      await browser.driver.executeScript(
        `const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
         set.call(arguments[0], '13:30');
         arguments[0].dispatchEvent(new Event('input', { bubbles: true }));`,
        start,
      );
    });
    await page.sees(
      'Racket wall rally hits the wall inside the quiet hours of Slipway yard (13:00 to 15:00).',
    );
    await page.press('Undo');
    await page.becomes(`document.body.textContent.includes('inside the quiet hours')`, false);
  });
});

describe('care, schools and the ladder', () => {
  test('an open care note names the block that loads it, and the player sits it out', async () => {
    await open('Wall and feet');
    await page.press('Add Fast hand');
    await page.sees('Fast hand loads what the note is about. Bram Ellerwick');
    await page.press('Bram Ellerwick sits it out');
    await page.becomes(
      `document.querySelector('input[aria-label="Bram Ellerwick sits this block out"]').checked`,
      true,
    );
    await page.becomes(
      `document.querySelector('[aria-label=Block]').textContent.includes('loads what the note')`,
      false,
    );
    await page.press('Undo');
    await page.press('Undo');
    await page.becomes(`${titles}.some((title) => title.includes('Fast hand'))`, false);
  });

  test('one coach’s stretches are held for fifteen seconds, another’s for ten', async () => {
    const held = `[...document.querySelectorAll('[aria-label=Block] label')].find((label) => label.textContent.startsWith('Reach tall')).parentElement.querySelector('input').value`;
    for (const [session, seconds] of [
      ['Table and wall', '15'],
      ['Hands and strokes', '10'],
    ] as const) {
      await open(session);
      await page.press('Add Shoulder and side series');
      await page.choose('Step', 'Standing series');
      await page.becomes(held, seconds);
      await page.press('Undo');
      await page.press('Undo');
      await page.becomes(`${titles}.some((title) => title.includes('Shoulder and side'))`, false);
    }
    await page.becomes(saved, 'Saved');
  });

  test('on court each has their own step on the tile, and care has its sheet', async () => {
    await page.becomes(saved, 'Saved');
    // Nessa is put on a step of her own.
    const [{ id: block }] = (await app.query(
      `select id from block where session_id = ? and drill_id = 'clap-and-catch'`,
      [ids['Wall and feet']!],
    )) as [{ id: string }];
    await app.query(`update block set step_id = 'one-clap' where id = ?`, [block]);
    await app.query(
      `update block_player set step_id = case when player_id in (select id from player where name like 'Nessa%') then 'three-claps' else 'one-clap' end where block_id = ?`,
      [block],
    );
    await browser.driver.get(`${app.url}/sessions/${ids['Wall and feet']}/run`);
    await page.sees('Start block');
    await nextUntil(page, 'Clap and catch');
    await page.becomes(
      `document.querySelector('section[aria-label="Nessa Quillby"]').textContent.includes('Three claps')`,
      true,
    );
    await page.becomes(
      `document.querySelector('section[aria-label="Pia Tarnbell"]').textContent.includes('One clap')`,
      false,
    );
    await page.press('Care');
    await page.sees('Local rules and licensed practice come first.');
    await page.sees('Right wrist is healing');
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('Close');
    expect(await browser.faults()).toEqual([]);
  });
});

test('everything that was changed was taken back: the plans are as they were', async () => {
  const changed = await app.query(`select changes, stations, break_s, retest from block b
    join session s on s.id = b.session_id where s.state = 'planned' and (b.changes <> '[]' or b.stations <> 1 or b.retest <> 0)`);
  expect(changed).toEqual([]);
  expect(
    await app.query(`select count(*) as n from session where state = 'planned' and air_c is not null`),
  ).toEqual([{ n: 0 }]);
});

describe('the builder', () => {
  const built = (at: number) =>
    `[...document.querySelectorAll('[data-proposal]')[${at}].querySelectorAll('[data-built]')].map((row) => row.dataset.built)`;
  const proofs = `[...document.querySelectorAll('[data-proposal]')].map((one) => one.dataset.proposal).join()`;
  const plan = `[...document.querySelectorAll('[data-block]')].length`;
  /** Something is known of the first way; the rest of a long session is proven for longer than a walk has time. */
  const judged = () => page.becomes(`/^(proven|within)/.test(${proofs})`, true, 120_000);
  /** A proof takes a solver as long as it takes: seconds here, a minute on a machine that has other work. */
  const proven = () => page.becomes(proofs, 'proven,proven', 120_000);

  test('from an empty plan to a session that is proven best, changed, taken, undone and run', async () => {
    await browser.driver.get(`${app.url}/sessions`);
    await page.press('Plan a session');
    await page.type('Title', 'Built');
    await page.choose('Place', 'Rope hall');
    await page.type('Minutes booked', '25');
    for (const name of ['Nessa Quillby', 'Juno Saltgarth']) await page.tick(name);
    await page.openPlan();
    await page.sees('The tape is empty');
    await page.press('Build');
    // Two ways at once; then what the solver says of them, in a worker that alone may compile WebAssembly.
    await proven();
    await page.sees('Proven best of those that share at most half with the first.');
    const first = await browser.driver.executeScript<string[]>(`return ${built(0)}`);
    const other = await browser.driver.executeScript<string[]>(`return ${built(1)}`);
    expect(first.length).toBeGreaterThan(3);
    expect(other.filter((id) => first.includes(id)).length).toBeLessThanOrEqual(first.length / 2);
    expect(await axeViolations(browser.driver)).toEqual([]);
    expect(await browser.faults()).toEqual([]);

    // One thing is not wanted, another has to stay: built again at once.
    const [gone, stays] = [first[1]!, first[2]!];
    const press = (id: string, label: string) =>
      browser.driver.executeScript(
        `[...document.querySelector('[data-proposal] [data-built="${id}"]').querySelectorAll('button')].find((one) => one.getAttribute('aria-label').startsWith('${label}')).click()`,
      );
    await press(stays, 'Keep');
    await press(gone, 'Not ');
    await page.becomes(`${built(0)}.includes('${gone}') || !${built(0)}.includes('${stays}')`, false);
    await proven();
    await page.sees('Kept: ');
    const wanted = await browser.driver.executeScript<string[]>(`return ${built(0)}`);
    await page.press('Take it');
    await page.becomes(plan, wanted.length);
    await page.becomes(saved, 'Saved');
    const rows = await app.query(
      `select drill_id from block b join session s on s.id = b.session_id where s.title = 'Built' order by b.position`,
    );
    expect(rows.map((row) => row.drill_id)).toEqual(wanted);
    expect(await browser.driver.executeScript(`return document.body.innerText.includes(' over')`)).toBe(
      false,
    );
    await page.press('Undo');
    await page.becomes(plan, 0);
    await page.press('Redo');
    await page.becomes(plan, wanted.length);
    await page.becomes(saved, 'Saved');

    // Built on: what is planned can stay, and one block of another way comes to it.
    await page.press('Build');
    await proven();
    const chip = `document.querySelector('[role=dialog] fieldset button')`;
    await browser.driver.executeScript(`${chip}.click()`);
    await page.becomes(`${chip}.getAttribute('aria-pressed')`, 'true');
    await page.becomes(`${built(0)}.includes('${wanted[0]}')`, true);
    await proven();
    await browser.driver.executeScript(
      `document.querySelectorAll('[data-proposal]')[1].querySelector('[aria-label^="Only "]').click()`,
    );
    await page.press('Close');
    await page.becomes(plan, wanted.length + 1);
    await page.becomes(saved, 'Saved');
    await page.press('Run');
    await page.sees('Start block');
  });

  test('what cannot be is a sentence with the mend; looking on can be stopped', async () => {
    await browser.driver.get(`${app.url}/sessions`);
    await page.press('Plan a session');
    await page.type('Title', 'At home');
    await page.choose('Place', 'Living room at home');
    await page.tick('Nessa Quillby');
    await page.openPlan();
    await page.press('Build');
    await proven();
    await page.choose('Has to be in', 'Racket wall rally');
    await page.sees(/Racket wall rally was asked for and cannot be: .*Leave it out, or change that\./);
    await page.press('Take off: In: Racket wall rally');
    await proven();
    await page.press('Close');

    // Much to prove: stopped on the way, with what is there so far.
    await browser.driver.get(`${app.url}/sessions`);
    await page.press('Plan a session');
    await page.type('Title', 'Everybody');
    await page.choose('Place', 'Rope hall');
    await page.type('Minutes booked', '90');
    for (const { name } of await app.query(`select name from player where sport = 'tennis'`))
      await page.tick(String(name));
    await page.openPlan();
    await page.press('Build');
    await page.press('That will do');
    await page.sees(/Stopped there\.|was not looked at\.|Proven best\./);
    await page.press('Build again');
    await page.press('Take it');
    await page.becomes(`${plan} > 5`, true);
    await page.becomes(saved, 'Saved');

    // The same again, but built anew: one press on the sheet it is planned again on.
    await browser.driver.get(`${app.url}/sessions`);
    await browser.driver.executeScript(
      `document.querySelector('[aria-label^="Plan Everybody again"]').click()`,
    );
    await page.press('Build it anew');
    await page.sees('Build the session');
    await page.sees('Planned now; press what has to stay');
    await judged();

    // It rains, and Nessa is away: built where there is a roof, for those who come, and taken with both.
    await page.choose('Where', 'Slipway yard, in the open');
    await page.choose('Where', 'Rope hall, under a roof');
    await browser.driver.executeScript(
      `[...document.querySelectorAll('[role=dialog] label')].find((one) => one.textContent === 'Nessa Quillby').click()`,
    );
    await judged();
    expect(await axeViolations(browser.driver)).toEqual([]);
    await page.press('Take it');
    await page.becomes(`${plan} > 3`, true);
    await page.becomes(saved, 'Saved');
    const [rainy] = await app.query(
      `select s.place_name as place, (select count(*) from session_player sp join player p on p.id = sp.player_id where sp.session_id = s.id and p.name = 'Nessa Quillby') as nessa
       from session s where s.title = 'Everybody' order by s.created_at_ms desc limit 1`,
    );
    expect(rainy).toEqual({ place: 'Rope hall', nessa: 0 });
  });
});
