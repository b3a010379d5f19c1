import { EarAtWork, type EarJob, type EarNews, type EarOpen } from '@/core/sound/job';

/* A thin shell round the ear: sound and questions come in, news go out. It is ended by being ended. */
export const tell = (news: EarNews | null) => news && postMessage(news);

/** What is done besides, where there is more than a microphone. */
interface More {
  readonly opened: (work: EarAtWork, open: EarOpen<MessagePort>) => void;
  readonly asked: (job: EarJob) => void;
}

/** Takes what a page sends its ear. */
export function hear(more?: More): void {
  let work: EarAtWork;
  addEventListener('message', ({ data }: MessageEvent<EarOpen<MessagePort> | EarJob>) => {
    if (data.kind === 'open') {
      work = new EarAtWork(data.rate);
      if (data.port)
        data.port.onmessage = ({ data: samples }: MessageEvent<Float32Array>) => tell(work.take(samples));
      more?.opened(work, data);
      return;
    }
    more?.asked(data);
    tell(work.ask(data));
  });
}
