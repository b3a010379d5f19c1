'use client';

import { Ellipsis } from 'lucide-react';
import { useCallback, useState } from 'react';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { CallLater } from './call-later';
import { CircuitHeadLater, CircuitLater, loadCircuit } from './circuit/circuit-later';
import { CourtCounts, isTogether } from './court-counts';
import { CourtHead } from './court-head';
import { CourtMain } from './court-main';
import { CourtNotesLater } from './court-notes-later';
import { useCourtSettings } from './court-settings';
import type { CourtView } from './court-view';
import { keepEar, useCourtEar } from './ear/ear-later';
import { NumbersSheet } from './numbers-sheet';
import { presentCourt, type ScreenProps } from './present-court';
import { RunFooter } from './run-footer';
import { helperKeys, ScreenSettings } from './screen-settings';
import { SessionHeldBack } from './session-held-back';
import { TypeCount } from './type-count';
import { useCourt, useNow } from './use-court';
import { useRunKeys } from './use-run-keys';
import { useRunScreen } from './use-run-screen';
import { useWakeLock } from '@/ui/use-wake-lock';
import { useOffline } from './use-screen';

/** All that a reload without the server needs besides the page. */
const loadRest = () => Promise.all([loadCircuit(), keepEar()]);

export const HelperPage = presentCourt(HelperRun);

/**
 * A helper counts one child, or everybody in the session. It is a page of its own, without anything a coach can do besides: it asks the server for
 * nothing but to store counts, and follows the coach's clock.
 */
function HelperRun({ view: given, renew }: ScreenProps<CourtView>) {
  const [openedWith] = useState(given.session.revision);
  const court = useCourt(given, renew);
  const { log, view } = court;
  const [settings, setSettings] = useCourtSettings();
  const awake = useWakeLock(true);
  useOffline(loadRest);
  const ear = useCourtEar();
  const screen = useRunScreen(court, settings);
  const { run, working } = screen;
  const [sheet, setSheet] = useState<'more' | 'held back' | null>(null);
  const [typing, setTyping] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const now = useNow(court.clock, false);
  const typeFor = useCallback((playerId: string) => setTyping(playerId), []);
  useRunKeys({
    undo: () => run?.undo(),
    typeCount: run?.block.circuit ? undefined : () => setTyping(working[0]?.id ?? null),
    isSettled: screen.isSettled,
  });
  const notes = (
    <CourtNotesLater
      court={court}
      now={now}
      openedWith={openedWith}
      onHeldBack={() => setSheet('held back')}
    />
  );
  const heldBack = (
    <SessionHeldBack
      court={court}
      blocks={screen.blocks}
      open={sheet === 'held back'}
      onOpenChange={(open) => setSheet(open ? 'held back' : null)}
    />
  );
  if (!run)
    return (
      <main className="mx-auto max-w-xl space-y-4 px-6 pt-16">
        <h1 className="text-3xl">Nothing to count yet</h1>
        <p>
          The coach has not planned anything for this session: this page shows it as soon as there is
          something.
        </p>
        {notes}
        {heldBack}
      </main>
    );
  const circuit = run.block.circuit ?? null;
  const Head = circuit ? CircuitHeadLater : CourtHead;
  return (
    <CourtMain>
      <Head
        view={view}
        run={run}
        number={screen.index + 1}
        of={screen.blocks.length}
        out={screen.isOut(run.block)}
        changeoverS={null}
        lateS={null}
      >
        <button
          type="button"
          onClick={() => setSheet('more')}
          className={buttonClass('quiet', 'min-h-16 flex-col gap-0 px-2 text-sm')}
        >
          <Ellipsis aria-hidden size={22} /> More
        </button>
      </Head>
      {notes}
      {run.isCalled && <CallLater call={run.call} silent />}
      {working.length === 0 && (
        <p className="px-2 text-xl">
          {view.players.length > 1 ? 'All sit' : `${view.players[0]?.name ?? 'Nobody'} sits`} this block out.
        </p>
      )}
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
      {ear.desk({ court, lead: run, numberOf: screen.numberOf, sounds: false })}
      <RunFooter
        run={run}
        log={log}
        undoName={working.find((player) => player.id === run.lastMark?.playerId)?.name}
        leftHanded={settings.leftHanded}
        onOthers={circuit || isTogether(run) ? null : screen.showOthers}
      />
      <Dialog
        open={sheet === 'more'}
        onOpenChange={(open) => setSheet(open ? 'more' : null)}
        title="More"
        intro={`You count as: ${view.helper?.by ?? 'Helper'}.`}
        startsAtField={false}
      >
        <div className="space-y-4">
          {!circuit && <NumbersSheet run={run} players={working} log={log} />}
          <ScreenSettings settings={settings} onSettings={setSettings} awake={awake} keys={helperKeys} />
        </div>
      </Dialog>
      {heldBack}
      <TypeCount
        run={run}
        player={working.find((player) => player.id === typing)}
        onMark={screen.mark}
        onClose={() => setTyping(null)}
      />
      <p role="status" aria-live="polite" className="sr-only">
        {said}
      </p>
    </CourtMain>
  );
}
