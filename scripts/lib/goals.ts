import { measures } from '../../src/core/counting/measure';
import { doseInWords } from '../../src/core/dose/dose';
import { breathlessShare, scaled } from '../../src/core/dose/scale';
import type { Book } from '../../src/drills';
import { changes, takenBy } from '../../src/drills/base/changes';
import { ageBands, type AgeBand, type Drill, type Step } from '../../src/drills/base/types';
import { courtPhases } from '../../src/session/court/court-clock';
import { goalsOf, markFor } from '../../src/session/base/goals';
import { blockOf, workOf } from '../../src/session/base/plan';
import { timePlan } from '../../src/session/plan/time-plan';

/** One step at one age under one change, with what is wrong about it. */
export interface GoalCase {
  readonly drillId: string;
  readonly stepId: string;
  readonly band: AgeBand;
  /** Nothing, a spice or an easing the drill takes, or the shorter dose of a player who is breathless. */
  readonly change: string;
  readonly dose: string;
  readonly aim: number;
  readonly mark: number;
  readonly most: number;
  readonly tooShort: boolean;
  /** Seconds of work and rest in the plan of one player alone, and on court. */
  readonly planS: number;
  readonly courtS: number;
  readonly flags: readonly string[];
}

const ageOf: Readonly<Record<AgeBand, number>> = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 15 };
const shorter = 'breathless';

/** Every step, age band and change of a book. */
export function goalCases(book: Book): GoalCase[] {
  return book.drills.flatMap((drill) => {
    const taken = takenBy(
      drill,
      changes.map((change) => change.id),
    );
    return drill.steps.flatMap((step) =>
      ageBands.flatMap((band) =>
        ['', ...taken, shorter].map((change) => goalCase(book, drill, step, band, change)),
      ),
    );
  });
}

function goalCase(book: Book, drill: Drill, step: Step, band: AgeBand, change: string): GoalCase {
  const written = step.doses[band];
  const block = blockOf({
    id: 'b',
    drillId: drill.id,
    stepId: step.id,
    dose: change === shorter ? scaled(written, breathlessShare) : written,
    changes: change === '' || change === shorter ? [] : [change],
  });
  const { dose } = workOf(book, block)!;
  const { aim, mark, most, tooShort } = goalsOf({ step, dose }, ageOf[band]);
  const [time] = timePlan(book, [block], [{ id: 'p', age: ageOf[band] }], [], 60).blocks;
  const { turns, activeS } = time!;
  const courtS = courtPhases(dose, { turns, turnS: activeS / turns })
    .filter((phase) => phase.kind !== 'countIn')
    .reduce((sum, phase) => sum + phase.seconds, 0);

  const row = dose.kind === 'row';
  const wrong: [boolean, string][] = [
    [aim > most, 'aims at more than the dose gives'],
    [aim <= 0 || mark.result <= 0, 'has an empty goal'],
    [change === '' && tooShort, 'cannot be passed as written'],
    [mark.result !== markFor(step, band).result, 'moves the mark'],
    [row && aim !== dose.target, 'aims at another row than its dose'],
    [row && change === '' && mark.result < dose.target, 'has a mark below its dose'],
    [
      tooShort !== (!measures[step.measure].lowerIsBetter && most < mark.result),
      'does not say that it is too short',
    ],
    // A row is run to its cap; all else takes on court what the plan gives it.
    [row ? courtS + 1e-6 < activeS : Math.abs(courtS - activeS) > 0.01, 'runs another time than planned'],
  ];
  return {
    drillId: drill.id,
    stepId: step.id,
    band,
    change,
    dose: doseInWords(dose),
    aim,
    mark: mark.result,
    most,
    tooShort,
    planS: activeS,
    courtS,
    flags: wrong.flatMap(([is, words]) => (is ? [words] : [])),
  };
}
