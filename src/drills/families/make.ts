import type { Measure } from '@/core/counting/measure';
import type { Dose, RoutinePart } from '@/core/dose/dose';
import { noLoad, type Load } from '@/core/dose/load';
import type { Origin, Sourced } from '@/core/base/origin';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import { clapsS } from '@/core/ballistics/tap/toss';
import { pacedStep, type Unpaced } from './way-pace';
import type {
  AgeBand,
  Drill,
  Feed,
  KitNeed,
  Space,
  SpaceNeed,
  Sport,
  Step,
  StepCalls,
  StepRally,
  Zone,
} from '../base/types';

/*
 * The short hand the catalogue is written in. Every builder gives whole Drill and Step values:
 * nothing here is known to anybody outside the catalogue.
 */

/** A rule of thumb of the trade, no published source. */
export const practice = (value: number, note?: string): Sourced => ({
  value,
  origin: 'practice',
  ...(note && { note }),
});

/** Our own cautious choice. */
export const ours = (value: number, note?: string): Sourced => ({
  value,
  origin: 'ours',
  ...(note && { note }),
});

export const both: readonly Sport[] = ['tennis', 'table tennis'];
export const tennis: readonly Sport[] = ['tennis'];
export const tableTennis: readonly Sport[] = ['table tennis'];

type Doses = Readonly<Record<AgeBand, Dose>>;
type FourOf<T> = readonly [T, T, T, T];

function perBand<T>(values: FourOf<T>, dose: (value: T) => Dose): Doses {
  return {
    '4-6': dose(values[0]),
    '7-9': dose(values[1]),
    '10-12': dose(values[2]),
    '13-16': dose(values[3]),
  };
}

/** A result on so many days; where the dose and the mark come from, when it is not our own choice. */
type Mark = readonly [result: number, days: number, gateOrigin?: Origin, doseOrigin?: Origin];
type Measured = Pick<Step, 'measure' | 'doses' | 'gate' | 'gateOrigin' | 'doseOrigin'>;

function measured(measure: Measure, doses: Doses, mark: Mark): Measured {
  const [result, days, gateOrigin = 'ours', doseOrigin = 'ours'] = mark;
  return { measure, doses, gate: { result, days }, gateOrigin, doseOrigin };
}

/** In a row: targets by age band, one time cap. */
export const row = (targets: FourOf<number>, capS: number, mark: Mark): Measured =>
  measured(
    'row',
    perBand(targets, (target) => ({ kind: 'row', target, capS })),
    mark,
  );

const boxes = (rounds: FourOf<number>, workS: number, restS: number): Doses =>
  perBand(rounds, (n) => ({ kind: 'timed', rounds: n, workS, restS }));

/** As many as fit into a time box: rounds by age band. */
export const count = (rounds: FourOf<number>, workS: number, restS: number, mark: Mark): Measured =>
  measured('count', boxes(rounds, workS, restS), mark);

/** As many as fit into one box, whose seconds follow the age. */
export const boxesOf = (workS: FourOf<number>, mark: Mark): Measured =>
  measured(
    'count',
    perBand(workS, (s) => ({ kind: 'timed', rounds: 1, workS: s, restS: 0 })),
    mark,
  );

/** Laps of a course inside a time box. */
export const laps = (rounds: FourOf<number>, workS: number, restS: number, mark: Mark): Measured =>
  measured('laps', boxes(rounds, workS, restS), mark);

/** How even the bounces are, over a time box; the mark is a spread in centimetres, and less is better. */
export const steadiness = (rounds: FourOf<number>, workS: number, restS: number, mark: Mark): Measured =>
  measured('steadiness', boxes(rounds, workS, restS), mark);

const repeated = (reps: FourOf<number>, sets: number, sides: 1 | 2, restS: number): Doses =>
  perBand(reps, (n) => ({ kind: 'reps', sets, reps: n, sides, restS }));

/** Repetitions by age band, so many sets on one or two sides. */
export const reps = (n: FourOf<number>, sets: number, sides: 1 | 2, restS: number, mark: Mark): Measured =>
  measured('reps', repeated(n, sets, sides, restS), mark);

/** Repetitions that are each given a quality mark. */
export const graded = (
  n: FourOf<number>,
  zones: readonly Zone[],
  mark: Mark,
): Measured & Pick<Step, 'zones'> => ({
  ...measured('grade', repeated(n, 1, 1, 0), mark),
  zones,
});

