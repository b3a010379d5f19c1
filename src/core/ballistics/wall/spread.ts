import { spreadOver, type RangeSpread } from '../spread-over';
import { extremesOf, numbersOf, type WallSetup } from './setup';
import { solveWall, type WallSolution } from './solve';

/** How far a result may be off because ball, floor and wall are only known within a range. */
export type WallSpread = RangeSpread<'hitsPerMin' | 'speedMps' | 'bounceM' | 'backS'>;

const shown = ({ hitsPerMin, speedMps, bounceM, backS }: WallSolution) => ({
  hitsPerMin,
  speedMps,
  bounceM: bounceM ?? 0,
  backS,
});

/** The spread of a solution over the ranges of ball, ground and wall: the rally is solved again at every end. */
export function wallSpread(setup: WallSetup, nominal: WallSolution): WallSpread {
  return spreadOver(shown(nominal), extremesOf(setup), (instead) => {
    const answer = solveWall(setup, numbersOf(setup, instead));
    return answer.ok ? shown(answer.solution) : null;
  });
}
