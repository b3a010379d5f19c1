import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { root } from './run.js';

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
const minutes = (ms) => `${Math.floor(ms / 60_000)} min ${Math.round((ms % 60_000) / 1000)} s`;
const mostFiles = 10;

/** What a run of tests says of itself at its end: how long each part took, the slowest files, and what failed. */
export class TestReport {
  #parts = [];
  #files = [];
  #failed = [];
  #passed = 0;
  #failures = 0;

  /** Runs a part of the tests and notes how long it took, also where it fails. */
  async timed(name, work) {
    const from = performance.now();
    try {
      await work();
    } finally {
      const ms = performance.now() - from;
      this.#parts.push([name, ms]);
      console.log(`  ${name}: ${seconds(ms)}`);
    }
  }

  /** Adds a run's results, as Jest writes them with `--json`. */
  add({ numPassedTests, numFailedTests, testResults }) {
    this.#passed += numPassedTests;
    this.#failures += numFailedTests;
    for (const result of testResults) {
      this.#files.push([path.relative(root, result.name), result.endTime - result.startTime]);
      this.#failed.push(...failuresOf(result));
    }
  }

  get counts() {
    return { passed: this.#passed, failed: this.#failures };
  }

  print() {
    const slowest = this.#files.sort(([, a], [, b]) => b - a).slice(0, mostFiles);
    if (slowest.length > 0) {
      console.log('\nSlowest files:');
      for (const [file, ms] of slowest) console.log(`  ${seconds(ms).padStart(8)}  ${file}`);
    }
    console.log('\nTime by part:');
    for (const [name, ms] of this.#parts) console.log(`  ${seconds(ms).padStart(8)}  ${name}`);
    const whole = this.#parts.reduce((sum, [, ms]) => sum + ms, 0);
    // Once more, in a few lines: the long report above is often read without its middle.
    if (this.#failed.length > 0) console.log(`\nFailed:\n${this.#failed.join('\n')}`);
    console.log(`\n${this.#passed} passed, ${this.#failures} failed, in ${minutes(whole)}`);
  }
}

/** A line for every test that failed, and for a file that could not be run: where, which, and the first lines of why. */
function failuresOf({ name, status, message, assertionResults }) {
  const file = path.relative(root, name);
  const tests = assertionResults.filter((test) => test.status === 'failed');
  if (tests.length === 0) return status === 'failed' ? [`${file}: ${whyOf(message)}`] : [];
  return tests.map((test) => `${file}: ${test.fullName}: ${whyOf(test.failureMessages[0])}`);
}

const whyOf = (text) =>
  stripVTControlCharacters(text ?? '')
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .slice(0, 4)
    .join(' ');
