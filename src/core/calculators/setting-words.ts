import { metres, tempoInWords, type BlockSetting } from './setting';

/* Words of a setting for a plan: by themselves, as a court needs none of them. */

/** "topspin of 12 turns a second", "slice of 8 turns a second". */
export const spinInWords = (spinRps: number): string =>
  spinRps === 0 ? 'no spin' : `${spinRps > 0 ? 'topspin' : 'slice'} of ${Math.abs(spinRps)} turns a second`;

/** A setting in one line, for a plan. */
export function settingInWords(setting: BlockSetting): string {
  if (setting.kind === 'feeder') {
    const { speedMps, elevationDeg, intervalS } = setting.machine;
    const name = setting.name === '' ? 'Feeder' : `Feeder “${setting.name}”`;
    return `${name}: ${speedMps.toFixed(1)} m/s, ${Math.round(elevationDeg)}° up, a ball every ${intervalS.toFixed(1)} s`;
  }
  if (setting.kind === 'sequence') {
    const { name, lines } = setting;
    const said = lines.length === 1 ? lines[0]! : `${lines.length} sequences by turns`;
    return `${name === '' ? 'Sequence' : `“${name}”`}: ${said}; ${tempoInWords(setting)}`;
  }
  const { distanceM, markM, bandFromM, bandToM, hitsPerMin, ball, spinRps = 0 } = setting;
  const spin = spinRps === 0 ? '' : `, ${spinInWords(spinRps)}`;
  return `${metres(distanceM)} from the wall, mark at ${metres(markM)} (${metres(bandFromM)} to ${metres(bandToM)} comes back), about ${Math.round(hitsPerMin)} hits a minute, ${ball} ball${spin}`;
}
