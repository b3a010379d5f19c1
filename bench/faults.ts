import { createClient } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { ulid } from 'ulid';
import { openApp } from '../testing/browser/app';
import { readBegun } from '../src/session/court/begun';
import type { TouchEvent } from '../src/core/counting/event';
import { seededRandom, wholeBetween } from '../src/core/base/random';
import { backup } from '../src/data/backup';
import { restore } from '../src/data/restore';
import { Club, otherStep } from './lib/club';
import { FaultyLink, linkFaults, pause } from './lib/faulty-link';
import { remoteFaults } from './lib/remote-faults';
import { RunPage } from './lib/run-page';
import { ScriptedDevice } from './lib/scripted-device';

/*
 * Five hundred faults between devices and the real server: the server killed, requests and answers cut, batches delayed,
 * sent twice and overtaken, pages opened anew, text that is no text, clocks days ahead, plans changed and blocks removed
 * under a counting device, the book put back to an earlier copy, its history made another, its file locked, and the
 * service worker replaced under an open page. In the end every touch must be stored once, as what it was made as.
 * Then as many again between two servers and a libSQL server (lib/remote-faults.ts).
 * The seed is printed: the same one makes the same faults.
 */
const faults = Number(process.env.VOWSTEP_FAULTS ?? 500);
const seed = Number(process.env.VOWSTEP_SEED ?? 20261126);
const random = seededRandom(seed);
const upTo = (most: number) => wholeBetween(random, 1, most);
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-faults-'));
const copy = path.join(folder, 'copy.db');
const dayMs = 24 * 3600 * 1000;
/** So many blocks fit into one plan; then another session is run. */
const fullPlan = 36;

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

const app = await openApp();
const club = new Club(app.file);
await club.open();
const onPage = await club.book();
const screen = await RunPage.open(`${app.url}/sessions/${onPage.sessionId}/run`);
const link = new FaultyLink(`${app.url}/api/touches`, app, random);
const device = new ScriptedDevice({
  name: 'scripted',
  url: app.url,
  send: link.send,
  viewOf: (id) => club.view(id),
});
let at = await club.book();
const player = club.playerIds[0]!;
let blocks = 1;
let strange = 0;
await device.open(at.sessionId);
await takeCopy();

const others = ['reload', 'surrogate', 'far ahead', 'plan changed', 'block removed'] as const;
const heavy = ['restore', 'epoch', 'locked', 'service worker'] as const;
const kinds = [...linkFaults, ...others, ...heavy];
type Kind = (typeof kinds)[number];
const counts = Object.fromEntries(kinds.map((kind) => [kind, 0])) as Record<Kind, number>;

for (let n = 0; n < faults; n++) {
  const kind = kinds[wholeBetween(random, 0, kinds.length - 1)]!;
  counts[kind] += 1;
  await fault(kind);
  if (random() < 0.2) await screen.tap(upTo(3));
  // Now and then the log is given the time to catch up, mostly it is not.
  if (kind === 'kill' || random() < 0.3) await device.log.flush();
  await device.settle(at.blockId);
  if (n % 15 === 14) await takeCopy();
  if (blocks >= fullPlan) await nextSession();
  if (n % 50 === 49) console.error(`${n + 1} faults`);
}

await calm();
await screen.rest();
await pageHeard();
await check();

/** Gives the page the time to hear of the last restore: what it shows as counted must get there by itself. */
async function pageHeard(): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const rows = await app.query(
      `select count(*) as n from touch_event where block_id = ? and kind = 'touch'`,
      [onPage.blockId],
    );
    if (rows[0]!.n === screen.presses) return;
    await pause(100);
  }
}

async function fault(kind: Kind): Promise<void> {
  switch (kind) {
    case 'reload':
      // The page goes in the middle of whatever it was doing; a new one takes up what the device kept.
      await count(at.blockId);
      await device.open(at.sessionId);
      return count(at.blockId);
    case 'surrogate':
      return surrogate();
    case 'far ahead':
      return farAhead();
    case 'plan changed':
      return planChanged();
    case 'block removed':
      return blockRemoved();
    case 'restore':
      return restored();
    case 'epoch':
      return otherHistory();
    case 'locked':
      return locked();
    case 'service worker':
      await count(at.blockId);
      return screen.renewWorker();
    default:
      link.next = kind;
      return count(at.blockId);
  }
}

async function count(blockId: string, most = 8): Promise<void> {
  const touches = upTo(most);
  for (let touch = 0; touch < touches; touch++) {
    await device.log.log({ blockId, playerId: player, kind: 'touch' });
    if (random() < 0.3) await pause(wholeBetween(random, 0, 8));
  }
  const last = device.log.events(blockId, player).at(-1);
  if (last?.kind === 'touch' && random() < 0.1)
    await device.log.log({ blockId, playerId: player, kind: 'undo', ref: last.id });
}