/** Holds: seconds by age band. */
export const hold = (
  holdS: FourOf<number>,
  holds: number,
  sides: 1 | 2,
  restS: number,
  mark: Mark,
): Measured =>
  measured(
    'hold',
    perBand(holdS, (s) => ({ kind: 'hold', holds, holdS: s, sides, restS })),
    mark,
  );

/** Shots at zones: how many by age band, with so many balls at hand and a walk to collect them. */
export const shots = (
  n: FourOf<number>,
  ballsAtHand: number,
  collectS: number,
  zones: readonly Zone[],
  mark: Mark,
): Measured & Pick<Step, 'zones'> => ({
  ...measured(
    'points',
    perBand(n, (total) => ({ kind: 'shots', shots: total, ballsAtHand, collectS })),
    mark,
  ),
  zones,
});

/** A course against the clock: rounds by age band; the mark is seconds for a lap, and less is better. */
export const course = (rounds: FourOf<number>, lapsARound: number, restS: number, mark: Mark): Measured =>
  measured(
    'lap',
    perBand(rounds, (n) => ({ kind: 'course', rounds: n, laps: lapsARound, restS })),
    mark,
  );

/** A growing count: how far up by age band. */
export const growing = (to: FourOf<number>, lines: number, restS: number, mark: Mark): Measured =>
  measured(
    'reps',
    perBand(to, (n) => ({ kind: 'growing', lines, to: n, restS })),
    mark,
  );

/** A routine of parts that are done, the same for all ages but for its rounds. */
export const routine = (
  rounds: FourOf<number>,
  parts: readonly RoutinePart[],
  changeS: number,
  mark: Mark,
): Measured =>
  measured(
    'reps',
    perBand(rounds, (n) => ({ kind: 'routine', rounds: n, changeS, parts })),
    mark,
  );

/** A routine whose touches are counted: all of them together, or those of its weakest part. */
export const countedRoutine = (
  by: 'count' | 'weakest part',
  rounds: FourOf<number>,
  parts: readonly RoutinePart[],
  changeS: number,
  mark: Mark,
): Measured =>
  measured(
    by,
    perBand(rounds, (n) => ({ kind: 'routine', rounds: n, changeS, counted: true, parts })),
    mark,
  );

/** A step that is called: what with, and the seconds an answer takes. The times are our own cautious choice. */
export const called = (
  set: StepCalls['set'],
  moveS: number,
  more: Partial<Pick<StepCalls, 'pace' | 'tossM'>> = {},
): { calls: StepCalls } => ({ calls: { set, moveS, pace: 'even', origin: 'ours', ...more } });

/** A step that is a rally with a wall: the shot, the distance and the mark, metres; hits to a touch when it is trapped. */
export const against = (
  shot: StepRally['shot'],
  distanceM: number,
  markM: number,
  each?: number,
  spinRps?: number,
): { rally: StepRally } => ({
  rally: {
    shot,
    distanceM,
    markM,
    ...(each !== undefined && { each }),
    ...(spinRps !== undefined && { spinRps }),
  },
});

/** A part of a routine; `of` names the step it is taken from, "drill/step". */
export const part = (name: string, partS: number, sides: 1 | 2 = 1, of?: string): RoutinePart => ({
  name,
  partS,
  sides,
  ...(of !== undefined && { of }),
});

/** What is noted beside every mark and counts for nothing. */
export const beside = (question: string, ...answers: readonly string[]): Pick<Step, 'beside'> => ({
  beside: { question, answers },
});

/** Laps counted in parts. */
export const inParts = (parts: number, noun: string): Pick<Step, 'lapParts'> => ({
  lapParts: { parts, noun },
});

/** Repetitions until it is a habit: common practice. */
export const habitOf = (n: number): Pick<Step, 'habit'> => ({ habit: { reps: n, origin: 'practice' } });

type Paced = Pick<Step, 'perTouchS' | 'dropCostS' | 'usualRate'>;

/**
 * Seconds from touch to touch and for a drop, the usual share of good ones. Tempo and drops are common practice,
 * the usual rate is ours; a note says more about the tempo.
 */
export const pace = (perTouchS: number, dropCostS: number, usualRate: number, note?: string): Paced => ({
  perTouchS: practice(perTouchS, note),
  dropCostS: practice(dropCostS),
  usualRate: ours(usualRate),
});

export { wayPace } from './way-pace';

/** Claps under a toss: how high it must be at an age is worked out. */
export const claps = (n: number): Pick<Step, 'claps'> => ({ claps: n });

const hundredths = (seconds: number): number => Math.round(seconds * 100) / 100;

