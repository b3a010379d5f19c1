'use client';

import { Save, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { FeederSettings } from '@/core/ballistics/feed/feeder';
import type { FeederStand } from '@/core/ballistics/feed/stand';
import { removeFeederAction, saveFeederAction } from '@/server/actions';
import type { BenchesView, SavedFeeder } from '@/server/views/benches';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { Sheet } from '@/ui/page-head';
import { TakenOffList } from '@/ui/taken-off';
import { useNotice } from '@/ui/toast';

export interface SavedFeedersProps {
  readonly view: BenchesView;
  readonly machine: FeederSettings;
  readonly stand: FeederStand;
  readonly name: string;
  readonly drillId: string;
  readonly onName: (name: string) => void;
  readonly onDrill: (drillId: string) => void;
  readonly onLoad: (saved: SavedFeeder) => void;
}

/** Settings kept by name with the drill they are for. */
export function SavedFeeders({
  view,
  machine,
  stand,
  name,
  drillId,
  onName,
  onDrill,
  onLoad,
}: SavedFeedersProps) {
  const book = useWholeBook();
  const notice = useNotice();
  const [problem, setProblem] = useState<string | null>(null);
  const drills = book.drills.filter((drill) => drill.feed.how !== 'none' && drill.feed.how !== 'self');
  const same = view.feeders.find((one) => one.name === name.trim() && one.drillId === drillId);
  const save = async () => {
    const outcome = await ask(() =>
      saveFeederAction({ name, drillId, settings: { machine, place: stand } }, same?.id),
    );
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (outcome.ok) notice({ text: same ? `“${name.trim()}” is changed.` : `“${name.trim()}” is kept.` });
  };
  const remove = async (saved: SavedFeeder) => {
    const outcome = await ask(() => removeFeederAction(saved.id, true));
    if (!outcome.ok) return setProblem(problemsText(outcome));
    notice({
      text: `“${saved.name}” was removed.`,
      undo: () => void ask(() => removeFeederAction(saved.id, false)),
    });
  };
  return (
    <Sheet className="p-3 text-sm" aria-label="Kept settings">
      <h2 className="text-base">Kept settings</h2>
      <div className="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
        <label className="font-semibold">
          Name
          <input
            value={name}
            onChange={(event) => onName(event.target.value)}
            autoComplete="off"
            className="min-h-9 touch:min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 font-normal"
          />
        </label>
        <label className="min-w-0 font-semibold">
          Drill
          <select
            value={drillId}
            onChange={(event) => onDrill(event.target.value)}
            className="min-h-9 touch:min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 font-normal"
          >
            {drills.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
        <Button className="min-h-9 touch:min-h-11 px-2" onClick={() => void save()}>
          <Save aria-hidden size={16} /> {same ? 'Change' : 'Keep'}
        </Button>
      </div>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <ul className="mt-2">
        {view.feeders.map((saved) => (
          <li key={saved.id} className="flex items-center justify-between gap-2 border-t border-line">
            <button
              type="button"
              onClick={() => onLoad(saved)}
              className="min-h-9 touch:min-h-11 flex-1 text-left font-semibold underline decoration-dotted underline-offset-4 hover:bg-chalk"
            >
              {saved.name}
            </button>
            <span className="text-soft">{book.drill(saved.drillId)?.title ?? 'a drill no longer here'}</span>
            <Button
              look="quiet"
              className="min-h-9 touch:min-h-11 px-2"
              aria-label={`Remove ${saved.name}`}
              onClick={() => void remove(saved)}
            >
              <Trash2 aria-hidden size={16} />
            </Button>
          </li>
        ))}
      </ul>
      {view.feeders.length === 0 && (
        <p className="mt-2 text-soft">Nothing is kept yet: name it and press Keep.</p>
      )}
      <TakenOffList items={view.takenOff} setRemoved={removeFeederAction} />
    </Sheet>
  );
}
