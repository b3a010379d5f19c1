'use client';

import { DoorOpen } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { doseInWords, type Dose } from '@/core/dose/dose';
import { counted } from '@/core/words';
import { finishSessionAction, startSessionAction } from '@/server/actions';
import type { SessionRunView } from '@/server/views/session-run';
import { ask } from '@/ui/ask';
import { buttonClass } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { ErrorNote } from '@/ui/field';
import { BlockClockFace } from './block-clock-face';
import { CareSheet } from './care-sheet';
import { CountTile } from './count-tile';
import { firstBlock } from './first-block';
import { NumbersSheet } from './numbers-sheet';
import { RunFooter } from './run-footer';
import { useBlock } from './use-block';
import { useRunLog } from './use-run';
import { useRunKeys } from './use-run-keys';

/** At most this many tiles at once; the rest are a press away. */
const onCourt = 6;
const grids = [
  '',
  'grid-cols-1',
  'grid-cols-1 sm:grid-cols-2',
  'grid-cols-1 sm:grid-cols-3',
  'grid-cols-2',
  'grid-cols-2 sm:grid-cols-3',
  'grid-cols-2 sm:grid-cols-3',
];

/** Courtside: count, time, undo, next. */
export function Run({ view }: { view: SessionRunView }) {
  const { blocks, players, session } = view;
  const router = useRouter();
  const { log, state } = useRunLog(view);
  const [index, setIndex] = useState(() =>
    firstBlock(
      blocks.map((block) => block.id),
      log,
    ),
  );
  // Blocks may have ended on this device that the server does not know of yet.
  useEffect(() => {
    void log.opened.then(() =>
      setIndex(
        firstBlock(
          blocks.map((block) => block.id),
          log,
        ),
      ),
    );
  }, [log, blocks]);
  const [page, setPage] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  const [finishing, setFinishing] = useState(false);
  const run = useBlock(view, blocks[index], log);
  const leave = run?.leave;
  const toggleClock = run?.toggleClock;
  const last = index === blocks.length - 1;

  const start = useCallback(() => {
    toggleClock?.();
    if (session.state !== 'running') void ask(() => startSessionAction(session.id));
  }, [toggleClock, session]);
  const turnTo = useCallback(
    (to: number) => {
      if (to < 0 || to >= blocks.length) return;
      leave?.(to > index ? 'end' : 'pause');
      setIndex(to);
      setPage(0);
    },
    [leave, index, blocks.length],
  );
  const next = useCallback(() => turnTo(index + 1), [turnTo, index]);
  const before = useCallback(() => turnTo(index - 1), [turnTo, index]);
  const undo = useCallback(() => run?.undo(), [run]);
  useRunKeys({ undo, toggleClock: start, next, before });

  const finish = async () => {
    setFinishing(true);
    setProblem(null);
    leave?.('end');
    await log.flush();
    const { waiting, loose } = log.state();
    const outcome = waiting + loose === 0 ? await ask(() => finishSessionAction(session.id)) : null;
    if (outcome?.ok) return router.push(`/sessions/${session.id}/review`);
    setFinishing(false);
    setProblem(
      outcome?.problems[0]?.message ??
        `The server cannot be reached. ${counted(waiting + loose, 'mark')} are kept here and on their way: bring the server back, then finish again.`,
    );
  };

  if (!run)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">Nothing to run yet</h1>
        <p>This session’s plan is empty. Add a block, then come back on court.</p>
        <Link href={`/sessions/${session.id}/plan`} className={buttonClass('now')}>
          Open plan
        </Link>
      </main>
    );

  const { block, drill, step, position } = run;
  const working = players.filter((player) => block.players.some((one) => one.playerId === player.id));
  const shown = working.slice(page * onCourt, (page + 1) * onCourt);
  const pages = Math.ceil(working.length / onCourt);
  return (
    <main className="flex min-h-dvh flex-col gap-2 p-2 md:h-dvh">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <Link
          href={`/sessions/${session.id}/plan`}
          prefetch={false}
          className={buttonClass('quiet', 'min-h-16 flex-col gap-0 px-2 text-sm')}
        >
          <DoorOpen aria-hidden size={22} /> Leave
        </Link>
        <div className="min-w-0 flex-1 basis-56">
          <h1 className="text-2xl md:truncate">
            <span className="tabular text-soft">
              {index + 1}/{blocks.length}
            </span>{' '}
            {drill.title}: {step.title}
          </h1>
          <p className="text-lg text-soft md:truncate">
            {doseInWords(run.workOf('').dose)}
            {block.changes.length > 0 && ` · ${block.changes.join(', ')}`}
            {block.turns > 1 && ` · ${block.turns} turns`}
            {step.target && drill.bounceRule && ` · ${drill.bounceRule}`} · “{step.cue}”
          </p>
        </div>
        <CareSheet view={view} run={run} log={log} />
        <NumbersSheet run={run} players={shown} log={log} />
        <BlockClockFace clock={run.clock} position={position} phases={run.phases} />
      </header>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      {state.trouble && <ErrorNote>{state.trouble}</ErrorNote>}
      <div className={cx('grid min-h-0 flex-1 auto-rows-fr gap-2', grids[shown.length])}>
        {shown.map((player, place) => (
          <CountTile
            key={`${block.id} ${player.id}`}
            name={player.name}
            digit={place + 1}
            step={run.workOf(player.id).step}
            ownStep={run.workOf(player.id).step.id !== step.id}
            player={block.players.find((one) => one.playerId === player.id)!}
            events={log.events(block.id, player.id)}
            onMark={run.mark}
            fullHoldS={fullHold(run.workOf(player.id).dose)}
            heldS={block.dose.kind === 'hold' ? heldFor(position) : 0}
          />
        ))}
      </div>
      <RunFooter
        run={run}
        state={state}
        undoName={players.find((player) => player.id === run.lastMark?.playerId)?.name}
        first={index === 0}
        last={last}
        finishing={finishing}
        onStart={start}
        onBefore={before}
        onNext={next}
        onFinish={() => void finish()}
        onOthers={pages > 1 ? () => setPage((page + 1) % pages) : null}
      />
    </main>
  );
}

const fullHold = (dose: Dose): number => (dose.kind === 'hold' ? dose.holdS : 0);

/** Whole seconds of the hold so far. */
function heldFor({ phase, leftS }: { phase: { kind: string; seconds: number }; leftS: number }): number {
  return phase.kind === 'work' ? Math.floor(phase.seconds - leftS) : 0;
}
