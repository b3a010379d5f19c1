import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import wavefile from 'wavefile';

/*
 * Recorded blows from a general-purpose package of drum sounds (Debian, GPL and Creative Commons): hands on wood and skins,
 * claps and snaps, each in five strengths. Fetched for the bench, never kept in the project.
 */
const debian = 'hydrogen-drumkits';
const folder = path.join(tmpdir(), 'vowstep-recorded-blows');

/** Things that are struck and soon silent: what rings on or rattles is nothing like a ball. */
const struck = [
  'BongoHi',
  'BongoLo',
  'CajonSlaps',
  'CajonThumps',
  'Clave',
  'Fingersnap',
  'HandClap',
  'WoodBlock',
];
const strengths = ['Softest', 'Soft', 'Med', 'Hard', 'Hardest'];

export interface Recorded {
  readonly name: string;
  /** From soft to hard; each begins with its blow. Samples a second: {@link recordedRate}. */
  readonly blows: readonly Float32Array[];
}

export const recordedRate = 44_100;

function fetchOnce(): void {
  if (existsSync(folder)) return;
  const made = `${folder}.${process.pid}`;
  mkdirSync(made, { recursive: true });
  try {
    console.error(`Fetching ${debian}…`);
    execFileSync('apt-get', ['download', '-qq', debian], { cwd: made, stdio: 'ignore' });
    const [deb] = readdirSync(made).filter((name) => name.endsWith('.deb'));
    execFileSync('dpkg', ['-x', deb!, '.'], { cwd: made });
    rmSync(path.join(made, deb!));
    renameSync(made, folder);
  } finally {
    rmSync(made, { recursive: true, force: true });
  }
}

/** Where a file of that name lies in what was unpacked. */
function find(name: string, from = folder): string | null {
  for (const one of readdirSync(from, { withFileTypes: true, recursive: true }))
    if (one.isFile() && one.name === name) return path.join(one.parentPath, one.name);
  return null;
}

/** The samples of one channel, from where the blow begins. */
function wave(file: string): Float32Array {
  const read = new wavefile.WaveFile(readFileSync(file));
  read.toBitDepth('32f');
  const samples = read.getSamples(false, Float32Array) as unknown as Float32Array | Float32Array[];
  const one = Array.isArray(samples) ? samples[0]! : samples;
  const loudest = one.reduce((top, x) => Math.max(top, Math.abs(x)), 0);
  const from = one.findIndex((x) => Math.abs(x) > 0.08 * loudest);
  return one.slice(Math.max(0, from - 20), from + 0.4 * recordedRate);
}

/** All recorded blows, thing by thing. @throws where the package cannot be had */
export function recordedBlows(): Recorded[] {
  fetchOnce();
  return struck.map((name) => ({
    name,
    blows: strengths.map((strength) => {
      const file = find(`${name}-${strength}.wav`);
      if (!file) throw new Error(`${debian} has no ${name}-${strength}.wav any more.`);
      return wave(file);
    }),
  }));
}
