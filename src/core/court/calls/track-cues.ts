import type { Phase } from '../phases';
import type { Cue } from './timeline';

/** Words to show from one moment to another, seconds. */
export interface ShownWords {
  readonly fromS: number;
  readonly untilS: number;
  readonly text: string;
}

/** A call is shown for so long, or until the next one, seconds. Ours. */
const shownS = 1.5;
const words = { countIn: 'Get ready', work: 'Work', rest: 'Rest' } as const;

/**
 * A timeline as words to read: every call while it stands, and the clock's stretches where nothing is called.
 * They never overlap, so that a player of any kind shows one at a time.
 */
export function trackCues(phases: readonly Phase[], cues: readonly Cue[]): ShownWords[] {
  const shown: ShownWords[] = [];
  const calls = cues.filter((cue) => cue.call !== null);
  let startS = 0;
  for (const phase of phases) {
    const endS = startS + phase.seconds;
    const own = calls.filter((cue) => cue.atS >= startS && cue.atS < endS);
    let freeS = startS;
    const round = phase.kind === 'work' ? `Work, round ${phase.round}` : words[phase.kind];
    for (const [index, cue] of own.entries()) {
      const untilS = Math.min(cue.atS + shownS, own[index + 1]?.atS ?? endS, endS);
      if (cue.atS - freeS > 0.5) shown.push({ fromS: freeS, untilS: cue.atS, text: round });
      shown.push({
        fromS: cue.atS,
        untilS,
        text: cue.call!.more ? `${cue.call!.word}: ${cue.call!.more}` : cue.call!.word,
      });
      freeS = untilS;
    }
    if (endS - freeS > 0.05) shown.push({ fromS: freeS, untilS: endS, text: round });
    startS = endS;
  }
  return shown;
}
