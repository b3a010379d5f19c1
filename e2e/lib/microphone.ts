import { writeWav } from '@/formats/wav';
import type { Page } from './page';

/** Samples a second of what is played. */
export const microphoneRate = 48_000;

/**
 * A microphone that sounds what it is told to, and when: no test depends on how fast a machine is. The browser's own made-up
 * device is opened first, as the page asked for it, so that permissions and wishes are really asked.
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
       const media = navigator.mediaDevices;
       const own = media.getUserMedia.bind(media);
       const mic = { asked: [] };
       window.testMicrophone = mic;
       media.getUserMedia = async (wishes) => {
         mic.asked.push(wishes);
         for (const track of (await own(wishes)).getTracks()) track.stop();
         const audio = new AudioContext();
         await audio.resume();
         const to = audio.createMediaStreamDestination();
         const sounds = {};
         for (const [name, text] of files)
           sounds[name] = await audio.decodeAudioData(Uint8Array.from(atob(text), (c) => c.charCodeAt(0)).buffer);
         const start = (name, loop) => {
           const source = audio.createBufferSource();
           source.buffer = sounds[name];
           source.loop = loop;
           source.connect(to);
           source.start();
           return source;
         };
         let room = start('room', true);
         mic.play = (name) => new Promise((over) => {
           room.stop();
           start(name, false).onended = () => { room = start('room', true); over(); };
         });
         const [track] = to.stream.getAudioTracks();
         mic.unplug = () => { track.stop(); track.dispatchEvent(new Event('ended')); };
         return to.stream;
       };
       done();`,
      files,
    );
  }

  /** Sounds a part; it has been heard to its end when this returns. */
  readonly play = async (name: string): Promise<void> => {
    await this.page.driver.manage().setTimeouts({ script: 120_000 });
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
