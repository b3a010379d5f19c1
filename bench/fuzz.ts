import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { catalogue } from '@/drills';
import { seededRandom, wholeBetween } from '../src/core/base/random';
import { migrateDatabase, openDatabase } from '../src/data/client';
import { bundleText } from '../src/formats/bundle/write';
import { bundleFor } from '../src/server/files/bundle';
import { anything, findDrills, matches } from '../src/session/drills/find';
import { openHomeText, readHomeText, writeHomeText } from '../src/session/vows/home-text';
import { inLengths, metresTypedIn } from '../src/core/base/units';
import { plainBook } from '@/drills';
import { readWav, writeWav } from '../src/formats/wav';
import { check } from '../src/schemas/check';
import { findView } from '../src/server/views/find';
import { allForms } from './lib/forms';
import { takeOverBundle } from '../src/server/files/bring-in';
import { takeOverTable } from '../src/server/files/import-tables';
import { importDrills } from '../src/server/drills/import-drills';
import { saveDrill } from '../src/server/drills/own-drills';
import { saveKit, savePlace } from '../src/server/venues/venues';
import { ingestTouches } from '../src/server/court/ingest';
import { createSession, savePlan } from '../src/server/plan/sessions';
import { makeChallenge } from '../src/server/challenges/challenges';
import { bringClub } from '../src/server/challenges/club';
import { saveLedger, sayCounting } from '../src/server/players/ledger';
import { signInCoach } from '../src/server/access/sign-in';
import { savePlayer } from '../src/server/players/squad';
import type { Context } from '../src/server/base/context';
import { ids, oneBlockSession } from '../src/server/testing/scratch';
import { median, report } from './lib/measure';

/*
 * A hundred thousand inputs, random and made from sound ones by a cut, a swap, a wrong kind, a name of Object's own, through
 * every door that takes a file, a form or a batch. None may throw, none may leave half of itself behind, none may take
 * longer than half a second. Forms are made of what every schema says of itself; the signed text from home, the heads of sound
 * files, and words to look for that mean something in a pattern are mutated too. The seed is printed: the same one makes the same inputs.
 */
const wanted = Number(process.env.VOWSTEP_FUZZ ?? 100_000);
const seed = Number(process.env.VOWSTEP_SEED ?? 20261127);
const random = seededRandom(seed);
const slowMs = 500;
const between = (from: number, to: number) => wholeBetween(random, from, to);
const oneOf = <T>(list: readonly T[]): T => list[between(0, list.length - 1)]!;

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-fuzz-'));
const db = await openDatabase(`file:${path.join(folder, 'book.db')}`);
await migrateDatabase(db);
const newId = ids(5);
const nowMs = Date.parse('2026-11-24T16:30:00Z');
const context: Context = { db, nowMs, today: '2026-11-24', newId: () => newId(nowMs) };
const at = await oneBlockSession(context);
const bundle = await bundleFor(context, 'book');
if (!bundle.ok) throw new Error('The book cannot be taken away.');
const book = JSON.parse([...bundleText(bundle.value)].join('')) as object;

const event = {
  id: newId(nowMs),
  blockId: at.block.id,
  playerId: at.playerIds[0],
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  text: null,
  atMs: nowMs,
  monoMs: 1,
  device: 'fuzz',
};
const sound: Readonly<Record<string, unknown>> = {
  book,
  drills: { format: 'vowstep-catalogue', version: 2, drills: [catalogue[0]] },
  drill: catalogue[1],
  touches: { events: [event] },
  player: { name: 'Ada', birthYear: 2016, sport: 'tennis', hand: 'right', focus: '' },
  place: {
    name: 'Hall',
    lengthM: 20,
    widthM: 10,
    ceilingM: 6,
    surface: 'hard court',
    wallM: 3,
    tables: 0,
    hazards: [],
  },
  kit: { cone: 4 },
  session: { title: 'T', day: '2026-12-01', startTime: '10:00', bookedMin: 30, playerIds: at.playerIds },
  plan: {
    title: 'T',
    day: '2026-12-01',
    startTime: '10:00',
    bookedMin: 30,
    playerIds: at.playerIds,
    revision: 1,
    blocks: [at.block],
  },
  signIn: { name: 'Ottilie', passcode: 'quiet lantern' },
};
const table =
  'Name,Birth year,Sport,Hand\r\nAda,2016,tennis,right\r\n"Bo, ""the"" wall",2015,table tennis,left\r\n';
