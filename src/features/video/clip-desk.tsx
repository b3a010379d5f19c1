'use client';

import { Camera, Square, Undo2 } from 'lucide-react';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { isMeasurable } from '@/core/video/checkpoints';
import { liveEvents } from '@/core/counting/live';
import { clipOrigin } from '@/core/counting/origin';
import { tally } from '@/core/counting/tally';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import { hearingOf } from '@/session/court/hearing';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/error-note';
import { PageHead, Sheet } from '@/ui/page-head';
import { cx } from '@/ui/class-names';
import { usePageBook } from '@/ui/house';
import { plainSettings } from '@/features/court/court-settings';
import { presentCourt, type ScreenProps } from '@/features/court/present-court';
import { useBlock, type BlockRun } from '@/features/court/use-block';
import { useCourt, useLogState, type Court } from '@/features/court/use-court';
import { CheckpointList } from './checkpoint-list';
import { ClipPane } from './clip-pane';
import { FileButton } from './file-button';
import { MarkBar } from './mark-bar';
import { Pick } from './pick';
import { ReadingsList } from './readings-list';
import { SoundCount } from './sound-count';
import { StartBoth } from './start-both';
import { useClip } from './use-clip';
import { useClipKeys } from './use-clip-keys';
import { useClipSound, type ClipCount } from './use-clip-sound';
import { useRecorder } from './use-recorder';

/** A desk is quiet, even while a block goes on. */
const quiet = { ...plainSettings, sound: false };
/** Laps are timed to a tenth, as on court. */
const toTenths = (seconds: number): number => Math.round(10 * seconds) / 10;
/** Two touches of what nobody said the sound of: as far apart as balls bounce, seconds. */
const anyBall = { least: 0.15, most: 2.5 } as const;

export const ClipPage = presentCourt(ClipDesk);

