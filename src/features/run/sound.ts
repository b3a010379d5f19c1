import type { Signal } from '@/core/run/phases';

/** The part of Web Audio that is used, so that a test can stand in for it. */
export type SoundContext = Pick<
  AudioContext,
  'currentTime' | 'createOscillator' | 'createGain' | 'destination'
>;

const tones: Record<Signal['kind'], { readonly hz: number; readonly seconds: number }> = {
  tick: { hz: 660, seconds: 0.12 },
  go: { hz: 990, seconds: 0.35 },
  ten: { hz: 780, seconds: 0.2 },
  stop: { hz: 440, seconds: 0.45 },
  end: { hz: 330, seconds: 0.9 },
};

/**
 * Puts the signals still to come on the sound card's own clock: they sound on time however busy the page is.
 * @param elapsedS running seconds of the block now
 * @returns a function that takes back what has not sounded yet
 */
export function scheduleSignals(
  context: SoundContext,
  signals: readonly Signal[],
  elapsedS: number,
): () => void {
  const nodes = signals
    .filter((signal) => signal.atS >= elapsedS)
    .map((signal) => {
      const atS = context.currentTime + signal.atS - elapsedS;
      const { hz, seconds } = tones[signal.kind];
      const oscillator = context.createOscillator();
      const gain = context.createGain();
      oscillator.frequency.value = hz;
      // A short rise and fall keeps the tone free of clicks.
      gain.gain.setValueAtTime(0, atS);
      gain.gain.linearRampToValueAtTime(0.4, atS + 0.01);
      gain.gain.setValueAtTime(0.4, atS + seconds - 0.03);
      gain.gain.linearRampToValueAtTime(0, atS + seconds);
      oscillator.connect(gain);
      gain.connect(context.destination);
      oscillator.start(atS);
      oscillator.stop(atS + seconds);
      return oscillator;
    });
  return () => {
    for (const node of nodes) node.disconnect();
  };
}
