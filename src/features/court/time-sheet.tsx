'use client';

import { ArrowLeftRight, ChevronLeft, Flag, RotateCcw, SkipForward, TimerReset } from 'lucide-react';
import { trimOffersInWords } from './trim-words';
import { clockTime } from '@/core/base/words';
import { shortShare } from '@/core/court/late';
import { lateAfterS } from '@/core/court/late-after';
import { buttonClass } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { Dialog } from '@/ui/dialog';
import type { NewEvent } from '@/court/run-log';
import type { BlockRun } from './use-block';
import type { SessionTime } from './use-late';

interface Props {
  readonly run: BlockRun;
  readonly time: SessionTime;
  readonly titleOf: (blockId: string) => string;
  /** The block after this one that is still to be run. */
  readonly nextId: string | null;
  readonly first: boolean;
  readonly onLog: (fresh: NewEvent) => void;
  readonly onBefore: () => void;
  /** Asks whether the session is to be finished, whatever is still to be done. */
  readonly onFinish: () => void;
  /** This block and another change places. */
  readonly onSwap: (withId: string) => void;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

const extraS = 30;

/** The block's clock and the session's: longer, shorter, again, in another order, and what could be trimmed. */
export function TimeSheet(props: Props) {
  const { run, time, titleOf, nextId, first, onLog, onBefore, onFinish, onSwap, open, onOpenChange } = props;
  const { position, phases, say, clock } = run;
  const { phase, leftS, index, done } = position;
  const word = phase.kind === 'work' ? 'work' : phase.kind === 'rest' ? 'rest' : 'count-in';
  const intoS = phase.seconds - leftS;
  const big = (look: 'plain' | 'now' = 'plain') => buttonClass(look, 'min-h-16 justify-start text-lg');
  const close = () => onOpenChange(false);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Time">
      <h3 className="mb-2 text-lg">This block</h3>
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
        <button
          type="button"
          onClick={() => say({ playerId: null, kind: 'extend', attempt: index + 1, value: extraS })}
          className={big()}
        >
          <TimerReset aria-hidden /> {extraS} s more {word}
        </button>
        <button
          type="button"
          disabled={done || clock.state === 'ready'}
          onClick={() => say({ playerId: null, kind: 'skip', value: Math.max(0.001, leftS) })}
          className={big()}
        >
          <SkipForward aria-hidden /> Skip the rest of this {word}
        </button>
        <button
          type="button"
          disabled={clock.state === 'ready'}
          onClick={() => {
            // Once the time is up it is the last stretch that is done again.
            const backS = done ? (phases.at(-1)?.seconds ?? 0) : intoS;
            say({ playerId: null, kind: 'back', value: Math.max(0.001, backS) });
          }}
          className={big()}
        >
          <RotateCcw aria-hidden /> Repeat this {word}
        </button>
        <button
          type="button"
          disabled={nextId === null}
          onClick={() => {
            if (nextId) onSwap(nextId);
            close();
          }}
          className={big()}
        >
          <ArrowLeftRight aria-hidden className="shrink-0" />
          <span className="truncate">{nextId ? `Swap with ${titleOf(nextId)}` : 'Nothing to swap with'}</span>
        </button>
        <button
          type="button"
          disabled={first}
          onClick={() => {
            onBefore();
            close();
          }}
          className={big()}
        >
          <ChevronLeft aria-hidden /> Block before
        </button>
      </div>
      <h3 className="mt-5 mb-2 text-lg">The session</h3>
      <p className="text-lg" data-over={Math.round(time.overS)}>
        {sessionWords(time)}
      </p>
      <button type="button" onClick={onFinish} className={cx(big(), 'mt-2')}>
        <Flag aria-hidden /> Finish session
      </button>
      {time.offers.length > 0 && (
        <>
          <p className="mt-2 text-soft">
            To end on time, one of these; warm-ups and the retest stay whole. Nothing changes unless you
            press.
          </p>
          <ul className="mt-2 space-y-2">
            {time.offers.map((offer) => (
              <li key={[...offer.shorten, '|', ...offer.leaveOut].join(' ')}>
                <button
                  type="button"
                  data-offer={
                    offer.leaveOut.length > 0 ? (offer.shorten.length > 0 ? 'both' : 'out') : 'share'
                  }
                  onClick={() => {
                    for (const blockId of offer.shorten)
                      onLog({ blockId, playerId: null, kind: 'share', value: shortShare });
                    for (const blockId of offer.leaveOut)
                      onLog({ blockId, playerId: null, kind: 'out', value: 1 });
                  }}
                  className={buttonClass('plain', 'min-h-16 w-full justify-start text-left text-lg')}
                >
                  {trimOffersInWords(offer, titleOf)}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {time.trimmed.length > 0 && (
        <ul aria-label="Trimmed blocks" className="mt-3 space-y-1">
          {time.trimmed.map(({ blockId, kind }) => (
            <li key={blockId} className="flex items-center gap-3">
              <span className="flex-1">
                {titleOf(blockId)}: {kind === 'out' ? 'left out' : `shortened to ${100 * shortShare} %`}
              </span>
              <button
                type="button"
                onClick={() => onLog({ blockId, playerId: null, kind, value: kind === 'out' ? 0 : 1 })}
                className={buttonClass('plain', 'min-h-12')}
              >
                Put back
              </button>
            </li>
          ))}
        </ul>
      )}
    </Dialog>
  );
}

function sessionWords({ endMs, leftS, overS }: SessionTime): string {
  if (endMs === null) return 'Not begun yet: the booking counts from the first block.';
  const end = new Date(endMs).toTimeString().slice(0, 5);
  const left =
    leftS >= 0 ? `${clockTime(Math.round(leftS))} left` : `over since ${clockTime(Math.round(-leftS))}`;
  const verdict =
    overS > lateAfterS
      ? `what is planned runs ${clockTime(Math.round(overS))} over`
      : overS < -lateAfterS
        ? `${clockTime(Math.round(-overS))} to spare`
        : 'just on time';
  return `The booking ends at ${end}: ${left}, ${verdict}.`;
}
