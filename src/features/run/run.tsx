'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { settingOnCourt } from '@/core/setting';
import { doseInWords } from '@/core/dose/dose';
import { changeoverNow } from '@/core/run/changeover';
import { courtChanges } from '@/core/run/court-changes';
import { lateAfterS } from '@/core/run/late';
import { counted } from '@/core/words';
import { finishSessionAction } from '@/server/actions';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import { ask } from '@/ui/ask';
import { buttonClass } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { useBook } from '@/ui/house';
import { AdjustSheet } from './adjust-sheet';
import { BlockClockFace } from './block-clock-face';
import { CallBanner } from './call-banner';
import { CareSheet } from './care-sheet';
import { CountPad } from './count-pad';
import { useCourtSettings } from './court-settings';
import { CourtGrid } from './court-grid';
import { CourtNotes } from './court-notes';
import { blocksInOrder, blockToOpen } from './first-block';
import { MoreSheet } from './more-sheet';
import { RunFooter } from './run-footer';
import { TimeSheet } from './time-sheet';
import { useBlock } from './use-block';
import { useSessionTime } from './use-late';
import { useCourt, useNow } from './use-run';
import { useRunKeys } from './use-run-keys';
import { useOffline, usePhone, useWakeLock } from './use-screen';

/** Measures whose zones want room: fewer tiles at once. */
const roomy = (measure: string) => measure === 'points' || measure === 'grade';

