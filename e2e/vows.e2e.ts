import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import jsQR from 'jsqr';
import { plainBook } from '@/drills';
import { pdfPages, pdfPicture } from '../testing/pdf-picture';
import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { demoPlayer, demoSession } from '../testing/browser/demo';
import { Page, patienceMs } from '../testing/browser/page';
import { qrOnPage } from '../testing/browser/qr';

/* Vows: made from a review, taken home on a card, counted on a phone without the server, brought back; and as one file. */
let app: App;
let browser: Browser;
let page: Page;
let nessa: string;
const one = async (sql: string, values: (string | number)[] = []) => (await app.query(sql, values))[0]!;
const open = (to: string) => browser.driver.get(app.url + to);
const run = <T>(script: string) => browser.driver.executeScript<T>(`return (${script})`);

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  nessa = await demoPlayer(app, 'Nessa');
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

let link: string;
const waiting = `document.querySelector('[data-waiting]').dataset.waiting`;

test('a vow from a review: its days stand there while it is typed, and one press makes it', async () => {
  const held = await demoSession(app, { state: 'finished', player: 'Nessa' });
  await open(`/sessions/${held.id}/review`);
  await page.sees('Vows until the next time');
  await run(
    `[...document.querySelectorAll('[aria-label="Vows until the next time"] a')].find((a) => a.textContent.includes('Nessa')).click()`,
  );
  await page.sees('A vow with Nessa Quillby');
  await page.choose('Drill', 'Shadow forehand');
  await page.choose('Step', plainBook.step('shadow-forehand', 'full-and-freeze')!.title);
  await page.sees(/\d+ days/);
  // What cannot be says so, with the mend, before it is sent.
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) await page.press(day);
  await page.sees('No day is ticked: tick the days it is done on.');
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) await page.press(day);
  await page.sees('14 days');
  await page.choose('What for', 'So many good ones');
  await page.type('Good ones until', '90000');
  await page.sees('of 90000 good ones until');
  await page.choose('What for', 'Keep a habit');
  await page.sees('of the same small dose');
  // The child may choose another step, at a dose of its own.
  const other = plainBook.step('shadow-forehand', 'by-checkpoint')!;
  await page.tick(other.title);
  const own = `[...document.querySelectorAll('fieldset fieldset')].find((one) => one.textContent.startsWith('${other.title}')).querySelectorAll('input')`;
  await browser.driver.executeScript(
    `const input = ${own}[1];
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, '7');
     input.dispatchEvent(new Event('input', { bubbles: true }));`,
  );
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Make the vow');
  await page.sees('Put a link on it');
  await page.sees(`Nessa may choose: ${other.title}`);
  const vow = await one(
    `select id, promise from vow where player_id = ? order by created_at_ms desc limit 1`,
    [nessa],
  );
  expect(JSON.parse(String(vow.promise))).toMatchObject({
    weekdays: [1, 2, 3, 4, 5, 6, 7],
    aim: { kind: 'habit' },
    parts: [{ choices: [{ stepId: 'by-checkpoint', dose: { kind: 'reps', reps: 7 } }] }],
  });
  expect(
    (await one(`select count(*) as n from vow_day where vow_id = ? and state = 'asked'`, [String(vow.id)])).n,
  ).toBe(14);
});

test('a card with a link: its code is read back from the page and from the PDF', async () => {
  await page.press('Put a link on it');
  await page.sees('It is shown here once');
  link = await run<string>(`document.querySelector('[data-link] a').href`);
  expect(link).toMatch(/\/vow\/[\w-]{22}$/);
  // Only a hash of it is kept.
  const hash = createHash('sha256').update(link.split('/').at(-1)!).digest('hex');
  expect(await one(`select scope, player_id from helper_link where token_hash = ?`, [hash])).toEqual({
    scope: 'vow',
    player_id: nessa,
  });
  expect(await qrOnPage(browser.driver)).toBe(link);
  const { name, bytes: pdf } = await browser.download(() => page.press('PDF'));
  expect(name).toBe('vow.pdf');
  expect(pdfPages(pdf)).toBe(2);
  const picture = pdfPicture(pdf);
  expect(jsQR(picture.pixels, picture.width, picture.height)?.data).toBe(link);
  // The browser's own print: one side a page, on paper of that size.
  const printed = await (
    browser.driver as unknown as {
      sendAndGetDevToolsCommand(name: string, given: object): Promise<{ data: string }>;
    }
  ).sendAndGetDevToolsCommand('Page.printToPDF', { preferCSSPageSize: true });
  expect(pdfPages(Buffer.from(printed.data, 'base64'))).toBe(2);
});

