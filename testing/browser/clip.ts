import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By } from 'selenium-webdriver';
import type { Page } from './page';

/** Clips that were recorded once (scripts/record-test-clips.ts), and how often a disc is hit in each: it flashes and clicks. */
export const clipsFolder = 'e2e/clips';
export const testClips = { bounces: 7, short: 3 } as const;
/** Seconds from one flash to the next. */
export const everyS = 0.5;

/** Chooses a clip in the field that opens clips, under a file name. */
export async function giveClip(
  page: Page,
  label: string,
  clip: keyof typeof testClips,
  name: string,
): Promise<void> {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'vowstep-clip-')), name);
  copyFileSync(`${clipsFolder}/${clip}.webm`, file);
  const field = `input[type=file][aria-label="${label}"]`;
  await page.becomes(
    `Object.keys(document.querySelector('${field}') ?? {}).some((key) => key.startsWith('__react'))`,
    true,
  );
  const input = await page.driver.findElement(By.css(field));
  // As after a press: the driver puts the file in without one.
  await page.driver.executeScript('arguments[0].focus()', input);
  await input.sendKeys(file);
}