const sessions = 'Day;Start;Minutes;Title;Players\n2026-12-01;16:30;60;Tuesday;Ada; Bo\n';

/** Doors that only check: one for each schema there is, the signed text from home, and sound that is brought in. */
const forms = await allForms();
const [homeKey, homeId] = ['ab'.repeat(32), '01M2GVGE4066H857YDVQ6D9KCR'];
const homeText = writeHomeText(homeId, homeKey, [
  {
    id: newId(nowMs),
    blockId: at.block.id,
    kind: 'result',
    attempt: 1,
    value: 7,
    text: null,
    atMs: nowMs,
    origin: null,
  },
]);
const wav = writeWav({
  sampleRate: 8000,
  samples: Float32Array.from({ length: 4000 }, (_, n) => Math.sin(n / 5)),
});
const soundForms = forms.filter(({ schema, form }) => check(schema, form).ok).length;

/** A text with letters cut, doubled, swapped or of another alphabet. */
function spoiltText(text: string): string {
  const letters = [...text];
  for (let times = between(1, 6); times > 0; times--) {
    const where = between(0, letters.length);
    if (random() < 0.5) letters.splice(where, between(1, 12));
    else letters.splice(where, 0, oneOf(['=', '.', '\n', ' ', 'é', '💥', '\0', 'A'.repeat(between(1, 40))]));
  }
  return letters.join('');
}

/** Sound as bytes, spoilt mostly where its head stands. */
function spoiltSound(bytes: Uint8Array): Uint8Array {
  const spoilt = Uint8Array.from(bytes);
  for (let times = between(1, 8); times > 0; times--)
    spoilt[between(0, random() < 0.8 ? 43 : bytes.length - 1)] = between(0, 255);
  return random() < 0.3 ? spoilt.slice(0, between(0, spoilt.length)) : spoilt;
}

/** Checks that answer at once, by name: each is given something spoilt. */
const checks: Readonly<Record<string, () => unknown>> = {
  ...Object.fromEntries(
    forms.map(({ name, schema, form }) => [
      name,
      () => check(schema, random() < 0.05 ? oneOf(strange) : spoilt(form)),
    ]),
  ),
  'home text': () => {
    const opened = openHomeText(
      random() < 0.05 ? oneOf(strange.filter((one) => typeof one === 'string')) : spoiltText(homeText),
    );
    return opened.ok ? readHomeText(opened.value, homeKey) : opened;
  },
  'WAV head': () => {
    try {
      return readWav(spoiltSound(wav));
    } catch (error) {
      // It says in words what is wrong with a file; anything else is a fault.
      if (error instanceof TypeError || error instanceof RangeError) throw error;
      return null;
    }
  },
};
const patterns = [
  '(a+)+$',
  '(x+x+)+y',
  '[',
  '\\',
  'c++',
  'toss (',
  '%_%',
  '.*'.repeat(30),
  'a'.repeat(5000),
  '((((((((((',
  '\u0000',
  "';--",
];
/** Words to look for, made of what means something in a pattern, in every field that looks. */
const searches: Readonly<Record<string, (words: string) => unknown>> = {
  find: (words) => findView(context, words),
  drills: (words) => findDrills(plainBook.drills, { ...anything, words }, () => ({ kind: 'fits' }) as never),
  matches: (words) => catalogue.filter((one) => matches(one, words)),
  lengths: (words) => [
    metresTypedIn(words, 'feet'),
    metresTypedIn(words, 'metres'),
    inLengths(words, 'feet'),
  ],
};

