import { clockTime } from '@/core/base/words';
import type { BlockClock } from '@/core/court/block-clock';
import { tenCalledFromS, type Phase, type Position } from '@/core/court/phases';
import { cx } from '@/ui/class-names';

const stateWords = { ready: 'Ready', running: '', paused: 'Paused', ended: 'Ended' } as const;
const words = { countIn: 'Get ready', work: 'Work', rest: 'Rest' } as const;

export interface BlockClockFaceProps {
  readonly clock: BlockClock;
  readonly position: Position;
  readonly phases: readonly Phase[];
  /** Rounds of one turn, and the turns that follow one another. */
  readonly turns: number;
  /** What is done in this phase, where a routine has names for it. */
  readonly part?: string | null;
  /** What a rest is called: in a circuit it is for walking on. */
  readonly restWord?: string;
  /** Seconds left of the changeover to this block, while it waits; null when there is none. */
  readonly changeoverS: number | null;
  /** Seconds the session runs over its booking, where that is worth a word; else null. */
  readonly lateS: number | null;
  /** Opens what can be done about time; left out for who only counts. */
  readonly onOpen?: () => void;
}

/** The block's clock: 3-2-1, work, rest, and the end, in words, colour and size. */
export function BlockClockFace({
  clock,
  position,
  phases,
  turns,
  part = null,
  restWord = words.rest,
  changeoverS,
  lateS,
  onOpen,
}: BlockClockFaceProps) {
  const { phase, leftS, done } = position;
  const running = clock.state === 'running';
  const ready = clock.state === 'ready';
  const changes = ready && changeoverS !== null;
  const word = changes
    ? 'Change over'
    : done
      ? 'Time'
      : running
        ? phase.kind === 'rest'
          ? restWord
          : words[phase.kind]
        : stateWords[clock.state];
  const rounds = (phases.at(-1)?.round ?? 1) / turns;
  const ten = running && !done && phase.kind === 'work' && phase.seconds >= tenCalledFromS && leftS <= 10;
  const firstWorkS = phases.find(({ kind }) => kind === 'work')?.seconds ?? 0;
  // While waiting to start, the clock shows the work to come rather than its count-in.
  const shownS = done
    ? 0
    : Math.ceil((changes ? Math.max(0, changeoverS) : ready ? firstWorkS : leftS) - 1e-9);
  return (
    <button
      type="button"
      onClick={onOpen}
      disabled={!onOpen}
      data-phase={done ? 'done' : phase.kind}
      className={cx(
        'flex min-h-16 flex-1 items-center justify-end gap-3 rounded-md border-3 px-4 py-0.5 sm:flex-none',
        done
          ? 'border-stop bg-stop-bg text-stop'
          : running && phase.kind === 'work'
            ? 'border-now bg-now text-on-now'
            : 'border-ink bg-sheet',
      )}
    >
      <span className="text-right leading-tight">
        <span className="sr-only">Time: </span>
        <span className="block text-xl font-bold">{ten ? 'Last ten seconds' : word}</span>
        <span className="block text-lg">
          {part ?? (rounds > 1 && `round ${phase.round - (phase.turn - 1) * rounds} of ${rounds}`)}
          {rounds > 1 && turns > 1 && ', '}
          {turns > 1 && `turn ${phase.turn} of ${turns}`}
          {changes && changeoverS < 0 && ` ${clockTime(Math.round(-changeoverS))} longer`}
        </span>
        {lateS !== null && (
          <span className="block rounded-sm bg-care-bg px-1 text-base font-bold text-care" data-late>
            {clockTime(lateS)} late
          </span>
        )}
      </span>
      <span className="tabular min-w-32 text-right font-head text-6xl font-extrabold">
        {phase.kind === 'countIn' && running && !done ? shownS : clockTime(shownS)}
      </span>
    </button>
  );
}