/**
 * The pace of a ball kept bouncing on strings: its tempo is the flight's, as on the toss and tap bench. The height is
 * common practice.
 */
export const bouncePace = (heightCm: number, dropCostS: number, usualRate: number): Paced =>
  pace(
    hundredths(tapping('yellow', 'strings', heightCm / 100).periodS),
    dropCostS,
    usualRate,
    `a bounce of ${heightCm} cm on strings takes so long (toss and tap calculator)`,
  );

/** Claps a second of a practised child, and seconds to catch, breathe and toss again: common practice. */
const [clapsAS, tossAgainS] = [5, 2];

/** The pace of a toss with claps: the air time those claps need, as on the toss and tap bench, and a breath. */
export const clapPace = (n: number, dropCostS: number, usualRate: number): Paced & Pick<Step, 'claps'> => ({
  ...pace(
    hundredths(clapsS(n, clapsAS) + tossAgainS),
    dropCostS,
    usualRate,
    `${n === 1 ? 'one clap' : `${n} claps`} at ${clapsAS} a second and one beat to get ready (toss and tap calculator), ${tossAgainS} s to catch and toss again`,
  ),
  ...claps(n),
});

const need =
  (per: KitNeed['per']) =>
  (item: string, standIns: readonly string[] = [], n = 1): KitNeed => ({ item, count: n, per, standIns });

/** Kit for each player, each pair, or each station, with what stands in for it, best first. */
export const each = need('player');
export const pair = need('pair');
export const station = need('station');

/** Clear space: length, width and height in metres; for each player, or for a station (see {@link drill}). */
export const space = (lengthM: number, widthM: number, ceilingM: number, ...needs: SpaceNeed[]): Space => ({
  per: 'player',
  lengthM,
  widthM,
  ceilingM,
  needs,
});

export const feed = (how: Feed['how'], predictability: Feed['predictability'] = 'known'): Feed => ({
  how,
  predictability,
});

/** A fault with its correction; `back` when it sends the player a step back. */
export const fault = (text: string, correction: string, back?: 'back'): Drill['faults'][number] => ({
  fault: text,
  correction,
  stepBack: back === 'back',
});

/** A care note; common practice unless it is our own. */
export const care = (text: string, origin: Origin = 'practice'): Drill['care'][number] => ({ text, origin });

export const zones = (...list: readonly (readonly [label: string, points: number])[]): readonly Zone[] =>
  list.map(([label, points]) => ({ label, points }));

type Loads = Partial<Load>;
type Eased<S> = S extends Unpaced
  ? Omit<S, 'load' | 'moves'> & { readonly load?: Loads; readonly moves?: Step['moves'] }
  : never;
type StepContent = Eased<Unpaced>;
type Defaulted =
  'players' | 'helper' | 'cards' | 'warms' | 'fit' | 'dropRule' | 'setUpS' | 'changeoverS' | 'ages';
type DrillContent = Omit<Drill, Defaulted | 'steps' | 'recap'> &
  Partial<Pick<Drill, 'helper' | 'cards' | 'warms' | 'fit' | 'dropRule'>> & {
    readonly ages: readonly [from: number, to: number];
    /** Fewest players, and how many one station holds. */
    readonly players: readonly [min: number, max: number];
    /** Seconds to set out and brief, and to change over: common practice. */
    readonly times: readonly [setUpS: number, changeoverS: number];
    /** True where the players of a station share its space; else each has a lane of that size. */
    readonly shared?: boolean;
    readonly ask: readonly string[];
    readonly home: string;
    /** The load and the ways of moving of every step that does not say otherwise. */
    readonly load?: Loads;
    readonly moves?: Step['moves'];
    readonly steps: readonly StepContent[];
  };

/** A drill from its content, with what goes without saying filled in. */
export function drill(content: DrillContent): Drill {
  const { ages, players, times, shared, ask, home, load, moves = [], steps, ...rest } = content;
  const roomy: Space = { ...rest.space, per: shared ? 'station' : 'player' };
  return {
    helper: 'none',
    cards: [],
    warms: [],
    fit: [],
    dropRule: 'go on from the spot',
    ...rest,
    space: roomy,
    ages: { from: ages[0], to: ages[1] },
    players: { min: players[0], max: players[1] },
    setUpS: practice(times[0]),
    changeoverS: practice(times[1]),
    recap: { questions: ask, homeChallenge: home },
    steps: steps.map((step) =>
      pacedStep(
        { ...rest, space: roomy },
        { ...step, moves: step.moves ?? moves, load: { ...noLoad, ...load, ...step.load } },
      ),
    ),
  };
}