/** A clip of somebody in a block: looked at frame by frame on this device, marked, timed, counted, and written into the log. */
function ClipDesk({ view: given, renew }: ScreenProps<SessionRunView>) {
  const router = useRouter();
  const asked = useSearchParams();
  const court = useCourt(given, renew);
  const { log, view } = court;
  const { trouble, waiting, loose } = useLogState(log);
  const book = usePageBook(view.session.coach);
  const titleOf = (drillId: string, stepId: string) =>
    [book.drill(drillId)?.title ?? 'A block', book.step(drillId, stepId)?.title].filter(Boolean).join(': ');
  const [blockId, setBlockId] = useState(asked.get('block') ?? view.blocks[0]?.id ?? '');
  const [playerId, setPlayerId] = useState(asked.get('player') ?? '');
  const block = view.blocks.find(({ id }) => id === blockId) ?? view.blocks[0];
  if (!block) return <PageHead title="Clip">This session has no block yet: a clip belongs to one.</PageHead>;
  const players = view.players.filter(({ id }) => block.players.some((one) => one.playerId === id));
  const player = players.find(({ id }) => id === playerId) ?? players[0];
  return (
    <>
      <PageHead
        title={`Clip: ${view.session.title ?? ''}`}
        actions={
          <>
            <span role="status" className="text-sm text-safe">
              {waiting + loose > 0 ? 'Saving…' : 'Saved'}
            </span>
            <Button
              onClick={() =>
                void log.flush().then(() => {
                  router.push(`/sessions/${view.session.id}/review`);
                  router.refresh();
                })
              }
            >
              To the review
            </Button>
          </>
        }
      >
        Looked at on this device alone: no picture and no sound is kept or sent.
      </PageHead>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      <Desk court={court} view={view} block={block} player={player ?? null}>
        <Pick label="Block" value={block.id} onPick={setBlockId}>
          {view.blocks.map(({ id, drillId, stepId }, at) => (
            <option key={id} value={id}>
              {at + 1}. {titleOf(drillId, stepId)}
            </option>
          ))}
        </Pick>
        <Pick label="Player" value={player?.id ?? ''} onPick={setPlayerId}>
          {players.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Pick>
      </Desk>
    </>
  );
}

interface BlockProps {
  readonly court: Court<SessionRunView>;
  readonly view: SessionRunView;
  readonly block: RunBlock;
}

function useAlone(view: SessionRunView, block: RunBlock, court: Court): BlockRun | null {
  const alone = useMemo(() => ({ ...view, blocks: [block] }), [view, block]);
  return useBlock(alone, block, court, quiet);
}

function Desk({
  court,
  view,
  block,
  player,
  children,
}: BlockProps & {
  readonly player: SessionRunView['players'][number] | null;
  readonly children: ReactNode;
}) {
  const run = useAlone(view, block, court);
  const first = useClip();
  const second = useClip();
  const [active, setActive] = useState<0 | 1>(0);
  const sounds = useClipSound();
  const [counted, setCounted] = useState<{ readonly url: string; readonly atMs: number } | null>(null);
  const [openedMs] = useState(() => court.clock.now());
  const both = first.url !== null && second.url !== null;
  const clip = second.url && (active === 1 || !first.url) ? second : first;
  const recorder = useRecorder((file) => (first.url && !second.url ? second : first).open(file));
  useClipKeys(clip);
  if (!run) return null;
  const { log } = court;
  const events = player ? log.eventsOf(block.id, player.id) : [];
  const { step, drill } = player ? run.playerNow(player.id).work : run.shared;
  const checkpoints = drill.checkpoints;
  // A count belongs to the clip it was made of.
  const count: ClipCount = counted?.url === clip.url ? sounds.state : { kind: 'idle' };
  const heard =
    count.kind === 'done' ? (count.counted?.rows.rows.flatMap(({ touches }) => touches) ?? []) : [];
  /** What clips have put into the log, as it stands at this moment: a second press may come before anything is drawn. */
  const inLog = () =>
    player ? liveEvents(log.eventsOf(block.id, player.id)).filter(({ origin }) => origin === clipOrigin) : [];
  const isKept = (value: number) =>
    inLog().some(
      (one) => one.kind === 'result' && one.value === value && one.atMs >= (counted?.atMs ?? openedMs),
    );
  const isNoted = (text: string) => inLog().some((one) => one.kind === 'note' && one.text === text);
  const lapsKept = (seconds: number) =>
    inLog().filter((one) => one.kind === 'lap' && one.value === toTenths(seconds) && one.atMs >= openedMs)
      .length;
  const tries = () => 1 + tally(events, step.measure).attempts.length;
  const say = player
    ? (fresh: {
        kind: 'note' | 'held' | 'broke' | 'result' | 'lap';
        text?: string;
        value?: number;
        origin?: string;
        attempt?: number;
      }) => run.say({ playerId: player.id, origin: clipOrigin, ...fresh })
    : null;
  const counts = step.measure === 'row' || step.measure === 'count' || step.measure === 'reps';
  const hearing = hearingOf(drill, step);
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-2">
        {children}
        <FileButton
          label={first.url ? 'Open a second clip beside it' : 'Open a clip'}
          onFile={(file) => (first.url && !second.url ? second : first).open(file)}
        />
        {recorder.recording ? (
          <Button look="stop" onClick={recorder.stop}>
            <Square aria-hidden size={18} /> Stop recording
          </Button>
        ) : (
          <Button onClick={() => void recorder.start()}>
            <Camera aria-hidden size={18} /> Record with the camera
          </Button>
        )}
        {second.url && <StartBoth first={first} second={second} />}
        {run.lastMark && (
          <Button look="quiet" onClick={run.undo}>
            <Undo2 aria-hidden size={18} /> Undo the last mark in the log
          </Button>
        )}
      </div>
      {recorder.problem && <ErrorNote>{recorder.problem}</ErrorNote>}
      {!first.url && first.problem && <ErrorNote>{first.problem}</ErrorNote>}
      {!second.url && second.problem && <ErrorNote>{second.problem}</ErrorNote>}
      <div
        className={cx(
          'grid items-start gap-3',
          both ? '' : clip.url && 'lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]',
        )}
      >
        {clip.url && (
          <div className="min-w-0 space-y-3">
            <div className={cx('grid gap-3', both && 'lg:grid-cols-2')}>
              {[first, second].map(
                (one, at) =>
                  one.url && (
                    <ClipPane
                      key={at}
                      clip={one}
                      title={at === 0 ? 'First clip' : 'Second clip'}
                      heard={one === clip ? heard : []}
                      measures={checkpoints.some(isMeasurable)}
                      active={one === clip && both}
                      onActive={() => setActive(at as 0 | 1)}
                      still={player && { player, words: `${drill.title}, ${step.title}` }}
                    />
                  ),
              )}
            </div>
            <MarkBar
              marks={clip.marks}
              atS={clip.atS}
              disabled={clip.playing}
              onMark={(kind) => void clip.mark(kind)}
              onClear={() => clip.setMarks([])}
            />
          </div>
        )}
        <div className={cx('grid min-w-0 gap-3', (both || !clip.url) && 'lg:grid-cols-2')}>
          <Sheet className="p-4" aria-label="Times and counts">
            <h2 className="text-xl">Times and counts</h2>
            <ReadingsList
              marks={clip.marks}
              measure={step.measure}
              isNoted={isNoted}
              lapsKept={lapsKept}
              onNote={say && ((text) => say({ kind: 'note', text }))}
              onLap={say && ((seconds) => say({ kind: 'lap', value: toTenths(seconds), attempt: tries() }))}
            />
            {clip.url && (
              <div className="mt-3 border-t-2 border-line pt-3">
                <SoundCount
                  sound={clip.sound}
                  marks={clip.marks}
                  state={count}
                  measure={step.measure}
                  onCount={(marksS) => {
                    if (clip.sound === null || clip.sound === 'reading' || !clip.url) return;
                    setCounted({ url: clip.url, atMs: court.clock.now() });
                    sounds.count({
                      ...clip.sound,
                      marksS,
                      periodS: hearing?.by === 'rows' ? hearing.periodS : anyBall,
                    });
                  }}
                  onCancel={sounds.cancel}
                  isKept={isKept}
                  onKeep={say && counts ? (value) => say({ kind: 'result', value, attempt: tries() }) : null}
                />
              </div>
            )}
          </Sheet>
          <Sheet className="p-4" aria-label="Checkpoints">
            <h2 className="text-xl">Checkpoints</h2>
            {player && say ? (
              <CheckpointList
                name={player.name}
                checkpoints={checkpoints}
                events={events}
                onSay={(kind, text, origin) => say({ kind, text, origin })}
              />
            ) : (
              <p className="text-soft">Nobody works in this block.</p>
            )}
          </Sheet>
        </div>
      </div>
    </div>
  );
}
