'use client';

import { findChange } from '@/drills/base/changes';
import type { Change, Drill } from '@/drills/base/types';
import { cx } from '@/ui/class-names';

interface Props {
  readonly drill: Drill;
  readonly put: readonly string[];
  readonly onToggle: (change: Change) => void;
}

/** What a change does to time, difficulty and dose, in a few words. */
function effect(id: Change): string {
  const change = findChange(id)!;
  const parts = [
    change.odds !== 1 && (change.odds < 1 ? 'harder' : 'easier'),
    change.tempo !== 1 && (change.tempo < 1 ? 'quicker' : 'slower'),
    change.amount !== 1 && `${Math.round(100 * change.amount)} % of the dose`,
  ];
  return `${change.text} ${parts.filter(Boolean).join(', ')}.`;
}

/** Spices and easings of a drill: press one to put it on the block. */
export function BlockChanges({ drill, put, onToggle }: Props) {
  const group = (label: string, ids: readonly Change[]) => (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-1">
      <span className="w-20 text-sm text-soft">{label}</span>
      {ids.map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={put.includes(id)}
          title={effect(id)}
          onClick={() => onToggle(id)}
          className={cx(
            'min-h-8 touch:min-h-11 rounded-full border-2 px-3 text-sm font-semibold',
            put.includes(id) ? 'border-ink bg-ink text-paper' : 'border-edge bg-sheet hover:bg-chalk',
          )}
        >
          {id}
        </button>
      ))}
    </div>
  );
  return (
    <div className="space-y-1">
      {group('Spices', drill.spices)}
      {group('Easings', drill.easings)}
    </div>
  );
}
