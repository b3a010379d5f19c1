import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { TestReport } from './lib/report.js';
import { bin, main, root, run } from './lib/run.js';
import { testClock } from './lib/test-clock.js';

const lint = () => run(bin('eslint'), ['.', '--max-warnings', '0']);

async function formatAndTypes() {
  await run(bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  await run(bin('tsc'), ['--noEmit']);
  // The service worker lives in a world of its own.
  await run(bin('tsc'), ['--noEmit', '-p', 'src/service-worker']);
  // What nothing uses: files, exports, packages (knip.json says what is used by other ways than imports).
  await run(bin('knip'), ['--no-progress']);
}

/** Waits for all of them, so that each says what it found; then fails with the first that failed. */
async function sideBySide(...works) {
  const ends = await Promise.allSettled(works);
  const failed = ends.find((end) => end.status === 'rejected');
  if (failed) throw failed.reason;
}

/** `npm test`: everything, from nothing: installs what is missing, then lint, format, types, unit, build, browser tests. */
await main(async () => {
  const results = mkdtempSync(path.join(tmpdir(), 'vowstep-results-'));
  const report = new TestReport();
  const jest = async (name, args, env = {}) => {
    const file = path.join(results, `${name}.json`);
    try {
      await run(bin('jest'), [...args, '--json', '--outputFile', file], { env, out: 2 });
    } finally {
      report.add(JSON.parse(readFileSync(file, 'utf8')));
    }
  };
  /** The browser tests of some projects, on a demo of their day. */
  const browser = async (name, projects, asked) => {
    const clock = await testClock(asked);
    const demoFile = path.join(root, 'data', 'browser-tests.db');
    await makeDemoData(demoFile, { clock });
    const args = ['--config', 'jest.e2e.config.mjs', '--selectProjects', ...projects];
    await jest(name, args, { ...clock.env, VOWSTEP_DEMO_FILE: demoFile });
  };
  const steps = [
    ['Packages, Chromium', () => sideBySide(ensureModules(), ensureChromium())],
    // Each of these keeps one core busy, and the linter as long as the other two.
    ['Lint, format, types', () => sideBySide(lint(), formatAndTypes())],
    ['Migrations', () => run(bin('drizzle-kit'), ['check'], { quiet: true })],
    // In a zone far from UTC whose clocks change: what takes a local day for one of UTC fails here.
    ['Unit tests', () => jest('unit', [], { TZ: 'Pacific/Auckland' })],
    ['Build', ensureBuild],
    ['Browser tests', () => browser('browser', ['browser', 'hall', 'server'])],
    ['Browser tests on the real day', () => browser('today', ['today'], { day: 'real' })],
  ];
  try {
    for (const [name, step] of steps) {
      console.log(`\n— ${name}`);
      await report.timed(name, step);
    }
  } finally {
    rmSync(results, { recursive: true, force: true });
    report.print();
  }
});
