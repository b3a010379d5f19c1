import type { Impact } from './impacts';
import { othersAre } from './others';
import type { Learnt } from './learn';

/** What makes counting by ear worse, or impossible. */
export type ConditionKind = 'silent' | 'cut off' | 'too noisy' | 'noisy' | 'confused';

export interface Conditions {
  readonly kind: ConditionKind;
  /** True where nothing it counts could be believed. */
  readonly stops: boolean;
  readonly words: string;
}

/* Ours, by the bench: at 10 dB nine rows of ten are right, under 6 nobody should count by ear. */
const [noisyDb, tooNoisyDb] = [12, 6] as const;
/** A microphone that is on is never as quiet as this, dB. */
const silentDb = -95;
const silentForS = 1.5;
const cutOffShare = 0.3;

interface Facts {
  readonly levelDb: number;
  readonly noiseDb: number;
  /** Seconds it has listened. */
  readonly forS: number;
  readonly learnt: readonly Learnt[];
  readonly impacts: readonly Impact[];
  readonly confused: boolean;
}

/** What stands in the way of counting by ear, the worst first; said before it counts. */
export function conditionsOf({ levelDb, noiseDb, forS, learnt, impacts, confused }: Facts): Conditions[] {
  const found: Conditions[] = [];
  if (forS > silentForS && levelDb < silentDb && noiseDb < silentDb)
    found.push({
      ...{ kind: 'silent', stops: true },
      words: 'Nothing at all is heard: the microphone is muted, or another program has it.',
    });
  const cut = impacts.filter(({ clipped }) => clipped).length;
  if (impacts.length > 4 && cut > cutOffShare * impacts.length)
    found.push({
      ...{ kind: 'cut off', stops: false },
      words: 'It is too loud for the microphone: put the device a few steps further away.',
    });
  const softest = Math.min(
    ...learnt.filter(({ label }) => !othersAre(label)).map((one) => one.levelDb),
    Infinity,
  );
  const overDb = softest - noiseDb;
  if (overDb < tooNoisyDb)
    found.push({
      ...{ kind: 'too noisy', stops: true },
      words: `It is too loud here to count by ear: what is hit stands only ${Math.max(0, Math.round(overDb))} dB out of the noise. Bring the device nearer, or tap.`,
    });
  else if (overDb < noisyDb)
    found.push({
      ...{ kind: 'noisy', stops: false },
      words: `It is loud here (${Math.round(overDb)} dB over the noise): counts may be off by one. Nearer is better.`,
    });
  if (confused)
    found.push({
      ...{ kind: 'confused', stops: false },
      words: 'Two of the sounds cannot be told apart here: let one child at a time be heard.',
    });
  return found;
}
