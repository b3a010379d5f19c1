import { ulid } from 'ulid';
import { backup } from '../src/data/backup';
import { demoServer } from './lib/demo-server';
import { report } from './lib/measure';

/*
 * What goes through a whole book of 1.2 million marks, beside eight devices that count: how long anybody else waits. A stall
 * is the longest a file that costs nothing is waited for, against the same while nothing heavy is done.
 */
const wanted = Number(process.env.VOWSTEP_MARKS ?? 1_200_000);
const server = await demoServer(10);
const { client, url } = server;
const [{ n }] = (await client.execute('select count(*) as n from touch_event where player_id is not null'))
  .rows as unknown as [{ n: number }];
await client.execute('pragma synchronous = off');
for (let copy = 1; copy * n < wanted; copy++)
  await client.execute({
    sql: `insert into touch_event (id, block_id, player_id, kind, attempt, value, ref, text, by, origin, at_ms, mono_ms, device)
          select substr(id, 1, 10) || printf('%06d', ?) || printf('%010d', seq), block_id, player_id, kind, attempt, value, null, text, by, origin, at_ms, mono_ms, device
          from touch_event where player_id is not null and kind in ('touch', 'drop', 'zone') order by seq limit ?`,
    args: [copy, n],
  });
const [{ marks }] = (await client.execute('select count(*) as marks from touch_event')).rows as unknown as [
  { marks: number },
];
await client.execute('pragma wal_checkpoint(truncate)');
console.error(`${marks} marks`);

const { rows } = await client.execute(
  `select bp.block_id as block, bp.player_id as player from block_player bp join block b on b.id = bp.block_id
   join session s on s.id = b.session_id where s.state = 'planned' order by bp.block_id, bp.player_id limit 8`,
);
const sessions = (await client.execute(`select id from session where kind = 'court' limit 20`)).rows.map(
  (row) => String(row.id),
);
const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Eight devices count four times a second each, and somebody asks for a file again and again, until it is over. */
async function beside(work: () => Promise<unknown>) {
  let over = false;
  const [acks, waits]: [number[], number[]] = [[], []];
  let lost = 0;
  const device = async (index: number) => {
    const { block, player } = rows[index] as unknown as { block: string; player: string };
    while (!over) {
      const atMs = Date.now();
      const event = {
        id: ulid(atMs),
        blockId: block,
        playerId: player,
        kind: 'touch',
        attempt: 1,
        value: null,
        ref: null,
      };
      const body = JSON.stringify({ events: [{ ...event, atMs, monoMs: 1, device: `heavy-${index}` }] });
      const from = performance.now();
      const answer = await fetch(`${url}/api/touches`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      });
      await answer.arrayBuffer();
      if (answer.ok) acks.push(performance.now() - from);
      else lost += 1;
      await rest(250);
    }
  };
  const ping = async () => {
    while (!over) {
      const from = performance.now();
      await (await fetch(`${url}/icon.svg`)).arrayBuffer();
      waits.push(performance.now() - from);
      await rest(10);
    }
  };
  const all = [...Array.from({ length: 8 }, (_, index) => device(index)), ping()];
  const from = performance.now();
  await work();
  const tookMs = performance.now() - from;
  over = true;
  await Promise.all(all);
  const at = (list: number[], share: number) =>
    list.sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;
  return {
    tookMs,
    stall: at(waits, 1),
    ack95: at(acks, 0.95),
    ackMost: at(acks, 1),
    acks: acks.length,
    lost,
  };
}
const drained = async (path: string, init?: RequestInit) => {
  const answer = await fetch(url + path, init);
  let bytes = 0;
  for await (const part of answer.body as unknown as AsyncIterable<Uint8Array>) bytes += part.byteLength;
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  return bytes;
};

// What is read for the first time is read before.
await beside(() => rest(5000));
const quiet = await beside(() => rest(10_000));
report('heavy-quiet-stall', quiet.stall, 'ms', quiet.stall);
const say = (name: string, measured: typeof quiet) => {
  report(`heavy-${name}-stall`, measured.stall, 'ms', quiet.stall);
  report(`heavy-${name}-ack-p95`, measured.ack95, 'ms', quiet.ack95);
  console.error(
    `${name}: took ${Math.round(measured.tookMs)} ms, longest ack ${Math.round(measured.ackMost)} ms, ${measured.acks} marks stored, ${measured.lost} not`,
  );
};
say('export', await beside(() => drained('/api/book')));
say('table', await beside(() => drained('/api/tables/touches')));
say('papers', await beside(() => Promise.all(sessions.map((id) => drained(`/sessions/${id}/paper.pdf`)))));
// By the same process of its own as the server makes it.
say('copy', await beside(() => backup(server.file, `${server.file}.copy`)));
await server.stop();