const doors: Readonly<Record<string, (input: unknown) => Promise<unknown>>> = {
  book: (input) => takeOverBundle(context, input, { replace: true, name: 'fuzz' }),
  drills: (input) => importDrills(context, input),
  drill: (input) => saveDrill(context, input),
  touches: (input) => ingestTouches(context, input),
  player: (input) => savePlayer(context, input),
  place: (input) => savePlace(context, input),
  kit: (input) => saveKit(context, input),
  session: (input) => createSession(context, input),
  plan: (input) => savePlan(context, at.sessionId, input),
  signIn: (input) => signInCoach(context, input, { address: '' }),
  challenge: (input) => makeChallenge(context, input),
  club: (input) => bringClub(context, 'nowhere', input),
  ledger: (input) => saveLedger(context, at.playerIds[0]!, input),
  counting: (input) => sayCounting(context, at.playerIds[0]!, input),
};

const strange: readonly unknown[] = [
  ...[
    null,
    undefined,
    true,
    0,
    -1,
    1e308,
    Number.NaN,
    '',
    ' ',
    '\0',
    '\ud83c',
    '💥'.repeat(500),
    'x'.repeat(10_000),
  ],
  ...[
    [],
    {},
    [[[[]]]],
    { __proto__: null, length: 1e9 },
    JSON.parse('{"__proto__": {"a": 1}}'),
    { toString: 1 },
    [null],
  ],
  ...[
    '2026-02-30',
    '25:99',
    "'; drop table player; --",
    '../../etc/passwd',
    '=1+1',
    '<script>',
    '0'.repeat(26),
  ],
];

/** A sound input with something wrong somewhere in it. */
function spoilt(value: unknown, depth = 0): unknown {
  if (typeof value !== 'object' || value === null || depth > 8 || random() < 0.12) return oneOf(strange);
  if (Array.isArray(value)) {
    const list = [...(value as unknown[])];
    const where = between(0, Math.max(0, list.length - 1));
    switch (between(0, 4)) {
      case 0:
        return list.slice(0, where);
      case 1:
        return [...list, ...list];
      case 2:
        return [...list, oneOf(strange)];
      default:
        return list.map((one, index) => (index === where ? spoilt(one, depth + 1) : one));
    }
  }
  const entries = Object.entries(value);
  const where = between(0, Math.max(0, entries.length - 1));
  switch (between(0, 5)) {
    case 0:
      return Object.fromEntries(entries.filter((_, index) => index !== where));
    case 1:
      return Object.fromEntries([
        ...entries,
        [oneOf(['constructor', 'id', 'x', 'hasOwnProperty', 'ǅ']), oneOf(strange)],
      ]);
    case 2:
      return Object.fromEntries(entries.map(([key, one], index) => [index === where ? `${key}x` : key, one]));
    default:
      return Object.fromEntries(
        entries.map(([key, one], index) => [key, index === where ? spoilt(one, depth + 1) : one]),
      );
  }
}

/** Bytes of a table with some of them cut, changed, doubled, or noise. */
function spoiltBytes(text: string): Uint8Array {
  const bytes = [...new TextEncoder().encode(text)];
  for (let times = between(1, 12); times > 0; times--) {
    const where = between(0, bytes.length);
    switch (between(0, 3)) {
      case 0:
        bytes.splice(where, between(1, 30));
        break;
      case 1:
        bytes.splice(where, 0, ...bytes.slice(where, where + between(1, 40)));
        break;
      case 2:
        bytes.splice(where, 0, oneOf([0, 10, 13, 34, 39, 44, 59, 61, 0xff, 0xc3]));
        break;
      default:
        if (bytes.length > 0) bytes[Math.min(where, bytes.length - 1)] = between(0, 255);
    }
  }
  return Uint8Array.from(bytes);
}

const [crashed, slow, half]: [string[], string[], string[]] = [[], [], []];
const times: number[] = [];
const tables = [
  'player',
  'focus',
  'session',
  'session_player',
  'block',
  'block_player',
  'place',
  'kit_item',
  'own_drill',
  'touch_event',
  'take_over',
];
const state = () =>
  db.get<Record<string, number>>(
    sql.raw(
      `select ${tables.map((name) => `(select count(*) || ' ' || coalesce(sum(rowid), 0) from ${name}) as ${name}`).join(', ')}`,
    ),
  );

