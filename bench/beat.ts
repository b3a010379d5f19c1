import { beats } from '../src/core/court/calls/beat';
import { mixTrack } from '../src/core/court/calls/mix';
import type { Cue } from '../src/core/court/calls/timeline';
import { seededRandom } from '../src/core/base/random';
import { lookAheadS, SoundPlayer } from '../src/court/sound-player';
import { openBrowser } from '../testing/browser/browser';
import { Page } from '../testing/browser/page';
import { demoServer } from './lib/demo-server';
import { report } from './lib/measure';
import { openRowBlock } from './lib/row-block';

/*
 * How far beats are from where they should be, milliseconds, against the 2 ms nobody hears.
 * beat: ten simulated minutes through the player, on a page that is busy nearly all the time.
 * beat-track: the same ten minutes in a rendered practice track, found again in its samples.
 * beat-browser: on a run screen in a real browser whose main thread is kept busy.
 */
const boundMs = 2;
const minutes = 10;
const tempo = 184;
const cueOf = (atS: number): Cue => ({ atS, tone: 'beat', clip: null, call: null });
const ideal = beats(tempo, 3, 60 * minutes).map((beat) => beat.atS);

{
  const random = seededRandom(7);
  let now = 100;
  let hand: (() => void) | null = null;
  const heard: number[] = [];
  const player = new SoundPlayer({
    now: () => now,
    play: (_cue, at) => {
      heard.push(at - 100);
      return () => undefined;
    },
    every: (work) => {
      hand = work;
      return () => (hand = null);
    },
  });
  player.start(ideal.map(cueOf), 0);
  // Busy from 0.2 s to nearly as long as the player looks ahead.
  while (hand) {
    now += 0.2 + random() * (lookAheadS - 0.25);
    (hand as () => void)();
  }
  if (heard.length !== ideal.length) throw new Error(`${ideal.length - heard.length} beats were missed.`);
  const worstMs = Math.max(...heard.map((at, index) => 1000 * Math.abs(at - ideal[index]!)));
  report('beat', worstMs, 'ms off at most', boundMs);
}

{
  const rate = 16_000;
  const track = mixTrack(ideal.map(cueOf), 60 * minutes + 5, rate, () => undefined);
  const found: number[] = [];
  let quiet = rate;
  for (let i = 0; i < track.length; i++) {
    if (Math.abs(track[i]!) > 0.002) {
      if (quiet > 0.05 * rate) found.push(i / rate);
      quiet = 0;
    } else quiet += 1;
  }
  if (found.length !== ideal.length)
    throw new Error(`The track has ${found.length} of ${ideal.length} beats.`);
  const worstMs = Math.max(...found.map((at, index) => 1000 * Math.abs(at - ideal[index]!)));
  report('beat-track', worstMs, 'ms off at most', boundMs);
}

{
  const server = await demoServer(2);
  const browser = await openBrowser();
  const page = new Page(browser.driver);
  await openRowBlock(page, server);
  await page.press('More');
  await page.press('Beat ');
  await page.keys('\uE00C');
  await browser.driver.executeScript(`
    window.starts = [];
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (at) {
      window.starts.push([this.frequency.value, at, this.context.currentTime]);
      return start.call(this, at);
    };
`);
  await page.press('Start block');
  await page.becomes(`window.starts.filter(([hz]) => hz === 520).length > 1`, true);
  // Keeps the main thread busy for most of the time, four tenths of a second at once.
  await browser.driver.executeScript(
    `setInterval(() => { const until = performance.now() + 400; while (performance.now() < until); }, 500)`,
  );
  await browser.driver.wait(
    async () =>
      (await browser.driver.executeScript<number>(
        `return window.starts.filter(([hz]) => hz === 520).length`,
      )) >= 18,
    60_000,
    'The beat never sounds.',
  );
  const starts = await browser.driver.executeScript<[number, number, number][]>(`return window.starts`);
  // When the spoken words have come the player starts anew: what was taken back is not heard.
  const beatsHeard = starts
    .filter(([hz]) => hz === 520)
    .map(([, at]) => at)
    .slice(2);
  const tempoMin = 60 / ((beatsHeard[15]! - beatsHeard[0]!) / 15);
  const periodS = 60 / Math.round(tempoMin);
  const worstMs = Math.max(
    ...beatsHeard.slice(0, 16).map((at, index) => 1000 * Math.abs(at - beatsHeard[0]! - index * periodS)),
  );
  const late = starts.filter(([, at, now]) => at < now - 0.001).length;
  if (late > 0) throw new Error(`${late} sounds were handed over after their time.`);
  report('beat-browser', worstMs, 'ms off at most', boundMs);
  await browser.close();
  await server.stop();
}
