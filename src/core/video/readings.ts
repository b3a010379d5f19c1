import { byTime, type ClipMark, type MarkKind } from './marks';

/** A time read from a clip, and how far it may be off: the frames at both its ends. */
export interface Reading {
  readonly name: ReadingName;
  readonly seconds: number;
  readonly giveS: number;
  /** Where it ends, seconds of the clip. */
  readonly atS: number;
}

/** Times that are read: from one mark to the next of another kind. */
const spans = {
  'ready before the bounce': { from: 'racket back', to: 'bounce', signed: true },
  'split to first step': { from: 'split', to: 'first step', signed: false },
  'feed to contact': { from: 'fed', to: 'contact', signed: false },
  'bounce to contact': { from: 'bounce', to: 'contact', signed: false },
  'racket waits at the top': { from: 'racket back', to: 'contact', signed: false },
} as const satisfies Record<string, { from: MarkKind; to: MarkKind; signed: boolean }>;
export type ReadingName = keyof typeof spans;
const readingNames = Object.keys(spans) as ReadingName[];

const read = (name: ReadingName, from: ClipMark, to: ClipMark): Reading => ({
  name,
  seconds: to.atS - from.atS,
  // Each moment lies between its frame and the one before: the difference is off by a frame at most.
  giveS: Math.max(from.frameS, to.frameS),
  atS: Math.max(from.atS, to.atS),
});

/** A stroke: what was marked since the contact before. Marks after the last contact belong to one that is not marked. */
function strokes(marks: readonly ClipMark[]): ClipMark[][] {
  const all: ClipMark[][] = [[]];
  for (const mark of [...marks].sort(byTime)) {
    all.at(-1)!.push(mark);
    if (mark.kind === 'contact') all.push([]);
  }
  return all.filter((one) => one.length > 0);
}

/**
 * All times that can be read from marks, stroke by stroke. "Ready before the bounce" is negative where the racket came
 * back after it.
 */
export function readings(marks: readonly ClipMark[]): Reading[] {
  return strokes(marks).flatMap((stroke) =>
    readingNames.flatMap((name) => {
      const { from, to, signed } = spans[name];
      const start = stroke.findLast(({ kind }) => kind === from);
      const end = signed
        ? stroke.findLast(({ kind }) => kind === to)
        : stroke.find(({ kind, atS }) => kind === to && start !== undefined && atS > start.atS);
      return start && end ? [read(name, start, end)] : [];
    }),
  );
}

/** How a player moved before each contact: side steps, and feet that crossed. */
export interface StepsBefore {
  readonly atS: number;
  readonly sideSteps: number;
  readonly crossings: number;
  readonly pattern: 'stood' | 'shuffle' | 'crossover' | 'both';
}

/** Steps before each contact or catch; up to two or three shuffles and beyond that a crossover is what is taught. */
export function stepsBefore(marks: readonly ClipMark[]): StepsBefore[] {
  const found: StepsBefore[] = [];
  let [sideSteps, crossings, any] = [0, 0, false];
  for (const { kind, atS } of [...marks].sort(byTime)) {
    if (kind === 'foot down') sideSteps += 1;
    if (kind === 'foot across') crossings += 1;
    any ||= kind === 'foot down' || kind === 'foot across' || kind === 'first step';
    if (kind !== 'contact' && kind !== 'catch') continue;
    const pattern =
      sideSteps > 0 && crossings > 0
        ? 'both'
        : crossings > 0
          ? 'crossover'
          : sideSteps > 0
            ? 'shuffle'
            : 'stood';
    if (any) found.push({ atS, sideSteps, crossings, pattern });
    [sideSteps, crossings, any] = [0, 0, false];
  }
  return found;
}

/** A rate with what a frame at each end makes of it. */
export interface Rate {
  readonly perMin: number;
  readonly give: number;
}

/** Contacts a minute, from the first to the last; null with fewer than three. */
export function contactsPerMin(marks: readonly ClipMark[]): Rate | null {
  const contacts = marks.filter(({ kind }) => kind === 'contact').sort(byTime);
  const [first, last] = [contacts[0], contacts.at(-1)];
  if (contacts.length < 3 || !first || !last) return null;
  const spanS = last.atS - first.atS;
  const perMin = (60 * (contacts.length - 1)) / spanS;
  return { perMin, give: perMin * (Math.max(first.frameS, last.frameS) / spanS) };
}

/** Laps and their parts: from each finish to the next, with the time of every split between them. */
export interface Lap {
  readonly seconds: number;
  readonly giveS: number;
  /** Seconds from one turn to the next, the way back included. */
  readonly partsS: readonly number[];
}

/** The time of each lap between finish marks; feet down between them are its turns. */
export function laps(marks: readonly ClipMark[]): Lap[] {
  const finishes = marks.filter(({ kind }) => kind === 'finish').sort(byTime);
  return finishes.slice(1).map((end, at) => {
    const start = finishes[at]!;
    const turns = marks
      .filter(({ kind, atS }) => kind === 'foot down' && atS > start.atS && atS < end.atS)
      .sort(byTime)
      .map(({ atS }) => atS);
    const times = [start.atS, ...turns, end.atS];
    return {
      seconds: end.atS - start.atS,
      giveS: Math.max(start.frameS, end.frameS),
      partsS: times.slice(1).map((one, part) => one - times[part]!),
    };
  });
}

/** "0.23 s, give or take 0.03". */
export function secondsInWords(seconds: number, giveS: number): string {
  return `${seconds.toFixed(2)} s, give or take ${giveS.toFixed(2)}`;
}
