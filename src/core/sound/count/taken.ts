import type { Impact } from '../impacts';
import { echoesAmong, type Echo } from '../echo';
import { farFrom, takenFor, type Learnt } from '../learn';
import type { Candidate } from '../rhythm';

/** Why something heard is not counted. */
export type WhyLeft = 'unlike' | 'out of the beat' | 'echo' | 'own signal';

export const whyLeftWords: Readonly<Record<WhyLeft, string>> = {
  unlike: 'unlike what was taught',
  'out of the beat': 'out of the beat',
  echo: 'an echo',
  'own signal': 'a signal of this device',
};

/** Something heard that is not counted. */
export interface LeftOut {
  readonly atS: number;
  readonly why: WhyLeft;
}

/** An impact with what it is taken for. */
export interface Labelled {
  readonly impact: Impact;
  readonly label: string | null;
  readonly sure: number;
}

/** A stretch in which this device made a sound of its own, seconds. */
export interface Deaf {
  readonly fromS: number;
  readonly toS: number;
}

/** What was learnt of a place and what is hit there. */
export interface Taught {
  readonly learnt: readonly Learnt[];
  readonly echoes: readonly Echo[];
}

/** Everything heard: what may count, each taken for what it fits, and what does not and why. */
export interface Sorted {
  readonly heard: readonly Labelled[];
  readonly aside: ReadonlyMap<Impact, WhyLeft>;
}

/** Sorts what is heard: signals of this device and echoes stand aside, the rest is taken for what it fits. */
export function sorted(
  impacts: readonly Impact[],
  { learnt, echoes }: Taught,
  deaf: readonly Deaf[] = [],
): Sorted {
  const aside = new Map<Impact, WhyLeft>();
  for (const one of echoesAmong(impacts, echoes)) aside.set(one, 'echo');
  for (const one of impacts)
    if (deaf.some(({ fromS, toS }) => one.atS >= fromS && one.atS <= toS)) aside.set(one, 'own signal');
  const heard = impacts.filter((one) => !aside.has(one));
  return { heard: heard.map((impact) => ({ impact, ...takenFor(learnt, impact) })), aside };
}

/** Under this nobody would take it for that, whatever the beat says. */
const leastSure = 0.02;

/** What may be one of some labels, as sure as its sound makes it. */
export function candidatesOf(
  heard: readonly Labelled[],
  learnt: readonly Learnt[],
  labels: readonly string[],
): { readonly candidate: Candidate; readonly of: Labelled }[] {
  const wanted = learnt.filter(({ label }) => labels.includes(label));
  if (wanted.length === 0) return [];
  return heard.flatMap((one) => {
    const { label, sure } =
      one.label !== null && labels.includes(one.label)
        ? one
        : takenFor(wanted, one.impact).label === null
          ? { label: null, sure: doubt(wanted, one.impact) }
          : { label: null, sure: 1 - one.sure };
    const own = label === null ? Math.min(0.4, sure) : sure;
    return own < leastSure ? [] : [{ candidate: { atS: one.impact.atS, sure: own }, of: one }];
  });
}

/** How sure what fits nothing could still be what is wanted. */
function doubt(wanted: readonly Learnt[], impact: Impact): number {
  const far = Math.min(...wanted.map((one) => farFrom(one, impact)));
  return 1 / (1 + Math.exp(0.9 * (far - 6)));
}
