'use client';

import { Check, Undo2, Users } from 'lucide-react';
import { liveEvents } from '@/core/counting/live';
import { triesOf } from '@/session/plan/together';
import { buttonClass } from '@/ui/button';
import { cx } from '@/ui/class-names';
import type { RunLog } from '@/court/run-log';
import type { CourtPlayer } from './court-view';
import { PressZone } from './press-zone';
import type { BlockRun } from './use-block';

export interface TogetherGridProps {
  readonly run: BlockRun;
  readonly players: readonly CourtPlayer[];
  readonly log: RunLog;
  readonly numberOf: (playerId: string) => number;
  readonly onSay: (sentence: string) => void;
}

/** What is run by the clock and done together: one press says that all have done it, a press on a name is an exception. */
export function TogetherGrid({ run, players, log, numberOf, onSay }: TogetherGridProps) {
  const { block, step } = run;
  const markOf = (playerId: string) =>
    liveEvents(log.events(block.id, playerId)).findLast((event) => event.kind === 'done');
  const open = players.filter(({ id }) => !markOf(id));
  const setDone = (playerId: string, done: boolean) => {
    const mark = markOf(playerId);
    if (done && !mark) {
      const { work } = run.playerNow(playerId);
      run.say({ playerId, kind: 'done', value: triesOf(work.step, work.dose) });
    }
    // A helper takes back their own marks only.
    if (!done && mark && log.isMine(mark.id)) run.say({ playerId, kind: 'undo', ref: mark.id });
  };
  const all = open.length === 0;
  const pressAll = () => {
    for (const { id } of all ? players : open) setDone(id, !all);
    onSay(all ? 'Taken back: nobody is marked.' : `Done by all ${players.length}.`);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {players.length > 1 && (
        <button
          type="button"
          data-done-by-all
          onClick={pressAll}
          className={buttonClass(all ? 'plain' : 'now', 'min-h-20 text-2xl')}
        >
          {all ? <Undo2 aria-hidden /> : <Users aria-hidden />}
          {all
            ? 'Done by all: take it back'
            : open.length === players.length
              ? 'Done by all'
              : 'The others too'}
        </button>
      )}
      <ul className="grid min-h-0 flex-1 auto-rows-[minmax(6rem,1fr)] grid-cols-2 gap-2 overflow-y-auto sm:grid-cols-3">
        {players.map(({ id, name }) => {
          const done = markOf(id) !== undefined;
          const own = run.playerNow(id).work.step;
          return (
            <li key={id}>
              <PressZone
                data-touch-of={numberOf(id)}
                onPress={() => {
                  setDone(id, !done);
                  onSay(`${name}: ${done ? 'not done' : 'done'}.`);
                }}
                pressed={done}
                className={cx(
                  'flex size-full flex-col items-center justify-center rounded-md border-3 px-2 leading-tight',
                  done ? 'border-safe bg-chalk' : 'border-ink bg-sheet active:bg-chalk',
                )}
              >
                <span className="flex max-w-full items-center gap-2 text-xl font-bold sm:text-2xl">
                  <kbd className="rounded-sm border-2 border-edge px-1.5 text-sm font-semibold">
                    {numberOf(id)}
                  </kbd>
                  <span className="line-clamp-2 text-left">{name}</span>
                </span>
                {own.id !== step.id && <span className="text-soft">{own.title}</span>}
                <span
                  className={cx(
                    'flex items-center gap-1 text-lg',
                    done ? 'font-bold text-safe' : 'text-soft',
                  )}
                >
                  {done && <Check aria-hidden size={20} />}
                  {done ? 'done' : 'not marked'}
                </span>
              </PressZone>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
