'use client';

import { useState } from 'react';
import { ulid } from 'ulid';
import type { Book } from '@/drills';
import { circuitLimits } from '@/core/plan/circuit/circuit';
import { makeCircuit } from '@/session/plan/circuits';
import type { TimeSetting } from '@/session/plan/fit-time';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import type { PlanDoc } from '../plan-store';

export interface MakeCircuitProps {
  readonly book: Book;
  readonly doc: PlanDoc;
  readonly setting: TimeSetting;
  readonly held: readonly string[];
  readonly onMade: (doc: PlanDoc, first: string) => void;
  readonly onDone: () => void;
}

/** Chooses which blocks of the plan are done side by side. */
export function MakeCircuit({ book, doc, setting, held, onMade, onDone }: MakeCircuitProps) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const free = doc.blocks.filter((block) => !block.circuit && !held.includes(block.id));
  const { min, max } = circuitLimits.stations;
  const make = () => {
    if (setting.players.length === 0)
      return setProblem('Nobody is coming: tick who comes on the left, then make the circuit.');
    if (chosen.length < min || chosen.length > max)
      return setProblem(
        `${chosen.length === 0 ? 'No block is' : `${chosen.length} are`} chosen: tick ${min} to ${max} blocks.`,
      );
    const next = makeCircuit(setting, doc, chosen, ulid());
    onMade(next, next.blocks.find(({ id }) => chosen.includes(id))!.id);
    onDone();
  };
  if (free.length < min)
    return (
      <p>
        A circuit needs two blocks or more that have not been held. Add drills to the plan first; then they
        can be done side by side.
      </p>
    );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      {problem && <ErrorNote>{problem}</ErrorNote>}
      <ul className="mb-3">
        {free.map((block) => (
          <li key={block.id} className="border-t border-line">
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                checked={chosen.includes(block.id)}
                onChange={() => {
                  setProblem(null);
                  setChosen((now) =>
                    now.includes(block.id) ? now.filter((id) => id !== block.id) : [...now, block.id],
                  );
                }}
                className="size-5 accent-[var(--now)]"
              />
              <span>
                {doc.blocks.indexOf(block) + 1}. {book.drill(block.drillId)?.title}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <p className="mb-3 text-sm text-soft">
        They move to the place of the first of them. Groups go from one to the next by one clock; groups, time
        and order can be changed afterwards, and Undo takes it back.
      </p>
      <Button type="submit" look="now">
        Make a circuit
      </Button>
    </form>
  );
}
