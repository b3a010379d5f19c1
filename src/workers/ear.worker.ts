import type { EarAtWork } from '@/core/sound/job';
import { PracticeRoom } from '@/core/sound/synth/practice';
import { hear, tell } from './ear-work';

/* The court's ear: with a made-up microphone to try it. */

/** A made-up microphone gives its sound in such pieces, milliseconds. */
const pieceMs = 50;

let room: PracticeRoom | null = null;
let coming: Float32Array = new Float32Array(0);
let truth: readonly number[] | null = null;

hear({
  opened: (work, { practice, rate }) => {
    if (practice === undefined) return;
    room = new PracticeRoom(practice, rate);
    practise(work, room, rate);
  },
  asked: (job) => {
    if (room && job.kind === 'teach') coming = room.teaches(job.sound);
    if (room && job.kind === 'listen') ({ wave: coming, truth } = room.drill(job.hearing));
  },
});

function practise(work: EarAtWork, made: PracticeRoom, rate: number): void {
  let given = 0;
  const fromMs = performance.now();
  setInterval(() => {
    const due = Math.round(((performance.now() - fromMs) * rate) / 1000) - given;
    if (coming.length < due) {
      const more = made.nobody(2);
      const longer = new Float32Array(coming.length + more.length);
      longer.set(coming);
      longer.set(more, coming.length);
      coming = longer;
    }
    given += due;
    const news = work.take(coming.slice(0, due));
    coming = coming.slice(due);
    tell(news && { ...news, truth });
  }, pieceMs);
}
