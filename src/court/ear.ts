import type { EarJob, EarNews, EarOpen } from '@/core/sound/job';

export interface OpenEar {
  readonly ask: (job: EarJob) => void;
  /** When the sound began, UTC milliseconds; null before any came. */
  readonly startMs: () => number | null;
  /** Lets go of the microphone. */
  readonly close: () => void;
  /** What the microphone is called; null for the made-up one. */
  readonly name: string | null;
}

/** What an ear is made of: a page and a file that is a page each have their own. */
export interface EarSources {
  readonly makeWorker: () => Worker;
  /** Where the part is that hands samples on. */
  readonly worklet: string;
}

interface EarPorts extends EarSources {
  readonly nowMs: () => number;
  readonly onNews: (news: EarNews) => void;
  /** It ended by itself: it was unplugged, or its permission was taken back. */
  readonly onEnd: (words: string) => void;
}

const rate = 48_000;

/** A headset hears late and without the high sounds that tell things apart. */
export const isWireless = (name: string | null): boolean =>
  name !== null && /bluetooth|wireless|hands.?free|headset|buds/i.test(name);

function worker({ makeWorker, onNews }: EarPorts): Worker {
  const made = makeWorker();
  made.onmessage = ({ data }: MessageEvent<EarNews>) => onNews(data);
  return made;
}

/** Fetches what an ear is made of, so that it can be opened while the server is away. */
export function warmEar({ makeWorker }: EarSources): Promise<void> {
  return new Promise((resolve) => {
    const made = makeWorker();
    const done = () => {
      made.terminate();
      resolve();
    };
    made.onmessage = done;
    made.onerror = done;
    const open: EarOpen<MessagePort> = { kind: 'open', rate };
    made.postMessage(open);
    const stop: EarJob = { kind: 'stop' };
    made.postMessage(stop);
  });
}

/** A made-up microphone, to try with: a child who bounces, in a hall with voices. */
export function openPractice(seed: number, ports: EarPorts): OpenEar {
  const startMs = ports.nowMs();
  const ear = worker(ports);
  const open: EarOpen<MessagePort> = { kind: 'open', rate, practice: seed };
  ear.postMessage(open);
  return {
    ask: (job) => ear.postMessage(job),
    startMs: () => startMs,
    close: () => ear.terminate(),
    name: null,
  };
}

/**
 * Opens the device's microphone, with nothing that would clean speech: it takes blows for noise. No sound is kept or sent.
 * @throws what the browser says, see {@link mediaTrouble}
 */
export async function openMicrophone(ports: EarPorts): Promise<OpenEar> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
  });
  const [track] = stream.getAudioTracks();
  const context = new AudioContext({ latencyHint: 'interactive' });
  let ear: Worker | null = null;
  let closed = false;
  const close = () => {
    closed = true;
    for (const one of stream.getTracks()) one.stop();
    ear?.terminate();
    void context.close();
  };
  try {
    await context.audioWorklet.addModule(ports.worklet);
    let startMs: number | null = null;
    ear = worker({
      ...ports,
      onNews: (news) => {
        // The first news tells when the sound began: it is as old as the sound that came so far.
        startMs ??= ports.nowMs() - 1000 * (news.atS + (context.baseLatency || 0));
        ports.onNews(news);
      },
    });
    const { port1, port2 } = new MessageChannel();
    const open: EarOpen<MessagePort> = { kind: 'open', rate: context.sampleRate, port: port1 };
    ear.postMessage(open, [port1]);
    const microphone = new AudioWorkletNode(context, 'vowstep-microphone', { numberOfOutputs: 0 });
    microphone.port.postMessage(port2, [port2]);
    context.createMediaStreamSource(stream).connect(microphone);
    void context.resume();
    track?.addEventListener('ended', () => {
      if (!closed) ports.onEnd('The microphone is gone: what was counted until then stays below.');
    });
    const opened = ear;
    return {
      ask: (job) => opened.postMessage(job),
      startMs: () => startMs,
      close,
      name: track?.label ?? null,
    };
  } catch (error) {
    close();
    throw error;
  }
}
