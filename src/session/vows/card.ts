import { calledShot } from '@/core/court/calls/sequence-cues';
import { readLine } from '@/core/movement/sequence/line';
import { measures, type Measure } from '@/core/counting/measure';
import { growingRounds, type Dose } from '@/core/dose/dose';
import { shortDay, weekdayNames } from '@/core/base/day-words';
import { counted, doseTimeInWords } from '@/core/base/words';
import type { Book } from '@/drills/book';
import type { Beside, Drill, Step, Zone } from '@/drills/base/types';
import { doneTogether } from '../plan/together';
import { sameShape } from '../base/plan';
import { titleOfParts } from './words';
import type { Vow, VowPart } from './vow';

/** How much a child reads: by age. Ours: few words until seven, short sentences until ten. */
export type Reading = 'few words' | 'short' | 'full';
export const readingFor = (age: number): Reading => (age <= 7 ? 'few words' : age <= 10 ? 'short' : 'full');

/** A step a child may do on a day, with its dose in plain words. */
export interface CardStep {
  readonly stepId: string;
  readonly title: string;
  readonly dose: Dose;
  readonly words: string;
  readonly task: string;
}

/** How a part is counted on a phone. */
export interface CardCount {
  readonly measure: Measure;
  readonly noun: string;
  readonly unit: string;
  /** Done by the clock, with nothing to count. */
  readonly together: boolean;
  readonly zones: readonly Zone[];
  readonly beside: Beside | null;
}

/** One part of a vow as a card shows it. */
export interface CardPart extends CardStep, CardCount {
  readonly drill: string;
  /** The ladder from the easiest step, and where the ball stands on it. */
  readonly stairs: readonly string[];
  readonly at: number;
  /** Steps the child may choose; the planned one among them, in the order of the ladder. */
  readonly choices: readonly CardStep[];
  readonly cue: string;
  readonly checkpoints: readonly string[];
  readonly care: readonly string[];
  /** For whoever helps: how, and what to say. */
  readonly helper: readonly string[];
}

export interface CardDay {
  readonly day: string;
  /** One for each part: the number of that day's dose, short. */
  readonly doses: readonly string[];
}

/** A vow on a card: the same on paper, as PDF, on a phone and in a file. */
export interface Card {
  /** First name only. */
  readonly name: string;
  readonly title: string;
  readonly reading: Reading;
  readonly ball: string | null;
  readonly when: string;
  readonly parts: readonly CardPart[];
  readonly days: readonly CardDay[];
}

const upTo = (n: number, one: string, many?: string) => counted(n, one, many);

/** The word for one good mark of a step: "touch", "rep". */
const nouns = (measure: Measure, n: number): string => {
  const { noun } = measures[measure];
  return upTo(n, noun, noun.endsWith('ch') ? `${noun}es` : `${noun}s`);
};

/** A dose as a child reads it: one sentence that says what to do and when it is done. */
export function plainDose(step: Pick<Step, 'measure'>, dose: Dose): string {
  const { measure } = step;
  const sides = (n: number) => (n === 2 ? ' with each hand or side' : '');
  const sets = (n: number) => (n === 1 ? '' : ` ${n} times over`);
  switch (dose.kind) {
    case 'reps':
      return `Do ${nouns(measure, dose.reps)}${sets(dose.sets)}${sides(dose.sides)}.`;
    case 'row':
      return `Get ${dose.target} in a row. Stop after ${doseTimeInWords(dose.capS)}, whatever it is.`;
    case 'timed':
      return `Go for ${doseTimeInWords(dose.workS)}${sets(dose.rounds)} and count.`;
    case 'hold':
      return `Hold still for ${dose.holdS} seconds${sets(dose.holds)}${sides(dose.sides)}.`;
    case 'shots':
      return `Take ${counted(dose.shots, 'shot')}.`;
    case 'course':
      return `Do ${nouns('laps', dose.laps)}${sets(dose.rounds)}.`;
    case 'growing':
      return `Count up from 1 to ${dose.to}: ${growingRounds(dose).reduce((sum, n) => sum + n, 0)} in all.`;
    case 'routine':
      return `${dose.parts.map(({ name, partS }) => `${name} for ${doseTimeInWords(partS)}`).join(', then ')}${sets(dose.rounds)}.`;
  }
}

/** A dose in so few letters that a box on a card holds it. */
export function shortDose(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return String(dose.sets * dose.reps * dose.sides);
    case 'row':
      return String(dose.target);
    case 'timed':
      return `${dose.rounds} × ${dose.workS} s`;
    case 'hold':
      return `${dose.holds * dose.sides} × ${dose.holdS} s`;
    case 'shots':
      return String(dose.shots);
    case 'course':
      return String(dose.rounds * dose.laps);
    case 'growing':
      return `1–${dose.to}`;
    case 'routine':
      return `${dose.rounds} ×`;
  }
}

