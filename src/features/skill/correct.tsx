'use client';

import { PencilLine } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import type { Book } from '@/drills';
import { changes as allChanges } from '@/drills/base/changes';
import { sameShape, workOf } from '@/session/base/plan';
import type { Problem } from '@/core/base/outcome';
import { correctBlockAction, correctDayAction, undoCorrectionAction } from '@/server/actions';
import type { PlayerFacts } from '@/server/views/facts';
import type { ReviewBlock, SessionReviewView } from '@/server/views/session-review';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { ErrorNote } from '@/ui/field';
import { useNotice } from '@/ui/toast';

const inHistory =
  'The log keeps both, and results follow. Decisions that were made stay as they are, with what they were made on.';

/** Sends a correction, and offers to take it back. */
function useCorrection(sessionId: string, done: () => void) {
  const notice = useNotice();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const send = async (correct: () => ReturnType<typeof correctBlockAction>) => {
    setBusy(true);
    const outcome = await ask(correct);
    setBusy(false);
    setProblems(outcome.ok ? [] : outcome.problems);
    if (!outcome.ok) return;
    done();
    const takeBack = async () => {
      const undone = await ask(() => undoCorrectionAction(sessionId, outcome.value.eventIds));
      notice(
        undone.ok
          ? { text: 'The correction is taken back.' }
          : { text: undone.problems[0]!.message, tone: 'stop' },
      );
    };
    notice({ text: 'Corrected.', undo: () => void takeBack() });
  };
  return { problems, busy, send };
}

interface BlockProps {
  readonly view: SessionReviewView;
  readonly book: Book;
  readonly block: ReviewBlock;
}

/** Says what was really done in a block that was held. */
export function CorrectBlock(props: BlockProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" className="shrink-0" onClick={() => setOpen(true)}>
        <PencilLine aria-hidden size={18} /> Correct what was done
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="What was really done?"
        intro={inHistory}
        startsAtField={false}
      >
        <BlockForm {...props} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function BlockForm({ view, book, block, onDone }: BlockProps & { onDone: () => void }) {
  const { problems, busy, send } = useCorrection(view.session.id, onDone);
  const [put, setPut] = useState<readonly string[]>(block.changes);
  // Where nothing was counted there is nothing to put right.
  const works = block.lines.flatMap(({ playerId }) => {
    const player = view.players.find((one) => one.id === playerId);
    const work = workOf(book, block, playerId);
    return player && work ? [{ player, work }] : [];
  });
  const [steps, setSteps] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(works.map(({ player, work }) => [player.id, work.step.id])),
  );
  const drill = book.drill(block.drillId)!;
  const offered = allChanges.filter(
    ({ id }) => [...drill.spices, ...drill.easings].includes(id) || block.changes.includes(id),
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send(() =>
      correctBlockAction(view.session.id, {
        blockId: block.id,
        changes: [...put],
        steps: Object.entries(steps).map(([playerId, stepId]) => ({ playerId, stepId })),
      }),
    );
  };
  return (
    <form onSubmit={submit} className="space-y-4">
      <fieldset>
        <legend className="font-semibold">Step of each player</legend>
        <ul className="mt-1 space-y-1">
          {works.map(({ player, work }) => (
            <StepChoice
              key={player.id}
              player={player}
              steps={work.drill.steps.filter((one) => sameShape(one, work.step))}
              value={steps[player.id]!}
              onChange={(stepId) => setSteps({ ...steps, [player.id]: stepId })}
            />
          ))}
        </ul>
      </fieldset>
      {offered.length > 0 && (
        <fieldset>
          <legend className="font-semibold">Done harder or easier</legend>
          <div className="mt-1 flex flex-wrap gap-x-4">
            {offered.map(({ id }) => (
              <label key={id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-6"
                  checked={put.includes(id)}
                  onChange={({ target }) =>
                    setPut(target.checked ? [...put, id] : put.filter((one) => one !== id))
                  }
                />
                {id}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      {problems.length > 0 && <ErrorNote>{problems.map((one) => one.message).join(' ')}</ErrorNote>}
      <div className="flex justify-end">
        <Button type="submit" look="now" disabled={busy}>
          Correct it
        </Button>
      </div>
    </form>
  );
}

interface StepChoiceProps {
  readonly player: PlayerFacts;
  readonly steps: readonly { readonly id: string; readonly title: string }[];
  readonly value: string;
  readonly onChange: (stepId: string) => void;
}

function StepChoice({ player, steps, value, onChange }: StepChoiceProps) {
  return (
    <li>
      <label className="grid grid-cols-[8rem_1fr] items-center gap-3">
        <span>{player.name}</span>
        <select
          value={value}
          onChange={(event) => onChange(event.target.value)}
          className="min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3"
        >
          {steps.map((step) => (
            <option key={step.id} value={step.id}>
              {step.title}
            </option>
          ))}
        </select>
      </label>
    </li>
  );
}

/** Says on which day a session was really held. */
export function CorrectDay({ view }: { view: SessionReviewView }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="min-h-6 touch:min-h-11 font-semibold underline underline-offset-4"
      >
        Another day?
      </button>
      <Dialog open={open} onOpenChange={setOpen} title="Which day was it held on?" intro={inHistory}>
        <DayForm view={view} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function DayForm({ view, onDone }: { view: SessionReviewView; onDone: () => void }) {
  const { problems, busy, send } = useCorrection(view.session.id, onDone);
  const [day, setDay] = useState(view.session.day);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send(() => correctDayAction(view.session.id, { day }));
  };
  return (
    <form onSubmit={submit} noValidate className="space-y-4">
      <label className="block font-semibold">
        Day
        <input
          type="date"
          value={day}
          onChange={(event) => setDay(event.target.value)}
          className="mt-1 block min-h-11 rounded-md border-2 border-edge bg-sheet px-3 font-normal"
        />
      </label>
      {problems.length > 0 && <ErrorNote>{problems.map((one) => one.message).join(' ')}</ErrorNote>}
      <div className="flex justify-end">
        <Button type="submit" look="now" disabled={busy}>
          Correct the day
        </Button>
      </div>
    </form>
  );
}
