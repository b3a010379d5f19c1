import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { WebDriver } from 'selenium-webdriver';

const source = readFileSync(
  createRequire(path.resolve('package.json')).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** Violations of WCAG 2.2 AA on the page as it stands, one line each. */
export const axeViolations = (driver: WebDriver): Promise<string[]> =>
  violations(driver, ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);

/** Only whether the colours differ enough: all that other colours can change. */
export const contrastViolations = (driver: WebDriver): Promise<string[]> =>
  violations(driver, ['color-contrast']);

/** A page that is gone to has its contents a moment before its title. */
const titleMs = 5000;

async function violations(driver: WebDriver, runOnly: readonly string[]): Promise<string[]> {
  // One that never gets a title is a fault, which axe then says.
  await driver.wait(async () => (await driver.getTitle()) !== '', titleMs).catch(() => undefined);
  if (!(await driver.executeScript<boolean>('return window.axe !== undefined')))
    await driver.executeScript(source);
  return driver.executeAsyncScript<string[]>(
    `
    const done = arguments[arguments.length - 1];
    axe.run(document, { runOnly: arguments[0], resultTypes: ['violations'], iframes: false })
      .then(({ violations }) => done(violations.flatMap(({ id, nodes }) =>
        nodes.map((node) => id + ': ' + node.target.join(' ') + ' ' + node.html.slice(0, 160)))));
  `,
    runOnly,
  );
}
