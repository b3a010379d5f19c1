'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { catalogue } from '@/catalogue';
import { families, sports, type Sport } from '@/catalogue/types';
import { counted } from '@/core/words';

/** The catalogue at hand: find a drill by words or sport, and add it to the end of the plan. */
export function DrillPicker({ sport, onAdd }: { sport: Sport; onAdd: (drillId: string) => void }) {
  const [words, setWords] = useState('');
  const [only, setOnly] = useState<Sport | 'both'>(sport);
  const wanted = words.trim().toLowerCase();
  const found = catalogue.filter(
    (drill) =>
      (only === 'both' || drill.sports.includes(only)) &&
      (wanted === '' || `${drill.title} ${drill.family} ${drill.purpose}`.toLowerCase().includes(wanted)),
  );
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
      {/* Reachable by keyboard even when nothing in it is: it scrolls. */}
      <div tabIndex={0} role="group" aria-label="Drills" className="mt-2 min-h-0 flex-1 overflow-y-auto">
        {found.length === 0 && (
          <p className="p-2 text-soft">No drill has these words. Try fewer, or the other sport.</p>
        )}
        {families.map((family) => {
          const own = found.filter((drill) => drill.family === family);
          return own.length === 0 ? null : (
            <section key={family} aria-label={family}>
              <h3 className="border-b-2 border-line px-1 pt-2 text-sm text-soft">{family}</h3>
              {own.map((drill) => (
                <button
                  key={drill.id}
                  type="button"
                  onClick={() => onAdd(drill.id)}
                  title={drill.purpose}
                  className="flex min-h-11 w-full items-center gap-2 rounded-md px-1 text-left hover:bg-chalk"
                >
                  <Plus aria-hidden size={18} className="shrink-0" />
                  <span className="font-semibold">
                    <span className="sr-only">Add </span>
                    {drill.title}
                  </span>
                  <span className="ml-auto text-sm whitespace-nowrap text-soft">
                    {counted(drill.steps.length, 'step')}
                  </span>
                </button>
              ))}
            </section>
          );
        })}
      </div>
    </div>
  );
}
