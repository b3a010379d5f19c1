import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Builder, logging, type WebDriver } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import { shiftBrowser } from '../clock/browser.js';
import { host } from './app';
import { downloaded, type Download } from './download';

const flags = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--hide-scrollbars',
  // What a browser keeps ready for somebody who sits at it takes a core's time from the tests.
  '--disable-extensions',
  '--disable-component-extensions-with-background-pages',
  '--disable-default-apps',
  '--disable-features=Translate,OptimizationHints,MediaRouter,SpareRendererForSitePerProcess',
];

export interface Browser {
  readonly driver: WebDriver;
  /** Lines of the console that tell of a fault, since the last look. */
  readonly faults: () => Promise<string[]>;
  /** What arrives on the disk after something is pressed. */
  readonly download: (press: () => Promise<void>) => Promise<Download>;
  readonly close: () => Promise<void>;
}

/** How often it is looked whether what is waited for is there. */
const lookEveryMs = 40;

interface BrowserAsked {
  /** With the browser's made-up microphone, allowed without being asked for; it sounds this file, over and over. */
  readonly microphone?: string | true;
}

/** A fresh headless browser with a profile of its own. */
export async function openBrowser(width = 1280, height = 800, asked: BrowserAsked = {}): Promise<Browser> {
  const profile = mkdtempSync(path.join(tmpdir(), 'vowstep-browser-'));
  const downloads = path.join(profile, 'downloads');
  mkdirSync(downloads);
  const options = new chrome.Options();
  options.setUserPreferences({ 'download.default_directory': downloads });
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.addArguments(...flags, `--user-data-dir=${profile}`, `--window-size=${width},${height}`);
  // The hall's name leads to this computer, and is no secure address: as a tablet sees it.
  if (host) options.addArguments(`--host-resolver-rules=MAP ${host} 127.0.0.1`);
  if (asked.microphone)
    options.addArguments('--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream');
  const prefs = new logging.Preferences();
  prefs.setLevel(logging.Type.BROWSER, logging.Level.ALL);
  options.setLoggingPrefs(prefs);
  const service = new chrome.ServiceBuilder('/usr/bin/chromedriver');
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(service)
    .build();
  await setClock(driver);
  // The driver looks every 200 ms unless it is told otherwise: most of what is waited for is there much sooner.
  const wait = driver.wait.bind(driver) as (...args: unknown[]) => never;
  driver.wait = ((until: unknown, forMs?: number, message?: string, everyMs = lookEveryMs) =>
    wait(until, forMs, message, everyMs)) as typeof driver.wait;
  await setViewport(driver, width, height);
  return {
    driver,
    faults: async () => {
      const entries = await driver.manage().logs().get(logging.Type.BROWSER);
      return entries
        .filter((entry) => entry.level.value >= logging.Level.WARNING.value)
        .map((entry) => entry.message);
    },
    download: (press) => downloaded(downloads, press, host !== null),
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** The pages of the browser go by the clock of the tests. */
async function setClock(driver: WebDriver): Promise<void> {
  const shiftMs = Number(process.env.VOWSTEP_TEST_SHIFT_MS ?? 0);
  if (shiftMs === 0) return;
  const { debuggerAddress } = (await driver.getCapabilities()).get('goog:chromeOptions') as {
    debuggerAddress: string;
  };
  const clockIsSet = await shiftBrowser(debuggerAddress, shiftMs);
  const get = driver.get.bind(driver);
  driver.get = async (url) => {
    await clockIsSet(await driver.getWindowHandle());
    return get(url);
  };
}

/** The page's own size, whatever the window's frame takes. */
export async function setViewport(driver: WebDriver, width: number, height: number): Promise<void> {
  const chromium = driver as unknown as { sendDevToolsCommand(name: string, params: object): Promise<void> };
  await chromium.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: width < 600,
  });
}
