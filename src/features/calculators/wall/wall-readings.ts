import { effortInWords, effortOf } from '@/core/ballistics/effort';
import { degrees } from '@/core/ballistics/motion';
import { explainForgiveness, explainHit, explainTempo, inMetres } from '@/core/explanations/wall';
import { percent } from '@/core/base/words';
import type { Reading } from '../answer';
import type { WallWork } from './use-wall';
import type { DrawnRally } from './wall-drawing';

/** The numbers of a rally, each with what the ranges do to it, and the same of the one kept beside. */
export function wallReadings(
  { setup, solution, forgives }: DrawnRally,
  work: WallWork,
  kept: DrawnRally | null,
): Reading[] {
  const spread = work.spread?.spread;
  const other = kept?.solution;
  const about = (value: number | undefined, digits: number) =>
    value === undefined ? '' : `± ${value.toFixed(digits)}`;
  const and = (text: string, more: string) => (more === '' ? text : `${text}; ${more}`);
  return [
    {
      label: 'Hits a minute',
      value: solution.hitsPerMin.toFixed(0),
      note: spread ? `give or take ${spread.hitsPerMin.toFixed(0)}` : 'working out the give or take …',
      explain: () => explainTempo(setup, solution, work.spread),
      ...(other && { beside: other.hitsPerMin.toFixed(0) }),
    },
    {
      label: 'The hit',
      value: effortOf(solution.speedMps, setup.topSpeedMps),
      note: and(
        `${solution.speedMps.toFixed(1)} m/s, ${Math.abs(degrees(solution.elevation)).toFixed(0)}° ${solution.elevation < 0 ? 'down' : 'up'}`,
        about(spread?.speedMps, 1),
      ),
      explain: () => explainHit(setup, solution),
      ...(kept && { beside: effortOf(kept.solution.speedMps, kept.setup.topSpeedMps) }),
    },
    {
      label: 'Time to get ready',
      value: `${solution.backS.toFixed(2)} s`,
      note: and(`comes ${effortInWords(solution.arrivalMps, setup.topSpeedMps)}`, about(spread?.backS, 2)),
      explain: () => explainTempo(setup, solution, work.spread),
      ...(other && { beside: other.backS.toFixed(2) }),
    },
    {
      label: solution.bounceM === null ? 'Top of the flight' : 'Bounce from the wall',
      value: inMetres(solution.bounceM ?? solution.topM),
      note:
        solution.bounceM === null
          ? 'no bounce'
          : solution.risingMps > 0
            ? 'met on the rise'
            : 'met past its top',
      ...(other?.bounceM && { beside: inMetres(other.bounceM) }),
    },
    {
      label: 'Forgives in speed',
      value: `−${percent(forgives.slower)} +${percent(forgives.faster)}`,
      note: `then ${forgives.ends.slower}; ${forgives.ends.faster}`,
      explain: () => explainForgiveness(forgives),
      ...(kept && { beside: `−${percent(kept.forgives.slower)} +${percent(kept.forgives.faster)}` }),
    },
    {
      label: 'Forgives in height',
      value: `${inMetres(forgives.lowestM, 1)} to ${inMetres(Math.min(forgives.highestM, setup.wallTopM), 1)}`,
      note: 'on the wall, at the same speed',
      explain: () => explainForgiveness(forgives),
    },
    {
      label: 'Forgives to the side',
      value: `${inMetres(forgives.sideAtWallM)}`,
      note: `${degrees(forgives.side).toFixed(0)}° either way`,
      explain: () => explainForgiveness(forgives),
      ...(kept && { beside: inMetres(kept.forgives.sideAtWallM) }),
    },
    {
      label: 'Whole way',
      value: `${solution.cycleS.toFixed(2)} s`,
      note: `${solution.outS.toFixed(2)} s out, ${solution.backS.toFixed(2)} s back`,
    },
  ];
}