test('counted on a phone with the server away, and nothing is lost over a reload', async () => {
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(link);
  await page.sees('Nessa’s vow');
  await page.sees('Everything is with your coach.');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.becomes(`document.documentElement.scrollWidth <= 390`, true);
  // One first name, and nothing else of the book.
  const whole = await run<string>(`document.documentElement.innerHTML`);
  for (const word of ['Quillby', 'Corin', 'Ottilie', 'Arching flight']) expect(whole).not.toContain(word);
  expect(await run(`document.title`)).not.toContain('Nessa');
  await browser.driver.wait(
    () =>
      browser.driver.executeAsyncScript<boolean>(
        `caches.match(location.pathname).then((kept) => arguments[0](!!kept))`,
      ),
    patienceMs,
    'The page is never kept.',
  );
  const section = `[aria-label="Shadow forehand"]`;
  const tap = async (words: string, times: number) => {
    for (let i = 0; i < times; i++)
      await run(
        `[...document.querySelectorAll('${section} button')].find((one) => one.textContent.includes('${words}')).click()`,
      );
  };
  await tap('one more rep', 2);
  await page.becomes(waiting, '0');
  await app.stop();
  await tap('one more rep', 3);
  await tap('A miss', 1);
  await page.sees('kept on this phone');
  await browser.driver.navigate().refresh();
  await page.becomes(`document.querySelector('${section} .tabular').textContent`, '5');
  await run(
    `[...document.querySelectorAll('${section} button')].find((one) => one.textContent === 'Easy').click()`,
  );
  // On a device that is the coach's as well, a page of the desk leaves what waits here alone.
  await browser.driver.get('about:blank');
  await app.start();
  await open('/');
  await page.sees('From home since the last session');
  await browser.driver.executeAsyncScript(`requestIdleCallback(() => arguments[0]())`);
  await browser.driver.get(link);
  await page.becomes(waiting, '0');
  await page.sees('Everything is with your coach.');
  const rows = await app.query(
    `select e.kind, e.by, count(*) as n from touch_event e join block b on b.id = e.block_id join session s on s.id = b.session_id
     where s.kind = 'home' and e.player_id = ? and e.device like 'home-%' and e.device not like 'home-demo-%' group by e.kind order by e.kind`,
    [nessa],
  );
  expect(rows).toEqual([
    { kind: 'drop', by: 'Home', n: 1 },
    { kind: 'note', by: 'Home', n: 1 },
    { kind: 'touch', by: 'Home', n: 5 },
  ]);
});

test('what was counted is seen on Today, the vows, the ladder and the ledger; a withdrawn link is refused at once', async () => {
  await setViewport(browser.driver, 1280, 800);
  await open('/');
  await page.sees('From home since the last session');
  await page.sees(/Nessa Quillby: \d+ days?, /);
  await open(`/players/${nessa}/vows`);
  await page.sees('5 good ones at home');
  await page.sees('felt easy');
  await open(`/players/${nessa}/progress`);
  await page.sees('of them at home');
  await open(`/players/${nessa}/vows`);
  await page.press('Withdraw all');
  await page.sees('Every link and file is withdrawn');
  const answer = await browser.driver.executeAsyncScript<number>(
    `fetch(arguments[0], { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{"events":[]}' }).then((answer) => arguments[1](answer.status))`,
    `${app.url}/api/vow/${link.split('/').at(-1)!}/touches`,
  );
  expect(answer).toBe(410);
  await browser.driver.get(link);
  await page.sees('This link does not open any more');
  // What was kept of it for a reload without the server is gone.
  await page.becomes(`caches.match(location.pathname).then((kept) => kept === undefined)`, true);
  expect(
    (await browser.faults()).filter((line) => !/410|ERR_CONNECTION_REFUSED|Failed to fetch/.test(line)),
  ).toEqual([]);
});