/** Half an emoji and a letter that is none: in a note of this device, in what another one sends, and on the disk itself. */
async function surrogate(): Promise<void> {
  await device.log.log({
    blockId: at.blockId,
    playerId: player,
    kind: 'note',
    text: 'Half \uD83D and \u0000 none',
  });
  await refusedFrom({ kind: 'note', text: 'Half \uD83D' });
  await stopped(async () => {
    await onDisk(
      `insert into touch_event (id, block_id, player_id, kind, attempt, text, at_ms, mono_ms, device)
       values (?, ?, ?, 'note', 1, cast(x'48616c6620eda0bd' as text), ?, 0, 'vandal')`,
      [ulid(), at.blockId, player, Date.now()],
    );
  });
  await count(at.blockId);
}

/** Another device far ahead is refused, and does not stop this one; this one ahead is held back and counted after all. */
async function farAhead(): Promise<void> {
  await refusedFrom({ atMs: Date.now() + 400 * dayMs });
  await refusedFrom({ id: `Z${ulid().slice(1)}` });
  const stray = strangers({ id: '7ZZZZZZZZZZZZZZZZZZZZZZZZZ', atMs: Date.now() + 400 * dayMs });
  device.log.receive([{ ...stray, blockId: 'of no plan' }], 'server');
  device.aheadMs = 3 * dayMs;
  await count(at.blockId);
  await device.log.flush();
  device.aheadMs = 0;
  await device.settle(at.blockId);
  await count(at.blockId);
}

/** Counted out of reach under one plan, while the desk makes another, which another device may have begun. */
async function planChanged(): Promise<void> {
  const blockId = await freshBlock();
  link.down = true;
  await count(blockId);
  await club.setStep(at.sessionId, blockId, otherStep);
  if (random() < 0.5) await begunElsewhere(blockId);
  await count(blockId);
  link.down = false;
  await device.log.flush();
}

/** Counted out of reach in a block the desk takes out. */
async function blockRemoved(): Promise<void> {
  const blockId = await freshBlock();
  link.down = true;
  await count(blockId);
  await club.removeBlock(at.sessionId, blockId);
  blocks -= 1;
  link.down = false;
  await device.log.flush();
}

async function freshBlock(): Promise<string> {
  const blockId = await club.addBlock(at.sessionId);
  blocks += 1;
  await device.refresh();
  return blockId;
}

/** Somebody else begins a block as the plan has it now. */
async function begunElsewhere(blockId: string): Promise<void> {
  const other = new ScriptedDevice({
    name: 'elsewhere',
    url: app.url,
    send: new FaultyLink(`${app.url}/api/touches`, app, random).send,
    viewOf: (id) => club.view(id),
  });
  await other.open(at.sessionId);
  await other.log.log({ blockId, playerId: club.playerIds[1]!, kind: 'touch' });
  await other.log.flush();
  other.close();
}

/** The book is put back to an earlier copy while devices count: they offer it again what it lacks. */
async function restored(): Promise<void> {
  await count(at.blockId);
  await link.settled();
  await stopped(async () => {
    await count(at.blockId);
    const outcome = await putBack();
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
    if (outcome.value.kept) rmSync(outcome.value.kept, { force: true });
  });
  await heardOfIt();
  await device.refresh();
}

/** The driver lets go of a closed database when its statements are collected: in a process that lives on, that is late. */
async function putBack() {
  for (let tries = 0; ; tries++) {
    collect();
    await pause(20);
    const outcome = await restore(copy, app.file, new Date());
    if (outcome.ok || tries > 50) return outcome;
  }
}

/** The same rows under another history: their numbers in the log are no longer those the devices know. */
async function otherHistory(): Promise<void> {
  await stopped(async () => {
    await count(at.blockId);
    await onDisk(`delete from database_fact where key = 'epoch'`);
    await onDisk('update touch_event set seq = seq + 100000 where seq % 2 = 0');
    await onDisk('vacuum');
  });
  await heardOfIt();
}

/** Waits until the device has heard which history the server has now. */
async function heardOfIt(): Promise<void> {
  const [row] = await app.query(`select value from database_fact where key = 'epoch'`);
  for (let tries = 0; device.epoch !== row!.value; tries++) {
    if (tries > 2000) throw new Error('The device does not hear of the other history.');
    await pause(10);
  }
}

async function locked(): Promise<void> {
  const client = createClient({ url: `file:${app.file}`, timeout: 5000 });
  const hold = await client.transaction('write');
  await count(at.blockId);
  const sending = device.log.flush();
  await pause(100 * upTo(20));
  await count(at.blockId);
  await hold.rollback();
  client.close();
  await sending;
}

/** Does something to the database while nobody has it open. */
async function stopped(work: () => Promise<void>): Promise<void> {
  await app.stop();
  club.close();
  try {
    await work();
  } finally {
    await club.open();
    await app.start();
  }
}

async function onDisk(sql: string, args: (string | number)[] = []): Promise<void> {
  await app.query(sql, args);
}

