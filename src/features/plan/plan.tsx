'use client';

import { Play, Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Mend } from '@/core/care/care';
import { breathlessShare } from '@/core/dose/scale';
import { inHalfMinutes } from '@/core/base/words';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { ErrorNote } from '@/ui/field';
import { useGrowingBook } from '@/ui/growing-book';
import { useHydrated } from '@/ui/hydrated';
import { packedPage } from '@/ui/packed-page';
import { PageHead, Sheet } from '@/ui/page-head';
import { BlockEditor } from './block-editor';
import { BlockList } from './block-list';
import { Booking } from './booking';
import { Build } from './build/build';
import { SideBySide } from './circuit/make';
import { Conflict } from './conflict';
import { DrillPicker } from './drill-picker';
import { CarePanel } from './care-panel';
import { ComingList } from './coming-list';
import { evaluationOf, timeSettingOf } from './evaluation-of';
import { FitBooking } from './fit-booking';
import {
  addBlock,
  applyMend,
  clearSetting,
  moveBlock,
  putBlock,
  rebooked,
  removeBlock,
  sameForAll,
  scaleBlock,
  setBreak,
  setDose,
  setOwn,
  setStations,
  setStep,
  toggleChange,
  togglePlayer,
} from '@/session/plan/edits';
import { TypingProvider } from '@/ui/typing';
import { placeName, viewOn } from './in-view';
import { LeftOver } from './left-over';
import { PhaseBar } from './phase-bar';
import { PlanClashes } from './plan-clashes';
import { PlanMenu } from './plan-menu';
import { PlanNotes } from './plan-notes';
import { PlanRoom } from './plan-room';
import { Retest } from './retest';
import { toLength } from '@/session/plan/fit-time';
import { sportsPlayed, strangersIn } from '@/session/plan/sport';
import { useEvaluation, useKnows } from './use-evaluation';
import type { PlanDoc } from './plan-store';
import { PlanTape } from './plan-tape';
import { usePlan } from './use-plan';

const savedText = {
  saved: 'Saved',
  typing: 'Not saved: a number is not finished',
  waiting: 'Saving…',
  saving: 'Saving…',
  failed: 'Not saved',
} as const;

/** The plan as its page gives it. */
export const PlanPage = packedPage<SessionPlanView>(Plan);

