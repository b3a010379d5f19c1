import type { Impact } from '../impacts';
import { howMany, type HowMany } from '../how-many';
import { follow, overPeriods, type Candidate, type Rhythm } from '../rhythm';
import { candidatesOf, sorted, type Deaf, type LeftOut, type Sorted, type Taught } from './taken';

/** One that is counted. */
export interface HeardTouch {
  readonly atS: number;
  /** How sure it is, 0 to 1. */
  readonly sure: number;
  /** False where nothing was heard and the beat says that it was there. */
  readonly heard: boolean;
}

export interface HeardRow {
  readonly touches: readonly HeardTouch[];
  readonly howMany: HowMany;
  /** What ended it; null for one that may go on. */
  readonly endedBy: 'floor' | 'pause' | null;
}

export interface HeardRows {
  readonly rows: readonly HeardRow[];
  /** All of them together. */
  readonly all: HowMany;
  /** Seconds from one to the next; null before three were heard. */
  readonly periodS: number | null;
  readonly leftOut: readonly LeftOut[];
}

/** What is counted, and how it comes. */
export interface RowsAsked extends Taught {
  /** Labels that count, and labels that end a row. */
  readonly counts: readonly string[];
  readonly ends: readonly string[];
  /** Seconds from one to the next, at least and at most: what the ball allows. */
  readonly periodS: { readonly least: number; readonly most: number };
  /** How much the gaps of one row vary, as a share; a tenth or two in a row, more in a rally. */
  readonly varies?: number;
  /** How many a row usually has. */
  readonly usually?: number;
  /** What this device sounded itself. */
  readonly deaf?: readonly Deaf[];
  /** The sound is heard up to here, seconds: a row is over when nothing came for long enough. */
  readonly untilS?: number;
}

/* Ours. */
const usualVaries = 0.16;
const usualLength = 25;
/** The share that is there and not heard: of two hundred blows of the stand-in at 10 dB some six. */
const usualMissed = 0.03;
const beatWidth = 0.12;
const gapsCompared = 300;

/**
 * The beat of what is heard: the gap most others lie near (on a logarithmic scale), among neighbours that are likely
 * themselves. Null where there are fewer than two.
 */
export function beatOf(
  candidates: readonly Candidate[],
  { least, most }: RowsAsked['periodS'],
): number | null {
  const likely = candidates.filter(({ sure }) => sure >= 0.5);
  const gaps = likely.slice(1).flatMap(({ atS }, at) => {
    const gap = atS - likely[at]!.atS;
    return gap >= least && gap <= most ? [Math.log(gap)] : [];
  });
  if (gaps.length < 2) return null;
  const near = (one: number, to: readonly number[]) =>
    to.map((gap) => Math.exp(-0.5 * ((gap - one) / beatWidth) ** 2));
  // Every gap against every other takes long after minutes of bouncing: some of them, evenly, say the same.
  const every = Math.ceil(gaps.length / gapsCompared);
  const some = gaps.filter((_, at) => at % every === 0);
  const crowd = some.map((one) => near(one, some).reduce((sum, w) => sum + w, 0));
  const best = some[crowd.indexOf(Math.max(...crowd))]!;
  const weights = near(best, gaps);
  const whole = weights.reduce((sum, w) => sum + w, 0);
  return Math.exp(gaps.reduce((sum, gap, at) => sum + gap * weights[at]!, 0) / whole);
}

/** Counts rows of what was taught: by sound and beat, ended by the floor or by a pause. */
export function heardRows(impacts: readonly Impact[], asked: RowsAsked): HeardRows {
  const { learnt, counts, ends, periodS, deaf, varies = usualVaries, usually = usualLength } = asked;
  const { heard, aside } = sorted(impacts, asked, deaf);
  const found = candidatesOf(heard, learnt, counts);
  const candidates = found.map(({ candidate }) => candidate);
  const beat = beatOf(candidates, periodS);
  const floor = heard.filter(({ label }) => label !== null && ends.includes(label));
  const rhythm: Rhythm = {
    periodS: beat ?? Math.sqrt(periodS.least * periodS.most),
    // Without a beat yet, anything the ball allows may follow.
    varies: beat === null ? Math.max(varies, Math.log(periodS.most / periodS.least) / 2) : varies,
    missed: usualMissed,
    over: 1 / usually,
    ends: floor.map(({ impact, sure }) => ({ atS: impact.atS, sure })),
  };
  const { sure, rows } = follow(candidates, rhythm);
  const counted = new Set(rows.flatMap((row) => row.flatMap(({ at }) => (at === null ? [] : [at]))));
  const untilS = asked.untilS ?? impacts.at(-1)?.atS ?? 0;
  const told = rows.map((row, index): HeardRow => {
    const touches = row.map(({ atS, at }) =>
      at === null ? { atS, sure: unheardSure, heard: false } : { atS, sure: sure[at]!, heard: true },
    );
    const [fromS, toS] = [row[0]!.atS, row.at(-1)!.atS];
    const doubted = candidates.flatMap((one, at) =>
      !counted.has(at) && one.atS > fromS && one.atS < toS ? [sure[at]!] : [],
    );
    const next = rows[index + 1]?.[0]?.atS ?? untilS;
    const ended = rhythm.ends.some(({ atS }) => atS > toS && atS <= next);
    return {
      touches,
      howMany: howMany(row.length, [...touches.map((one) => one.sure), ...doubted]),
      endedBy: ended ? 'floor' : next - toS > overPeriods * rhythm.periodS ? 'pause' : null,
    };
  });
  const chances = [
    ...told.flatMap(({ touches }) => touches.map((one) => one.sure)),
    ...candidates.flatMap((_, at) => (counted.has(at) ? [] : [sure[at]!])),
  ];
  const total = told.reduce((sum, { touches }) => sum + touches.length, 0);
  return {
    rows: told,
    all: howMany(total, chances),
    periodS: beat,
    leftOut: leftOut(impacts, { heard, aside }, found, counted, [...counts, ...ends]),
  };
}

/** How sure it is that one was there which nobody heard, where the beat has room for it. Ours. */
const unheardSure = 0.8;

function leftOut(
  impacts: readonly Impact[],
  { heard, aside }: Sorted,
  found: ReturnType<typeof candidatesOf>,
  counted: ReadonlySet<number>,
  known: readonly string[],
): LeftOut[] {
  const taken = new Set(found.flatMap(({ of }, at) => (counted.has(at) ? [of.impact] : [])));
  const fits = new Set(found.flatMap(({ of }) => (of.label === null ? [] : [of.impact])));
  // What ends a row did its part.
  const other = new Set(
    heard.flatMap(({ impact, label }) => (label !== null && known.includes(label) ? [impact] : [])),
  );
  return impacts.flatMap((impact): LeftOut[] => {
    if (taken.has(impact)) return [];
    const { atS } = impact;
    const why = aside.get(impact);
    if (why) return [{ atS, why }];
    if (fits.has(impact)) return [{ atS, why: 'out of the beat' }];
    return other.has(impact) ? [] : [{ atS, why: 'unlike' }];
  });
}
