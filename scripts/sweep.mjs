import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { TestReport } from './lib/report.js';
import { bin, main, root, run } from './lib/run.js';
import { testClock, usualClock } from './lib/test-clock.js';

/*
 * `npm run sweep`: the browser tests and the goals on every day that is unlike others: each day of a week, the ends of a
 * year and of February, the days on which clocks change, five minutes before midnight, and from the first zone of the
 * earth to the last. It takes hours and is no part of `npm test`.
 * `npm run sweep -- 2027-01-01 clocks`: only the situations whose line has one of these words.
 * `VOWSTEP_SWEEP_TESTS="every-day today" npm run sweep`: only these files.
 */
const { zone: usualZone } = usualClock;
const situations = [
  ...[1, 2, 3, 4, 5, 6, 7].map((day) => [`2026-12-0${day}`, '10:00', usualZone, 'a day of the week']),
  ['2026-12-31', '10:00', 'Europe/Berlin', 'the last day of the year'],
  ['2027-01-01', '10:00', 'Europe/Berlin', 'the first day of the year'],
  ['2027-02-28', '10:00', 'Europe/Berlin', 'the end of February'],
  ['2028-02-29', '10:00', 'Europe/Berlin', 'a leap day'],
  ['2027-03-28', '01:50', 'Europe/Berlin', 'clocks go forward in ten minutes'],
  ['2026-10-25', '02:50', 'Europe/Berlin', 'clocks go back in ten minutes'],
  ['2027-03-14', '10:00', 'America/New_York', 'clocks went forward in the night'],
  ['2026-11-01', '20:30', 'America/New_York', 'clocks went back; by UTC it is tomorrow'],
  ['2027-04-04', '10:00', 'Australia/Lord_Howe', 'clocks went back by half an hour'],
  ['2026-10-04', '10:00', 'Australia/Lord_Howe', 'clocks went forward by half an hour'],
  ['2026-11-24', '23:55', 'Europe/Berlin', 'five minutes before midnight'],
  ['2026-12-31', '23:55', 'America/New_York', 'five minutes before the new year'],
  ['2026-11-24', '20:00', 'Pacific/Honolulu', 'the last zone: by UTC it is tomorrow'],
  ['2026-11-24', '10:00', 'Pacific/Kiritimati', 'the first zone: by UTC it is yesterday'],
];

await main(async () => {
  await ensureModules();
  await ensureChromium();
  await ensureBuild();
  const words = process.argv.slice(2);
  const wanted = situations.filter(
    (one) => words.length === 0 || words.some((word) => one.join(' ').includes(word)),
  );
  if (wanted.length === 0) throw new Error(`No situation has ${words.join(' or ')} in its line.`);
  const tests = process.env.VOWSTEP_SWEEP_TESTS?.split(/[ ,]+/).filter(Boolean) ?? [];
  const results = mkdtempSync(path.join(tmpdir(), 'vowstep-sweep-'));
  const table = [];
  for (const [day, time, zone, words] of wanted) {
    console.error(`\n== ${day} ${time} ${zone}: ${words}`);
    const report = new TestReport();
    const clock = await testClock({ day, time, zone });
    const demoFile = path.join(root, 'data', 'sweep.db');
    await makeDemoData(demoFile, { clock });
    const file = path.join(results, `${table.length}.json`);
    const args = ['--config', 'jest.e2e.config.mjs', ...tests, '--json', '--outputFile', file];
    const env = { ...clock.env, VOWSTEP_DEMO_FILE: demoFile };
    await report.timed('Browser tests', () => run(bin('jest'), args, { env, out: 2 }).catch(() => undefined));
    report.add(JSON.parse(readFileSync(file, 'utf8')));
    report.print();
    const goals = await run('npm', ['run', '-s', 'goals', '--', '--summary'], { env: clock.env, quiet: true })
      .then((text) => `goals ${JSON.parse(text).flags} flags`)
      .catch(() => 'goals failed');
    const { passed, failed } = report.counts;
    table.push([day, time, zone.padEnd(20), `${passed} passed`, `${failed} failed`, goals, words].join('  '));
  }
  rmSync(results, { recursive: true, force: true });
  console.log(`\n${table.join('\n')}`);
  if (table.some((line) => !/ {2}0 failed {2}goals 0 flags/.test(line))) process.exitCode = 1;
});
