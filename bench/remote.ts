import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startOnFreePort } from '../scripts/lib/server.js';
import { libsqlStandIn } from '../testing/libsql-server';
import { demoServer } from './lib/demo-server';
import { median, report, timed } from './lib/measure';
import { addressesOn } from '../testing/browser/views';

/*
 * Pages of the production server on a libSQL server that is 20 ms away (the stand-in), against the same on a file: requests
 * to the database a page takes, and time. Every opening comes after a write of somebody else, so nothing known holds any
 * more: `trips` is of a page that was opened before, `first` of one that nobody has opened on this server.
 */
const delayMs = 20;
const rounds = 7;
const onFile = await demoServer(10);
const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-bench-remote-'));
const file = path.join(folder, 'book.db');
await onFile.client.execute({ sql: 'vacuum into ?', args: [file] });
const standIn = await libsqlStandIn(file);
const server = await startOnFreePort(() => ({ env: { VOWSTEP_DATABASE_URL: standIn.url } }));
const paths = await addressesOn(onFile);

const elsewhere = async (n: number) => {
  await onFile.client.execute({
    sql: 'update kit_item set count = ? where name = (select min(name) from kit_item)',
    args: [n],
  });
  await standIn.query('update kit_item set count = ? where name = (select min(name) from kit_item)', [n]);
  await standIn.query('insert into write_mark (id, at_ms) values (?, ?)', [`bench-${n}`, Date.now()]);
  // Longer than a server takes what it was told for true.
  await new Promise((resolve) => setTimeout(resolve, 130));
};
const open = async (url: string) => {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${url} answers ${answer.status}.`);
  await answer.arrayBuffer();
};

standIn.dials.delayMs = delayMs;
// A server reads at its start what is looked at first: until it asks no more.
for (let quiet = 0; quiet < 3;) {
  await new Promise((resolve) => setTimeout(resolve, 1000));
  quiet = standIn.trips() === 0 ? quiet + 1 : 0;
}
let n = 0;
for (const [name, at] of Object.entries(paths)) {
  await elsewhere((n += 1));
  standIn.trips();
  await open(server.url + at);
  const first = standIn.trips();
  const [trips, here, there]: [number[], number[], number[]] = [[], [], []];
  for (let round = 0; round < rounds; round++) {
    await elsewhere((n += 1));
    standIn.trips();
    there.push(await timed(() => open(server.url + at)));
    trips.push(standIn.trips());
    here.push(await timed(() => open(onFile.url + at)));
  }
  report(`remote-first-${name}`, first, 'requests', 1);
  report(`remote-trips-${name}`, median(trips), 'requests', 1);
  report(`remote-time-${name}`, median(there), 'ms', median(here));
}
await server.stop();
await standIn.close();
await onFile.stop();
rmSync(folder, { recursive: true, force: true });
