import { g } from '../../base/gravity';
import { degrees } from '../motion';
import { feed, feederLimits, type FeederPlace, type FeederSettings } from './feeder';

/** Where a feed should land, and how high it should go. Metres from the mouth, to the right, and over the floor. */
export interface Spot {
  readonly alongM: number;
  readonly sideM: number;
  readonly apexM: number;
}

export type Aimed =
  | { readonly ok: true; readonly settings: FeederSettings }
  | { readonly ok: false; readonly why: 'too high' | 'too low' | 'too fast' | 'net' | 'ceiling' };

/**
 * The settings for a landing spot and an arc: the side by the straight line to the spot, speed and elevation by Newton on
 * landing and apex (to a millimetre) in that direction, then the limits of the machine.
 * The spin and the scatter stay as they are.
 */
export function aimFeeder(settings: FeederSettings, place: FeederPlace, spot: Spot): Aimed {
  if (spot.apexM <= place.mouthM + 0.01) return { ok: false, why: 'too low' };
  // Beyond the spot nothing is met: the landing itself is looked at.
  const beyond = spot.alongM + 60;
  const sky: FeederPlace = { ...place, netAtM: null, ceilingM: null, tableFromM: place.tableFromM };
  const sideDeg = degrees(Math.atan2(spot.sideM, spot.alongM));
  const fly = (level: number, up: number) => {
    const speedMps = Math.hypot(level, up);
    const tried = { ...settings, speedMps, elevationDeg: degrees(Math.atan2(up, level)), sideDeg };
    const one = feed(tried, sky, beyond);
    return { alongM: one.landM ?? beyond, apexM: one.apexM };
  };
  // Dials: level and upward speed. Vacuum is the first guess.
  let up = Math.sqrt(2 * g * (spot.apexM - place.mouthM));
  let level = Math.hypot(spot.alongM, spot.sideM) / (up / g + Math.sqrt((2 * spot.apexM) / g));
  let solved = false;
  for (let round = 0; round < 40 && !solved; round++) {
    const at = fly(level, up);
    const [missA, missB] = [spot.alongM - at.alongM, spot.apexM - at.apexM];
    if (Math.abs(missA) < 5e-4 && Math.abs(missB) < 5e-4) solved = true;
    else {
      const step = 1e-3;
      const [a, b] = [fly(level + step, up), fly(level, up + step)];
      const [alongByLevel, alongByUp] = [(a.alongM - at.alongM) / step, (b.alongM - at.alongM) / step];
      const [apexByLevel, apexByUp] = [(a.apexM - at.apexM) / step, (b.apexM - at.apexM) / step];
      const det = alongByLevel * apexByUp - alongByUp * apexByLevel;
      if (!Number.isFinite(det) || Math.abs(det) < 1e-12) break;
      const cut = (value: number, most: number) => Math.max(-most, Math.min(most, value));
      level = Math.max(0.2, level + cut((missA * apexByUp - missB * alongByUp) / det, 4));
      up = Math.max(0.05, up + cut((alongByLevel * missB - apexByLevel * missA) / det, 3));
    }
  }
  if (!solved) return { ok: false, why: 'too low' };
  const made: FeederSettings = {
    ...settings,
    speedMps: Math.hypot(level, up),
    elevationDeg: degrees(Math.atan2(up, level)),
    sideDeg,
  };
  if (made.speedMps > feederLimits.speedMps.max) return { ok: false, why: 'too fast' };
  if (made.elevationDeg > feederLimits.elevationDeg.max) return { ok: false, why: 'too high' };
  const real = feed(made, place, beyond);
  if (real.fault === 'net' || real.fault === 'ceiling') return { ok: false, why: real.fault };
  return { ok: true, settings: made };
}
