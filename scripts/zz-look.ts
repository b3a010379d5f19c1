import { writeFileSync, mkdirSync } from 'node:fs';
import { openApp } from '../e2e/lib/app';
import { openBrowser, setViewport } from '../e2e/lib/browser';
import { Page } from '../e2e/lib/page';
mkdirSync('/tmp/look', { recursive: true });
const [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
const { driver } = browser;
const page = new Page(driver);
const shot = async (name: string) => {
  await driver.executeAsyncScript(`document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]())))`);
  writeFileSync(`/tmp/look/${name}.png`, await driver.takeScreenshot(), 'base64');
};
try {
const sessions = await app.query(`select id, title from session where state = 'planned' order by day, start_time`);
const held = (await app.query(`select id from session where state = 'finished' order by day desc limit 1`))[0]!.id as string;
const nessa = (await app.query(`select id from player where name like 'Nessa%'`))[0]!.id as string;
const first = sessions[0]!.id as string;
const ask = { app, driver, page, shot, first, held, nessa, setViewport, browser };
await (await import(process.argv[2]!)).default(ask);
} finally { await browser.close(); await app.close(); }
