import { answerRally, type RallyAnswer, type RallyJob } from '@/core/calculators/rally/job';

/** What the worker says. */
export type RallyNews =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: RallyAnswer }
  | { readonly kind: 'failed'; readonly message: string };

/* A thin shell round the core: a job comes in, progress and an answer go out. It is cancelled by being ended. */
const tell = (news: RallyNews) => postMessage(news);

addEventListener('message', ({ data }: MessageEvent<RallyJob>) => {
  try {
    let told = 0;
    const answer = answerRally(data, (share) => {
      // A hundred times are enough.
      if (share - told < 0.01) return;
      told = share;
      tell({ kind: 'progress', share });
    });
    tell({ kind: 'done', answer });
  } catch (error) {
    tell({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
});