/** A session on its tape: what is done, in what order, how much, whether it fits, and the care it takes. */
export function Plan({ view: opened }: { view: SessionPlanView }) {
  const router = useRouter();
  const { state, store, left } = usePlan(opened);
  const { doc } = state;
  const view = useMemo(() => viewOn(opened, doc.day), [opened, doc.day]);
  const { book, whole } = useGrowingBook(doc.coach);
  const knows = useKnows(view, book);
  const { time, fits, warnings, phases } = useEvaluation(view, book, doc);
  const [chosen, setChosen] = useState<string | null>(view.blocks[0]?.id ?? null);
  const hydrated = useHydrated();
  const [side, setSide] = useState<'drills' | 'care' | 'notes'>('drills');
  const titleOf = new Map(doc.blocks.map((block) => [block.id, book.drill(block.drillId)?.title ?? '']));
  const titles = time.blocks.map((block) => titleOf.get(block.id)!);
  const here = doc.playerIds.filter((id) => !view.absent.includes(id));
  const players = here.flatMap((id) => view.squad.find((player) => player.id === id) ?? []);
  const index = Math.max(
    0,
    doc.blocks.findIndex((block) => block.id === chosen),
  );
  const block = doc.blocks[index];
  const warned = new Set(warnings.filter((one) => one.severity !== 'note').map((one) => one.blockId));

  const setting = useMemo(() => timeSettingOf(view, book, doc), [view, book, doc]);
  const evaluate = useCallback(
    (blocks: PlanDoc['blocks'], day: Partial<PlanDoc> = {}) =>
      evaluationOf(view, book, { ...doc, ...day, blocks }),
    [view, book, doc],
  );
  /** False where the block is as near to that length as it can be. */
  const makeLength = (one: PlanDoc['blocks'][number], seconds: number) => {
    const next = toLength(setting, one, seconds, one.id === time.blocks.at(-1)?.id);
    if (next !== one) store.change((plan) => putBlock(plan, one.id, next));
    return next !== one;
  };

  const add = (drillId: string) => {
    const id = ulid();
    store.change((plan) => addBlock(knows, plan, drillId, id));
    setChosen(id);
  };
  const rebook = (fields: Partial<PlanDoc>) =>
    store.change((plan) => rebooked(knows, plan, fields, view.held));
  const mend = (what: Mend) => store.change((plan) => applyMend(knows, plan, what, ulid()));
  const run = async () => {
    await store.flush();
    if (store.state().saving === 'saved') router.push(`/sessions/${view.session.id}/run`);
  };

  return (
    <TypingProvider value={store.typing}>
      <PageHead
        title={doc.title}
        actions={
          <>
            <span
              role="status"
              className={cx(
                'text-sm',
                state.saving === 'failed' || state.saving === 'typing' ? 'font-bold text-stop' : 'text-safe',
              )}
            >
              {savedText[state.saving]}
            </span>
            <Button look="quiet" onClick={() => store.undo()} disabled={!state.canUndo}>
              <Undo2 aria-hidden size={18} /> Undo
            </Button>
            <Button look="quiet" onClick={() => store.redo()} disabled={!state.canRedo}>
              <Redo2 aria-hidden size={18} /> Redo
            </Button>
            <Booking doc={doc} onChange={rebook} />
            <PlanMenu
              session={view.session}
              title={doc.title}
              today={view.today}
              flush={() => store.flush()}
            />
            <Button look="now" onClick={() => void run()} disabled={doc.blocks.length === 0}>
              <Play aria-hidden size={18} /> {view.session.state === 'planned' ? 'Run' : 'Back on court'}
            </Button>
          </>
        }
      >
        {[`${shortDay(doc.day)} ${doc.startTime}`, placeName(view, doc), doc.coach]
          .filter(Boolean)
          .join(' · ')}
      </PageHead>
      {state.problems.length > 0 && !state.conflict && (
        <div className="mb-2">
          <ErrorNote>{state.problems.map((problem) => problem.message).join(' ')}</ErrorNote>
        </div>
      )}
      <PlanClashes
        doc={doc}
        sessionId={view.session.id}
        planned={view.session.state === 'planned' && doc.day >= view.today}
        onChange={rebook}
      />
      <Conflict store={store} open={state.conflict} />
      {left && <LeftOver {...left} />}

      <div className="mb-1 flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <p className="text-lg">
          <span className="tabular">
            {inHalfMinutes(time.totalS)} of {doc.bookedMin} min
          </span>{' '}
          <PlanRoom time={time} titles={titles} />
        </p>
        <span className="flex flex-wrap gap-2">
          {whole && (
            <Build
              view={view}
              doc={doc}
              book={book}
              evaluate={evaluate}
              onTake={(blocks, day) => {
                store.change((plan) => ({ ...plan, ...day, blocks: [...blocks] }));
                setChosen(blocks[0]?.id ?? null);
              }}
              onAdd={(block) => store.change((plan) => ({ ...plan, blocks: [...plan.blocks, block] }))}
            />
          )}
          {doc.blocks.length > 1 && (
            <SideBySide
              book={book}
              doc={doc}
              setting={setting}
              held={view.held}
              onMade={(next, first) => {
                store.change(() => next);
                setChosen(first);
              }}
            />
          )}
          {doc.blocks.length > 0 && (
            <FitBooking
              setting={setting}
              blocks={doc.blocks}
              titles={titleOf}
              bookedMin={doc.bookedMin}
              totalS={time.totalS}
              held={view.held}
              evaluate={evaluate}
              onFit={(blocks) => store.change((plan) => ({ ...plan, blocks: [...blocks] }))}
            />
          )}
        </span>
        <p aria-hidden className="flex items-center gap-3 text-sm text-soft">
          <Key look="hatch-setup" text="set-up" />
          <Key look="bg-sheet" text="work" />
          <Key look="hatch-rest" text="rest, drink" />
          <Key look="hatch-collect" text="collecting" />
        </p>
      </div>
      <PlanTape
        time={time}
        titles={titles}
        warned={warned}
        selected={block?.id ?? null}
        onSelect={setChosen}
        onMove={(id, to) => store.change((plan) => moveBlock(plan, id, to))}
        onRemove={(id) => store.change((plan) => (view.held.includes(id) ? plan : removeBlock(plan, id)))}
      />
      <PhaseBar phases={phases} />

      <div className="mt-2 grid gap-3 lg:h-[470px] lg:grid-cols-[15rem_1fr_19rem] lg:grid-rows-[minmax(0,1fr)]">
        <Sheet className="overflow-y-auto p-3" aria-label="Blocks and players">
          <BlockList
            book={book}
            blocks={doc.blocks}
            time={time}
            players={players}
            warned={warned}
            selected={block?.id ?? null}
            onSelect={setChosen}
          />
          <ComingList
            squad={view.squad}
            playerIds={doc.playerIds}
            absent={view.absent}
            time={time}
            titles={titles}
            onToggle={(id) => store.change((plan) => togglePlayer(knows, plan, id))}
          />
        </Sheet>
        <Sheet className="overflow-y-auto p-4" aria-label="Block">
          {block && book.step(block.drillId, block.stepId) ? (
            <BlockEditor
              view={view}
              book={book}
              block={{ ...block, ...view.heldAs[block.id] }}
              doc={doc}
              whole={time}
              setting={setting}
              onPlan={(update, part) => store.change(update, part ?? null)}
              time={time.blocks.find((one) => one.id === block.id)}
              fit={fits.get(block.id)}
              warnings={warnings.filter((one) => one.blockId === block.id)}
              place={{ index, of: doc.blocks.length }}
              players={players}
              placeId={doc.placeId}
              onStep={(stepId) => store.change((plan) => setStep(knows, plan, block.id, stepId))}
              onDose={(dose, field) =>
                store.change((plan) => setDose(plan, block.id, dose), `${block.id} ${field}`)
              }
              onOwn={(playerId, own) =>
                store.change(
                  (plan) => setOwn(knows, plan, block.id, playerId, own),
                  'amount' in own ? `${block.id} ${playerId} amount` : null,
                )
              }
              onChange={(change) => store.change((plan) => toggleChange(plan, block.id, change))}
              onStations={(stations) =>
                store.change((plan) => setStations(plan, block.id, stations), `${block.id} stations`)
              }
              onBreak={(seconds) =>
                store.change((plan) => setBreak(plan, block.id, seconds), `${block.id} break`)
              }
              onClearSetting={() => store.change((plan) => clearSetting(plan, block.id))}
              onLength={(seconds) => makeLength(block, seconds)}
              onSameForAll={() => store.change((plan) => sameForAll(plan, block.id))}
              strangers={strangersIn(book, block, players)}
              onShorter={() => store.change((plan) => scaleBlock(plan, block.id, breathlessShare))}
              onMend={mend}
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
          <div className="mb-2 flex gap-1" role="group" aria-label="Beside the block">
            <SideButton text="Add a drill" on={side === 'drills'} onPress={() => setSide('drills')} />
            <SideButton
              text={warnings.length > 0 ? `Care ${warnings.length}` : 'Care'}
              on={side === 'care'}
              warn={warned.size > 0}
              onPress={() => setSide('care')}
            />
            <SideButton
              text={view.notes.length > 0 ? `Notes ${view.notes.length}` : 'Notes'}
              on={side === 'notes'}
              onPress={() => setSide('notes')}
            />
          </div>
          {side === 'care' ? (
            <CarePanel warnings={warnings} held={view.held} onMend={mend} />
          ) : side === 'notes' ? (
            <PlanNotes view={view} book={book} playerIds={doc.playerIds} blocks={doc.blocks} block={block} />
          ) : (
            <>
              <Retest view={view} book={book} knows={knows} store={store} onAdded={setChosen} />
              {hydrated && whole && (
                <DrillPicker
                  book={book}
                  sports={sportsPlayed(players)}
                  players={players.length}
                  view={view}
                  placeId={doc.placeId}
                  onAdd={add}
                />
              )}
            </>
          )}
        </Sheet>
      </div>
    </TypingProvider>
  );
}

interface SideButtonProps {
  readonly text: string;
  readonly on: boolean;
  readonly warn?: boolean;
  readonly onPress: () => void;
}

function SideButton({ text, on, warn = false, onPress }: SideButtonProps) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className={cx(
        'min-h-11 flex-auto rounded-md border-2 px-2 text-sm font-semibold whitespace-nowrap',
        on ? 'border-ink bg-chalk' : 'border-transparent hover:bg-chalk',
        warn && 'text-care',
      )}
    >
      {text}
    </button>
  );
}

function Key({ look, text }: { look: string; text: string }) {
  return (
    <span className="inline-flex items-center gap-1">
      <span className={cx('inline-block h-3.5 w-6 border border-edge', look)} /> {text}
    </span>
  );
}
