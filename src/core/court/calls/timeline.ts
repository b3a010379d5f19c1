import { seededRandom } from '@/core/base/random';
import { signalsOf, type Phase } from '../phases';
import { feederEvents } from '@/core/ballistics/feed/events';
import { beats } from './beat';
import { callSets, clipName, type Call, type CallSet } from '@/core/counting/call-sets';
import { dealCalls } from './deal';
import { callSchedule, type CallPace } from './schedule';

/** What is heard of a block besides its clock. */
export interface SoundPlan {
  /** Beats a minute through the work; null for none. */
  readonly tempoPerMin: number | null;
  /** Beats from accent to accent; 0 for none. */
  readonly accentEvery: number;
  /** What is called through the work; null for nothing. */
  readonly calls: {
    readonly set: CallSet;
    readonly everyS: number;
    readonly moveS: number;
    readonly pace: CallPace;
    readonly leadS: number;
  } | null;
  /** A feeder machine that feeds through the work: the calls follow its balls. Null or left out for none. */
  readonly feeds?: FeedTimes | null;
  /** Cues that were made elsewhere, by a called sequence. */
  readonly called?: readonly Cue[];
  /** The same seed gives the same calls on every device. */
  readonly seed: number;
}

/** When a machine's balls are where, seconds. */
export interface FeedTimes {
  readonly intervalS: number;
  /** From the feed to the top of the flight and to the bounce; null when it does not bounce. */
  readonly apexS: number;
  readonly bounceS: number | null;
}

export type ToneName = 'tick' | 'go' | 'ten' | 'stop' | 'end' | 'beat' | 'accent' | 'feed';

/** One thing to hear, and to see for those who cannot. */
export interface Cue {
  /** Running seconds from the start of the block. */
  readonly atS: number;
  readonly tone: ToneName | null;
  /** Name of a spoken clip. */
  readonly clip: string | null;
  /** The call, with its number from 1 within the block. */
  readonly call: (Call & { readonly number: number }) | null;
}

const spoken = { ten: 'last-ten-seconds', stop: 'rest', end: 'time' } as const;

/**
 * Everything that sounds in a block, in order: the clock's signals (spoken too where a word helps), the beat, and the calls.
 * The core makes it once; the loudspeaker, the screen and the practice track all follow the same list.
 */
export function soundTimeline(phases: readonly Phase[], plan: SoundPlan): Cue[] {
  const cues: Cue[] = signalsOf(phases).map(({ atS, kind }) => ({
    atS,
    tone: kind,
    clip: kind in spoken ? spoken[kind as keyof typeof spoken] : null,
    call: null,
  }));
  cues.push(...(plan.called ?? []));
  let startS = 0;
  let number = 0;
  for (const [index, phase] of phases.entries()) {
    if (phase.kind === 'work') {
      if (plan.tempoPerMin !== null)
        for (const { atS, accent } of beats(plan.tempoPerMin, startS, phase.seconds, plan.accentEvery))
          cues.push({ atS, tone: accent ? 'accent' : 'beat', clip: null, call: null });
      const { feeds } = plan;
      if (feeds) {
        const called = fedCues(feeds, plan, startS, phase.seconds, plan.seed + 7919 * index, number);
        cues.push(...called);
        number += called.filter((cue) => cue.call !== null).length;
      }
      // Calls about a fed ball follow the machine; others keep their own time.
      if (plan.calls && !(feeds && plan.calls.leadS > 0)) {
        const { set, leadS, ...rest } = plan.calls;
        const options = callSets[set];
        const random = seededRandom(plan.seed + 7919 * index);
        const made = callSchedule({ ...rest, leadS, options: options.length, forS: phase.seconds }, random);
        for (const { atS, option } of made) {
          const call: Call = options[option]!;
          // A ball that is called at the top of its flight is fed that much earlier.
          if (leadS > 0) cues.push({ atS: startS + atS - leadS, tone: 'feed', clip: null, call: null });
          cues.push({
            atS: startS + atS,
            tone: null,
            clip: clipName(call.word),
            call: { ...call, number: ++number },
          });
        }
      }
    }
    startS += phase.seconds;
  }
  return cues.sort((a, b) => a.atS - b.atS);
}

/** What is called when nothing else is: the racket is back as the ball bounces. */
const readyCall: Call = { word: 'ready', sign: '■' };

/**
 * The cues of a feeding machine: a tone for every ball that is fed, and a call that follows it: the calls of a drill about
 * a ball at its top, or else “ready” when it bounces. The last ball still gets to the player in time.
 */
function fedCues(
  feeds: FeedTimes,
  { calls }: SoundPlan,
  startS: number,
  forS: number,
  seed: number,
  before: number,
): Cue[] {
  const dueS = Math.max(feeds.apexS, feeds.bounceS ?? 0);
  const events = feederEvents(feeds, feeds.intervalS, Math.max(0.001, forS - dueS));
  const atTop = calls !== null && calls.leadS > 0 ? callSets[calls.set] : null;
  const balls = events.filter(({ kind }) => kind === 'fed').length;
  const dealt = atTop ? dealCalls(atTop.length, balls, seededRandom(seed)) : [];
  const when = atTop || feeds.bounceS === null ? 'apex' : 'bounced';
  let number = before;
  return events.flatMap<Cue>(({ kind, ball, atS }) => {
    const at = startS + atS;
    if (kind === 'fed') return [{ atS: at, tone: 'feed', clip: null, call: null }];
    if (kind !== when || (calls !== null && !atTop)) return [];
    const call: Call = atTop ? atTop[dealt[ball - 1]!]! : readyCall;
    return [{ atS: at, tone: null, clip: clipName(call.word), call: { ...call, number: ++number } }];
  });
}
