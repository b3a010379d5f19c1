import { ChevronLeft, ChevronRight, Flag, Pause, Play, Undo2 } from 'lucide-react';
import { buttonClass } from '@/ui/button';
import type { LogState } from './run-log';
import { SafeNote } from './safe-note';
import type { BlockRun } from './use-block';

const kindWords: Record<string, string> = {
  touch: 'touch',
  drop: 'miss',
  zone: 'shot',
  hold: 'hold',
  grade: 'grade',
  lap: 'lap',
};

export interface RunFooterProps {
  readonly run: BlockRun;
  readonly state: LogState;
  readonly undoName: string | undefined;
  readonly first: boolean;
  readonly last: boolean;
  readonly finishing: boolean;
  readonly onStart: () => void;
  readonly onBefore: () => void;
  readonly onNext: () => void;
  readonly onFinish: () => void;
  /** Shows the other players, when there are more than fit. */
  readonly onOthers: (() => void) | null;
}

/** The few things to press besides the counts. */
export function RunFooter(props: RunFooterProps) {
  const { run, state, undoName, first, last, finishing, onStart, onBefore, onNext, onFinish, onOthers } =
    props;
  const { clock, position, lastMark, undo } = run;
  const running = clock.state === 'running';
  const over = position.done || clock.state === 'ended';
  return (
    <footer className="grid grid-cols-2 items-stretch gap-2 md:flex">
      <button
        type="button"
        onClick={onStart}
        className={buttonClass(running || over ? 'plain' : 'now', 'min-h-16 text-xl md:min-w-44')}
      >
        {running ? <Pause aria-hidden /> : <Play aria-hidden />}
        {running ? 'Pause' : clock.state === 'ready' ? 'Start block' : 'Go on'}
      </button>
      <button
        type="button"
        onClick={undo}
        disabled={!lastMark}
        className={buttonClass('plain', 'min-h-16 text-xl')}
      >
        <Undo2 aria-hidden /> Undo
        {lastMark && (
          <span className="hidden text-base font-normal md:inline">{`${kindWords[lastMark.kind]}, ${undoName}`}</span>
        )}
      </button>
      {onOthers && (
        <button type="button" onClick={onOthers} className={buttonClass('plain', 'min-h-16 text-xl')}>
          Other players
        </button>
      )}
      <SafeNote state={state} />
      <button
        type="button"
        onClick={onBefore}
        disabled={first}
        className={buttonClass('quiet', 'min-h-16 text-lg')}
      >
        <ChevronLeft aria-hidden /> Block before
      </button>
      {last ? (
        <button
          type="button"
          onClick={onFinish}
          disabled={finishing}
          className={buttonClass('now', 'min-h-16 text-xl')}
        >
          <Flag aria-hidden /> {finishing ? 'Finishing…' : 'Finish session'}
        </button>
      ) : (
        <button
          type="button"
          onClick={onNext}
          className={buttonClass(over ? 'now' : 'plain', 'min-h-16 text-xl')}
        >
          Next block <ChevronRight aria-hidden />
        </button>
      )}
    </footer>
  );
}
