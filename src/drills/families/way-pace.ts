import { lapOf } from '@/core/movement/course';
import { ageOfBand } from '../base/age-band';
import { layoutChild, layoutOf } from '../layouts';
import type { AgeBand, Drill, Step } from '../base/types';

/** How what is counted follows from the way that lies on the floor. All of it ours, set by what is common practice. */
interface OnTheWay {
  /** Laps to one that is counted. */
  readonly laps: number;
  /** How much longer than at full effort a lap takes as it is practised, >= 1. */
  readonly ease: number;
  /** Seconds for what is done besides: a swing, a split step. */
  readonly plusS: number;
}
type PacedByWay = Pick<Step, 'dropCostS' | 'usualRate'> & { readonly onTheWay: OnTheWay };

/** The pace of a step whose tempo is a way on the floor: how long it takes at an age is worked out from its layout. */
export const wayPace = (
  laps: number,
  ease: number,
  dropCostS: number,
  usualRate: number,
  plusS = 0,
): PacedByWay => ({
  onTheWay: { laps, ease, plusS },
  dropCostS: { value: dropCostS, origin: 'practice' },
  usualRate: { value: usualRate, origin: 'ours' },
});

const tenths = (seconds: number): number => Math.round(seconds * 10) / 10;

/** A step that is paced already, or that its way paces. */
export type Unpaced = Step | (Omit<Step, 'perTouchS' | 'paces'> & PacedByWay);

/** A step with its pace at every age, from the layout of its drill. */
export function pacedStep(drill: Pick<Drill, 'id' | 'space' | 'sports'>, step: Unpaced): Step {
  if (!('onTheWay' in step)) return step;
  const { onTheWay, ...rest } = step;
  const { laps, ease, plusS } = onTheWay;
  const of = (age: number) => {
    const child = layoutChild({ age, sport: drill.sports[0]!, heightCm: null, racketIn: null });
    const course = layoutOf(drill, rest, child)?.course;
    if (!course) throw new Error(`${drill.id}, ${rest.id}: there is no way on its floor.`);
    return lapOf(course, age, child);
  };
  const seconds = (band: AgeBand) => tenths(of(ageOfBand[band]).seconds * laps * ease + plusS);
  const { lengthM } = of(ageOfBand['10-12']);
  return {
    ...rest,
    perTouchS: {
      value: seconds('10-12'),
      origin: 'ours',
      note: [
        `worked out for each age from a way of ${lengthM.toFixed(1)} m a lap`,
        laps === 1 ? '' : `, ${laps === 0.5 ? 'half' : 'a quarter'} of it to one`,
        ease === 1 ? ', at full effort' : `, ${ease} times what it takes at full effort`,
        plusS === 0 ? '' : ` and ${plusS} s for what is done besides`,
      ].join(''),
    },
    paces: fourBands(seconds),
  };
}
const fourBands = <T>(of: (band: AgeBand) => T): Record<AgeBand, T> => ({
  '4-6': of('4-6'),
  '7-9': of('7-9'),
  '10-12': of('10-12'),
  '13-16': of('13-16'),
});