test('one file, opened from a disk: counted, its text pasted, taken over once, refused when altered', async () => {
  await open(`/players/${nessa}/vows`);
  const { name, bytes: html } = await browser.download(() => page.press('As one file'));
  expect(name).toBe('vow.html');
  expect(Buffer.byteLength(html)).toBeLessThan(400 * 1024);
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-file-'));
  const file = path.join(folder, 'vow.html');
  writeFileSync(file, html);
  await browser.driver.get(`file://${file}`);
  await page.sees('Nessa’s vow');
  await page.sees('Counts are kept in this browser until you send them.');
  const press = (words: string) =>
    run(
      `[...document.querySelectorAll('[aria-label="Shadow forehand"] button')].find((one) => one.textContent.includes('${words}')).click()`,
    );
  for (let i = 0; i < 4; i++) await press('one more rep');
  await browser.driver.navigate().refresh();
  await page.becomes(`document.querySelector('[aria-label="Shadow forehand"] .tabular').textContent`, '4');
  await page.press('Make the text');
  await page.find('textarea');
  const text = await run<string>(`document.querySelector('textarea').value`);
  expect(text).toMatch(/^VOWSTEP1\./);
  expect(await browser.faults()).toEqual([]);

  const paste = async (pasted: string) => {
    await open('/vows');
    await page.press('Take a text over');
    await browser.driver.executeScript(
      `const area = document.querySelector('[role=dialog] textarea');
       Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(area, arguments[0]);
       area.dispatchEvent(new Event('input', { bubbles: true }));`,
      pasted,
    );
    await page.press('Look at it');
  };
  await page.driver.get(`${app.url}/vows`);
  const middle = Math.floor(text.length / 2);
  await paste(text.slice(0, middle) + (text[middle] === 'A' ? 'B' : 'A') + text.slice(middle + 1));
  await page.sees(/changed on its way|cut off/);
  await paste(`Here it is:\n${text}\nBye`);
  await page.sees('It adds 1 mark to Nessa Quillby');
  await page.press('Take it over');
  await page.sees('1 mark of Nessa Quillby taken over.');
  await paste(text);
  await page.sees('All of it is in the book already');
  expect(
    await app.query(
      `select kind, value, by from touch_event where device like 'file-%' and device not like 'file-demo-%'`,
    ),
  ).toEqual([{ kind: 'result', value: 4, by: 'Home (file)' }]);
  rmSync(folder, { recursive: true });
});

