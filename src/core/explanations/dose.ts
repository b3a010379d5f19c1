import { doseInWords, type Dose } from '../dose/dose';
import type { DoseTime, Pace } from '../dose/time';
import type { ExplainedInput, Explanation } from '../explain';
import type { SuccessRate } from '../skill/success-rate';
import { chanceOfRow, expectedTouchesToRow } from '../skill/row-odds';
import { inMinutes, percent } from '../words';

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

const formulas: Record<Dose['kind'], string> = {
  reps: 'sets × sides × reps × time of one + a rest after every set but the last',
  timed: 'rounds × work + a rest after every round but the last',
  hold: 'holds × sides × seconds + a rest after every hold but the last',
  shots: 'shots × time of one + a collecting walk whenever the balls at hand are gone',
  row: 'expected tries × time of one + expected drops × cost of a drop, cut at the time cap. Expected tries to N in a row at success rate p are (1/p^N − 1) / (1 − p)',
};

/** Opens the time of a block. */
export function explainBlockTime({ dose, pace, time, who, rate, origins }: DosePart): Explanation {
  const parts: ExplainedInput[] = [
    { label: 'Dose', value: doseInWords(dose), from: 'set on this block' },
    { label: 'Set out, brief and show', value: inMinutes(time.setUpS), from: origins.setUp },
    {
      label: 'Work',
      value: inMinutes(time.workS),
      from: time.capped ? 'ends at the time cap' : 'see the formula',
    },
    ...(time.restS > 0 ? [{ label: 'Rest', value: inMinutes(time.restS) }] : []),
    ...(time.collectS > 0 ? [{ label: 'Collecting balls', value: inMinutes(time.collectS) }] : []),
    { label: 'Changeover', value: inMinutes(time.changeoverS), from: 'none after the last block' },
    { label: 'Time of one touch', value: `${pace.perTouchS} s`, from: origins.touch },
  ];
  if (dose.kind === 'row') {
    const tries = expectedTouchesToRow(pace.successRate, dose.target);
    parts.push(
      { label: 'Cost of a drop', value: `${pace.dropCostS} s`, from: origins.drop },
      rateInput(who, rate),
      {
        label: 'Expected tries',
        value: tries > 10_000 ? 'over 10,000' : tries.toFixed(1),
        from: 'from the rate',
      },
      {
        label: 'Chance to get there before the cap',
        value: percent(chanceOfRow(pace.successRate, dose.target, triesIn(dose.capS, pace))),
        from: `in about ${triesIn(dose.capS, pace)} tries`,
      },
      { label: 'Slowest player', value: who, from: 'the block lasts as long as they need' },
    );
  }
  return {
    title: 'Time of this block',
    value: inMinutes(time.totalS),
    formula: `Set-up + work + rest + collecting + changeover. Work: ${formulas[dose.kind]}.`,
    inputs: parts,
    source:
      dose.kind === 'row'
        ? 'Row: W. Feller, An Introduction to Probability Theory, vol. 1, ch. XIII. The rest is adding up.'
        : 'Adding up.',
  };
}

/** Opens the touches a player can expect in a block. */
export function explainBlockTouches({ dose, pace, time, who, rate }: DosePart, touches: number): Explanation {
  const perTryS = pace.perTouchS + (1 - pace.successRate) * pace.dropCostS;
  const byTries = dose.kind === 'reps' || dose.kind === 'shots' || dose.kind === 'hold';
  return {
    title: `Touches to expect, ${who}`,
    value: String(Math.round(touches)),
    formula: byTries
      ? 'Tries × success rate. Only good touches count.'
      : 'Work time ÷ (time of one + share of drops × cost of a drop) × success rate. Only good touches count.',
    inputs: [
      { label: 'Work time', value: inMinutes(time.workS), from: 'this block' },
      {
        label: 'Time of one try with its share of drops',
        value: `${perTryS.toFixed(2)} s`,
        from: 'the step',
      },
      rateInput(who, rate),
    ],
    source: 'Our arithmetic. Everyone works at once; who is done sooner goes on.',
  };
}

/** Tries that fit into a stretch of time, drops and all, on average. */
function triesIn(seconds: number, pace: Pace): number {
  return Math.floor(seconds / (pace.perTouchS + (1 - pace.successRate) * pace.dropCostS));
}

function rateInput(who: string, rate: SuccessRate): ExplainedInput {
  if (rate.tries === 0)
    return {
      label: 'Success rate',
      value: percent(rate.value),
      from: `no touches of ${who} on this step yet: the step’s usual rate`,
    };
  const range = `95\u00a0% range ${percent(rate.interval.low)} to ${percent(rate.interval.high)} (Wilson 1927)`;
  const little = rate.littleData ? ', little data' : '';
  return {
    label: 'Success rate',
    value: percent(rate.value),
    from: `${who}’s last ${rate.tries} tries in twelve weeks${little}; ${range}`,
  };
}
