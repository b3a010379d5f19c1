import { gzipSync } from 'node:zlib';
import { addressesOn } from '../testing/browser/views';
import { demoServer } from './lib/demo-server';
import { report } from './lib/measure';

/*
 * How much a browser with nothing kept fetches for each main view: all script the page asks for, compressed, and the
 * page itself, compressed. The reference is an empty page of the same server.
 */
const demo = await demoServer(10);
/** Decimal kilobytes after gzip. */
const kB = (bytes: string | Uint8Array): number => gzipSync(bytes).length / 1000;
const known = new Map<string, number>();

async function fetched(path: string): Promise<Uint8Array> {
  const answer = await fetch(demo.url + path);
  if (!answer.ok) throw new Error(`${path} answers ${answer.status}.`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** The compressed script a page asks for, and the compressed page. */
async function weightOf(path: string): Promise<{ scriptKB: number; pageKB: number }> {
  const page = new TextDecoder().decode(await fetched(path));
  // What only browsers without modules fetch is left out: none of those can run this.
  const modern = page.replace(/<script[^>]*nomodule[^>]*>/gi, '');
  const scripts = new Set(modern.match(/\/_next\/static\/[^"'\\ ]+?\.js/g) ?? []);
  let scriptKB = 0;
  for (const script of scripts) {
    if (!known.has(script)) known.set(script, kB(await fetched(script)));
    scriptKB += known.get(script)!;
  }
  return { scriptKB, pageKB: kB(page) };
}

const { blank: empty, ...views } = await addressesOn(demo);
const blank = await weightOf(empty!);
for (const [name, path] of Object.entries(views)) {
  const { scriptKB, pageKB } = await weightOf(path);
  report(`weight-${name}`, scriptKB, 'kB', blank.scriptKB);
  report(`weight-${name}-page`, pageKB, 'kB', blank.pageKB);
}
await demo.stop();
