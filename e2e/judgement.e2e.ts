import { openApp, type App } from '../testing/browser/app';
import { axeViolations } from '../testing/browser/axe';
import { openBrowser, setViewport, type Browser } from '../testing/browser/browser';
import { demoPlayer } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';

/* What the log says of players: progress, who needs the coach, schools, a family's page, challenges. */
let app: App;
let browser: Browser;
let page: Page;
const one = async (sql: string, values: (string | number)[] = []) => (await app.query(sql, values))[0]!;

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});
const open = (path: string) => browser.driver.get(app.url + path);

test('the coach’s school proposes, and one press accepts it', async () => {
  // The blocks that were held last: in one of them two schools say different things of somebody.
  const held = await app.query(
    `select b.id, b.session_id as session from block b join session s on s.id = b.session_id
     where s.state = 'finished' and s.kind = 'court' order by s.day desc, s.start_time desc, b.position limit 12`,
  );
  const proposed = `[...document.querySelectorAll('[data-player]')].map((line) => line.dataset.player + ' ' + /Proposed: ([a-z ]+)/.exec(line.innerText)?.[1])`;
  const review = async ({ id, session }: (typeof held)[number]) => {
    await open(`/sessions/${String(session)}/review?block=${String(id)}`);
    await page.sees('Review');
    return browser.driver.executeScript<string[]>(`return ${proposed}`);
  };
  const byRow: string[][] = [];
  for (const block of held) byRow.push(await review(block));
  await open('/schools');
  await page.tick('own best plus one');
  await page.sees('When to move up: own best plus one.');
  let line: string | undefined;
  for (const [n, block] of held.entries()) {
    line = (await review(block)).find((said) => said.endsWith('up a step') && !byRow[n]!.includes(said));
    if (line) break;
  }
  expect(line).toBeDefined();
  const up = line!.replace(' up a step', '');
  const accept = `[...document.querySelector('[data-player="${up}"]').querySelectorAll('button')].at(-1)`;
  await browser.driver.executeScript(`${accept}.click()`);
  await page.becomes(`${accept}.textContent`, 'Decided');
  const decided = await one(
    `select d.verdict, d.reason, d.overridden from decision d join player p on p.id = d.player_id where p.name = ? order by d.decided_at_ms desc, d.block_id desc limit 1`,
    [up],
  );
  expect(decided).toMatchObject({ verdict: 'up', overridden: 0 });
  expect(decided.reason).toContain('Best ever');
  // All four stand side by side behind the proposal.
  await page.press('Proposed:');
  await page.sees('Own best plus one (proposes)');
  await page.sees('Would change its mind:');
});

test('progress: a ladder opens by a press, its chance opens to what it is made of', async () => {
  await open(`/players/${await demoPlayer(app, 'Nessa')}`);
  await page.press('Progress');
  await page.sees('What is next, and when');
  await page.press('Ring target');
  await page.sees('Ring target: ');
  await page.becomes(`document.querySelectorAll('[data-school]').length`, 4);
  await page.press('of days');
  await page.sees('Chance of the mark on a day');
  await page.sees('Days with counts on this step');
  await page.press('What counts towards it');
  await page.type('Good repetitions', '40');
  await page.press('Save');
  await page.sees('Repetitions must be at least 50');
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.type('Good repetitions', '3000');
  await page.press('Save');
  await page.sees('of 3,000 good repetitions');
});

test('the family’s page is one child’s alone, and prints on paper', async () => {
  await open(`/players/${await demoPlayer(app, 'Nessa')}/progress`);
  await page.press('For the family');
  await page.sees('What got better');
  const others = (await app.query(`select name from player where name not like 'Nessa%'`)).map(
    ({ name }) => String(name).split(' ')[0]!,
  );
  const text = await browser.driver.executeScript<string>(`return document.querySelector('main').innerText`);
  for (const name of others) expect(text).not.toContain(name);
  const chromium = browser.driver as unknown as {
    sendAndGetDevToolsCommand(command: string, options: object): Promise<{ data: string }>;
  };
  const { data } = await chromium.sendAndGetDevToolsCommand('Page.printToPDF', { preferCSSPageSize: true });
  const pdf = Buffer.from(data, 'base64');
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)!.length).toBeLessThanOrEqual(2);
});