function strangers(more: Partial<TouchEvent>): TouchEvent {
  const event = { blockId: at.blockId, playerId: player, kind: 'touch', attempt: 1, value: null } as const;
  return { ...event, id: ulid(), ref: null, atMs: Date.now(), monoMs: 0, device: 'stranger', ...more };
}

/** What must be refused, with a sentence; it counts as strange where it is not. */
async function refusedFrom(more: Partial<TouchEvent>): Promise<void> {
  const response = await fetch(`${app.url}/api/touches`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events: [strangers(more)] }),
  });
  if (response.status === 400) return;
  strange += 1;
  console.error(`Taken: ${JSON.stringify(more)} (${response.status})`);
}

async function takeCopy(): Promise<void> {
  rmSync(copy, { force: true });
  const outcome = await backup(app.file, copy);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
}

async function nextSession(): Promise<void> {
  await calm();
  at = await club.book();
  blocks = 1;
  await device.open(at.sessionId);
  await takeCopy();
}

/** All that can get to the server does. */
async function calm(): Promise<void> {
  await link.settled();
  for (let tries = 0; tries < 800; tries++) {
    await device.log.flush();
    const { waiting, loose, heldBack } = device.log.state();
    if (waiting + loose === 0 && heldBack.length === 0) return;
    await device.settle(at.blockId);
    await pause(25);
  }
}

/** Compares what is on the disk with what was made. */
async function check(): Promise<void> {
  const rows = await app.query(
    `select e.id, e.block_id as block, e.player_id as player, e.kind, e.device, b.text as begun
     from touch_event e left join touch_event b on b.block_id = e.block_id and b.kind = 'begun'
       and b.id = (select min(id) from touch_event where block_id = e.block_id and kind = 'begun')
     where e.kind <> 'begun' and e.kind <> 'start'`,
  );
  const stored = rows.filter((row) => row.device === 'scripted');
  const ids = new Set(stored.map((row) => row.id as string));
  const misplaced = stored.filter((row) => {
    const meant = device.ledger.get(row.id as string);
    const own = readBegun(row.begun as string)?.players.find((one) => one.playerId === row.player);
    const here = { blockId: row.block, playerId: row.player, kind: row.kind, stepId: own?.stepId };
    if (meant === undefined || JSON.stringify(meant) === JSON.stringify(here)) return false;
    console.error(`Misplaced: ${row.id} meant ${JSON.stringify(meant)}, stored ${JSON.stringify(here)}`);
    return true;
  }).length;
  const pressed = rows.filter((row) => row.block === onPage.blockId && row.kind === 'touch').length;
  // What the application itself makes of the log.
  const counted = await attempts(onPage.sessionId);
  const missing = [...device.ledger].filter(([id]) => !ids.has(id));
  for (const [id, meant] of missing) console.error(`Lost: ${id} ${JSON.stringify(meant)}`);
  const { waiting, loose, heldBack, trouble } = device.log.state();
  if (missing.length > 0)
    console.error(
      `On the device: ${waiting} waiting, ${loose} loose, ${heldBack.length} held back. ${trouble ?? ''}`,
    );
  const lost = missing.length + Math.max(0, screen.presses - pressed);
  const doubled = stored.length - ids.size + Math.max(0, pressed - screen.presses);
  const unread = Math.abs(counted - screen.presses);
  const unknown = [...ids].filter((id) => !device.ledger.has(id)).length;
  strange += unknown + device.faults.length + unread;
  console.error(`seed ${seed}: ${JSON.stringify(counts)}`);
  for (const said of new Set(device.faults)) console.error(said);
  console.error(`${screen.workersThatTookOver} of ${counts['service worker']} workers took over at once.`);
  const touches = device.ledger.size + screen.presses;
  const result = {
    bench: 'faults',
    value: faults,
    unit: 'faults',
    touches,
    lost,
    doubled,
    misplaced,
    strange,
  };
  console.log(JSON.stringify(result));
  if (lost + doubled + misplaced + strange > 0) process.exitCode = 1;
}

/** Touches the review counts in a session. */
async function attempts(sessionId: string): Promise<number> {
  // The server may close a kept-alive line in the very moment it is used again: then once more, on a fresh one.
  const review = () => fetch(`${app.url}/sessions/${sessionId}/review`);
  await (await review().catch(review)).text();
  const [row] = await app.query(
    `select coalesce(sum(a.touches), 0) as n from attempt a join block b on b.id = a.block_id where b.session_id = ?`,
    [sessionId],
  );
  return row!.n as number;
}

device.close();
club.close();
await screen.close();
await app.close();
rmSync(folder, { recursive: true, force: true });

const { counts: kindsThere, ...there } = await remoteFaults(faults, random);
console.error(`On the server: ${JSON.stringify(kindsThere)}`);
console.log(JSON.stringify({ bench: 'faults-server', value: there.faults, unit: 'faults', ...there }));
if (there.lost + there.doubled > 0) process.exitCode = 1;
