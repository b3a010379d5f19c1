import { mkdirSync, writeFileSync } from 'node:fs';
import { openBrowser } from '../testing/browser/browser';
import { clipsFolder, everyS, testClips } from '../testing/browser/clip';

/*
 * `npx tsx scripts/record-test-clips.ts`: records the clips that the browser tests open (e2e/clips). Once: a recording goes
 * by the clock, and a machine that is busy would draw something else than it says.
 *
 * A disc goes up and down and is white when it is hit, with a click; the corner of the picture says it too.
 */
const browser = await openBrowser();
const { driver } = browser;
await driver.manage().setTimeouts({ script: 240_000 });
await driver.get('data:text/html,<button>Sound</button>');
// Browsers let a page sound only after a press.
await driver.findElement({ css: 'button' }).click();
mkdirSync(clipsFolder, { recursive: true });
for (const [name, flashes] of Object.entries(testClips)) {
  const made = await driver.executeAsyncScript<string>(
    `const [flashes, everyS, done] = arguments;
     const take = async () => {
       const canvas = document.createElement('canvas');
       canvas.width = 320; canvas.height = 180;
       const draw = canvas.getContext('2d');
       const audio = new AudioContext({ sampleRate: 48000 });
       await audio.resume();
       const to = audio.createMediaStreamDestination();
       const hiss = audio.createBuffer(1, 48000, 48000);
       for (let n = 0; n < 48000; n++) hiss.getChannelData(0)[n] = 0.002 * (Math.random() * 2 - 1);
       const bed = audio.createBufferSource(); bed.buffer = hiss; bed.loop = true; bed.connect(to); bed.start();
       const click = audio.createBuffer(1, 4800, 48000);
       for (let n = 0; n < 4800; n++) click.getChannelData(0)[n] = 0.5 * Math.exp(-n / 500) * (Math.sin(n * 0.14) + 0.4 * (Math.random() * 2 - 1));
       const startS = audio.currentTime + 1;
       for (let k = 0; k < flashes; k++) { const one = audio.createBufferSource(); one.buffer = click; one.connect(to); one.start(startS + k * everyS); }
       const stream = new MediaStream([...canvas.captureStream(30).getVideoTracks(), ...to.stream.getAudioTracks()]);
       const recorder = new MediaRecorder(stream, { mimeType: 'video/webm;codecs=vp8,opus' });
       const parts = [];
       recorder.ondataavailable = ({ data }) => parts.push(data);
       const ended = new Promise((give) => (recorder.onstop = give));
       const endS = startS + flashes * everyS + 0.3;
       recorder.start(200);
       // A machine that stood still, or whose sound fell behind, recorded something else than was drawn.
       let smooth = true, last = performance.now();
       const lead = performance.now() / 1000 - audio.currentTime;
       const frame = () => {
         const now = audio.currentTime;
         const sinceS = now - startS;
         const beat = ((sinceS % everyS) + everyS) % everyS;
         const hit = sinceS >= 0 && sinceS < flashes * everyS && beat < 0.12;
         draw.fillStyle = '#1d3b53'; draw.fillRect(0, 0, 320, 180);
         draw.fillStyle = '#c8b26a'; draw.fillRect(0, 150, 320, 30);
         const x = beat / everyS;
         draw.fillStyle = hit ? '#ffffff' : '#d9531e';
         draw.beginPath(); draw.arc(160, 138 - 4 * x * (1 - x) * 110, 12, 0, 7); draw.fill();
         draw.fillStyle = hit ? '#ffffff' : '#000000'; draw.fillRect(0, 0, 40, 40);
         const ms = performance.now();
         if (sinceS > -0.2 && (ms - last > 50 || Math.abs(ms / 1000 - now - lead) > 0.03)) smooth = false;
         last = ms;
         if (now < endS && smooth) requestAnimationFrame(frame); else recorder.stop();
       };
       frame();
       await ended;
       await audio.close();
       return smooth ? new Blob(parts, { type: 'video/webm' }) : null;
     };
     (async () => {
       let clip = null;
       for (let n = 0; n < 20 && !clip; n++) clip = await take();
       if (!clip) return done('The machine never records a clip without standing still: try when it has less to do.');
       const reader = new FileReader();
       reader.onload = () => done(reader.result);
       reader.readAsDataURL(clip);
     })().catch((error) => done(String(error)));`,
    flashes,
    everyS,
  );
  const [head, base64] = made.split(';base64,');
  if (!head!.startsWith('data:') || !base64) throw new Error(made);
  writeFileSync(`${clipsFolder}/${name}.webm`, base64, 'base64');
  console.log(`${clipsFolder}/${name}.webm`);
}
await browser.close();
