import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openApp } from '../e2e/lib/app';
import { makeDemoData } from '../scripts/lib/demo-data.js';
import type { TouchEvent } from '../src/core/counting/event';
import { seededRandom, wholeBetween } from '../src/core/random';
import { RunLog, type EventStore, type SendResult } from '../src/features/run/run-log';

/*
 * Two hundred faults between a scripted device and the real server: the server killed and started again, requests and
 * answers cut, batches delayed past their repetition, sent twice, and overtaken by later ones, and the page of the
 * device opened anew. In the end every touch must be stored once. The seed is printed: the same one makes the same run.
 */
const faults = 200;
const seed = Number(process.env.VOWSTEP_SEED ?? 20261126);
const random = seededRandom(seed);
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-faults-'));
process.env.VOWSTEP_DEMO_FILE = path.join(folder, 'demo.db');
await makeDemoData(process.env.VOWSTEP_DEMO_FILE, { weeks: 2 });
const app = await openApp({ demo: true });
const [row] = await app.query(
  `select bp.block_id as block, bp.player_id as player from block_player bp join block b on b.id = bp.block_id
   join session s on s.id = b.session_id where s.state = 'planned' limit 1`,
);
const [blockId, playerId] = [row!.block as string, row!.player as string];

/** What the device keeps, whatever happens to its page. */
const waiting = new Map<string, TouchEvent>();
const settled = new Map<string, TouchEvent>();
const store: EventStore = {
  waiting: async () => [...waiting.values()],
  put: async (event) => void waiting.set(event.id, event),
  settle: async (events) => {
    for (const event of events) {
      waiting.delete(event.id);
      settled.set(event.id, event);
    }
  },
  settled: async () => [...settled.values()],
};

const kinds = ['kill', 'cut before', 'cut after', 'delay', 'duplicate', 'overtaken', 'reload'] as const;
type Fault = (typeof kinds)[number];
const counts = Object.fromEntries(kinds.map((kind) => [kind, 0])) as Record<Fault, number>;
let fault: Fault | null = null;
const late: Promise<unknown>[] = [];

async function post(events: readonly TouchEvent[]): Promise<SendResult> {
  try {
    const response = await fetch(`${app.url}/api/touches`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events }),
      signal: AbortSignal.timeout(5000),
    });
    return response.ok
      ? { kind: 'stored' }
      : response.status === 400
        ? { kind: 'refused', message: await response.text() }
        : { kind: 'unreachable' };
  } catch {
    return { kind: 'unreachable' };
  }
}
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** The link, with one fault on the next batch. */
async function send(events: readonly TouchEvent[]): Promise<SendResult> {
  const now = fault;
  fault = null;
  switch (now) {
    case 'kill': {
      const answer = post(events);
      await pause(wholeBetween(random, 0, 6));
      await app.kill();
      const result = await answer;
      await app.start();
      return result;
    }
    case 'cut before':
      return { kind: 'unreachable' };
    case 'cut after':
      await post(events);
      return { kind: 'unreachable' };
    case 'delay':
    case 'overtaken':
      // Given up, sent again by the log, and arriving late all the same: after the repetition, or after later ones.
      late.push(pause(now === 'delay' ? 40 : 250).then(() => post([...events].reverse())));
      return { kind: 'unreachable' };
    case 'duplicate':
      return (await Promise.all([post(events), post(events)]))[0];
    default:
      return post(events);
  }
}

const open = () =>
  new RunLog([], {
    store,
    send,
    // Waits are shortened, or the bench would mostly wait.
    later: (work, ms) => void setTimeout(work, ms / 25),
    clock: { now: () => Date.now(), mono: () => performance.now() },
    device: 'faults',
    blockIds: [blockId],
  });

let log = open();
await log.opened;
for (let n = 0; n < faults; n++) {
  const kind = kinds[wholeBetween(random, 0, kinds.length - 1)]!;
  counts[kind] += 1;
  if (kind === 'reload') {
    // The page goes in the middle of whatever it was doing; a new one takes up what the device kept.
    log = open();
    await log.opened;
  } else fault = kind;
  const touches = wholeBetween(random, 1, 8);
  for (let touch = 0; touch < touches; touch++) {
    await log.log({ blockId, playerId, kind: 'touch' });
    if (random() < 0.3) await pause(wholeBetween(random, 0, 8));
  }
  // Now and then the log is given the time to catch up, mostly it is not.
  if (kind === 'kill' || random() < 0.3) await log.flush();
}
for (let tries = 0; log.state().waiting > 0 && tries < 400; tries++) {
  await log.flush();
  await pause(25);
}
await Promise.all(late);
const made = new Set([...waiting.keys(), ...settled.keys()]);
const rows = await app.query(`select id from touch_event where device = 'faults'`);
const stored = rows.map(({ id }) => id as string);
const lost = [...made].filter((id) => !stored.includes(id)).length;
const doubled = stored.length - new Set(stored).size;
const strange = stored.filter((id) => !made.has(id)).length;
console.error(`seed ${seed}: ${JSON.stringify(counts)}`);
console.log(
  JSON.stringify({
    bench: 'faults',
    value: faults,
    unit: 'faults',
    touches: made.size,
    lost,
    doubled,
    strange,
  }),
);
await app.close();
rmSync(folder, { recursive: true, force: true });
if (lost + doubled + strange > 0) process.exitCode = 1;
