import { readLine } from '@/core/movement/sequence/line';
import { loopOf, type TempoWay } from '@/core/movement/sequence/loop';
import { plainShot, type Shot, type ShadowSport } from '@/core/movement/sequence/shots';
import type { Phase } from '../phases';
import type { Call } from '@/core/counting/call-sets';
import type { Cue } from './timeline';

/** Sequences that are called through a block. */
export interface SequencePlan {
  readonly sport: ShadowSport;
  readonly lines: readonly string[];
  /** Which line a round has, and its tempo; they begin again where there are more rounds. */
  readonly rounds: readonly { readonly line: number; readonly perMin: number }[];
  readonly way: TempoWay;
}

/** A spoken word of a stroke takes so long, seconds: the longest clip of them. */
export const spokenWordS = 0.6;
/** Quiet before the next stroke is called, seconds. Ours. */
const breathS = 0.1;

/** The shape stands for the side of the racket: right for either hand. */
const signs: Readonly<Record<Shot['side'], Call['sign']>> = { forehand: '●', backhand: '■' };
const depthWords: Readonly<Record<Shot['depth'], string | null>> = {
  net: 'net',
  in: 'short',
  line: null,
  out: 'deep',
};

/** What is said of a stroke: the place and the side that tell it apart, and what more there is of it. */
export function calledShot(shot: Shot, sport: ShadowSport): { word: string; more: string; spoken: string[] } {
  const depth = depthWords[shot.depth];
  const stroke = shot.stroke === plainShot(sport).stroke ? null : shot.stroke;
  const more = [stroke, depth, shot.coming, shot.going && `to ${shot.going}`];
  return {
    word: `${shot.side} ${shot.across}`,
    more: more.filter(Boolean).join(', '),
    // Where there is no time for all of it, what is at the front is said.
    spoken: [shot.across, shot.side, depth, stroke, shot.coming].filter((word) => word !== null),
  };
}

/** Words of a stroke that can be spoken before the next one is due; one at least. */
export const wordsThatFit = (spoken: readonly string[], forS: number): readonly string[] =>
  spoken.slice(0, Math.max(1, Math.floor((forS - breathS) / spokenWordS)));

/** The cues of called sequences: each stroke as it is due, by voice and by sign, looped through every stretch of work. */
export function sequenceCues(phases: readonly Phase[], plan: SequencePlan): Cue[] {
  const { sport, rounds, way } = plan;
  const lines = plan.lines.map((line) => {
    const read = readLine(line, sport);
    return (read.ok ? read.value : []).map((shot) => ({
      ...calledShot(shot, sport),
      sign: signs[shot.side],
    }));
  });
  const cues: Cue[] = [];
  let startS = 0;
  let work = 0;
  let number = 0;
  for (const phase of phases) {
    if (phase.kind === 'work') {
      const { line, perMin } = rounds[work++ % rounds.length]!;
      const shots = lines[line] ?? [];
      for (const { atS, shot, forS } of shots.length > 0
        ? loopOf(shots.length, perMin, phase.seconds, way)
        : []) {
        const { word, more, sign, spoken } = shots[shot]!;
        const call = { word, sign, ...(more && { more }), number: ++number };
        for (const [n, clip] of wordsThatFit(spoken, forS).entries())
          cues.push({
            atS: startS + atS + n * spokenWordS,
            tone: null,
            clip,
            call: n === 0 ? call : null,
          });
      }
    }
    startS += phase.seconds;
  }
  return cues;
}

/** Every word that can be spoken of a stroke: there is a clip of each. */
export const sequenceWords: readonly string[] = [
  ...['forehand', 'backhand', 'corner', 'wide', 'middle', 'pivot', 'net', 'short', 'deep'],
  ...['drive', 'push', 'loop', 'block', 'flick', 'volley', 'slice', 'smash', 'serve'],
  ...['topspin', 'backspin', 'high', 'fast'],
];
