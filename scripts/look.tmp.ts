import { mkdirSync, writeFileSync } from 'node:fs';
import { openApp } from '../e2e/lib/app';
import { openBrowser, setViewport } from '../e2e/lib/browser';
import { Page } from '../e2e/lib/page';
mkdirSync('/tmp/shots', { recursive: true });
const [app, browser] = await Promise.all([openApp({ demo: true }), openBrowser()]);
const { driver } = browser;
const page = new Page(driver);
const sessions = await app.query(`select id, title from session where state = 'planned' order by day, start_time`);
const tennis = sessions.find((s) => s.title === 'Wall and feet')!.id as string;
const nessa = (await app.query(`select id from player where name like 'Nessa%'`))[0]!.id as string;
const shot = async (name: string) => {
  await driver.executeAsyncScript(`document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]())))`);
  writeFileSync(`/tmp/shots/${name}.png`, await driver.takeScreenshot(), 'base64');
};
const wanted = process.argv.slice(2);
const want = (n: string) => wanted.length === 0 || wanted.includes(n);
try {
if (want('drills')) { await driver.get(app.url + '/drills'); await page.sees('Starting points'); await shot('drills'); }
if (want('drill')) { await driver.get(app.url + '/drills/palm-up-bounce'); await page.sees('Look for'); await shot('drill'); }
if (want('plan')) { await driver.get(`${app.url}/sessions/${tennis}/plan`); await page.sees('Add a drill'); await shot('plan'); await page.press('Care'); await shot('plan-care'); }
if (want('places')) { await driver.get(app.url + '/places'); await page.sees('Rope hall'); await shot('places'); }
if (want('schools')) { await driver.get(app.url + '/schools'); await page.sees('Take-back'); await shot('schools'); }
if (want('new')) { await driver.get(app.url + '/drills/new?vary=carry'); await page.sees('The ladder'); await shot('new'); }
if (want('fit')) { await driver.get(`${app.url}/players/${nessa}`); await page.press('Fit'); await page.sees('Toss hoop'); await shot('fit'); }
if (want('run')) { await driver.get(`${app.url}/sessions/${tennis}/run`); await page.sees('Start block'); await shot('run'); for (let i=0;i<4;i++) await page.press('Next block'); await shot('run2'); }
if (want('review')) { const held = (await app.query(`select id from session where state='finished' order by day desc limit 1`))[0]!.id; await driver.get(`${app.url}/sessions/${held}/review`); await page.sees('Accept'); await shot('review'); }
if (want('today')) { await driver.get(app.url); await page.sees('Coming up'); await shot('today'); }
console.log(await browser.faults());
} finally { await Promise.all([browser.close(), app.close()]); }
