import { createHash, randomBytes } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { addLoads, noLoadSum } from '@/core/dose/load';
import type { Booked } from '../src/core/vows/vow';
import { plainBook } from '@/drills';
import { blockOf } from '../src/session/base/plan';
import { timePlan } from '../src/session/plan/time-plan';
import { dayNumber, isoDay } from '../src/core/base/days';
import { usualHome, type Home } from '../src/session/vows/home';
import { proposeVow, type VowSetting } from '../src/session/vows/propose';
import { usualDose, type Vow } from '../src/session/vows/vow';
import { demoServer } from './lib/demo-server';
import { median, report } from './lib/measure';

/*
 * Vows: planning one for a child who has six, over twelve weeks with two sessions a week; the same where it cannot be done
 * and the nearest that can is looked for; and what a family's phone fetches, and the file weighs. The reference of the
 * planning is a session of the same six drills, timed once.
 */
const player = { id: 'p', age: 9, name: 'Nessa' };
const today = '2026-11-24';
const untilDay = isoDay(dayNumber(today) + 83);
const yard: Home = {
  ...usualHome,
  lengthM: 9,
  widthM: 9,
  ceilingM: null,
  wallM: 4,
  helper: true,
  lamps: false,
  kit: [
    ['racket', 1],
    ['ball', 12],
    ['chalk', 1],
    ['marker', 6],
    ['ladder', 1],
  ],
};
/** Steps with landings, fast forearms and none of either. */
const steps = [
  ['palm-up-bounce', 'row-20'],
  ['line-hops', 'side-to-side'],
  ['racket-wall-rally', 'one-and-trap'],
  ['growing-hops', 'two-lines'],
  ['fast-hand', 'band-low-to-high'],
  ['rim-roll', 'one-way-round'],
] as const;
const vowOf = ([drillId, stepId]: (typeof steps)[number], aim: Vow['aim']): Vow => ({
  parts: [{ drillId, stepId, dose: usualDose(plainBook.step(drillId, stepId)!, player.age), choices: [] }],
  aim,
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  minutes: 5,
  growth: 0.1,
  atTime: null,
  alarm: false,
  byEar: false,
});
const blocks = steps.map(([drillId, stepId], n) =>
  blockOf({ id: `b${n}`, drillId, stepId, dose: usualDose(plainBook.step(drillId, stepId)!, player.age) }),
);
const session = () => timePlan(plainBook, blocks, [player], [], 60);

/** A setting of its own every time, so that nothing is remembered from the run before. */
function settingWith(promised: ReadonlyMap<number, Booked>): VowSetting {
  const load = session().loadOf[player.id]!;
  const booked = new Map(promised);
  for (let week = 0; week < 12; week++)
    for (const weekday of [1, 3]) {
      const day = dayNumber(today) + 7 * week + weekday;
      const there = booked.get(day);
      const half = {
        ...load,
        contacts: load.contacts / 4,
        forearm: load.forearm / 4,
        overheads: load.overheads / 4,
      };
      booked.set(day, {
        load: addLoads(there?.load ?? noLoadSum, half),
        homeS: there?.homeS ?? 0,
        courtS: 3600,
      });
    }
  return {
    book: plainBook,
    player,
    records: [],
    skill: { done: [], levels: [] },
    home: yard,
    today,
    fromDay: today,
    untilDay,
    rests: () => false,
    booked,
    limitedOn: [],
    reachedDays: 0,
  };
}

/** Plans six vows, each beside those before it: milliseconds for each. */
function planSix(aim: Vow['aim']): number[] {
  const promised = new Map<number, Booked>();
  return steps.map((step) => {
    const setting = settingWith(promised);
    const from = performance.now();
    const { days, problems } = proposeVow(vowOf(step, aim), setting);
    const ms = performance.now() - from;
    if (problems.length > 0) throw new Error(problems[0]!.message);
    for (const { day, seconds, load } of days) {
      const there = promised.get(dayNumber(day));
      promised.set(dayNumber(day), {
        load: addLoads(there?.load ?? noLoadSum, load),
        homeS: (there?.homeS ?? 0) + seconds,
        courtS: 0,
      });
    }
    return ms;
  });
}

const rounds = 7;
const reference = median(
  Array.from({ length: 20 }, () => {
    const from = performance.now();
    session();
    return performance.now() - from;
  }),
);
for (const [name, aim] of [
  ['vow-plan', { kind: 'reps', reps: 400 }],
  ['vow-plan-mark', { kind: 'mark' }],
  ['vow-plan-short', { kind: 'reps', reps: 20_000 }],
] as const) {
  // The slowest of the six, in the middle of the rounds; the first round warms up.
  const slowest = Array.from({ length: rounds }, () => Math.max(...planSix(aim))).slice(1);
  report(name, median(slowest), 'ms', reference);
}

/** Decimal kilobytes after gzip; what is packed already is counted as it is. */
const kB = (bytes: Uint8Array, packed = false): number =>
  (packed ? bytes.length : gzipSync(bytes).length) / 1000;

const demo = await demoServer(10);
const fetched = async (path: string, init?: RequestInit): Promise<Uint8Array> => {
  const answer = await fetch(demo.url + path, init);
  if (!answer.ok) throw new Error(`${path} answers ${answer.status}.`);
  return new Uint8Array(await answer.arrayBuffer());
};
const nessa = String(
  (await demo.client.execute(`select id from player where name like 'Nessa%'`)).rows[0]!.id,
);
const token = randomBytes(16).toString('base64url');
await demo.client.execute({
  sql: `insert into helper_link (token_hash, scope, player_id, name, created_at_ms, expires_at_ms, uses) values (?, 'vow', ?, '', 0, ?, 0)`,
  args: [createHash('sha256').update(token).digest('hex'), nessa, Date.now() + 1e9],
});

/** All a browser fetches for a page: itself, its scripts, its styles, and the typefaces those bring. */
async function transferOf(path: string): Promise<number> {
  const bytes = await fetched(path);
  const page = new TextDecoder().decode(bytes).replace(/<script[^>]*nomodule[^>]*>/gi, '');
  const parts = new Set(page.match(/\/(?:_next\/static|home)\/[^"'\\ ]+?\.(?:js|css)/g) ?? []);
  let sum = kB(bytes);
  for (const part of parts) {
    const one = await fetched(part);
    sum += kB(one);
    if (!part.endsWith('.css')) continue;
    // The plain Latin faces: the others are fetched only where a letter asks for them.
    const faces =
      new TextDecoder().decode(one).match(/[^"'(]*?(?:latin-wght-normal|home\/)[^"')]*?\.woff2/g) ?? [];
    for (const face of new Set(faces))
      sum += kB(await fetched(new URL(face, new URL(part, demo.url)).pathname), true);
  }
  return sum;
}
report('vow-phone-weight', await transferOf(`/vow/${token}`), 'kB', await transferOf('/blank'));

const own = { method: 'POST', headers: { origin: demo.url, 'sec-fetch-site': 'same-origin' } };
const file = await fetched(`/players/${nessa}/vow-file`, own);
report('vow-file-weight', file.length / 1000, 'kB', 400);
await demo.stop();
