import { doseInWords, type Dose } from '../dose/dose';
import type { DoseTime, Pace } from '../dose/time';
import type { ExplainedInput, Explanation } from '../base/explain';
import type { BlockTime } from '../plan/block-time';
import type { SuccessRate } from '../skill/success-rate';
import { cappedRow } from '../dose/capped-row';
import { expectedTouchesToRow } from '../skill/row-odds';
import { inMinutes, percent } from '../base/words';
import { partsOfASecond } from './rounding';

/** What a block's time is made of, for one player's pace. */
export interface DosePart {
  readonly dose: Dose;
  readonly pace: Pace;
  readonly time: DoseTime;
  /** Whose pace sets the time: "Mira". */
  readonly who: string;
  readonly rate: SuccessRate;
  /** Where the times of one touch, of a drop and of setting up come from, in words. */
  readonly origins: { readonly touch: string; readonly drop: string; readonly setUp: string };
}

/** The same with the time of the whole block, its turns and breaks. */
export interface BlockPart extends Omit<DosePart, 'time'> {
  readonly time: BlockTime;
}

const formulas: Record<Dose['kind'], string> = {
  reps: 'sets × sides × reps × time of one + a rest after every set but the last',
  timed: 'rounds × work + a rest after every round but the last',
  hold: 'holds × sides × seconds + a rest after every hold but the last',
  shots: 'shots × time of one + a collecting walk whenever the balls at hand are gone',
  course: 'rounds × laps × time of one + a rest after every round but the last',
  growing: 'lines × n(n + 1)/2 × time of one + a rest after every round but the last',
  routine: 'all parts on all their sides + a change between any two',
  row: 'mean time until the row is there, where the cap ends the longer ones. Without a cap: expected tries × time of one + expected drops × cost of a drop. Expected tries to N in a row at success rate p are (1/p^N − 1) / (1 − p)',
};

/** Opens the time of a block. */
export function explainBlockTime({ dose, pace, time, who, rate, origins }: BlockPart): Explanation {
  const parts: ExplainedInput[] = [
    { label: 'Dose', value: doseInWords(dose), from: 'set on this block' },
    { label: 'Set out and brief', value: inMinutes(time.setUpS), from: origins.setUp },
    {
      label: 'Show it',
      value: inMinutes(time.showS),
      from: 'as often as the youngest needs, 2 to 6 s each',
    },
    {
      label: 'Work',
      value: inMinutes(time.workS),
      from: time.capped ? 'ends at the time cap' : 'see the formula',
    },
    ...(time.restS > 0 ? [{ label: 'Rest', value: inMinutes(time.restS) }] : []),
    ...(time.collectS > 0 ? [{ label: 'Collecting balls', value: inMinutes(time.collectS) }] : []),
    ...(time.turns > 1
      ? [
          {
            label: `${time.turns} turns at the station`,
            value: inMinutes(time.activeS),
            from: 'one turn works while another rests; collecting comes on top',
          },
        ]
      : []),
    ...(time.breakS > 0
      ? [{ label: 'Drink', value: inMinutes(time.breakS), from: 'set on this block' }]
      : []),
    { label: 'Changeover', value: inMinutes(time.changeoverS), from: 'none after the last block' },
    ...partsOfASecond(time.totalS, [
      ...[time.setUpS, time.showS, time.breakS, time.changeoverS],
      ...(time.turns > 1 ? [time.activeS] : [time.workS, time.restS, time.collectS]),
    ]),
    { label: 'Time of one touch', value: `${pace.perTouchS} s`, from: origins.touch },
  ];
  if (dose.kind === 'row') {
    const tries = expectedTouchesToRow(pace.successRate, dose.target);
    parts.push(
      { label: 'Cost of a drop', value: `${pace.dropCostS} s`, from: origins.drop },
      rateInput(who, rate, pace.successRate),
      {
        label: 'Expected tries',
        value: tries > 10_000 ? 'over 10,000' : tries.toFixed(1),
        from: 'from the rate',
      },
      {
        label: 'Chance to get there before the cap',
        value: percent(
          cappedRow({
            p: pace.successRate,
            target: dose.target,
            tryS: pace.perTouchS,
            dropS: pace.dropCostS,
            capS: dose.capS,
          }).reached,
        ),
        from: `within ${dose.capS} s, drops and all`,
      },
      { label: 'Slowest player', value: who, from: 'the block lasts as long as they need' },
    );
  }
  return {
    title: 'Time of this block',
    value: inMinutes(time.totalS),
    formula: `Set-up + showing + work + rest + collecting + changeover. Work: ${formulas[dose.kind]}.`,
    inputs: parts,
    source:
      dose.kind === 'row'
        ? 'Row: W. Feller, An Introduction to Probability Theory, vol. 1, ch. XIII. The rest is adding up.'
        : 'Adding up.',
  };
}

