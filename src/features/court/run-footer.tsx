import { ChevronRight, Flag, Pause, Play, Undo2, Users } from 'lucide-react';
import type { ReactNode } from 'react';
import { ruleOf } from '@/core/counting/event';
import { isPass } from '@/core/counting/pass';
import { buttonClass } from '@/ui/button';
import { cx } from '@/ui/class-names';
import type { RunLog } from '@/court/run-log';
import { SafeNote } from './safe-note';
import type { BlockRun } from './use-block';
import { useLogState } from './use-court';

export interface RunFooterProps {
  readonly run: BlockRun;
  readonly log: RunLog;
  readonly undoName: string | undefined;
  readonly leftHanded: boolean;
  /** Opens what is adjusted; left out for who only counts, with what starts, turns and ends. */
  readonly adjust?: ReactNode;
  readonly onStart?: () => void;
  /** Turns to the next block; null at the last one. */
  readonly onNext?: (() => void) | null;
  readonly onFinish?: () => void;
  /** Left out it takes back the last mark at any time. */
  readonly onUndo?: () => void;
  /** The block that was left for this one, and the way back to it. */
  readonly back?: { readonly title: string; readonly onBack: () => void } | null;
  /** Shows the other players, when there are more than fit. */
  readonly onOthers: (() => void) | null;
}

const LiveSafeNote = ({ log }: { log: RunLog }) => <SafeNote state={useLogState(log)} />;

/** The few things to press besides the counts. */
export function RunFooter(props: RunFooterProps) {
  const {
    run,
    log,
    undoName,
    leftHanded,
    adjust,
    onStart,
    onNext,
    onFinish,
    back,
    onUndo = run.undo,
  } = props;
  const { clock, position, lastMark } = run;
  const running = clock.state === 'running';
  const over = position.done || clock.state === 'ended';
  return (
    <footer
      className={cx('grid grid-cols-2 items-stretch gap-2 md:flex', leftHanded && 'md:flex-row-reverse')}
    >
      {onStart && (
        <button
          type="button"
          onClick={onStart}
          className={buttonClass(running || over ? 'plain' : 'now', 'min-h-16 text-xl md:min-w-44')}
        >
          {running ? <Pause aria-hidden /> : <Play aria-hidden />}
          {running ? 'Pause' : clock.state === 'ready' ? 'Start block' : 'Go on'}
        </button>
      )}
      {back && !lastMark ? (
        <button
          type="button"
          onClick={back.onBack}
          className={buttonClass('plain', 'min-h-16 min-w-0 text-xl md:max-w-72')}
        >
          <Undo2 aria-hidden className="shrink-0" />
          <span className="line-clamp-2 text-left text-base leading-tight md:text-lg">
            Back to {back.title}
          </span>
        </button>
      ) : (
        <button
          type="button"
          onClick={onUndo}
          disabled={!lastMark}
          className={buttonClass('plain', 'min-h-16 min-w-0 text-xl')}
        >
          <Undo2 aria-hidden className="shrink-0" /> Undo
          {lastMark && (
            <span className="hidden truncate text-base font-normal md:inline">
              {`${isPass(lastMark) ? 'whole pass' : (ruleOf(lastMark.kind).undoName ?? lastMark.kind)}, ${undoName ?? 'everybody'}`}
            </span>
          )}
        </button>
      )}
      {adjust}
      {props.onOthers && (
        <button type="button" onClick={props.onOthers} className={buttonClass('plain', 'min-h-16 text-xl')}>
          <Users aria-hidden /> Other children
        </button>
      )}
      <LiveSafeNote log={log} />
      {onNext ? (
        <button
          type="button"
          onClick={onNext}
          className={buttonClass(
            over ? 'now' : 'plain',
            'col-span-2 min-h-16 shrink-0 text-xl whitespace-nowrap',
          )}
        >
          Next block <ChevronRight aria-hidden />
        </button>
      ) : (
        onFinish && (
          <button
            type="button"
            onClick={onFinish}
            className={buttonClass('now', 'col-span-2 min-h-16 text-xl')}
          >
            <Flag aria-hidden /> Finish session
          </button>
        )
      )}
    </footer>
  );
}
