import type { BallKind } from './ballistics/balls';
import type { Feed, FeederSettings } from './ballistics/feed/feeder';
import type { Shot } from './ballistics/wall/setup';

/** A rally against a wall as it is set out: what a bench writes into a block. Metres; heights of the ball's middle. */
export interface WallSetting {
  readonly kind: 'wall';
  readonly shot: Shot;
  readonly ball: BallKind;
  readonly distanceM: number;
  /** The mark on the wall, and the band round it from which the ball still comes back. */
  readonly markM: number;
  readonly bandFromM: number;
  readonly bandToM: number;
  readonly hitsPerMin: number;
  /** Topspin of the hits, turns a second; negative is slice. None where it is left out. */
  readonly spinRps?: number;
}

/** A feeder machine as it is dialled, and when its balls are where. */
export interface FeederSetting extends Pick<Feed, 'apexS' | 'bounceS' | 'contactS'> {
  readonly kind: 'feeder';
  /** The name it was saved under; empty when it was not. */
  readonly name: string;
  readonly machine: FeederSettings;
}

/** How a block is set out, where a bench has worked it out. */
export type BlockSetting = WallSetting | FeederSetting;

/** Seconds from one touch to the next under a setting, to a hundredth. */
export const settingTouchS = (setting: BlockSetting): number =>
  setting.kind === 'wall' ? Math.round(6000 / setting.hitsPerMin) / 100 : setting.machine.intervalS;

/** "topspin of 12 turns a second", "slice of 8 turns a second". */
export const spinInWords = (spinRps: number): string =>
  spinRps === 0 ? 'no spin' : `${spinRps > 0 ? 'topspin' : 'slice'} of ${Math.abs(spinRps)} turns a second`;

const metres = (value: number): string => `${Math.round(value * 100) / 100} m`;

/** The few words of a setting that are needed on court. */
export function settingOnCourt(setting: BlockSetting): string {
  if (setting.kind === 'feeder') return `a ball every ${setting.machine.intervalS.toFixed(1)} s`;
  return `${metres(setting.distanceM)} from the wall, mark ${metres(setting.markM)}`;
}

/** A setting in one line, for a plan. */
export function settingInWords(setting: BlockSetting): string {
  if (setting.kind === 'feeder') {
    const { speedMps, elevationDeg, intervalS } = setting.machine;
    const name = setting.name === '' ? 'Feeder' : `Feeder “${setting.name}”`;
    return `${name}: ${speedMps.toFixed(1)} m/s, ${Math.round(elevationDeg)}° up, a ball every ${intervalS.toFixed(1)} s`;
  }
  const { distanceM, markM, bandFromM, bandToM, hitsPerMin, ball, spinRps = 0 } = setting;
  const spin = spinRps === 0 ? '' : `, ${spinInWords(spinRps)}`;
  return `${metres(distanceM)} from the wall, mark at ${metres(markM)} (${metres(bandFromM)} to ${metres(bandToM)} comes back), about ${Math.round(hitsPerMin)} hits a minute, ${ball} ball${spin}`;
}
