import type { Impact } from './impacts';
import { withoutNoise } from './noise-meter';

/** What makes counting by ear worse, or impossible. */
export type ConditionKind = 'silent' | 'cut off' | 'too noisy' | 'noisy' | 'confused';

export interface Conditions {
  readonly kind: ConditionKind;
  /** True where nothing it counts could be believed. */
  readonly stops: boolean;
  readonly words: string;
}

/*
 * Ours, by scenes of the stand-in that no bench uses: from 10 dB on nine rows of ten lie in the range that is said, at 8
 * in hiss 83 of 100, at 5 hardly any, and half of what is taught is not even heard.
 */
const [noisyDb, tooNoisyDb] = [13, 8] as const;
/** A lesson has been tried for so long before it is said that nothing is heard, seconds: five hits and the way there. Ours. */
const triedS = 6;
/** A microphone that is on is never as quiet as this, dB. */
const silentDb = -95;
const silentForS = 1.5;
const cutOffShare = 0.3;

interface Facts {
  readonly levelDb: number;
  readonly noiseDb: number;
  /** Seconds it has listened. */
  readonly forS: number;
  /** How loud what is counted is by itself, dB: of each sound taught. */
  readonly taughtDb: readonly number[];
  /** While a sound is taught and not yet learnt: for how many seconds, and the loudest of them, dB. */
  readonly lesson: { readonly forS: number; readonly loudestDb: number } | null;
  readonly impacts: readonly Impact[];
  readonly confused: boolean;
}

/** What stands in the way of counting by ear, the worst first; said before it counts. */
export function conditionsOf(facts: Facts): Conditions[] {
  const { levelDb, noiseDb, forS, taughtDb, lesson, impacts, confused } = facts;
  const found: Conditions[] = [];
  if (forS > silentForS && levelDb < silentDb && noiseDb < silentDb)
    found.push({
      kind: 'silent',
      stops: true,
      words: 'Nothing at all is heard: the microphone is muted, or another program has it.',
    });
  const cut = impacts.filter(({ clipped }) => clipped).length;
  if (impacts.length > 4 && cut > cutOffShare * impacts.length)
    found.push({
      kind: 'cut off',
      stops: false,
      words: 'It is too loud for the microphone: put the device a few steps further away.',
    });
  const overDb = Math.min(...taughtDb, Infinity) - noiseDb;
  if (overDb < tooNoisyDb)
    found.push({
      kind: 'too noisy',
      stops: true,
      words: `It is too loud here to count by ear: what is hit stands only ${Math.max(0, Math.round(overDb))} dB out of the noise. Bring the device nearer, or tap.`,
    });
  else if (lesson && lesson.forS > triedS && withoutNoise(lesson.loudestDb, noiseDb) - noiseDb < tooNoisyDb)
    found.push({
      // What is known already can be counted all the same.
      kind: 'too noisy',
      stops: taughtDb.length === 0,
      words: 'Nothing stands out of the noise here. Hit nearer to the device; if that does not help, tap.',
    });
  else if (overDb < noisyDb)
    found.push({
      kind: 'noisy',
      stops: false,
      words: `It is loud here (${Math.round(overDb)} dB over the noise): counts may be off by one. Nearer is better.`,
    });
  if (confused)
    found.push({
      kind: 'confused',
      stops: false,
      words: 'Two of the sounds cannot be told apart here: let one child at a time be heard.',
    });
  return found;
}