test('who needs you: one press puts a ladder into the next plan; a word on counting settles it, and is taken back', async () => {
  await open('/squad');
  await page.press('Who needs you');
  await page.sees('A word about counting');
  const counting = `[...document.querySelectorAll('[data-need="counting"]')].map((row) => row.dataset.player)`;
  // On court he taps twice. That a row at home ends where it is asked to end is no doubt.
  await page.becomes(counting, ['Corin Oakhaven', 'Teo Windlestraw']);
  await page.press('Counted right');
  await page.sees('Corin Oakhaven counted right: settled.');
  await page.becomes(counting, ['Teo Windlestraw']);
  await page.press('Undo');
  await page.becomes(counting, ['Corin Oakhaven', 'Teo Windlestraw']);
  // What is to be corrected is one press away: the session that has most of it.
  await page.press('Correct ');
  await page.becomes(`/^\\/sessions\\/\\w{26}\\/counts$/.test(location.pathname)`, true);
  await page.sees('Corin Oakhaven');
  await open('/squad/needs');
  const blocks = async () => Number((await one(`select count(*) as n from block`)).n);
  const before = await blocks();
  await page.press('Into ');
  await page.sees('It is at the end of');
  expect(await blocks()).toBe(before + 1);
});

test('a level-ground challenge with two ages is made, run and read from its board', async () => {
  await open('/squad/challenges');
  await page.press('Make a challenge');
  await page.sees('Half a minute');
  await page.press('Make it');
  await page.sees('Name is missing');
  await page.type('Name', 'Two ages');
  await page.choose('Drill', 'Marker touches');
  await page.choose('Step', 'Called side');
  await page.choose('Kind', 'Level ground');
  await page.type('Attempts each', '2');
  // Everybody is ticked: all but the youngest and the oldest are unticked.
  const names = (await app.query(`select name from player order by name`)).map(({ name }) => String(name));
  for (const name of names.filter((one) => !/^(Pia|Teo)/.test(one))) await page.tick(name);
  expect(await axeViolations(browser.driver)).toEqual([]);
  await page.press('Make it');
  await page.sees('to be expected.');
  // The rules by age are worked out: the smaller one has the shorter time.
  await page.becomes(
    `[...document.querySelectorAll('[data-age-rules] > div')].map((row) => row.innerText.replace(/\\s+/g, ' '))`,
    ['5 years 2 × 25 s, 25 s rest', '14 years 4 × 25 s, 25 s rest'],
  );
  const line = (name: string) => `document.querySelector('[data-line^="${name}"]').innerText`;
  const expected = async (name: string) =>
    Number(/About ([\d.]+)/.exec(await browser.driver.executeScript<string>(`return ${line(name)}`))![1]);
  const [small, big] = [await expected('Pia'), await expected('Teo')];
  const type = async (name: string, result: number) => {
    await page.choose('Player', name);
    await page.type('Result', String(result));
    await page.press('Put it on the board');
    await page.sees(`${name}: ${result} in the time`);
  };
  // Better than expected of five years, worse than of fourteen: the small one is above, though the number is smaller or the same.
  await type('Pia Tarnbell', Math.ceil(small) + 2);
  await type('Teo Windlestraw', Math.floor(big) - 2);
  await page.becomes(`${line('Pia')}.includes('above')`, true);
  await page.becomes(`${line('Teo')}.includes('above')`, false);
  await page.sees('Moved most so far: Pia Tarnbell.');
  await page.sees('1 attempt left');
  const board = await browser.driver.getCurrentUrl();
  await page.press('Certificate');
  await page.sees('More than could be expected');
  await browser.driver.get(board);
  await page.press('Take back');
  await page.sees('The result was taken back.');
  await page.becomes(`${line('Pia')}.includes('above')`, false);
  await page.press('Undo');
  await page.becomes(`${line('Pia')}.includes('above')`, true);
  expect(await browser.faults()).toEqual([]);
  await setViewport(browser.driver, 390, 844);
  await open('/squad/challenges');
  await page.sees('Two ages');
  await page.becomes('document.documentElement.scrollWidth <= innerWidth', true);
});
