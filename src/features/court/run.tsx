'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { blockClock } from '@/core/court/block-clock';
import { changeoverNow } from '@/core/court/changeover';
import { lateAfterS } from '@/core/court/late-after';
import { counted } from '@/core/base/words';
import { finishSessionAction } from '@/server/actions';
import type { SessionRunView } from '@/server/views/session-run';
import { ask } from '@/ui/ask';
import { buttonClass } from '@/ui/button';
import { usePart } from '@/ui/use-part';
import { ErrorNote } from '@/ui/error-note';
import { usePageBook } from '@/ui/house';
import { AdjustSheet } from './adjust-sheet';
import { AnotherDay } from './another-day';
import { CallLater, loadCalls } from './call-later';
import { CircuitHeadLater, CircuitLater, loadCircuit } from './circuit/circuit-later';
import { CourtCounts, isTogether, loadTogether } from './court-counts';
import { loadSay } from './count-tile';
import { CourtHead } from './court-head';
import { CourtMain } from './court-main';
import { CourtNotesLater } from './court-notes-later';
import { useCourtSettings } from './court-settings';
import { keepEar, useCourtEar } from './ear/ear-later';
import { MoreSheet } from './more-sheet';
import { presentCourt, type ScreenProps } from './present-court';
import { matesOf } from '@/core/plan/circuit/circuit';
import type { Book } from '@/drills';
import type { RunBlock } from '@/server/views/session-run';
import { forMates, loadSound, type BlockRun } from './use-block';
import { RunFooter } from './run-footer';
import { useCourt, useNow } from './use-court';
import { loadPlayer } from './use-cues';
import { useSessionTime } from './use-late';
import { useRunKeys } from './use-run-keys';
import { useRunScreen } from './use-run-screen';
import { useWakeLock } from '@/ui/use-wake-lock';
import { useOffline } from './use-screen';

type Sheet = 'adjust' | 'time' | 'finish' | 'held back';

const loadSheets = () => import('./court-sheets');
/** All that a reload without the server needs besides the page. */
const loadRest = () =>
  Promise.all([
    loadSheets(),
    loadCircuit(),
    loadTogether(),
    loadPlayer(),
    loadSound(),
    loadCalls(),
    loadSay(),
    keepEar(),
  ]);

export const RunPage = presentCourt(RunOnItsDay);

/** The court of today's session; of one that is planned for another day, only once the coach has said so. */
function RunOnItsDay({ view, renew }: ScreenProps<SessionRunView>) {
  const [runsToday, setRunsToday] = useState(false);
  const { session, today, events, blocks } = view;
  const asks =
    session.state === 'planned' && session.day !== today && events.length === 0 && blocks.length > 0;
  if (!asks) return <Run view={view} renew={renew} />;
  if (runsToday) return <Run view={{ ...view, session: { ...session, day: today } }} renew={renew} />;
  const onToday = async () => {
    await renew();
    setRunsToday(true);
  };
  return <AnotherDay session={session} today={today} onToday={onToday} />;
}

