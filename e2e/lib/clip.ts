import type { Page } from './page';

/** Where a made-up clip flashes and clicks, seconds from one to the next. */
export interface MadeClip {
  readonly flashes: number;
  readonly everyS: number;
  readonly name: string;
}

/**
 * Draws a clip on a canvas in the browser and records it there, with a click at every flash: a disc that goes up and down and
 * is white when it is hit. Then gives it to the field that opens clips.
 */
export async function giveClip(
  page: Page,
  label: string,
  { flashes, everyS, name }: MadeClip,
): Promise<void> {
  await page.driver.manage().setTimeouts({ script: 120_000 });
  // Browsers let a page sound only after a press.
  await (await page.find('h1')).click();
  const made = await page.driver.executeAsyncScript<number | string>(
    `const [label, flashes, everyS, name, done] = arguments;
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
         // The corner says it too, for whoever reads the picture.
         draw.fillStyle = hit ? '#ffffff' : '#000000'; draw.fillRect(0, 0, 40, 40);
         const ms = performance.now();
         if (sinceS > -0.2 && (ms - last > 80 || Math.abs(ms / 1000 - now - lead) > 0.05)) smooth = false;
         last = ms;
         if (now < endS && smooth) requestAnimationFrame(frame); else recorder.stop();
       };
       frame();
       await ended;
       await audio.close();
       return smooth ? parts : null;
     };
     (async () => {
       let parts = null;
       for (let n = 0; n < 20 && !parts; n++) parts = await take();
       if (!parts) throw new Error('The machine never records a clip without standing still.');
       const file = new File(parts, name, { type: 'video/webm' });
       const bag = new DataTransfer();
       bag.items.add(file);
       const field = document.querySelector('input[type=file][aria-label="' + label + '"]');
       field.files = bag.files;
       field.dispatchEvent(new Event('change', { bubbles: true }));
       done(file.size);
     })().catch((error) => done(String(error)));`,
    label,
    flashes,
    everyS,
    name,
  );
  if (typeof made === 'string') throw new Error(made);
}
