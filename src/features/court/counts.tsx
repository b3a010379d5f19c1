'use client';

import { Keyboard, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { numberInWords } from '@/core/counting/measure';
import { summaryOf, tally } from '@/core/counting/tally';
import { counted } from '@/core/base/words';
import type { RunBlock, SessionRunView } from '@/server/views/session-run';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/error-note';
import { PageHead, Sheet } from '@/ui/page-head';
import { AttemptsList } from './attempts-list';
import { plainSettings } from './court-settings';
import type { CourtPlayer } from './court-view';
import { presentCourt, type ScreenProps } from './present-court';
import { TypeCount } from './type-count';
import { useBlock, type BlockRun } from './use-block';
import { useCourt, useLogState, type Court } from './use-court';

/** A desk is quiet, even while a block goes on. */
const quiet = { ...plainSettings, sound: false };

export const CountsPage = presentCourt(Counts);

/** Every block and child of a session with what was counted, to be put right away from the court. */
function Counts({ view: given, renew }: ScreenProps<SessionRunView>) {
  const router = useRouter();
  const court = useCourt(given, renew);
  const { log, view } = court;
  const { trouble, waiting, loose } = useLogState(log);
  const { session } = view;
  const back = async () => {
    await log.flush();
    router.push(`/sessions/${session.id}/review`);
    router.refresh();
  };
  return (
    <>
      <PageHead
        title={`Counts: ${session.title}`}
        actions={
          <>
            <span role="status" className="text-sm text-safe">
              {waiting + loose > 0 ? 'Saving…' : 'Saved'}
            </span>
            <Button look="now" onClick={() => void back()}>
              Back to the review
            </Button>
          </>
        }
      >
        {`${shortDay(session.day)} ${session.startTime}`}. Open a child to put one of their attempts right;
        what was counted first stays in the log.
      </PageHead>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      <ol className="space-y-3">
        {view.blocks.map((block, index) => (
          <li key={block.id}>
            <BlockCounts court={court} view={view} block={block} number={index + 1} />
          </li>
        ))}
      </ol>
    </>
  );
}

interface BlockProps {
  readonly court: Court<SessionRunView>;
  readonly view: SessionRunView;
  readonly block: RunBlock;
  readonly number: number;
}

function BlockCounts({ court, view, block, number }: BlockProps) {
  // A station by itself here: what is taken back is its own last mark.
  const alone = useMemo(() => ({ ...view, blocks: [block] }), [view, block]);
  const run = useBlock(alone, block, court, quiet);
  const [typing, setTyping] = useState<string | null>(null);
  if (!run) return null;
  const players = view.players.filter(({ id }) => block.players.some((one) => one.playerId === id));
  return (
    <Sheet className="p-3" aria-label={run.drill.title}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">
          {number}. {run.drill.title}: {run.step.title}
        </h2>
        {run.lastMark && (
          <Button look="quiet" onClick={run.undo}>
            <Undo2 aria-hidden size={18} /> Undo the last mark
          </Button>
        )}
      </div>
      <ul>
        {players.map((player) => (
          <PlayerCounts
            key={player.id}
            run={run}
            court={court}
            player={player}
            onType={() => setTyping(player.id)}
          />
        ))}
      </ul>
      <TypeCount
        run={run}
        player={players.find((player) => player.id === typing)}
        onMark={run.mark}
        onClose={() => setTyping(null)}
      />
    </Sheet>
  );
}

interface PlayerProps {
  readonly run: BlockRun;
  readonly court: Court;
  readonly player: CourtPlayer;
  readonly onType: () => void;
}

function PlayerCounts({ run, court: { log }, player, onType }: PlayerProps) {
  const { work, limitsUnder } = run.playerNow(player.id);
  const { step } = work;
  const { attempts } = tally(log.eventsOf(run.block.id, player.id), step.measure, limitsUnder);
  const doubtful = attempts.filter((one) => one.doubtful).length;
  const { best } = summaryOf(attempts, step.measure);
  return (
    <li className="border-t border-line">
      <details>
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-4 hover:bg-chalk">
          <span aria-hidden>▸</span>
          <strong className="min-w-40">{player.name}</strong>
          <span className="tabular">
            {attempts.length === 0
              ? 'nothing counted'
              : best === null
                ? 'done, nothing counted'
                : `${counted(attempts.length, 'attempt')}, best ${numberInWords(step.measure, best)}`}
          </span>
          {doubtful > 0 && <span className="text-sm font-semibold text-care">{doubtful} to confirm</span>}
          {step.id !== run.step.id && <span className="text-sm text-soft">{step.title}</span>}
        </summary>
        <div className="pb-3 pl-6">
          <AttemptsList run={run} player={player} log={log} />
          <Button className="mt-2" onClick={onType}>
            <Keyboard aria-hidden size={18} /> Type a count for {player.name}
          </Button>
        </div>
      </details>
    </li>
  );
}
