import { createClient } from '@libsql/client';
import { copyFileSync, rmSync } from 'node:fs';
import { ulid } from 'ulid';
import { maxBatch } from '../src/core/counting/check';
import type { TouchEvent } from '../src/core/counting/event';
import { noStore } from '../src/court/held-back';
import { RunLog } from '../src/court/run-log';
import { demoServer } from './lib/demo-server';
import { median, report, timed } from './lib/measure';

/*
 * Touches stored durably per second: through the real route, one batch at a time as the run screen sends
 * them, against raw libSQL batch inserts of the same rows into a copy of the same database, in turn.
 */
const rounds = 60;
const server = await demoServer(10);
const copy = `${server.file}.raw.db`;
await server.client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
copyFileSync(server.file, copy);
const raw = createClient({ url: `file:${copy}`, timeout: 5000 });
await raw.execute('PRAGMA journal_mode = WAL');

const { rows } = await server.client.execute(
  `select bp.block_id as block, bp.player_id as player from block_player bp join block b on b.id = bp.block_id
   join session s on s.id = b.session_id where s.state = 'planned' order by bp.block_id, bp.player_id limit 6`,
);
let clock = Date.now();
/** A batch of touches of the players in turn, as they come courtside. */
function batch(size: number): TouchEvent[] {
  return Array.from({ length: size }, (_, index) => {
    clock += 100;
    const { block, player } = rows[index % rows.length] as unknown as { block: string; player: string };
    return {
      id: ulid(clock),
      blockId: block,
      playerId: player,
      kind: 'touch',
      attempt: 1,
      value: null,
      ref: null,
      atMs: clock,
      monoMs: index,
      device: 'bench',
    };
  });
}

async function throughRoute(events: readonly TouchEvent[]): Promise<void> {
  const answer = await fetch(`${server.url}/api/touches`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events }),
  });
  const { stored } = (await answer.json()) as { stored: number };
  if (stored !== events.length) throw new Error(`The route stored ${stored} of ${events.length}.`);
}

async function throughLibsql(events: readonly TouchEvent[]): Promise<void> {
  await raw.batch(
    events.map((e) => ({
      sql: 'insert into touch_event (id, block_id, player_id, kind, attempt, value, ref, at_ms, mono_ms, device) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      args: [e.id, e.blockId, e.playerId, e.kind, e.attempt, e.value, e.ref, e.atMs, e.monoMs, e.device],
    })),
    'write',
  );
}

for (const [name, size] of [
  ['ingest', maxBatch],
  ['ingest-eight-at-a-time', 8],
] as const) {
  const route: number[] = [];
  const reference: number[] = [];
  for (let round = -10; round < rounds; round++) {
    const events = batch(size);
    const viaRoute = await timed(() => throughRoute(events));
    const viaLibsql = await timed(() => throughLibsql(events));
    // The first rounds only warm up.
    if (round >= 0) {
      route.push(viaRoute);
      reference.push(viaLibsql);
    }
  }
  const perSecond = (ms: number) => (size * 1000) / ms;
  report(name, perSecond(median(route)), 'touches/s', perSecond(median(reference)));
}

/*
 * Eight devices at four touches a second each, at once: each runs the run screen's own log against the route. Nothing
 * may be lost or stored twice; what is measured is how many are safe a second against how many are made.
 */
const seconds = 10;
const kept = new Map<string, Set<string>>();
const devices = Array.from({ length: 8 }, (_, device) => {
  const name = `device-${device}`;
  kept.set(name, new Set());
  const { block, player } = rows[device % rows.length] as unknown as { block: string; player: string };
  const log = new RunLog([], {
    store: {
      ...noStore,
      put: async (event) => void kept.get(name)!.add(event.id),
    },
    send: async (events) => {
      const answer = await fetch(`${server.url}/api/touches`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events }),
      }).catch(() => null);
      return { kind: answer?.ok ? 'stored' : 'unreachable' };
    },
    later: (work, ms) => void setTimeout(work, ms),
    clock: { now: () => Date.now(), mono: () => performance.now() },
    device: name,
  });
  return { log, touch: () => log.log({ blockId: block, playerId: player, kind: 'touch' }) };
});
const from = performance.now();
for (let n = 0; n < 4 * seconds; n++) {
  for (const { touch } of devices) void touch();
  await new Promise((done) => setTimeout(done, Math.max(0, from + 250 * (n + 1) - performance.now())));
}
await Promise.all(devices.map(({ log }) => log.flush()));
const tookS = (performance.now() - from) / 1000;
const inLog = await server.client.execute(`select id, device from touch_event where device like 'device-%'`);
const made = [...kept.values()].reduce((sum, ids) => sum + ids.size, 0);
const lost = [...kept.values()]
  .flatMap((ids) => [...ids])
  .filter((id) => !inLog.rows.some((row) => row.id === id));
const doubled = inLog.rows.length - new Set(inLog.rows.map((row) => row.id)).size;
if (lost.length + doubled > 0) throw new Error(`${lost.length} lost, ${doubled} doubled.`);
report('ingest-eight-devices', inLog.rows.length / tookS, 'touches/s safe', made / seconds);
raw.close();
for (const ending of ['', '-wal', '-shm']) rmSync(copy + ending, { force: true });
await server.stop();
