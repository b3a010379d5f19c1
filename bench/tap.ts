import { openBrowser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { demoServer } from './lib/demo-server';
import { openRowBlock } from './lib/row-block';
import { median, report } from './lib/measure';

/*
 * From a finger coming down to the painted count, and to the touch being on the device's disk, on the run screen of a
 * whole group in headless Chromium, against an empty button that paints a number of its own. In turn, in one run.
 */
const rounds = 200;
const server = await demoServer(10);
const browser = await openBrowser();
const page = new Page(browser.driver);
await openRowBlock(page, server);
await browser.driver.manage().setTimeouts({ script: 300_000 });
const result = await browser.driver.executeAsyncScript<{
  empty: number[];
  painted: number[];
  durable: number[];
}>(
  `const [rounds, done] = arguments;
   const button = document.createElement('button');
   button.textContent = '0';
   button.style.cssText = 'position:fixed;left:0;top:0;width:64px;height:64px;z-index:99;pointer-events:none';
   button.addEventListener('pointerdown', () => { button.textContent = String(Number(button.textContent) + 1); });
   document.body.append(button);
   let onDisk = null;
   const put = IDBObjectStore.prototype.put;
   IDBObjectStore.prototype.put = function (...args) {
     if (this.name === 'events' && onDisk) {
       const give = onDisk;
       onDisk = null;
       this.transaction.addEventListener('complete', () => give(performance.now()));
     }
     return put.apply(this, args);
   };
   const finger = (target) => target.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }));
   // A frame is painted when the task after its animation frame runs.
   const frame = () => new Promise((give) => requestAnimationFrame(() => { const { port1, port2 } = new MessageChannel(); port1.onmessage = () => give(performance.now()); port2.postMessage(0); }));
   const paintedOnce = async (read, before) => { for (;;) { const at = await frame(); if (read() !== before) return at; } };
   const count = () => document.querySelector('[data-count]').textContent;
   const rest = () => new Promise((give) => setTimeout(give, 30 + Math.random() * 40));
   (async () => {
     const out = { empty: [], painted: [], durable: [] };
     // A row is counted whether the clock runs or not.
     const zone = document.querySelector('[data-touch-of="1"]');
     for (let n = -20; n < rounds; n++) {
       await rest();
       let from = performance.now();
       const was = button.textContent;
       finger(button);
       const empty = (await paintedOnce(() => button.textContent, was)) - from;
       await rest();
       const disk = new Promise((give) => (onDisk = give));
       const before = count();
       from = performance.now();
       finger(zone);
       const painted = (await paintedOnce(count, before)) - from;
       const durable = (await disk) - from;
       if (n >= 0) { out.empty.push(empty); out.painted.push(painted); out.durable.push(durable); }
     }
     done(out);
   })();`,
  rounds,
);
const p99 = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.99)]!;
report('tap-painted', median(result.painted), 'ms', median(result.empty));
report('tap-painted-p99', p99(result.painted), 'ms', p99(result.empty));
report('tap-on-disk', median(result.durable), 'ms', median(result.empty));
report('tap-on-disk-p99', p99(result.durable), 'ms', p99(result.empty));
await browser.close();
await server.stop();
