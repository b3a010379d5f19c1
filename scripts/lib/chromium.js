import { existsSync } from 'node:fs';
import { run } from './run.js';

export const chromium = '/usr/bin/chromium';
export const chromedriver = '/usr/bin/chromedriver';

/** Installs Debian's Chromium and its driver when they are missing. */
export async function ensureChromium() {
  if (existsSync(chromium) && existsSync(chromedriver)) return;
  if (process.getuid?.() !== 0)
    throw new Error(
      'Browser tests need Chromium. Install it once: sudo apt-get install chromium chromium-driver',
    );
  console.error('Installing Chromium…');
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-qq'], { env });
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium', 'chromium-driver'], {
    env,
    quiet: true,
  });
}