/** Courtside: count, time, call, adjust, undo, next. */
function Run({ view: given, renew }: ScreenProps<SessionRunView>) {
  const router = useRouter();
  const [openedWith] = useState(given.session.revision);
  const court = useCourt(given, renew);
  const { log, view } = court;
  const { players, session } = view;
  const book = usePageBook(session.coach);
  const [settings, setSettings] = useCourtSettings();
  const awake = useWakeLock(true);
  useOffline(loadRest);
  const sheets = usePart(loadSheets);
  const ear = useCourtEar();
  const screen = useRunScreen(court, settings);
  const { blocks, index, run, working, nextBlock, beforeBlock, isOut } = screen;

  const [problem, setProblem] = useState<string | null>(null);
  const [finishing, setFinishing] = useState(false);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const [typing, setTyping] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const now = useNow(court.clock, false);
  const time = useSessionTime(view, blocks, run, log, now, sheets);
  const sheetProps = (which: Sheet) => ({
    open: sheet === which,
    onOpenChange: (open: boolean) => setSheet(open ? which : null),
  });

  const next = () => screen.turnTo(nextBlock, 'end');
  const before = () => screen.turnTo(beforeBlock, 'pause');
  const goBack = () => {
    if (!screen.left) return;
    screen.left.bringBack();
    screen.openBlock(screen.left.blockId, 'pause');
  };
  // A second press of the way back falls on undo, which stands there then.
  const undo = () => screen.isSettled() && run?.undo();
  const typeFor = useCallback((playerId: string) => setTyping(playerId), []);
  useRunKeys({
    undo: () => (run?.lastMark ? undo() : goBack()),
    toggleClock: screen.toggleClock,
    next,
    before,
    adjust: () => setSheet('adjust'),
    time: () => setSheet('time'),
    isSettled: screen.isSettled,
    // At a circuit every tile has its own.
    typeCount: run?.block.circuit
      ? undefined
      : () => setTyping(run?.lastMark?.playerId ?? working[0]?.id ?? null),
    showNumber: (number) => {
      if (run?.block.circuit)
        return screen.sayRefusal(
          `${players.find((one) => one.number === number)?.name ?? `Number ${number}`} is at no station in this round.`,
        );
      const name = screen.showNumber(number);
      screen.sayRefusal(
        name
          ? `${name} is on the screen now: press again to count.`
          : `Number ${number} is not in this block.`,
      );
    },
  });

  const finish = async () => {
    setFinishing(true);
    setProblem(null);
    run?.leave('end');
    await log.flush();
    const { waiting, loose } = log.state();
    const outcome = waiting + loose === 0 ? await ask(() => finishSessionAction(session.id)) : null;
    if (outcome?.ok) return router.push(`/sessions/${session.id}/review`);
    setFinishing(false);
    setSheet(null);
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
        <CourtNotesLater
          court={court}
          now={now}
          openedWith={openedWith}
          onHeldBack={() => setSheet('held back')}
        />
        <Link href={`/sessions/${session.id}/plan`} className={buttonClass('now')}>
          Open plan
        </Link>
        {sheets && <sheets.SessionHeldBack court={court} blocks={blocks} {...sheetProps('held back')} />}
      </main>
    );

  const endedBefore = blocks.slice(0, index).findLast((one) => !isOut(one));
  const clearS = (endedBefore && book.drill(endedBefore.drillId)?.changeoverS.value) ?? 0;
  const changeover =
    run.clock.state === 'ready' && now > 0
      ? changeoverNow(
          blocks.filter((one) => !run.mates.includes(one.id)).map((one) => log.events(one.id, null)),
          clearS + setUpOf(blocks, run, book),
          now,
        )
      : null;
  const titleOf = (id: string) => {
    const others = matesOf(blocks, id).flatMap((one) => book.drill(one.drillId)?.title ?? []);
    return others.length > 0 ? others.join(' beside ') : 'a block';
  };
  /** Begun, and neither over nor ended: the open one may have come to its end by its own clock. */
  const isUnderWay = ({ id }: RunBlock) => {
    const { state } = blockClock(log.events(id, null));
    return (state === 'running' || state === 'paused') && !(run.mates.includes(id) && run.position.done);
  };
  const circuit = run.block.circuit ?? null;
  const Head = circuit ? CircuitHeadLater : CourtHead;
  return (
    <CourtMain>
      <Head
        view={view}
        run={run}
        number={index + 1}
        of={blocks.length}
        out={isOut(run.block)}
        changeoverS={changeover?.leftS ?? null}
        lateS={time.endMs !== null && time.overS > lateAfterS ? Math.round(time.overS) : null}
        onOpen={() => setSheet('time')}
      >
        {sheets && <sheets.CareSheet view={view} run={run} log={log} />}
        <MoreSheet
          sheets={sheets}
          view={view}
          run={run}
          log={log}
          settings={settings}
          onSettings={setSettings}
          awake={awake}
        />
      </Head>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <CourtNotesLater
        court={court}
        now={now}
        openedWith={openedWith}
        onHeldBack={() => setSheet('held back')}
      />
      {run.isCalled && <CallLater call={run.call} silent={!settings.sound || !settings.spoken} />}
      {circuit ? (
        <CircuitLater court={court} run={run} screen={screen} ear={ear} onSay={setSaid} />
      ) : (
        <CourtCounts
          run={run}
          screen={screen}
          log={log}
          onType={typeFor}
          onSay={setSaid}
          ear={ear.offerFor(run.block.id)}
        />
      )}
      {ear.desk({ court, lead: run, numberOf: screen.numberOf, sounds: settings.sound })}
      <RunFooter
        run={run}
        log={log}
        undoName={players.find((player) => player.id === run.lastMark?.playerId)?.name}
        leftHanded={settings.leftHanded}
        adjust={
          // A station has its own, behind its three dots.
          circuit ? null : (
            <AdjustSheet sheets={sheets} run={run} players={working} log={log} {...sheetProps('adjust')} />
          )
        }
        onStart={screen.toggleClock}
        onNext={nextBlock ? next : null}
        onFinish={() => setSheet('finish')}
        onUndo={undo}
        back={screen.left && { title: titleOf(screen.left.blockId), onBack: goBack }}
        onOthers={circuit || isTogether(run) ? null : screen.showOthers}
      />
      {sheets && (
        <>
          <sheets.KeysOnQuestion />
          <sheets.TimeSheet
            run={run}
            time={time}
            titleOf={titleOf}
            nextId={nextBlock?.id ?? null}
            first={!beforeBlock}
            onLog={(fresh) => {
              const mates = matesOf(blocks, fresh.blockId).map(({ id }) => id);
              for (const one of forMates(mates, fresh)) void log.log(one);
            }}
            onBefore={before}
            onFinish={() => setSheet('finish')}
            onSwap={(withId) => {
              // The other block is on now; what was begun of this one waits, paused, at the other's place.
              run.say({ playerId: null, kind: 'swap', text: withId });
              screen.openBlock(withId, 'pause');
            }}
            {...sheetProps('time')}
          />
          <sheets.FinishSheet
            court={court}
            untouched={blocks
              .filter(
                (one) =>
                  (one.circuit?.at ?? 0) === 0 &&
                  !isOut(one) &&
                  blockClock(log.events(one.id, null)).state === 'ready',
              )
              .map((one) => titleOf(one.id))}
            unfinished={blocks
              .filter((one) => (one.circuit?.at ?? 0) === 0 && !isOut(one) && isUnderWay(one))
              .map((one) => titleOf(one.id))}
            finishing={finishing}
            onFinish={() => void finish()}
            onHeldBack={() => setSheet('held back')}
            {...sheetProps('finish')}
          />
          <sheets.SessionHeldBack court={court} blocks={blocks} {...sheetProps('held back')} />
          <sheets.TypeCount
            run={run}
            player={players.find((player) => player.id === typing)}
            onMark={screen.mark}
            onClose={() => setTyping(null)}
          />
        </>
      )}
      <p role="status" aria-live="polite" className="sr-only">
        {said}
      </p>
    </CourtMain>
  );
}

/** Seconds to set out what comes: a block, or all stations of a circuit. */
const setUpOf = (blocks: readonly RunBlock[], run: BlockRun, book: Book): number =>
  matesOf(blocks, run.block.id).reduce(
    (sum, { drillId }) => sum + (book.drill(drillId)?.setUpS.value ?? 0),
    0,
  );
