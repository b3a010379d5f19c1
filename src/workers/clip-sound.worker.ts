import { countedByItself, type ByItself } from '@/core/sound/count/by-itself';

export interface ClipSoundJob {
  readonly samples: Float32Array;
  readonly rate: number;
  readonly marksS: readonly number[];
  readonly periodS: { readonly least: number; readonly most: number };
}

/** What the worker says; null where nothing could be counted. */
export type ClipSoundNews =
  | { readonly kind: 'done'; readonly counted: ByItself | null }
  | { readonly kind: 'failed'; readonly message: string };

/* A thin shell round the counter: a clip's sound comes in, its touches go out. It is cancelled by being ended. */
addEventListener('message', ({ data }: MessageEvent<ClipSoundJob>) => {
  const { samples, rate, marksS, periodS } = data;
  let news: ClipSoundNews;
  try {
    news = { kind: 'done', counted: countedByItself(samples, rate, marksS, periodS) };
  } catch (error) {
    news = { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
  postMessage(news);
});
