import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';

async function lintAndFormat() {
  await run(bin('eslint'), ['.', '--max-warnings', '0']);
  await run(bin('prettier'), ['--check', '--log-level', 'warn', '.']);
}

async function types() {
  await run(bin('tsc'), ['--noEmit']);
  // The service worker lives in a world of its own.
  await run(bin('tsc'), ['--noEmit', '-p', 'src/service-worker']);
}

/** Waits for all of them, so that each says what it found; then fails with the first that failed. */
async function sideBySide(...works) {
  const ends = await Promise.allSettled(works);
  const failed = ends.find((end) => end.status === 'rejected');
  if (failed) throw failed.reason;
}

/** A line for every test that failed, and for every file that could not be run: where, which, and the first lines of why. */
function failures({ testResults }) {
  const why = (text) =>
    stripVTControlCharacters(text ?? '')
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean)
      .slice(0, 3)
      .join(' ');
  return testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = path.relative(root, name);
    const tests = assertionResults.filter((test) => test.status === 'failed');
    if (tests.length === 0) return status === 'failed' ? [`${file}: ${why(message)}`] : [];
    return tests.map((test) => `${file}: ${test.fullName}: ${why(test.failureMessages[0])}`);
  });
}

/** `npm test`: everything, from nothing: installs what is missing, then lint, format, types, unit, build, browser tests. */
await main(async () => {
  const results = mkdtempSync(path.join(tmpdir(), 'vowstep-results-'));
  const counts = { passed: 0, failed: 0 };
  const failed = [];
  const jest = async (name, args, env = {}) => {
    const file = path.join(results, `${name}.json`);
    try {
      await run(bin('jest'), [...args, '--json', '--outputFile', file], { env, out: 2 });
    } finally {
      const said = JSON.parse(readFileSync(file, 'utf8'));
      counts.passed += said.numPassedTests;
      counts.failed += said.numFailedTests;
      failed.push(...failures(said));
    }
  };
  const demoFile = path.join(root, 'data', 'browser-tests.db');
  const steps = [
    ['Packages', ensureModules],
    // Each of these keeps one core busy: the types are checked beside the other two.
    ['Lint, format, types', () => sideBySide(lintAndFormat(), types())],
    ['Migrations', () => run(bin('drizzle-kit'), ['check'], { quiet: true })],
    // In a zone far from UTC whose clocks change: what takes a local day for one of UTC fails here.
    ['Unit tests', () => jest('unit', [], { TZ: 'Pacific/Auckland' })],
    ['Build', ensureBuild],
    ['Chromium', ensureChromium],
    ['Demo data', () => makeDemoData(demoFile)],
    [
      'Browser tests',
      () => jest('browser', ['--config', 'jest.e2e.config.mjs'], { VOWSTEP_DEMO_FILE: demoFile }),
    ],
  ];
  try {
    for (const [name, step] of steps) {
      const from = Date.now();
      console.log(`\n— ${name}`);
      await step();
      console.log(`  done in ${((Date.now() - from) / 1000).toFixed(1)} s`);
    }
  } finally {
    rmSync(results, { recursive: true, force: true });
    // Once more, in a few lines: the long report above is often read without its middle.
    if (failed.length > 0) console.log(`\nFailed:\n${failed.join('\n')}`);
    console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
  }
});
