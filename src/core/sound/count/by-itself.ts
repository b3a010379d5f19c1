import type { Impact } from '../impacts';
import { learn, type Learnt } from '../learn';
import { echoesOf } from '../echo';
import { impactsIn } from '../impacts';
import { heardRows, type HeardRows } from './rows';

/** How a sound that was recorded is counted, where nobody taught it. */
export interface ByItself {
  readonly rows: HeardRows;
  /** What a touch was taken from: marks that were set, or the sound that is heard most often. */
  readonly from: 'marks' | 'the commonest sound';
}

/* Ours. */
/** A mark and its sound lie so near, seconds: three frames. */
const nearS = 0.1;
/** So many marks teach a sound. */
const marksWanted = 5;
/** Two blows are alike up to this distance of the square roots of their bands. */
const alike = 0.06;
const label = 'touch';

const squareFar = (a: Impact, b: Impact): number =>
  a.bands.reduce((sum, one, band) => sum + (Math.sqrt(one) - Math.sqrt(b.bands[band]!)) ** 2, 0);

/** The blows that sound most like each other and are loudest for it. */
function commonest(impacts: readonly Impact[]): Impact[] {
  let best: Impact[] = [];
  for (const one of impacts) {
    const like = impacts.filter(
      (other) => squareFar(one, other) < alike && Math.abs(one.levelDb - other.levelDb) < 8,
    );
    if (like.length > best.length) best = like;
  }
  return best;
}

/**
 * Counts the touches of a recorded sound: learnt from marks that were set where there are five, else from the sound that is
 * heard most often. Null where no five blows are alike.
 * @param rate samples a second
 * @param marksS moments somebody marked as touches, seconds
 */
export function countedByItself(
  samples: Float32Array,
  rate: number,
  marksS: readonly number[],
  periodS: { readonly least: number; readonly most: number },
): ByItself | null {
  const impacts = impactsIn(samples, rate);
  const marked = impacts.filter(({ atS }) => marksS.some((mark) => Math.abs(mark - atS) < nearS));
  const taught: Learnt | null = marksS.length >= marksWanted ? learn(label, 'strings', marked) : null;
  const learnt = taught ?? learn(label, 'strings', commonest(impacts));
  if (!learnt) return null;
  return {
    from: taught ? 'marks' : 'the commonest sound',
    rows: heardRows(impacts, {
      learnt: [learnt],
      echoes: echoesOf(impacts),
      counts: [label],
      ends: [],
      periodS,
      untilS: samples.length / rate,
    }),
  };
}
