import type { EarJob, EarNews, EarOpen } from '@/core/sound/job';

/** Why nothing is heard, and what mends it. */
export interface EarTrouble {
  readonly words: string;
}

export interface OpenEar {
  readonly ask: (job: EarJob) => void;
  /** When the sound began, UTC milliseconds; null before any came. */
  readonly startMs: () => number | null;
  /** Lets go of the microphone. */
  readonly close: () => void;
  /** What the microphone is called; null for the made-up one. */
  readonly name: string | null;
}

interface EarPorts {
  readonly nowMs: () => number;
  readonly onNews: (news: EarNews) => void;
  /** It ended by itself: it was unplugged, or its permission was taken back. */
  readonly onEnd: (trouble: EarTrouble) => void;
}

const rate = 48_000;

/** Whether this page may ask for a microphone at all; else why not. */
export function noEarHere(): EarTrouble | null {
  const devices =
    typeof navigator === 'undefined' ? null : (navigator.mediaDevices as MediaDevices | undefined);
  if (devices !== undefined) return null;
  return {
    words: window.isSecureContext
      ? 'This browser lets no page hear. Tap, or type what was counted aloud.'
      : 'This address is plain http, where browsers let no page hear. Open Vow Step on this device itself, or by https (see the README); tap meanwhile.',
  };
}

/** What a microphone that could not be opened means, in words. */
export function earTrouble(error: unknown): EarTrouble {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return {
      words: 'The microphone was refused. Allow it beside the address of this page, then press again.',
    };
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return { words: 'No microphone is there. Plug one in, or tap.' };
  if (name === 'NotReadableError')
    return { words: 'Another program has the microphone. Close it there, then press again.' };
  return { words: `The microphone could not be opened (${name || String(error)}). Tap meanwhile.` };
}

/** A headset hears late and without the high sounds that tell things apart. */
export const isWireless = (name: string | null): boolean =>
  name !== null && /bluetooth|hands.?free|headset|airpods|buds/i.test(name);

function worker({ onNews }: EarPorts): Worker {
  const made = new Worker(new URL('../workers/ear.worker.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<EarNews>) => onNews(data);
  return made;
}

/** Fetches what an ear is made of, so that it can be opened while the server is away. */
export function warmEar(): Promise<void> {
  return new Promise((resolve) => {
    const made = new Worker(new URL('../workers/ear.worker.ts', import.meta.url), { type: 'module' });
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
 * @throws what the browser says, see {@link earTrouble}
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
    await context.audioWorklet.addModule('/ear/worklet.js');
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
      if (!closed) ports.onEnd({ words: 'The microphone is gone: what was counted until then stays below.' });
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
