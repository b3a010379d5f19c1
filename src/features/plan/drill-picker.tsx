'use client';

import { Plus } from 'lucide-react';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import type { Book } from '@/drills';
import { matches } from '@/session/drills/find';
import { kitAtHand } from '@/drills/base/kit';
import { families, sports, type Sport } from '@/drills/base/types';
import { fitsHere, type Fit } from '@/core/venues/fits';
import { counted } from '@/core/base/words';
import type { SessionPlanView } from '@/server/views/session-plan';
import { useUnits } from '@/ui/units';

const fitWords: Readonly<Record<Fit['verdict'], string>> = {
  fits: '',
  'stand-in': 'with a stand-in',
  no: 'does not fit here',
};

interface Props {
  readonly book: Book;
  /** What the children who come play. */
  readonly sports: readonly Sport[];
  readonly players: number;
  readonly view: Pick<SessionPlanView, 'grounds' | 'kit'>;
  readonly placeId: string | null;
  readonly onAdd: (drillId: string) => void;
}

/** The catalogue at hand: find a drill by words or sport, see whether it fits here, and add it to the end of the plan. */
export function DrillPicker({ book, sports: played, players, view, placeId, onAdd }: Props) {
  const { say } = useUnits();
  const hintId = useId();
  const [words, setWords] = useState('');
  // What they play is shown as long as nothing else was chosen.
  const [chosen, setOnly] = useState<Sport | 'both' | null>(null);
  const only = chosen ?? (played.length === 1 ? played[0]! : 'both');
  const found = book.drills.filter(
    (drill) => (only === 'both' || drill.sports.includes(only)) && matches(drill, words),
  );
  const fits = useMemo(() => {
    const place = view.grounds.find((one) => one.id === placeId) ?? null;
    const atHand = kitAtHand(view.kit);
    return new Map(book.drills.map((drill) => [drill.id, fitsHere(drill, players, 1, place, atHand)]));
  }, [book, players, view, placeId]);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex gap-2">
        <label className="min-w-0 flex-1">
          <span className="sr-only">Find a drill</span>
          <input
            type="search"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            placeholder="Find a drill"
            className="min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3"
          />
        </label>
        <label>
          <span className="sr-only">Sport</span>
          <select
            value={only}
            onChange={(event) => setOnly(event.target.value as Sport | 'both')}
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
          >
            {sports.map((one) => (
              <option key={one}>{one}</option>
            ))}
            <option value="both">both</option>
          </select>
        </label>
      </div>
      <p id={hintId} className="sr-only">
        The arrow keys move along the list.
      </p>
      {/* Reachable by keyboard even when nothing in it is: it scrolls. One stop on the way, then the arrows. */}
      <div
        tabIndex={0}
        role="group"
        aria-label="Drills"
        aria-describedby={hintId}
        onKeyDown={walkList}
        className="mt-2 min-h-0 flex-1 overflow-y-auto"
      >
        {found.length === 0 && (
          <p className="p-2 text-soft">No drill has these words. Try fewer, or the other sport.</p>
        )}
        {families.map((family) => {
          const own = found.filter((drill) => drill.family === family);
          return own.length === 0 ? null : (
            <section key={family} aria-label={family}>
              <h3 className="border-b-2 border-line px-1 pt-2 text-sm text-soft">{family}</h3>
              {own.map((drill) => {
                const fit = fits.get(drill.id)!;
                return (
                  <button
                    key={drill.id}
                    type="button"
                    tabIndex={drill === found[0] ? 0 : -1}
                    onClick={() => onAdd(drill.id)}
                    title={say(`${drill.purpose} ${fit.text}.`)}
                    className="flex min-h-11 w-full items-center gap-2 rounded-md px-1 text-left hover:bg-chalk"
                  >
                    <Plus aria-hidden size={18} className="shrink-0" />
                    <span className="font-semibold">
                      <span className="sr-only">Add </span>
                      {drill.title}
                    </span>
                    <span className="ml-auto text-right text-sm leading-tight text-soft">
                      {fitWords[fit.verdict] || counted(drill.steps.length, 'step')}
                    </span>
                  </button>
                );
              })}
            </section>
          );
        })}
      </div>
    </div>
  );
}

/** Moves the focus along the buttons of a list: a long list is one stop for the tab key. */
function walkList(event: KeyboardEvent<HTMLElement>): void {
  const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, Home: -Infinity, End: Infinity };
  const by = steps[event.key];
  if (by === undefined) return;
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
  const next = Math.min(buttons.length - 1, Math.max(0, at + by));
  buttons[next]?.focus();
  event.preventDefault();
}
