import { readFileSync, renameSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { By } from 'selenium-webdriver';
import { ulid } from 'ulid';
import { plainBook } from '@/drills';
import { openApp, type App } from '../testing/browser/app';
import { openBrowser, type Browser } from '../testing/browser/browser';
import { demoBlock, demoPlayer, demoSession } from '../testing/browser/demo';
import { Page } from '../testing/browser/page';

/* What a stranger, a full disk or a locked file may do: the server says so in a sentence, and goes on. */
let app: App;
let browser: Browser;
let page: Page;
let run: { session: string; block: string; player: string };

beforeAll(async () => {
  [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
  page = new Page(browser.driver);
  const session = (await demoSession(app, { state: 'planned', drill: 'clap-and-catch', player: 'Nessa' })).id;
  const block = await demoBlock(app, session, 'clap-and-catch');
  run = { session, block, player: await demoPlayer(app, 'Nessa') };
});
afterAll(async () => {
  await browser?.close();
  await app?.close();
});

interface Manifest {
  readonly node: Readonly<Record<string, object>>;
}
/** Ids of every server action there is. */
const actionIds = Object.keys(
  (JSON.parse(readFileSync(path.resolve('.next/server/server-reference-manifest.json'), 'utf8')) as Manifest)
    .node,
);

const event = (more: object = {}) => ({
  id: ulid(),
  blockId: run.block,
  playerId: run.player,
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  atMs: Date.now(),
  monoMs: 5,
  device: 'stranger',
  ...more,
});
const post = (address: string, body: BodyInit, headers: Record<string, string> = {}) =>
  fetch(app.url + address, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json', ...headers },
  });
const all = async () =>
  JSON.stringify(
    await Promise.all(
      ['player', 'session', 'block', 'touch_event', 'own_drill', 'place'].map((table) =>
        app.query(`select count(*) as n from ${table}`),
      ),
    ),
  );

describe('an action posted to', () => {
  const act = (address: string, headers: Record<string, string>) =>
    post(address, '[{"name":"Eve","birthYear":2016,"sport":"tennis","hand":"right"}]', {
      'content-type': 'text/plain;charset=UTF-8',
      ...headers,
    });
  const addresses = [
    '/calls/x',
    '/sw.jsx',
    '/icon.svgx',
    '/_next/static/x',
    '/_next/data/x',
    '/squad',
    '/nowhere',
  ];

  test.each(addresses)('%s from another site does nothing, whatever it is', async (address) => {
    const before = await all();
    for (const id of actionIds) {
      const strange: Record<string, string>[] = [
        { origin: 'http://evil.example' },
        { 'sec-fetch-site': 'cross-site' },
        {},
      ];
      for (const headers of strange) {
        const answer = await act(address, { 'next-action': id, ...headers });
        expect(answer.status).toBeGreaterThanOrEqual(400);
        expect(answer.status).toBeLessThan(500);
        expect(answer.headers.get('content-security-policy')).toBeTruthy();
      }
    }
    expect(await all()).toBe(before);
  });

  test('a page by our own page, too long, is refused in words', async () => {
    const answer = await post('/squad', JSON.stringify([{ name: 'x'.repeat(600_000) }]), {
      'next-action': actionIds[0]!,
      origin: app.url,
    });
    expect([answer.status, await answer.text()]).toEqual([413, expect.stringContaining('over 512 KB')]);
  });
});

test('text with half a character is refused, and the server goes on reading', async () => {
  const note = event({ kind: 'note', text: 'Well done \ud83c' });
  const answer = await post('/api/touches', JSON.stringify({ events: [note] }));
  expect([answer.status, await answer.text()]).toEqual([400, expect.stringContaining('whole letters')]);
  expect((await fetch(`${app.url}/sessions/${run.session}/review`)).status).toBe(200);
});

test.each(['/squad%E0%A4%A', '/players/%ED%A0%BD', '/help/%', '/api/sessions/%E0%A4%A/touches'])(
  '%s is refused, not a fault',
  async (address) => {
    expect((await fetch(app.url + address)).status).toBe(400);
  },
);

test.each([
  '/drills/__proto__',
  '/drills/constructor',
  '/players/%00',
  '/sessions/toString/run',
  '/benches/valueOf',
])('%s is nothing that is here', async (address) =>
  expect((await fetch(app.url + address)).status).toBe(404),
);

describe('tracks', () => {
  const wish = (more: object = {}) =>
    JSON.stringify({ format: 'wav', name: 'x', tempoPerMin: 90, rounds: 1, workS: 60, restS: 0, ...more });

  test('are made for our own pages only, one at a time, and no longer than somebody takes them', async () => {
    expect((await fetch(`${app.url}/api/track?format=wav&tempoPerMin=90`)).status).toBe(405);
    expect((await post('/api/track', wish(), { origin: 'http://evil.example' })).status).toBe(403);
    const half = wish({ rounds: 3, workS: 590 });
    const asked = Array.from({ length: 20 }, async () => {
      const leave = new AbortController();
      const answer = await fetch(`${app.url}/api/track`, {
        method: 'POST',
        body: half,
        headers: { 'content-type': 'application/json' },
        signal: leave.signal,
      }).catch(() => null);
      const status = answer?.status ?? 0;
      await answer?.body?.getReader().read();
      leave.abort();
      return status;
    });
    // Meanwhile the court is served.
    expect((await post('/api/touches', JSON.stringify({ events: [event()] }))).status).toBe(200);
    const answers = await Promise.all(asked);
    expect(new Set(answers)).toEqual(new Set([200, 503]));
    expect(answers.filter((status) => status === 200).length).toBeGreaterThan(1);
    // Nobody stands in the line any more.
    const whole = await post('/api/track', wish());
    expect((await whole.arrayBuffer()).byteLength).toBe(Number(whole.headers.get('x-bytes')));
    expect(whole.headers.get('cache-control')).toBe('no-store');
  });
});

describe('files of drills', () => {
  test('over 3 MB are answered with a sentence, and so is what is no file of drills', async () => {
    const big = JSON.stringify({ format: 'vowstep-catalogue', version: 2, drills: ['x'.repeat(3_200_000)] });
    const answer = await post('/api/drills', big);
    expect([answer.status, await answer.text()]).toEqual([413, expect.stringContaining('body is over 3 MB')]);
    const strange = await post(
      '/api/drills',
      '{"format":"vowstep-catalogue","version":2,"drills":[{"__proto__":{"x":1}}]}',
    );
    expect(await strange.text()).toContain('cannot be taken');
    expect((await post('/api/drills', '{"drills":', {})).status).toBe(400);
  });

  test('say how far they are, a line at a time, and what is here already is passed over', async () => {
    const file = await (await fetch(`${app.url}/api/drills`)).text();
    const news = (await (await post('/api/drills', file)).text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as object);
    expect(news[0]).toMatchObject({ checked: 1 });
    expect(news.at(-1)).toEqual({ done: { ids: [], same: news.length - 1 } });
  });
});

test('a helper’s page carries nothing of the book, and no action of anybody’s', async () => {
  await browser.driver.get(`${app.url}/sessions/${run.session}/run`);
  await page.press('More');
  const [name] = await app.query('select name from player where id = ?', [run.player]);
  await page.press(`Link to count ${name!.name as string}`);
  const link = (await (await page.find('[data-helper-link]')).getAttribute('value'))!;
  const own = `own-${ulid()}`;
  await app.query('insert into own_drill (id, drill, created_at_ms) values (?, ?, 0)', [
    own,
    JSON.stringify({ ...plainBook.drill('carry')!, id: own, title: 'Nobody’s business' }),
  ]);
  const html = await (await fetch(link)).text();
  const scripts = [...html.matchAll(/\/_next\/static\/[\w./~-]+\.js/g)].map(([address]) => address);
  expect(scripts.length).toBeGreaterThan(3);
  const texts = await Promise.all(
    [...new Set(scripts)].map(async (one) => (await fetch(app.url + one)).text()),
  );
  for (const text of [html, ...texts]) for (const id of actionIds) expect(text).not.toContain(id);
  const others = await app.query('select id, name, care_note from player where id <> ?', [run.player]);
  const places = await app.query('select name from place');
  for (const { id, name: other, care_note: care } of others) {
    expect(html).not.toContain(id as string);
    expect(html).not.toContain(other as string);
    if (care) expect(html).not.toContain(care as string);
  }
  for (const { name: place } of places) expect(html).not.toContain(place as string);
  for (const secret of [own, 'Nobody’s business']) expect(html).not.toContain(secret);
  const [session] = await app.query('select title, coach from session where id = ?', [run.session]);
  expect(html).not.toContain(session!.title as string);
  expect(html).not.toContain(session!.coach as string);
});

describe('a database in trouble', () => {
  const health = async () => {
    const answer = await fetch(`${app.url}/api/health`);
    return { status: answer.status, ...((await answer.json()) as { trouble: string | null }) };
  };

  test('locked by another program: pages are shown, and touches wait until it is free', async () => {
    const other = createClient({ url: `file:${app.file}`, timeout: 5000 });
    const lock = await other.transaction('write');
    await lock.execute('update player set name = name');
    try {
      const pages = ['/', '/squad', '/sessions', `/sessions/${run.session}/plan`, `/players/${run.player}`];
      const answers = await Promise.all(pages.map((address) => fetch(app.url + address)));
      expect(answers.map((answer) => answer.status)).toEqual(pages.map(() => 200));
      // Longer than the server waits for it: out of reach, and nothing is lost.
      const refused = await post('/api/touches', JSON.stringify({ events: [event()] }));
      expect([refused.status, await refused.text()]).toEqual([
        503,
        expect.stringContaining('locked by another program'),
      ]);
    } finally {
      await lock.rollback();
      other.close();
    }
    expect((await post('/api/touches', JSON.stringify({ events: [event()] }))).status).toBe(200);
    expect(await health()).toMatchObject({ status: 200, trouble: null });
  });

  test('deleted while it was open: said in one sentence, and nothing goes where nobody finds it', async () => {
    renameSync(app.file, `${app.file}.away`);
    expect(await health()).toMatchObject({ status: 503, trouble: expect.stringContaining('was deleted') });
    const refused = await post('/api/touches', JSON.stringify({ events: [event()] }));
    expect(refused.status).toBe(503);
    await browser.driver.get(`${app.url}/squad`);
    await page.sees('The database file was deleted while Vow Step was running');
    renameSync(`${app.file}.away`, app.file);
    await page.press('Try again');
    await page.sees('9 players.');
    expect(await browser.driver.findElements(By.css('table'))).toHaveLength(1);
  });
});

test('whatever goes wrong, nothing that people wrote is printed', async () => {
  const secret = 'Zanzibar';
  const breaks = ['note', 'player', 'touch_event', 'session', 'own_drill', 'place'];
  for (const table of breaks)
    for (const when of ['insert', 'update'])
      await app.query(
        `create trigger break_${table}_${when} before ${when} on ${table} begin select no_such_function(1); end`,
      );
  await app.query('alter table shadow_sequence rename to shadow_away');
  const page = await fetch(`${app.url}/find?q=${secret}`);
  expect(page.status).toBe(500);
  const note = event({ kind: 'note', text: `${secret} fell`, by: secret });
  expect((await post('/api/touches', JSON.stringify({ events: [note] }))).status).toBe(500);
  const book = await fetch(`${app.url}/api/book?part=places`);
  const file = JSON.stringify({ ...((await book.json()) as object), places: [{ name: secret }] });
  await (await post('/api/book', file)).text();
  for (const body of [`{"name": ${secret}}`, JSON.stringify({ name: secret })])
    for (const route of ['/api/touches', '/api/drills', '/api/track', '/api/book', '/api/tables/squad'])
      await (await post(route, body)).text();
  // Every action there is, with words where it wants none and a form that a child stands in.
  const child = {
    name: secret,
    birthYear: 2016,
    sport: 'tennis',
    hand: 'right',
    text: secret,
    title: secret,
  };
  for (const id of actionIds)
    for (const given of [[child], [secret, child], [run.session, child], [run.player, child]])
      await (
        await post('/squad', JSON.stringify(given), {
          'content-type': 'text/plain;charset=UTF-8',
          'next-action': id,
          origin: app.url,
        })
      ).text();
  for (const table of breaks)
    for (const when of ['insert', 'update']) await app.query(`drop trigger break_${table}_${when}`);
  await app.query('alter table shadow_away rename to shadow_sequence');
  // Faults were printed, with where they came from; names were not.
  expect(app.printed()).toMatch(/\(request [\w-]+\):/);
  expect(app.printed()).toMatch(/\n\s+at /);
  expect(app.printed()).not.toContain(secret);
});
