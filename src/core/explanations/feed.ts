import type { Feed } from '../ballistics/feed/feeder';
import { reactionS, swingS, type FeedTiming } from '../ballistics/feed/interval';
import type { Lob } from '../ballistics/feed/ramp';
import type { Explanation } from '../base/explain';

const m = (metres: number): string => `${Number(metres.toFixed(1))} m`;
const s = (seconds: number): string => `${seconds.toFixed(1)} s`;

/** What a feed does, in one sentence. */
export function feedSentence(one: Feed, playerM: number, timing: FeedTiming): string {
  if (one.fault === 'net') return 'The ball goes into the net: more speed, or more elevation.';
  if (one.fault === 'ceiling') return 'The ball hits the ceiling: less elevation, or less speed.';
  if (one.fault === 'never comes') return 'The ball is down twice before it gets to the player: more speed.';
  const met = `met ${s(one.contactS)} after the feed; a ball every ${s(timing.shortestS)} at the soonest.`;
  if (one.landM === null) return `It comes to the player through the air, ${m(one.contactM)} high, ${met}`;
  const front = playerM - one.landM;
  const where = front >= 0 ? `${m(front)} in front of the player` : `${m(-front)} behind the player`;
  return `It lands ${where} after ${s(one.bounceS ?? 0)}, ${met}`;
}

export const feedLaw = {
  formula:
    'The flight of the ball from the mouth of the machine as it is dialled: gravity, drag, and the lift of its spin; one bounce. Shortest interval = feed to contact + swing + way back. The landing map plays a hundred feeds with the scatter that is dialled.',
  source:
    'Any textbook of mechanics; lift: Stepanek 1988, from memory. Landing 1.5 to 2 m in front of a young player: common practice. The machine is simulated: it does what is dialled.',
} as const;

export function explainInterval(one: Feed, timing: FeedTiming, wayS: number): Explanation {
  return {
    title: 'Shortest interval',
    value: s(timing.shortestS),
    formula:
      'Feed to contact + swing + way back to the start place, so that the player stands ready when the next ball is fed.',
    inputs: [
      { label: 'Feed to contact', value: s(one.contactS) },
      { label: 'Swing', value: s(swingS), from: 'our own choice' },
      { label: 'Way back', value: s(wayS), from: 'distance ÷ speed, as set' },
    ],
    source: 'Adding up.',
  };
}

export function explainReady(timing: FeedTiming): Explanation {
  return {
    title: 'Racket ready',
    value: s(timing.racketReadyS),
    formula:
      'The racket is back when the ball bounces; for a ball that is met in the air, when it passes its top.',
    inputs: [
      {
        label: 'To spare at the ball',
        value: s(timing.toSpareS),
        from: `after ${reactionS} s of seeing it and the way there`,
      },
    ],
    source: 'Common practice; the reaction is our own choice.',
  };
}

/** What a ramp of lobs says, in one sentence. */
export function rampSentence(lobs: readonly Lob[]): string {
  const first = lobs.find((one) => one.how === 'crossover steps');
  const side = [...lobs].reverse().find((one) => one.how === 'side steps');
  if (!first && !side) return 'At these depths nobody has to go back.';
  if (!first) return `Side steps reach all of these, ${m(side!.backM)} back at most.`;
  return `Up to ${m(Math.max(0, side?.backM ?? 0))} back side steps reach it; from ${m(first.backM)} back only crossover steps do.`;
}
