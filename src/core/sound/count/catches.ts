import type { Impact } from '../impacts';
import { anyLoudness, takenFor, type Learnt } from '../learn';
import { sorted, type Deaf, type LeftOut, type Taught } from './taken';

/** How quiet a catch on the strings was, the best first. */
export const catchGrades = ['silent', 'buzz', 'bounced'] as const;
export type CatchGrade = (typeof catchGrades)[number];

export interface HeardCatch {
  readonly atS: number;
  readonly grade: CatchGrade;
  /** Against the same child's plain bounce, dB. */
  readonly overDb: number;
  /** Small bounces after it. */
  readonly bounces: number;
  /** How sure the grade is, 0 to 1: near a limit it could be the other. */
  readonly sure: number;
}

/* Ours: a soft catch takes the ball down with it, so that it is a quarter as loud (12 dB) or less. */
/** Up to so many dB over a plain bounce (below zero) it is silent, or a buzz. */
const upTo = { silentDb: -10.5, buzzDb: -4.5 } as const;
/** A bounce after the catch comes within so many seconds of the one before. */
const bounceS = 0.4;
/** Levels of one sound differ by so many dB for no reason. */
const levelErrorDb = 1.5;

const normalTail = (z: number): number => 1 / (1 + Math.exp(-1.702 * z));

/**
 * Catches on the strings and how quiet each was: by its level against the plain bounces that were taught, and by small
 * bounces after it. What is too soft to be heard at all is not counted.
 */
export function heardCatches(
  impacts: readonly Impact[],
  taught: Taught,
  label: string,
  deaf?: readonly Deaf[],
): { readonly catches: readonly HeardCatch[]; readonly leftOut: readonly LeftOut[] } {
  const plain = taught.learnt.find((one) => one.label === label);
  if (!plain) return { catches: [], leftOut: [] };
  const quiet = taught.learnt.map(anyLoudness);
  const { heard, aside } = sorted(impacts, { ...taught, learnt: quiet }, deaf);
  const leftOut: LeftOut[] = [...aside].map(([{ atS }, why]) => ({ atS, why }));
  const ours: Impact[] = [];
  for (const { impact } of heard)
    if (takenFor(quiet, impact).label === label) ours.push(impact);
    else leftOut.push({ atS: impact.atS, why: 'unlike' });
  const groups: Impact[][] = [];
  for (const one of ours) {
    const last = groups.at(-1)?.at(-1);
    if (last && one.atS - last.atS < bounceS) groups.at(-1)!.push(one);
    else groups.push([one]);
  }
  return {
    catches: groups.map((group) => gradeOf(group, plain)),
    leftOut: leftOut.sort((a, b) => a.atS - b.atS),
  };
}

function gradeOf(group: readonly Impact[], plain: Learnt): HeardCatch {
  const [first] = group;
  const overDb = first!.levelDb - plain.levelDb;
  const bounces = group.length - 1;
  const grade = bounces > 0 || overDb > upTo.buzzDb ? 'bounced' : overDb > upTo.silentDb ? 'buzz' : 'silent';
  const near = Math.min(Math.abs(overDb - upTo.silentDb), Math.abs(overDb - upTo.buzzDb));
  return {
    atS: first!.atS,
    grade,
    overDb,
    bounces,
    sure: bounces > 0 ? 0.98 : normalTail(near / levelErrorDb),
  };
}
