import { createClient } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { monotonicFactory } from 'ulid';
import type { TouchEvent } from '../../src/core/counting/event';
import { wholeBetween } from '../../src/core/base/random';
import { migrateDatabase, openDatabase } from '../../src/data/client';
import { freePort, startServer } from '../../scripts/lib/server.js';
import { libsqlStandIn } from '../../testing/libsql-server';
import { Club } from './club';

/*
 * Two servers on one libSQL server (the stand-in), and a device that hands its counts to either: requests to the database
 * refused, their answers lost, the database away, a server killed, the same batch handed to both at once, a device that
 * hangs up. In the end every count must be stored once.
 */
const kinds = ['refused', 'lost', 'away', 'killed', 'both at once', 'hung up', 'slow'] as const;

export interface RemoteResult {
  readonly faults: number;
  readonly touches: number;
  readonly lost: number;
  readonly doubled: number;
  readonly counts: Readonly<Record<string, number>>;
}

export async function remoteFaults(faults: number, random: () => number): Promise<RemoteResult> {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-remote-faults-'));
  const file = path.join(folder, 'book.db');
  const own = await openDatabase(`file:${file}`);
  await migrateDatabase(own);
  own.$client.close();
  const club = new Club(file);
  await club.open();
  const { blockId } = await club.book();
  club.close();
  const standIn = await libsqlStandIn(file, { random });
  standIn.dials.streamMs = 500;
  const ports = [await freePort(), await freePort()];
  const env = { VOWSTEP_DATABASE_URL: standIn.url };
  const servers = await Promise.all(ports.map((port) => startServer({ port, env })));

  const newId = monotonicFactory(random);
  const meant = new Set<string>();
  let queue: TouchEvent[] = [];
  const counts = Object.fromEntries(kinds.map((kind) => [kind, 0]));
  let monoMs = 1;
  const event = (kind: 'start' | 'touch'): TouchEvent => ({
    id: newId(),
    blockId,
    playerId: kind === 'start' ? null : club.playerIds[0]!,
    kind,
    attempt: 1,
    value: null,
    ref: null,
    text: null,
    atMs: Date.now(),
    monoMs: (monoMs += 100),
    device: 'remote',
  });
  const post = async (which: number, events: readonly TouchEvent[], signal = AbortSignal.timeout(40_000)) => {
    try {
      const answer = await fetch(`http://127.0.0.1:${ports[which]!}/api/touches`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events }),
        signal,
      });
      await answer.text();
      return answer.ok;
    } catch {
      return false;
    }
  };
  /** A device sends what it has until somebody says it is stored. */
  const flush = async () => {
    for (let tries = 0; queue.length > 0 && tries < 400; tries++) {
      const batch = queue.slice(0, 50);
      if (await post(tries % 2, batch)) queue = queue.filter((one) => !batch.includes(one));
      else await new Promise((resolve) => setTimeout(resolve, 50));
    }
  };
  queue.push(event('start'));
  await flush();
  const calm = { refuse: 0, lose: 0, away: false, delayMs: 0 };

  for (let n = 0; n < faults; n++) {
    const kind = kinds[wholeBetween(random, 0, kinds.length - 1)]!;
    counts[kind]! += 1;
    const fresh = Array.from({ length: wholeBetween(random, 1, 6) }, () => event('touch'));
    for (const { id } of fresh) meant.add(id);
    queue.push(...fresh);
    switch (kind) {
      case 'refused':
        standIn.dials.refuse = 0.15;
        break;
      case 'lost':
        standIn.dials.lose = 0.15;
        break;
      case 'slow':
        standIn.dials.delayMs = 15;
        break;
      case 'away':
        standIn.dials.away = true;
        setTimeout(() => (standIn.dials.away = false), wholeBetween(random, 50, 600));
        break;
      case 'killed': {
        // In the middle of what it was doing.
        const which = wholeBetween(random, 0, 1);
        void post(which, queue.slice(0, 50));
        await servers[which]!.kill();
        servers[which] = await startServer({ port: ports[which]!, env });
        break;
      }
      case 'both at once':
        await Promise.all([post(0, queue.slice(0, 50)), post(1, queue.slice(0, 50))]);
        break;
      case 'hung up':
        await post(0, queue.slice(0, 50), AbortSignal.timeout(wholeBetween(random, 1, 30)));
        break;
    }
    await flush();
    Object.assign(standIn.dials, calm);
    if (n % 50 === 49) console.error(`${n + 1} faults on the server`);
  }
  await flush();
  for (const server of servers) await server.stop();
  await standIn.close();
  const client = createClient({ url: `file:${file}` });
  const { rows } = await client.execute(
    `select id, count(*) as n from touch_event where kind = 'touch' group by id`,
  );
  client.close();
  rmSync(folder, { recursive: true, force: true });
  const stored = new Set(rows.map((row) => String(row.id)));
  return {
    faults,
    counts,
    touches: meant.size,
    lost: [...meant].filter((id) => !stored.has(id)).length,
    doubled: rows.filter((row) => Number(row.n) > 1 || !meant.has(String(row.id))).length,
  };
}
