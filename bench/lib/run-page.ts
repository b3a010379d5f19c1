import { openBrowser, type Browser } from '../../testing/browser/browser';
import { Page } from '../../testing/browser/page';
import { count, keptBuilds, phase, tap, waiting } from '../../testing/browser/session';
import { buildServiceWorker } from '../../scripts/lib/service-worker.js';

/** A run screen in a real browser, with its own store and service worker, on which somebody counts. */
export class RunPage {
  readonly #browser: Browser;
  readonly #page: Page;
  readonly #address: string;
  /** Presses that were shown as counted. */
  presses = 0;
  /** Workers that opened the page as soon as it had been closed. */
  workersThatTookOver = 0;
  #workers = 0;

  private constructor(browser: Browser, address: string) {
    this.#browser = browser;
    this.#page = new Page(browser.driver);
    this.#address = address;
  }

  static async open(address: string): Promise<RunPage> {
    const screen = new RunPage(await openBrowser(1024, 768), address);
    await screen.load();
    await screen.#page.press('Start block');
    await screen.#page.becomes(phase, 'work');
    await screen.#run(`return navigator.serviceWorker.ready.then(() => true)`);
    return screen;
  }

  async load(): Promise<void> {
    await this.#browser.driver.get(this.#address);
    await this.#page.sees('Robin');
    await this.#page.becomes(count(1), String(this.presses));
  }

  /** Counts for the second player; every press must show. */
  async tap(times: number): Promise<void> {
    await tap(this.#page, 2, times);
    this.presses += times;
    await this.#page.becomes(count(1), String(this.presses));
  }

  /**
   * A worker of another build comes under the open page, which counts on and is opened again meanwhile; when its tab was
   * closed, the new worker opens it. Should the browser let the older one go on, it does that work as well.
   */
  async renewWorker(): Promise<void> {
    const build = `faults-${++this.#workers}`;
    await buildServiceWorker(build);
    await this.#run(
      `return navigator.serviceWorker.getRegistration().then((one) => one.update()).then(() => true)`,
    );
    await this.tap(2);
    await this.load();
    await this.tap(1);
    await this.#page.closeTab();
    await this.load();
    await this.tap(1);
    if ((await this.#run(`return ${keptBuilds}`)) === `vowstep-court-${build}`) this.workersThatTookOver += 1;
  }

  /** Waits until the server has all of it. */
  async rest(): Promise<void> {
    await this.#page.becomes(waiting, '0');
    await this.#page.becomes(count(1), String(this.presses));
  }

  async close(): Promise<void> {
    await this.#browser.close();
    await buildServiceWorker();
  }

  #run(script: string): Promise<unknown> {
    return this.#browser.driver.executeScript(script);
  }
}
