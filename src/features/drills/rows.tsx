'use client';

import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from '@/ui/button';

interface Props {
  /** What all of them are: "Kit". */
  readonly label: string;
  /** What one of them is: "thing". */
  readonly one: string;
  readonly ids: readonly string[];
  readonly row: (index: number) => ReactNode;
  readonly onAdd: () => void;
  readonly onRemove: (index: number) => void;
  readonly className?: string;
}

/** Things of several parts, one row each. */
export function Rows({ label, one, ids, row, onAdd, onRemove, className }: Props) {
  return (
    <fieldset className={className}>
      <legend className="font-semibold">{label}</legend>
      <ul className="space-y-1.5">
        {ids.map((id, index) => (
          <li key={id} className="flex items-start gap-1.5">
            <div className="grid min-w-0 flex-1 gap-1.5">{row(index)}</div>
            <Button
              look="quiet"
              className="shrink-0 px-2"
              onClick={() => onRemove(index)}
              aria-label={`Take out ${one} ${index + 1}`}
            >
              <Trash2 aria-hidden size={18} />
            </Button>
          </li>
        ))}
      </ul>
      <Button look="quiet" className="px-2" onClick={onAdd}>
        <Plus aria-hidden size={18} /> Add a {one}
      </Button>
    </fieldset>
  );
}

interface CellProps {
  readonly label: string;
  readonly field: object;
  readonly number?: boolean;
  readonly list?: string;
  /** A sentence: it may take two lines. */
  readonly long?: boolean;
}

/** One part of a row; its name is said, and stands in it while it is empty. */
export function Cell({ label, field, number = false, list, long = false }: CellProps) {
  const look = 'min-h-11 w-full min-w-0 rounded-md border-2 border-edge bg-sheet px-2';
  if (long)
    return (
      <textarea {...field} aria-label={label} placeholder={label} rows={2} className={`${look} py-1.5`} />
    );
  return (
    <input
      {...field}
      aria-label={label}
      placeholder={label}
      list={list}
      autoComplete="off"
      inputMode={number ? 'decimal' : undefined}
      className={look}
    />
  );
}
