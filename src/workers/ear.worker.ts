import { EarAtWork, type EarJob, type EarNews, type EarOpen } from '@/core/sound/job';
import { PracticeRoom } from '@/core/sound/synth/practice';

/* A thin shell round the ear: sound and questions come in, news go out. It is ended by being ended. */
const tell = (news: EarNews | null) => news && postMessage(news);

/** A made-up microphone gives its sound in such pieces, milliseconds. */
const pieceMs = 50;

let work: EarAtWork;
let room: PracticeRoom | null = null;
let coming: Float32Array = new Float32Array(0);
let truth: readonly number[] | null = null;

addEventListener('message', ({ data }: MessageEvent<EarOpen<MessagePort> | EarJob>) => {
  if (data.kind === 'open') {
    work = new EarAtWork(data.rate);
    if (data.port)
      data.port.onmessage = ({ data: samples }: MessageEvent<Float32Array>) => tell(work.take(samples));
    if (data.practice !== undefined) practise(new PracticeRoom(data.practice, data.rate), data.rate);
    return;
  }
  if (room && data.kind === 'teach') coming = room.teaches(data.sound);
  if (room && data.kind === 'listen') ({ wave: coming, truth } = room.drill(data.hearing));
  tell(work.ask(data));
});

function practise(made: PracticeRoom, rate: number): void {
  room = made;
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
