'use client';

import { Play, Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { findDrill } from '@/catalogue';
import { timePlan } from '@/catalogue/plan';
import { explainPlanTouches } from '@/core/explanations/plan';
import { inMinutes } from '@/core/words';
import { RemoveSession } from '@/features/sessions/remove-session';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { Figure } from '@/ui/figure';
import { PageHead, Sheet } from '@/ui/page-head';
import { BlockEditor } from './block-editor';
import { Booking } from './booking';
import { Conflict } from './conflict';
import { DrillPicker } from './drill-picker';
import { addBlock, moveBlock, removeBlock, setDose, setStep, togglePlayer } from './edits';
import { PlanRoom } from './plan-room';
import { PlanTape } from './plan-tape';
import { usePlan } from './use-plan';

const savedText = { saved: 'Saved', waiting: 'Saving…', saving: 'Saving…', failed: 'Not saved' } as const;

/** A session on its tape: what is done, in what order, how much, and whether it fits. */
export function Plan({ view }: { view: SessionPlanView }) {
  const router = useRouter();
  const { state, store } = usePlan(view);
  const { doc } = state;
  const [chosen, setChosen] = useState<string | null>(view.blocks[0]?.id ?? null);
  const time = useMemo(
    () => timePlan(doc.blocks, doc.playerIds, view.records, doc.bookedMin),
    [doc.blocks, doc.playerIds, doc.bookedMin, view.records],
  );
  const titles = doc.blocks.map((block) => findDrill(block.drillId)?.title ?? '');
  const players = doc.playerIds.flatMap((id) => view.squad.find((player) => player.id === id) ?? []);
  const index = Math.max(
    0,
    doc.blocks.findIndex((block) => block.id === chosen),
  );
  const block = doc.blocks[index];

  const add = (drillId: string) => {
    const id = ulid();
    store.change((plan) => addBlock(view, plan, drillId, id));
    setChosen(id);
  };
  const run = async () => {
    await store.flush();
    if (store.state().saving === 'saved') router.push(`/sessions/${view.session.id}/run`);
  };

  return (
    <>
      <PageHead
        title={doc.title}
        actions={
          <>
            <span
              role="status"
              className={cx('text-sm', state.saving === 'failed' ? 'font-bold text-stop' : 'text-safe')}
            >
              {savedText[state.saving]}
            </span>
            <Button look="quiet" onClick={() => store.undo()} disabled={!state.canUndo}>
              <Undo2 aria-hidden size={18} /> Undo
            </Button>
            <Button look="quiet" onClick={() => store.redo()} disabled={!state.canRedo}>
              <Redo2 aria-hidden size={18} /> Redo
            </Button>
            <Booking doc={doc} onChange={(fields) => store.change((plan) => ({ ...plan, ...fields }))} />
            <RemoveSession id={view.session.id} title={doc.title} removed={view.session.removed} />
            <Button look="now" onClick={() => void run()} disabled={doc.blocks.length === 0}>
              <Play aria-hidden size={18} /> {view.session.state === 'planned' ? 'Run' : 'Back on court'}
            </Button>
          </>
        }
      >
        {[`${shortDay(doc.day)} ${doc.startTime}`, doc.placeName, doc.coach].filter(Boolean).join(' · ')}
      </PageHead>
      {state.problems.length > 0 && !state.conflict && (
        <div className="mb-2">
          <ErrorNote>{state.problems.map((problem) => problem.message).join(' ')}</ErrorNote>
        </div>
      )}
      <Conflict store={store} open={state.conflict} />

      <div className="mb-1 flex items-baseline justify-between gap-4">
        <p className="text-lg">
          <span className="tabular">
            {inMinutes(time.totalS)} of {doc.bookedMin} min
          </span>{' '}
          <PlanRoom time={time} titles={titles} />
        </p>
        <p aria-hidden className="flex items-center gap-3 text-sm text-soft">
          <Key look="hatch-setup" text="set-up" />
          <Key look="bg-sheet" text="work" />
          <Key look="hatch-rest" text="rest" />
          <Key look="hatch-collect" text="collecting" />
        </p>
      </div>
      <PlanTape
        time={time}
        titles={titles}
        selected={block?.id ?? null}
        onSelect={setChosen}
        onMove={(id, to) => store.change((plan) => moveBlock(plan, id, to))}
        onRemove={(id) => store.change((plan) => (view.counted.includes(id) ? plan : removeBlock(plan, id)))}
      />

      <div className="mt-3 grid gap-4 lg:h-[470px] lg:grid-rows-[minmax(0,1fr)] lg:grid-cols-[14rem_1fr_19rem]">
        <Sheet className="overflow-y-auto p-3" aria-label="Players">
          <h2 className="text-lg">Coming</h2>
          <p className="mb-1 text-sm text-soft">Touches in the whole session.</p>
          {view.squad.map((player) => {
            const coming = doc.playerIds.includes(player.id);
            const touches = Math.round(time.touchesOf[player.id] ?? 0);
            return (
              <div key={player.id} className="flex items-center justify-between gap-2">
                <label className="flex min-h-9 min-w-0 items-center gap-2">
                  <input
                    type="checkbox"
                    checked={coming}
                    disabled={coming && doc.playerIds.length === 1}
                    onChange={() => store.change((plan) => togglePlayer(plan, player.id))}
                    className="size-5 shrink-0 accent-[var(--now)]"
                  />
                  <span className="truncate">{player.name}</span>
                </label>
                {coming && (
                  <Figure
                    label={`${player.name}: about ${touches} touches in the session`}
                    explain={() => explainPlanTouches(time, titles, player.id, player.name)}
                  >
                    {touches}
                  </Figure>
                )}
              </div>
            );
          })}
        </Sheet>
        <Sheet className="overflow-y-auto p-4" aria-label="Block">
          {block && time.blocks[index] ? (
            <BlockEditor
              view={view}
              block={block}
              time={time.blocks[index]}
              place={{ index, of: doc.blocks.length }}
              players={players}
              onStep={(stepId) => store.change((plan) => setStep(view, plan, block.id, stepId))}
              onDose={(dose) => store.change((plan) => setDose(plan, block.id, dose))}
              onMove={(to) => store.change((plan) => moveBlock(plan, block.id, to))}
              onRemove={() => store.change((plan) => removeBlock(plan, block.id))}
            />
          ) : (
            <p className="text-soft">
              The tape is empty. Add the first drill from the list on the right; its step and dose start from
              where your players stand.
            </p>
          )}
        </Sheet>
        <Sheet className="flex flex-col p-3" aria-label="Catalogue">
          <h2 className="mb-1 text-lg">Add a drill</h2>
          <DrillPicker sport={players[0]?.sport ?? 'tennis'} onAdd={add} />
        </Sheet>
      </div>
    </>
  );
}

function Key({ look, text }: { look: string; text: string }) {
  return (
    <span className="inline-flex items-center gap-1">
      <span className={cx('inline-block h-3.5 w-6 border border-edge', look)} /> {text}
    </span>
  );
}
