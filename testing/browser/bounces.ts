import { writeFileSync } from 'node:fs';
import { madeRows, taught, thingsOf, type Blow } from '../../src/core/sound/synth/drills';
import { sceneWave } from '../../src/core/sound/synth/scene';
import { writeWav } from '../../src/formats/wav';
import { microphoneRate, type PlayedMicrophone } from './microphone';
import type { Page } from './page';

interface Playing {
  readonly page: Page;
  readonly play: (part: string) => Promise<void>;
}

const sound = (seconds: number, blows: readonly Blow[]): Float32Array =>
  sceneWave({
    noise: 'babble',
    snrDb: 22,
    echoS: 0.3,
    rate: microphoneRate,
    seed: 5,
    seconds,
    struck: blows,
  });

/** A file that sounds a row of so many and a while of nobody: heard over and over, it is taught and counted whenever it comes. */
export function writeBounces(file: string, rowOf: number): void {
  const row = madeRows(thingsOf(21), [rowOf], 0.25);
  const [before, after] = [4, 4];
  const blows = row.blows.map((blow) => ({ ...blow, atS: blow.atS + before }));
  writeFileSync(
    file,
    writeWav({ sampleRate: microphoneRate, samples: sound(before + row.seconds + after, blows) }),
  );
}

/** Puts a hall into a microphone's place: bounces on strings to learn from ("lesson"), and a row of so many ("row"). */
export async function bouncesFor(microphone: PlayedMicrophone, rowOf: number): Promise<void> {
  const things = thingsOf(21);
  const lesson = taught(things, 'strings');
  const row = madeRows(things, [rowOf], 0.25);
  await microphone.install(sound(4, []), {
    lesson: sound(lesson.seconds, lesson.blows),
    row: sound(row.seconds + 2, row.blows),
  });
}

/** Sounds the row, and waits until it is heard whole. */
export async function playRow({ page, play }: Playing, rowOf: number): Promise<void> {
  await play('row');
  await page.becomes(`document.querySelector('[data-heard]')?.textContent`, String(rowOf));
}

/** Asks to teach a sound, once three quiet seconds are over. */
export async function teach(page: Page, sound: string): Promise<void> {
  const button = `[...document.querySelectorAll('button')].find((one) => one.textContent.replace(/\\s+/g, ' ').trim() === 'Teach: ${sound}')`;
  await page.becomes(`${button}?.disabled`, false);
  await page.driver.executeScript(`${button}.click()`);
}