/** How often a player comes to a station, and how much of their dose the signal leaves each time. */
export interface Visits {
  readonly times: number;
  readonly share: number;
}

/**
 * Opens the touches a player can expect in a block.
 * @param workS seconds the player works in it: as long as the slowest of their turn where a row is begun again
 * @param visits set where it is a station of a circuit
 */
export function explainBlockTouches(
  { dose, pace, time, who, rate }: DosePart,
  touches: number,
  workS = time.workS,
  visits?: Visits,
): Explanation {
  const perTryS = pace.perTouchS + (1 - pace.successRate) * pace.dropCostS;
  const byTries = dose.kind !== 'row' && dose.kind !== 'timed';
  return {
    title: `Touches to expect, ${who}`,
    value: String(Math.round(touches)),
    formula: byTries
      ? visits
        ? 'Tries × visits × what the signal leaves of the dose × success rate. Only good touches count.'
        : 'Tries × success rate. Only good touches count.'
      : 'Work time ÷ (time of one + share of drops × cost of a drop) × success rate. Only good touches count.',
    inputs: [
      ...(byTries
        ? [
            { label: 'Tries', value: String(time.tries), from: `the dose, ${doseInWords(dose)}` },
            ...(visits ? visitInputs(visits) : []),
          ]
        : [
            {
              label: 'Work time',
              value: `${workS.toFixed(1)} s`,
              from:
                dose.kind !== 'row'
                  ? 'the time box'
                  : visits
                    ? 'until the signal'
                    : 'until the slowest of the turn is there',
            },
            {
              label: 'Time of one try with its share of drops',
              value: `${perTryS.toFixed(2)} s`,
              from: 'the step',
            },
          ]),
      rateInput(who, rate, pace.successRate),
    ],
    source: 'Our arithmetic. Whoever has kept up their row sooner than the others begins another.',
  };
}

const visitInputs = ({ times, share }: Visits): ExplainedInput[] => [
  { label: 'Visits to the station', value: String(times), from: 'times round' },
  ...(share < 1
    ? [{ label: 'Left by the signal', value: percent(share), from: 'the dose takes longer than a visit' }]
    : []),
];

/** @param used the rate that was reckoned with: what is put on a block makes it harder or easier */
function rateInput(who: string, rate: SuccessRate, used: number): ExplainedInput {
  const changed = used === rate.value ? '' : `; ${percent(rate.value)} without what is put on the block`;
  if (rate.tries === 0)
    return {
      label: 'Success rate',
      value: percent(used),
      from: `no touches of ${who} on this step yet: the step’s usual rate${changed}`,
    };
  const range = `95\u00a0% range ${percent(rate.interval.low)} to ${percent(rate.interval.high)} (Wilson 1927)${changed}`;
  const little = rate.littleData ? ', little data' : '';
  return {
    label: 'Success rate',
    value: percent(used),
    from: `${who}’s last ${rate.tries} tries in twelve weeks${little}; ${range}`,
  };
}
