import type { Court } from '../ballistics/net/courts';
import { arcsInWords, type Reachable, type Stretch } from '../ballistics/net/over';
import type { Explanation } from '../base/explain';
import { percent } from '../base/words';

const m = (metres: number): string => `${Number(metres.toFixed(1))} m`;

/** What can be hit from here, in one sentence. */
export function netSentence(straightShare: number, flownShare: number, speedMps: number): string {
  const straight =
    straightShare === 0
      ? 'On a straight line nothing of the far side can be hit from here'
      : `On a straight line ${percent(straightShare)} of the far side can be hit from here`;
  const flown =
    flownShare === 0
      ? `at ${speedMps.toFixed(0)} m/s no arc lands in either.`
      : `at ${speedMps.toFixed(0)} m/s the ball’s arc reaches ${percent(flownShare)}.`;
  return `${straight}; ${flown}`;
}

export const netLaw = {
  formula:
    'Straight: the line from the contact point just over the net meets the far side at d · n / (h − n); d is the way to the net, h the height of contact, n the net with the clearance wanted, both over the ground. Flown: every elevation is flown at the speed and spin, half a degree apart, and counts when it clears the net by the clearance and lands in.',
  source:
    'Geometry; flight as on the wall calculator. Courts and nets: ITF and ITTF rules, from memory. The net sags in a straight line from its ends to the strap.',
} as const;

export function explainStraight(
  court: Court,
  stretch: Stretch,
  contactM: number,
  fromNetM: number,
): Explanation {
  return {
    title: 'Nearest on a straight line',
    value: stretch ? `${m(stretch.fromM)} beyond the net` : 'nothing',
    formula: netLaw.formula,
    inputs: [
      { label: 'Height of contact', value: `${contactM.toFixed(2)} m` },
      { label: 'Way to the net', value: m(fromNetM) },
      { label: 'Net, in the middle', value: `${court.netM} m`, from: court.label },
    ],
    source: netLaw.source,
  };
}

export function explainFlown(reach: Reachable | null, speedMps: number, spinPerMin: number): Explanation {
  return {
    title: 'Straight ahead, with the arc',
    value: reach ? `${m(reach.stretch.fromM)} to ${m(reach.stretch.toM)} beyond the net` : 'nothing',
    formula: netLaw.formula,
    inputs: [
      { label: 'Speed', value: `${speedMps.toFixed(1)} m/s` },
      {
        label: 'Spin',
        value: `${Math.round(spinPerMin)} a minute`,
        from: spinPerMin < 0 ? 'backspin' : 'topspin',
      },
      ...(reach
        ? [
            {
              label: 'Elevations that land in',
              value: arcsInWords(reach.arcs),
            },
          ]
        : []),
    ],
    source: netLaw.source,
  };
}
