import type { BallKind } from '../ballistics/balls';
import type { Feed, FeederSettings } from '../ballistics/feed/feeder';
import type { Shot } from '../ballistics/wall/setup';
import { secondsAStroke, type TempoWay } from '../movement/sequence/loop';
import type { ShadowGround, ShadowSport } from '../movement/sequence/shots';

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

/** Shadow sequences that are called through a block, as the composer writes them into it. */
export interface SequenceSetting {
  readonly kind: 'sequence';
  /** What it was saved as, or the workout it is; empty for neither. */
  readonly name: string;
  readonly sport: ShadowSport;
  readonly ground: ShadowGround;
  readonly lines: readonly string[];
  /** Which line a round has, from 0, and its tempo in strokes a minute; they begin again where a block has more rounds. */
  readonly rounds: readonly { readonly line: number; readonly perMin: number }[];
  readonly way: TempoWay;
}

/** How a block is set out, where a bench has worked it out. */
export type BlockSetting = WallSetting | FeederSetting | SequenceSetting;

/** Seconds from one touch to the next under a setting, to a hundredth. */
export function settingTouchS(setting: BlockSetting): number {
  switch (setting.kind) {
    case 'wall':
      return Math.round(6000 / setting.hitsPerMin) / 100;
    case 'feeder':
      return setting.machine.intervalS;
    case 'sequence':
      return secondsAStroke(
        setting.rounds.map(({ perMin }) => perMin),
        setting.way,
      );
  }
}

export const metres = (value: number): string => `${Math.round(value * 100) / 100} m`;

/** Strokes of the sequence that a round has. @param round from 1 */
export function strokesInRound({ lines, rounds }: SequenceSetting, round: number): number {
  const { line } = rounds[(round - 1 + rounds.length) % rounds.length]!;
  // A line as it is kept has one stroke between two commas.
  return lines[line]!.split(',').length;
}

/** "24 strokes a minute", "18 to 27 strokes a minute, slow, then fast". */
export function tempoInWords({ rounds, way }: Pick<SequenceSetting, 'rounds' | 'way'>): string {
  const tempos = rounds.map(({ perMin }) => perMin);
  const [least, most] = [Math.min(...tempos), Math.max(...tempos)];
  const span = least === most ? `${most}` : `${least} to ${most}`;
  return `${span} strokes a minute${way === 'even' ? '' : `, ${way}`}`;
}

/** The few words of a setting that are needed on court. */
export function settingOnCourt(setting: BlockSetting): string {
  if (setting.kind === 'feeder') return `a ball every ${setting.machine.intervalS.toFixed(1)} s`;
  if (setting.kind === 'sequence') return tempoInWords(setting);
  return `${metres(setting.distanceM)} from the wall, mark ${metres(setting.markM)}`;
}