test('every way of counting at home: by the clock, by the watch, into zones, typed; on a day that was not promised too', async () => {
  await app.query(
    `update home set kit = '[["racket",1],["ball",20],["chalk",1],["marker",10],["hoop",3],["tape",1],["raised marker",6]]', lamps = 0`,
  );
  const juno = await demoPlayer(app, 'Juno');
  const within = (drill: string) =>
    `[...document.querySelectorAll('h2')].find((one) => one.textContent === '${drill}').parentElement`;
  const press = (drill: string, words: string) =>
    run(
      `[...${within(drill)}.querySelectorAll('button')].find((one) => one.textContent.includes('${words}')).click()`,
    );
  const counted = () =>
    app.query(
      `select b.drill_id as drill, e.kind, e.value from touch_event e join block b on b.id = e.block_id
       where e.player_id = ? and e.device like 'home-%' and e.device not like 'home-demo-%' order by e.id`,
      [juno],
    );
  // The routine of the demo, inside its box of twenty seconds; on a day that was not promised it is asked for.
  await open(`/players/${juno}/vows`);
  await page.press('Make a link');
  await page.sees('For a calendar');
  const first = await run<string>(`document.querySelector('[data-link] a').href`);
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(first);
  await page.sees(/Do it anyway|Start 20 seconds/);
  if ((await page.text()).includes('Do it anyway')) await page.press('Do it anyway');
  await page.sees('Start 20 seconds');
  await press('Palm-up bounce', 'Start 20 seconds');
  await press('Palm-up bounce', 'one more touch');
  await press('Palm-up bounce', 'one more touch');
  await page.becomes(waiting, '0');
  expect((await counted()).map(({ drill, kind }) => `${String(drill)} ${String(kind)}`)).toEqual([
    'palm-up-bounce touch',
    'palm-up-bounce touch',
  ]);
  await setViewport(browser.driver, 1280, 800);

  await open(`/vows/new?player=${juno}&drill=balls-of-feet-balance`);
  await page.sees('good ones in all');
  for (const [part, drill] of [
    [2, 'Flip to a target'],
    [3, 'Ground steer'],
  ] as const) {
    await page.press('Another part');
    await page.choose(`Drill, part ${part}`, drill);
  }
  await page.setValue('Minutes a day', '15');
  for (const day of ['Sat', 'Sun']) await page.press(day);
  await page.becomes(`document.querySelector('[data-days]')?.dataset.days`, '14');
  await page.press('Make the vow');
  await page.press('Put a link on it');
  await page.sees('It is shown here once');
  const address = await run<string>(`document.querySelector('[data-link] a').href`);
  await setViewport(browser.driver, 390, 844);
  await browser.driver.get(address);
  await page.sees('Juno’s vow');
  // A hold by the watch.
  await press('Balls-of-feet balance', 'Start holding');
  await browser.driver.wait(
    () =>
      run<boolean>(
        `Number(/(\\d+\\.\\d)Stop/.exec(${within('Balls-of-feet balance')}.textContent)?.[1] ?? 0) > 0.5`,
      ),
    patienceMs,
    'The watch does not run.',
  );
  await press('Balls-of-feet balance', 'Stop');
  // A lap, started and stopped; zones; and a number that was counted aloud.
  await press('Ground steer', 'Start the watch');
  await browser.driver.wait(
    () =>
      run<boolean>(`Number(/(\\d+\\.\\d)Stop/.exec(${within('Ground steer')}.textContent)?.[1] ?? 0) > 0.5`),
    patienceMs,
    'The watch does not run.',
  );
  await press('Ground steer', 'Stop');
  await run(`${within('Flip to a target')}.querySelector('button[class*="min-h-20"]').click()`);
  await run(
    `[...${within('Flip to a target')}.querySelectorAll('button[class*="min-h-20"]')].at(-1).click()`,
  );
  await press('Ground steer', 'Type the number');
  await page.type('Counted', 'ten');
  await press('Ground steer', 'Keep it');
  await page.sees('Type a number from 0 to 10000');
  await page.type('Counted', '12,5');
  await press('Ground steer', 'Keep it');
  await page.becomes(waiting, '0');
  const kinds = (await counted()).slice(2);
  expect(kinds.map(({ drill, kind }) => `${String(drill)} ${String(kind)}`)).toEqual([
    'balls-of-feet-balance hold',
    'ground-steer lap',
    'flip-to-a-target zone',
    'flip-to-a-target zone',
    'ground-steer result',
  ]);
  expect(kinds.at(-1)!.value).toBe(12.5);
  await setViewport(browser.driver, 1280, 800);
});

test('a coach lets a vow rest, ends it and takes that back, on a narrow screen too', async () => {
  await open('/vows');
  await page.press('More on Racket wall rally of Nessa Quillby');
  await page.press('Let it rest');
  await page.sees('Holidays, a cold: only coaches see it.');
  await page.type('Why', 'Half term');
  await browser.driver.executeScript(
    `document.querySelector('[role=dialog] form button[type=submit]').click()`,
  );
  await page.sees('Racket wall rally rests.');
  await page.becomes(`document.querySelector('[data-vow="Racket wall rally"]').dataset.state`, 'rests');
  await page.press('Go on');
  await page.becomes(`document.querySelector('[data-vow="Racket wall rally"]').dataset.state`, 'runs');
  await page.press('End it');
  await page.becomes(`document.querySelector('[data-vow="Racket wall rally"]').dataset.state`, 'ended');
  await page.press('More on Racket wall rally of Nessa Quillby');
  await page.press('Let it go on');
  await page.becomes(`document.querySelector('[data-vow="Racket wall rally"]').dataset.state`, 'runs');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await setViewport(browser.driver, 390, 844);
  await page.becomes(`document.documentElement.scrollWidth <= 390`, true);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await setViewport(browser.driver, 1280, 800);
});
