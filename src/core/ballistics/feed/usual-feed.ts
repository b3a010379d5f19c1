import type { BallKind } from '../balls';
import { aimFeeder } from './aim';
import type { FeederSettings } from './feeder';
import { feederPlaceOf, type FeederStand } from './stand';

/** Dials to begin with: a moderate feed, and a machine that scatters a little. Ours. */
const firstMachine = (ball: BallKind): FeederSettings => ({
  ball,
  speedMps: 10.5,
  elevationDeg: 24,
  spinPerMin: 0,
  sideDeg: 0,
  intervalS: 4,
  scatterPercent: 3,
  scatterDeg: 1.5,
});

/** How far in front of the player a feed lands, metres: 1.5 to 2 m on a court is common practice; on a table ours. */
const frontM = { court: 1.75, table: 0.9 } as const;

/** A feed to begin with: in front of the player, a metre over the net (a quarter on a table). */
export function usualFeed(ball: BallKind, stand: FeederStand): FeederSettings {
  const machine = firstMachine(ball);
  const place = feederPlaceOf(stand, 'court', null);
  const table = stand.court === 'table';
  const aimed = aimFeeder(machine, place, {
    alongM: stand.playerM - (table ? frontM.table : frontM.court),
    sideM: 0,
    apexM: place.netM + (table ? 0.25 : 1),
  });
  return aimed.ok ? aimed.settings : machine;
}
