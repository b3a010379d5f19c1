import { spawnSync } from 'node:child_process';
import path from 'node:path';

const watchdog = path.join(import.meta.dirname, 'lib/watchdog.js');
const standing = 'while (performance.now() < until) ;';

/** A process that is watched, and does something. */
const watched = (longestS: number, work: string) =>
  spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      `import { watchLoop } from ${JSON.stringify(watchdog)}; watchLoop(${longestS}); ${work}`,
    ],
    { encoding: 'utf8', timeout: 60_000 },
  );

test('an event loop that stands ends its process, with one line', () => {
  const { signal, stderr } = watched(2, `const until = Infinity; ${standing}`);
  expect(signal).toBe('SIGKILL');
  expect(stderr).toBe(
    'Vow Step stood still for 2 seconds, so it ends here and can be started anew. Counts are safe.\n',
  );
});

test('one that is busy now and then goes on, and ends when it has nothing to do', () => {
  const { status, stderr } = watched(
    3,
    `for (let n = 0; n < 4; n++) { const until = performance.now() + 1000; ${standing} await new Promise((go) => setTimeout(go, 600)); } console.error('done');`,
  );
  expect([status, stderr]).toEqual([0, 'done\n']);
});