/** What was refused must leave everything as it was. */
async function knock(name: string, work: () => Promise<unknown>): Promise<void> {
  const before = JSON.stringify(await state());
  const from = performance.now();
  let refused = true;
  try {
    refused = ((await work()) as { ok?: boolean }).ok === false;
  } catch (error) {
    crashed.push(`${name}: ${error instanceof Error ? error.message.slice(0, 200) : String(error)}`);
  }
  const ms = performance.now() - from;
  times.push(ms);
  // Signing in is slow on purpose: that is what a guess costs.
  if (ms > slowMs && name !== 'signIn') slow.push(`${name}: ${Math.round(ms)} ms`);
  if (refused && JSON.stringify(await state()) !== before) half.push(name);
}

/** What only looks writes nothing: whether it throws, and how long it takes. */
async function knockQuickly(name: string, work: () => unknown): Promise<void> {
  const from = performance.now();
  try {
    await work();
  } catch (error) {
    crashed.push(`${name}: ${error instanceof Error ? error.message.slice(0, 200) : String(error)}`);
  }
  const ms = performance.now() - from;
  times.push(ms);
  if (ms > slowMs) slow.push(`${name}: ${Math.round(ms)} ms`);
}

/** What was taken goes again now and then: a book of a thousand own drills would be what is measured. */
async function windBack(): Promise<void> {
  const base = at.playerIds.map((id) => `'${id}'`).join(', ');
  for (const statement of [
    'delete from own_drill',
    'delete from take_over',
    'delete from kit_item',
    `delete from session_player where session_id <> '${at.sessionId}'`,
    `delete from block_player where block_id in (select id from block where session_id <> '${at.sessionId}')`,
    `delete from block where session_id <> '${at.sessionId}'`,
    `delete from session where id <> '${at.sessionId}'`,
    'update session set place_id = null',
    'delete from place',
    `delete from focus where player_id not in (${base})`,
    `delete from player where id not in (${base})`,
  ])
    await db.run(sql.raw(statement));
}

const names = Object.keys(doors);
for (let n = 0; n < wanted; n++) {
  const dice = random();
  if (dice < 0.4) {
    const name = oneOf(Object.keys(checks));
    await knockQuickly(name, checks[name]!);
    continue;
  }
  if (dice < 0.45) {
    const name = oneOf(Object.keys(searches));
    const words = Array.from({ length: between(1, 4) }, () => oneOf(patterns)).join(
      random() < 0.5 ? ' ' : '',
    );
    await knockQuickly(name, () => searches[name]!(random() < 0.5 ? words : spoiltText(words)));
    continue;
  }
  const which = between(0, names.length + 1);
  if (which < names.length) {
    const name = names[which]!;
    const input = random() < 0.05 ? oneOf(strange) : spoilt(sound[name]);
    await knock(name, () => doors[name]!(input));
  } else if (which === names.length) {
    await knock('squad table', () => takeOverTable(context, 'squad', spoiltBytes(table), null, 'fuzz'));
  } else {
    await knock('sessions table', () =>
      takeOverTable(context, 'sessions', spoiltBytes(sessions), null, 'fuzz'),
    );
  }
  if (n % 300 === 299) await windBack();
  if (n % 10_000 === 9999) console.error(`${n + 1} inputs`);
}
console.error(`seed ${seed}`);
for (const said of [...new Set(crashed)].slice(0, 20)) console.error(`Crashed: ${said}`);
for (const said of [...new Set(half)].slice(0, 20)) console.error(`Half-written: ${said}`);
for (const said of slow.slice(0, 20)) console.error(`Slow: ${said}`);
report('fuzz', wanted, 'inputs', median(times));
report('fuzz-forms', soundForms, 'schemas', forms.length);
report('fuzz-crashes', crashed.length, 'inputs', wanted);
report('fuzz-half-writes', half.length, 'inputs', wanted);
report('fuzz-slow', slow.length, 'inputs', wanted);
if (crashed.length + half.length + slow.length > 0) process.exitCode = 1;
db.$client.close();
rmSync(folder, { recursive: true, force: true });
