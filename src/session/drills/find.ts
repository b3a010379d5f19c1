import type { Measure } from '@/core/counting/measure';
import { doseTime } from '@/core/dose/time';
import type { Fit } from '@/core/venues/fits';
import { ageBandOf } from '@/drills/base/age-band';
import { alone, paceOn } from '../base/pace';
import { alike } from '@/drills/base/thesaurus';
import type { Drill, Family, Focus, Sport, Step } from '@/drills/base/types';

/** What is looked for is no longer than this, letters; the rest of it is left out. Ours. */
export const longestWords = 80;
const wordsOf = (text: string): string[] => text.slice(0, longestWords).split(/\s+/).filter(Boolean);

/**
 * Does a drill have all of these words, in any order, anywhere a coach would look? Others that mean the same count in
 * its title, its family and what it trains.
 */
export function matches(drill: Drill, words: string): boolean {
  const wanted = wordsOf(words.toLowerCase());
  if (wanted.length === 0) return true;
  const text = [
    drill.title,
    drill.family,
    drill.purpose,
    drill.setUp,
    ...drill.trains,
    ...drill.kit.map((need) => need.item),
    ...drill.steps.flatMap((step) => [step.title, step.task, step.cue]),
  ]
    .join(' ')
    .toLowerCase();
  const about = [drill.title, drill.family, ...drill.trains].join(' ').toLowerCase();
  return wanted.every((word) => text.includes(word) || alike(word).some((other) => hasWord(about, other)));
}

/** A word of the thesaurus counts where it stands on its own: "cut" is not in "execute". */
function hasWord(text: string, word: string): boolean {
  // No pattern is made of it: people write what would mean something else there, or take for ever to match.
  for (let at = text.indexOf(word); at !== -1; at = text.indexOf(word, at + 1))
    if (!isLetter(text[at - 1]) && !isLetter(text[at + word.length])) return true;
  return false;
}

const isLetter = (letter: string | undefined): boolean =>
  letter !== undefined && letter >= 'a' && letter <= 'z';

/** How much a drill is about some words: 3 by its family, 2 by its title, 1 by what it trains, 0 by any other text. */
export function aboutness(drill: Drill, words: string): number {
  const all = wordsOf(words).flatMap((word) => alike(word));
  const says = (text: string) => all.some((word) => hasWord(text.toLowerCase(), word));
  if (says(drill.family)) return 3;
  return says(drill.title) ? 2 : says(drill.trains.join(' ')) ? 1 : 0;
}

/** What a coach looks for; what is null is open. */
export interface Wanted {
  readonly words: string;
  readonly family: Family | null;
  readonly sport: Sport | null;
  readonly age: number | null;
  readonly measure: Measure | null;
  readonly focus: Focus | null;
  /** Minutes at hand for one block, set-up and all. */
  readonly minutes: number | null;
  /** Only what fits the place and the kit, stand-ins included. */
  readonly fitting: boolean;
}

export const anything: Wanted = {
  words: '',
  family: null,
  sport: null,
  age: null,
  measure: null,
  focus: null,
  minutes: null,
  fitting: false,
};

/** Seconds of a block of a step at its dose for an age, alone and with the step's usual rate. */
export function usualS(drill: Drill, step: Step, age: number): number {
  const known = usual.get(step) ?? new Map<number, number>();
  usual.set(step, known);
  let seconds = known.get(age);
  if (seconds === undefined) {
    seconds = doseTime(step.doses[ageBandOf(age)], paceOn(drill, step, alone(age))).totalS;
    known.set(age, seconds);
  }
  return seconds;
}
/** A list shows every step of every drill, and shows it again and again: a step is of one drill, and does not change. */
const usual = new WeakMap<Step, Map<number, number>>();

/** The drills a coach looks for, in the order of the book. */
export function findDrills(drills: readonly Drill[], wanted: Wanted, fitOf: (drill: Drill) => Fit): Drill[] {
  const { words, family, sport, age, measure, focus, minutes, fitting } = wanted;
  return drills.filter(
    (drill) =>
      (family === null || drill.family === family) &&
      (sport === null || drill.sports.includes(sport)) &&
      (age === null || (age >= drill.ages.from && age <= drill.ages.to)) &&
      (measure === null || drill.steps.some((step) => step.measure === measure)) &&
      (focus === null || drill.trains.includes(focus)) &&
      (minutes === null || drill.steps.some((step) => usualS(drill, step, age ?? 10) <= minutes * 60)) &&
      matches(drill, words) &&
      (!fitting || fitOf(drill).verdict !== 'no'),
  );
}