/** Courtside: count, time, call, adjust, undo, next. */
export function Run({ view }: { view: SessionRunView }) {
  const { players, session } = view;
  const router = useRouter();
  const court = useCourt(view);
  const { log } = court;
  const book = useBook(session.coach);
  const [settings, setSettings] = useCourtSettings();
  const awake = useWakeLock(true);
  const phone = usePhone();
  useOffline();

  const blocks = blocksInOrder(view.blocks, log);
  const [blockId, setBlockId] = useState(() => blockToOpen(view.blocks, log));
  const turned = useRef(false);
  // A coach's own screen turns by itself once, when it opens: blocks may have ended, or changed places, on this device
  // that the server does not know of yet. A helper's turns whenever a block is started or ended.
  const started = view.helper ? view.blocks.map((block) => log.events(block.id, null).length).join() : '';
  useEffect(() => {
    void log.opened.then(() => {
      // Read from the log, which may know more by then than what is drawn.
      if (!turned.current) setBlockId(blockToOpen(view.blocks, log));
    });
  }, [log, view.blocks, started]);
  const index = Math.max(
    0,
    blocks.findIndex((block) => block.id === blockId),
  );

  const [page, setPage] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  const [finishing, setFinishing] = useState(false);
  const [sheet, setSheet] = useState<'adjust' | 'time' | null>(null);
  const [typing, setTyping] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const run = useBlock(view, blocks[index], court, settings);
  const now = useNow(court.clock, false);
  const time = useSessionTime(view, blocks, run, log, now);
  const leave = run?.leave;
  const isOut = (block: RunBlock | undefined) =>
    block !== undefined && courtChanges(log.events(block.id, null)).out;
  const nextBlock = blocks.slice(index + 1).find((block) => !isOut(block));
  const beforeBlock = blocks.slice(0, index).findLast((block) => !isOut(block));

  const start = useCallback(() => run?.toggleClock(), [run]);
  const turnTo = (to: RunBlock | undefined, how: 'end' | 'pause') => {
    if (!to) return;
    leave?.(how);
    turned.current = true;
    setBlockId(to.id);
    setPage(0);
  };
  const next = () => turnTo(nextBlock, 'end');
  const before = () => turnTo(beforeBlock, 'pause');
  const typeFor = useCallback((playerId: string) => setTyping(playerId), []);

  const working = players.filter((player) => run?.block.players.some((one) => one.playerId === player.id));
  useRunKeys({
    undo: () => run?.undo(),
    toggleClock: start,
    next,
    before,
    adjust: () => setSheet('adjust'),
    time: () => setSheet('time'),
    typeCount: () => setTyping(run?.lastMark?.playerId ?? working[0]?.id ?? null),
  });

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

  const { block, drill, step, position, shared } = run;
  const fits = phone ? 1 : roomy(step.measure) ? 4 : 8;
  const pages = Math.max(1, Math.ceil(working.length / fits));
  const shown = working.slice((page % pages) * fits, ((page % pages) + 1) * fits);
  const endedBefore = blocks.slice(0, index).findLast((one) => !isOut(one));
  const clearS = (endedBefore && book.drill(endedBefore.drillId)?.changeoverS.value) ?? 0;
  const changeover =
    run.clock.state === 'ready' && now > 0
      ? changeoverNow(
          blocks.filter((one) => one !== block).map((one) => log.events(one.id, null)),
          clearS + drill.setUpS.value,
          now,
        )
      : null;
  const typist = players.find((player) => player.id === typing);
  const titleOf = (id: string) => {
    const other = blocks.find((one) => one.id === id)!;
    return book.drill(other.drillId)?.title ?? 'a block';
  };
  return (
    <main className="flex h-dvh flex-col gap-2 p-2">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <div className="min-w-0 flex-1 basis-full sm:basis-56">
          <h1 className="truncate text-xl sm:text-2xl">
            <span className="tabular text-soft">
              {index + 1}/{blocks.length}
            </span>{' '}
            {drill.title}: {step.title}
          </h1>
          <p className="truncate text-soft sm:text-lg">
            {isOut(block) && 'Left out · '}
            {doseInWords(shared.dose)}
            {block.setting && ` · ${settingOnCourt(block.setting)}`}
            {shared.changes.length > 0 && ` · ${shared.changes.join(', ')}`}
            {step.target && drill.bounceRule && ` · ${drill.bounceRule}`} · “{step.cue}”
          </p>
        </div>
        {!view.helper && <CareSheet view={view} run={run} log={log} />}
        <MoreSheet
          view={view}
          run={run}
          log={log}
          settings={settings}
          onSettings={setSettings}
          awake={awake}
        />
        <BlockClockFace
          clock={run.clock}
          position={position}
          phases={run.phases}
          turns={block.turns}
          changeoverS={changeover?.leftS ?? null}
          lateS={time.endMs !== null && time.overS > lateAfterS ? Math.round(time.overS) : null}
          onOpen={() => setSheet('time')}
        />
      </header>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <CourtNotes log={log} twins={court.twins} setBackS={now > 0 ? court.clock.setBackS : 0} />
      {step.calls && settings.calls && (
        <CallBanner call={run.call} silent={!settings.sound || !settings.spoken} />
      )}
      <CourtGrid run={run} players={shown} all={working} log={log} onType={typeFor} onSay={setSaid} />
      <RunFooter
        run={run}
        log={log}
        undoName={players.find((player) => player.id === run.lastMark?.playerId)?.name}
        last={nextBlock === undefined}
        finishing={finishing}
        helper={view.helper !== undefined}
        leftHanded={settings.leftHanded}
        adjust={
          <AdjustSheet
            run={run}
            players={working}
            log={log}
            open={sheet === 'adjust'}
            onOpenChange={(open) => setSheet(open ? 'adjust' : null)}
          />
        }
        onStart={start}
        onNext={next}
        onFinish={() => void finish()}
        onOthers={pages > 1 ? () => setPage((page + 1) % pages) : null}
      />
      {!view.helper && (
        <TimeSheet
          run={run}
          time={time}
          titleOf={titleOf}
          nextId={nextBlock?.id ?? null}
          first={!beforeBlock}
          onLog={(fresh) => void log.log(fresh)}
          onBefore={before}
          onSwap={(withId) => {
            // The other block is on now; what was begun of this one waits, paused, at the other's place.
            run.say({ playerId: null, kind: 'swap', text: withId });
            leave?.('pause');
            turned.current = true;
            setBlockId(withId);
          }}
          open={sheet === 'time'}
          onOpenChange={(open) => setSheet(open ? 'time' : null)}
        />
      )}
      <CountPad
        title={typist ? `${typist.name}: we counted aloud` : null}
        intro="The result of one attempt. It is marked as reported."
        measure={typist ? run.playerNow(typist.id).work.step.measure : step.measure}
        onClose={() => setTyping(null)}
        onKeep={(value) => {
          run.mark(typing!, 'result', value);
          setTyping(null);
        }}
      />
      <p role="status" aria-live="polite" className="sr-only">
        {said}
      </p>
    </main>
  );
}
