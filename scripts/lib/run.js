import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** A program that came with the packages. */
export const bin = (name) => path.join(root, 'node_modules', '.bin', name);

/**
 * Runs a command to its end, its output shown (`out: 2` sends all of it to standard error). `typed` is given to it as if
 * somebody typed it. Rejects with its exit code when it fails.
 */
export function run(
  command,
  args,
  { env = {}, quiet = false, cwd = root, out = 'inherit', stdin = 'ignore', typed = null } = {},
) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : [typed === null ? stdin : 'pipe', out, 'inherit'],
    });
    if (typed !== null) child.stdin.end(typed);
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', reject);
    child.on('close', (code) => {
      if (code === 0) return resolve(output);
      if (quiet) process.stderr.write(output);
      reject(
        Object.assign(new Error(`${path.basename(command)} ${args.join(' ')} failed (${code}).`), {
          code: code ?? 1,
        }),
      );
    });
  });
}

/** Runs the main function of a script; a failure is one clear line and a real exit code. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    console.error(process.env.VOWSTEP_DEBUG ? error : `\n${error.message}`);
    process.exit(typeof error.code === 'number' ? error.code : 1);
  }
}
