import { Worker } from 'node:worker_threads';

/*
 * What the other thread runs, as plain text so that nothing has to be found beside a bundle. It counts its own seconds and
 * does not look at a clock: a computer that slept has missed none.
 */
const code = `
const { writeSync } = require('node:fs');
const { workerData: { beats, longestS } } = require('node:worker_threads');
let [seen, missed] = [-1, 0];
setInterval(() => {
  const now = Atomics.load(beats, 0);
  missed = now === seen ? missed + 1 : 0;
  seen = now;
  if (missed < longestS) return;
  writeSync(2, 'Vow Step stood still for ' + longestS + ' seconds, so it ends here and can be started anew. Counts are safe.\\n');
  process.kill(process.pid, 'SIGKILL');
}, 1000);
`;

/**
 * Ends this process with one line when its event loop stands for so long, so that whatever started it can start it anew.
 * What is written is safe: the database's own log sees to that.
 * @param {number} longestS whole seconds from 1
 */
export function watchLoop(longestS = 30) {
  const beats = new Int32Array(new SharedArrayBuffer(4));
  setInterval(() => Atomics.add(beats, 0, 1), 500).unref();
  new Worker(code, { eval: true, execArgv: [], workerData: { beats, longestS } }).unref();
}
