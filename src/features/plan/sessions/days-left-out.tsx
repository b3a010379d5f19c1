'use client';

import { shortDay } from '@/ui/dates';

interface Props {
  readonly all: readonly string[];
  readonly skipped: ReadonlySet<string>;
  readonly onSkipped: (skipped: ReadonlySet<string>) => void;
  /** What collides on one of the days. */
  readonly clashes?: readonly { readonly day: string; readonly title: string }[];
}

/** The days of a term, with its holidays ticked off; nothing where there is one day or none. */
export function DaysLeftOut({ all, skipped, onSkipped, clashes = [] }: Props) {
  if (all.length < 2) return null;
  const skip = (day: string, out: boolean) => {
    const next = new Set(skipped);
    if (out) next.add(day);
    else next.delete(day);
    onSkipped(next);
  };
  return (
    <fieldset className="col-span-2">
      <legend className="mb-1 font-semibold">Days: leave holidays out</legend>
      <div className="grid grid-cols-2 gap-1 sm:grid-cols-3">
        {all.map((day) => (
          <label key={day} className="flex min-h-11 items-center gap-2 rounded-md px-2 hover:bg-chalk">
            <input
              type="checkbox"
              checked={!skipped.has(day)}
              onChange={(event) => skip(day, !event.target.checked)}
              className="size-5 accent-[var(--now)]"
            />
            <span>
              {shortDay(day)}
              {clashes.some((one) => one.day === day) && (
                <span className="block text-sm font-semibold text-care">booked already</span>
              )}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
