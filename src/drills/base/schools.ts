import { doseFields } from '@/core/dose/limits';
import type { Dose } from '@/core/dose/dose';
import {
  checkpointQuestions,
  type BounceRule,
  type Drill,
  type DropRule,
  type Order,
  type Step,
  type Zone,
} from './types';

export const asTheDrillSays = 'as the drill says';

/** Where practitioners disagree: the answers to each question, the default first. What they mean: school-words. */
export const schoolAnswers = {
  moveUp: [asTheDrillSays, 'in a row', 'against the clock', 'own best plus one', 'sweet spot'],
  sweetSpot: ['60 to 80 %', '50 to 70 %', '70 to 90 %'],
  homeCounts: ['court days only', 'home days too'],
  order: [asTheDrillSays, 'swing first', 'feet first'],
  stretch: ['10 s', '5 s', '15 s'],
  backhand: ['two hands', 'one hand'],
  takeBack: ['straight', 'looped', 'in a C'],
  ballBehind: ['square', 'turned'],
  volleyHold: ['the same', 'changed between'],
  tired: ['stop before it breaks', 'work on, from 13 years'],
  targetScoring: [asTheDrillSays, 'rings 1, 5, 10', 'square 10, 5, 0', 'one if it lands'],
  bounceRule: [asTheDrillSays, 'first bounce counts', 'any bounce', 'must stay in'],
  dropRule: [asTheDrillSays, 'go on from the spot', 'back to the start'],
} as const;

export type SchoolQuestion = keyof typeof schoolAnswers;
export const questions = Object.keys(schoolAnswers) as SchoolQuestion[];
export type Answers = Readonly<Record<SchoolQuestion, string>>;

export const scopes = ['coach', 'drill', 'player'] as const;
/** What a coach chose, for all their work, for one drill, or for one player. The key of everybody's choice is ''. */
export interface SchoolChoice {
  readonly scope: (typeof scopes)[number];
  readonly key: string;
  readonly question: SchoolQuestion;
  readonly answer: string;
}

export interface Acting {
  readonly answer: string;
  readonly from: 'default' | (typeof scopes)[number];
}

/** Which answer acts for a coach, a drill and a player: the player's own first, then the drill's, then the coach's. */
export function acting(
  choices: readonly SchoolChoice[],
  question: SchoolQuestion,
  who: { readonly coach: string; readonly drillId: string; readonly playerId?: string },
): Acting {
  const find = (scope: SchoolChoice['scope'], key: string | undefined) =>
    choices.find((one) => one.scope === scope && one.key === key && one.question === question)?.answer;
  for (const [from, answer] of [
    ['player', find('player', who.playerId)],
    ['drill', find('drill', who.drillId)],
    ['coach', find('coach', who.coach) ?? find('coach', '')],
  ] as const)
    if (answer !== undefined) return { answer, from };
  return { answer: schoolAnswers[question][0], from: 'default' };
}

/** The questions that make a difference to a drill. */
export function questionsOf(drill: Drill): SchoolQuestion[] {
  const looks = (question: SchoolQuestion) =>
    drill.schoolCheckpoints?.some((one) => one.question === question) ?? false;
  const looked = Object.fromEntries(
    checkpointQuestions.map((question) => [question, looks(question)]),
  ) as Record<(typeof checkpointQuestions)[number], boolean>;
  const asked: Record<SchoolQuestion, boolean> = {
    moveUp: true,
    sweetSpot: true,
    homeCounts: true,
    order: drill.orders !== undefined,
    stretch: drill.steps.some((step) => step.stretch),
    ...looked,
    backhand: drill.hold === 'two-hand backhand',
    targetScoring: drill.steps.some((step) => step.target),
    bounceRule: drill.bounceRule !== undefined,
    dropRule: drill.steps.some((step) => step.measure === 'row' || step.measure === 'lap'),
  };
  return questions.filter((question) => asked[question]);
}

/** A drill as a school wants it: order, holds, checkpoints, scoring and rules. Everything that reads it sees the same drill. */
export function underSchools(drill: Drill, answers: Answers): Drill {
  const steps = inOrder(drill, answers.order).map((step) => stepUnder(step, answers));
  const checkpoints = [
    ...drill.checkpoints,
    ...(drill.schoolCheckpoints ?? [])
      .filter((one) => answers[one.question] === one.answer)
      .map((one) => one.text),
  ];
  const { bounceRule, hold } = drill;
  return {
    ...drill,
    steps,
    checkpoints,
    hold: hold === 'two-hand backhand' && answers.backhand === 'one hand' ? 'one-hand backhand' : hold,
    dropRule: answers.dropRule === asTheDrillSays ? drill.dropRule : (answers.dropRule as DropRule),
    ...(bounceRule && {
      bounceRule: answers.bounceRule === asTheDrillSays ? bounceRule : (answers.bounceRule as BounceRule),
    }),
  };
}

function inOrder(drill: Drill, answer: string): readonly Step[] {
  if (!drill.orders) return drill.steps;
  const order = answer === asTheDrillSays ? drill.orders.usual : (answer as Order);
  return drill.orders[order].map((id) => drill.steps.find((step) => step.id === id)!);
}

function stepUnder(step: Step, answers: Answers): Step {
  const held = step.stretch ? withHolds(step, parseInt(answers.stretch, 10)) : step;
  return held.target ? withScoring(held, answers.targetScoring) : held;
}

/** The hold the catalogue's stretches are written for; the small ones hold theirs shorter. */
const usualHoldS = 10;

/**
 * A school says how long a stretch is held, whatever the age: it sets the hold, it does not multiply. Parts of a series
 * that are shorter than a hold stay as they are.
 */
function withHolds(step: Step, seconds: number): Step {
  if (seconds === usualHoldS) return step;
  const { min, max } = doseFields.hold.find((field) => field.name === 'holdS')!;
  const heldS = Math.min(max, Math.max(min, seconds));
  const under = (dose: Dose): Dose => {
    if (dose.kind === 'hold') return { ...dose, holdS: heldS };
    if (dose.kind !== 'routine') return dose;
    return {
      ...dose,
      parts: dose.parts.map((part) => (part.partS === usualHoldS ? { ...part, partS: heldS } : part)),
    };
  };
  const doses = Object.fromEntries(Object.entries(step.doses).map(([band, dose]) => [band, under(dose)]));
  const gate = step.measure === 'hold' ? { ...step.gate, result: heldS } : step.gate;
  return { ...step, doses: doses as unknown as Step['doses'], gate };
}

const scorings: Readonly<Record<string, readonly Zone[]>> = {
  'rings 1, 5, 10': [
    { label: 'Inner ring', points: 10 },
    { label: 'Middle ring', points: 5 },
    { label: 'Outer ring', points: 1 },
    { label: 'Out', points: 0 },
  ],
  'square 10, 5, 0': [
    { label: 'Square', points: 10 },
    { label: 'Zone round it', points: 5 },
    { label: 'Out', points: 0 },
  ],
  'one if it lands': [
    { label: 'In', points: 1 },
    { label: 'Out', points: 0 },
  ],
};

/** Another scoring: the gate keeps its share of the most that can be scored. */
function withScoring(step: Step, answer: string): Step {
  const zones = scorings[answer];
  const before = step.zones?.[0]?.points;
  if (!zones || !before) return step;
  const result = Math.max(1, Math.round((step.gate.result * zones[0]!.points) / before));
  return { ...step, zones, gate: { ...step.gate, result } };
}