const helperWords = {
  none: 'Nobody has to help. Count together if it is fun.',
  feeds: 'You feed the ball: soft, the same each time, to the same place. Wait until they are ready.',
  holds: 'You hold or stand where the drill says. Hold still and look at the ball with them.',
  calls: 'You call. Let a breath go by between two calls, and never the same order twice.',
} as const;

/** Steps of a drill that may be chosen instead of one: counted and dosed the same way. */
export const mayChoose = (drill: Drill, stepId: string): readonly Step[] => {
  const own = drill.steps.find(({ id }) => id === stepId);
  return own ? drill.steps.filter((step) => sameShape(step, own)) : [];
};

function cardStep(step: Step, dose: Dose): CardStep {
  return { stepId: step.id, title: step.title, dose, words: plainDose(step, dose), task: step.task };
}

/** What is to be done next, and what it grows to: the boxes say the dose of each day. */
function partWords(step: Step, doses: readonly Dose[]): string {
  const [first, last] = [doses[0]!, doses.at(-1)!];
  const grown = shortDose(last);
  return `${plainDose(step, first)}${grown === shortDose(first) ? '' : ` It grows to ${grown}.`}`;
}

/** The strokes of a sequence as a child reads them; empty where there is none. */
function strokesInWords({ sports }: Drill, { strokes }: Pick<VowPart, 'strokes'>): string {
  if (!strokes) return '';
  const sport = sports[0]!;
  const read = readLine(strokes, sport);
  if (!read.ok) return '';
  const words = read.value.map((shot) => {
    const { word, more } = calledShot(shot, sport);
    return more ? `${word} (${more})` : word;
  });
  return `Your strokes, over and over: ${words.join('; ')}.`;
}

function cardPart(
  drill: Drill,
  step: Step,
  part: VowPart,
  reading: Reading,
  doses: readonly Dose[],
): CardPart {
  const { measure } = step;
  const { noun, unit } = measures[measure];
  const looks = reading === 'few words' ? 1 : 2;
  const choices = mayChoose(drill, step.id).flatMap((one) => {
    if (one.id === step.id) return [cardStep(step, doses[0]!)];
    const chosen = part.choices.find(({ stepId }) => stepId === one.id);
    return chosen ? [cardStep(one, chosen.dose)] : [];
  });
  return {
    ...cardStep(step, doses[0]!),
    words: partWords(step, doses),
    task: [reading === 'few words' ? '' : step.task, strokesInWords(drill, part)].filter(Boolean).join(' '),
    drill: drill.title,
    measure,
    noun,
    unit,
    together: doneTogether(drill, step),
    zones: step.zones ?? [],
    beside: step.beside ?? null,
    stairs: drill.steps.map(({ title }) => title),
    at: drill.steps.findIndex(({ id }) => id === step.id),
    choices,
    cue: step.cue,
    checkpoints: drill.checkpoints.slice(0, looks),
    care: drill.care.slice(0, reading === 'full' ? 2 : 1).map(({ text }) => text),
    helper: [
      helperWords[drill.helper],
      `Say: “${step.cue}” One thing at a time, and nothing about the misses.`,
      ...(reading === 'few words' ? [step.task] : []),
      'A drop is no matter: the best row stays.',
    ],
  };
}

/** The days of the week and the last day, as a child reads them. */
export const whenInWords = (
  { weekdays, atTime }: Pick<Vow, 'weekdays' | 'atTime'>,
  untilDay: string,
): string =>
  `${weekdays.length === 7 ? 'Every day' : weekdays.map((day) => weekdayNames[day - 1]).join(', ')}${atTime ? ` at ${atTime}` : ''}, until ${shortDay(untilDay)}`;

/** A vow as a card shows it; null where one of its drills or steps is gone. */
export function cardOf(
  book: Book,
  player: { readonly id: string; readonly name: string; readonly age: number; readonly stage: string | null },
  vow: Vow,
  untilDay: string,
  days: readonly { readonly day: string; readonly doses: readonly Dose[] }[],
): Card | null {
  const reading = readingFor(player.age);
  const parts: CardPart[] = [];
  for (const [i, part] of vow.parts.entries()) {
    const drill = book.drill(part.drillId, player.id);
    const step = drill?.steps.find(({ id }) => id === part.stepId);
    if (!drill || !step) return null;
    const own = days.flatMap(({ doses }) => doses[i] ?? []);
    parts.push(cardPart(drill, step, part, reading, own.length > 0 ? own : [part.dose]));
  }
  return {
    name: firstName(player.name),
    title: titleOfParts(parts.map(({ drill }) => drill)),
    reading,
    ball: player.stage,
    when: whenInWords(vow, untilDay),
    parts,
    days: days.map(({ day, doses }) => ({ day, doses: doses.map(shortDose) })),
  };
}

/** The first word of a name: all a family’s page says of who it is. */
export const firstName = (name: string): string => name.trim().split(/\s+/)[0] ?? '';
