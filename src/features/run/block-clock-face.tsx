import { clockTime } from '@/core/words';
import type { BlockClock } from '@/core/run/block-clock';
import type { Phase, Position } from '@/core/run/phases';
import { cx } from '@/ui/class-names';

const stateWords = { ready: 'Ready', running: '', paused: 'Paused', ended: 'Ended' } as const;
const words = { countIn: 'Get ready', work: 'Work', rest: 'Rest' } as const;

export interface BlockClockFaceProps {
  readonly clock: BlockClock;
  readonly position: Position;
  readonly phases: readonly Phase[];
}

/** The block's clock: 3-2-1, work, rest, and the end, in words, colour and size. */
export function BlockClockFace({ clock, position, phases }: BlockClockFaceProps) {
  const { phase, leftS, done } = position;
  const running = clock.state === 'running';
  const ready = clock.state === 'ready';
  const word = done ? 'Time' : running ? words[phase.kind] : stateWords[clock.state];
  const rounds = phases.at(-1)?.round ?? 1;
  const firstWorkS = phases.find(({ kind }) => kind === 'work')?.seconds ?? 0;
  // While waiting to start, the clock shows the work to come rather than its count-in.
  const shownS = done ? 0 : Math.ceil((ready ? firstWorkS : leftS) - 1e-9);
  return (
    <div
      role="timer"
      aria-label={`${word}, ${clockTime(shownS)} left`}
      data-phase={done ? 'done' : phase.kind}
      className={cx(
        'flex items-center gap-3 rounded-md border-3 px-4 py-0.5',
        done
          ? 'border-stop bg-stop-bg text-stop'
          : running && phase.kind === 'work'
            ? 'border-now bg-now text-on-now'
            : 'border-ink bg-sheet',
      )}
    >
      <span className="text-right leading-tight">
        <span className="block text-xl font-bold">{word}</span>
        {rounds > 1 && (
          <span className="block text-lg">
            round {phase.round} of {rounds}
          </span>
        )}
      </span>
      <span className="tabular min-w-32 text-right font-head text-6xl font-extrabold">
        {phase.kind === 'countIn' && running && !done ? shownS : clockTime(shownS)}
      </span>
    </div>
  );
}
