import { writeWav } from '../../src/formats/wav';
import type { Page } from './page';

/** Samples a second of what is played. */
export const microphoneRate = 48_000;

/**
 * A microphone whose sound is made ahead and handed on piece by piece, each once, however late: nothing is lost on a machine
 * that has much else to do. The browser's own made-up device is opened first, as the page asked for it, so that permissions
 * and wishes are really asked.
 */
export class PlayedMicrophone {
  constructor(readonly page: Page) {}

  /**
   * Puts it in the device's place on the page that is open now; a page that is loaded later has the device's again.
   * @param room what is heard when nothing is played, again and again
   */
  async install(room: Float32Array, parts: Readonly<Record<string, Float32Array>>): Promise<void> {
    const files = Object.entries({ room, ...parts }).map(([name, samples]) => [
      name,
      Buffer.from(writeWav({ sampleRate: microphoneRate, samples })).toString('base64'),
    ]);
    await this.page.driver.executeAsyncScript(
      `const [files, done] = arguments;
       const pieceSamples = 2048;
       // Twice as fast as it sounds: nothing here counts seconds.
       const speed = 2;
       const media = navigator.mediaDevices;
       const own = media.getUserMedia.bind(media);
       const mic = { asked: [], track: null };
       window.testMicrophone = mic;
       media.getUserMedia = async (wishes) => {
         mic.asked.push(wishes);
         const stream = await own(wishes);
         mic.track = stream.getAudioTracks()[0];
         return stream;
       };
       mic.unplug = () => { mic.track.stop(); mic.track.dispatchEvent(new Event('ended')); };
       // What the page hands to its own part for samples goes to us: we fill it instead of the device.
       const Node = window.AudioWorkletNode;
       window.AudioWorkletNode = class extends Node {
         constructor(context, ...more) {
           super(context, ...more);
           Object.defineProperty(this, 'port', { value: { postMessage: (to) => void feed(context, to) } });
         }
       };
       async function feed(context, to) {
         const sounds = {};
         for (const [name, text] of files) {
           const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0)).buffer;
           // At the context's own rate, as the device's sound would come.
           sounds[name] = (await new OfflineAudioContext(1, 1, context.sampleRate).decodeAudioData(bytes)).getChannelData(0);
         }
         const fromMs = performance.now();
         let [sent, at, playing, over] = [0, 0, null, null];
         mic.play = (name) => new Promise((resolve) => { [playing, at, over] = [sounds[name], 0, resolve]; });
         const nextPiece = () => {
           const piece = new Float32Array(pieceSamples);
           for (let i = 0; i < pieceSamples; i++) {
             if (playing && at >= playing.length) { playing = null; over(); }
             piece[i] = playing ? playing[at++] : sounds.room[(sent + i) % sounds.room.length];
           }
           sent += pieceSamples;
           return piece;
         };
         const send = () => {
           if (mic.track.readyState === 'ended') return;
           const due = ((performance.now() - fromMs) / 1000) * context.sampleRate * speed;
           while (sent + pieceSamples <= due) { const piece = nextPiece(); to.postMessage(piece, [piece.buffer]); }
           setTimeout(send, 20);
         };
         send();
       }
       done();`,
      files,
    );
  }

  /** Sounds a part; all of it has been handed over when this returns. */
  readonly play = async (name: string): Promise<void> => {
    await this.page.driver.manage().setTimeouts({ script: 120_000 });
    await this.page.becomes('typeof window.testMicrophone?.play', 'function');
    await this.page.driver.executeAsyncScript(
      `const [name, done] = arguments; window.testMicrophone.play(name).then(() => done());`,
      name,
    );
  };

  /** Pulls its plug. */
  async unplug(): Promise<void> {
    await this.page.driver.executeScript('window.testMicrophone.unplug()');
  }

  /** What the page asked of the browser, each time. */
  asked(): Promise<readonly MediaStreamConstraints[]> {
    return this.page.driver.executeScript('return window.testMicrophone.asked');
  }
}
