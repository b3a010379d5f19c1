import { demoServer, type DemoServer } from './lib/demo-server';
import { median, report, timed } from './lib/measure';
import { addressesOn } from '../testing/browser/views';

/*
 * Median server time of each main view, from request to last byte: on the demo data against an empty page
 * of the same server, and on a log of over 200,000 touches against the demo. All of them in turn.
 */
const rounds = 60;
const demo = await demoServer(10);
const large = await demoServer(60);
const touches = async ({ client }: DemoServer) =>
  (await client.execute('select count(*) as n from touch_event')).rows[0]!.n;
console.error(`Events: ${await touches(demo)} in the demo, ${await touches(large)} in the large log.`);

const servers = [
  { server: demo, at: await addressesOn(demo), times: {} as Record<string, number[]> },
  { server: large, at: await addressesOn(large), times: {} as Record<string, number[]> },
];
for (let round = -20; round < rounds; round++) {
  for (const name of Object.keys(servers[0]!.at)) {
    for (const { server, at, times } of servers) {
      const ms = await timed(async () => {
        const answer = await fetch(server.url + at[name]!);
        if (!answer.ok) throw new Error(`${at[name]} answers ${answer.status}.`);
        await answer.arrayBuffer();
      });
      // The first rounds only warm up.
      if (round >= 0) (times[name] ??= []).push(ms);
    }
  }
}
const [onDemo, onLarge] = servers.map(
  ({ times }) =>
    (name: string) =>
      median(times[name]!),
);
for (const name of Object.keys(servers[0]!.at).filter((one) => one !== 'blank')) {
  report(`pages-${name}`, onDemo!(name), 'ms', onDemo!('blank'));
  report(`pages-${name}-large`, onLarge!(name), 'ms', onDemo!(name));
}
await demo.stop();
await large.stop();
