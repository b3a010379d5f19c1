'use client';

import { useRouter } from 'next/navigation';
import { sports } from '@/drills/base/types';
import { filterQuery, isOpen, noFilter, type Filter } from '@/core/base/filter';
import type { FilterChoices } from '@/server/views/facts';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';
import { Field } from '@/ui/field';

interface Props {
  /** The address of the list without its filter. */
  readonly path: string;
  readonly filter: Filter;
  readonly choices: FilterChoices;
}

/** Narrows a list by place, coach, sport and week. What is chosen stands in the address: Back brings it back. */
export function FilterBar({ path, filter, choices }: Props) {
  const router = useRouter();
  const go = (next: Filter) => {
    const query = filterQuery(next);
    router.push(query ? `${path}?${query}` : path, { scroll: false });
  };
  const choice = (
    label: string,
    key: keyof Filter,
    options: readonly string[],
    words: (one: string) => string = (one) => one,
  ) => {
    // What the address says is shown, even where it is not offered (any more).
    const all = filter[key] === '' || options.includes(filter[key]) ? options : [filter[key], ...options];
    return (
      <Field label={label}>
        <select value={filter[key]} onChange={(event) => go({ ...filter, [key]: event.target.value })}>
          <option value="">any</option>
          {all.map((one) => (
            <option key={one} value={one}>
              {words(one)}
            </option>
          ))}
        </select>
      </Field>
    );
  };
  return (
    <div
      role="group"
      aria-label="Show only"
      className="mb-4 grid grid-cols-2 items-end gap-3 text-sm sm:grid-cols-[repeat(4,minmax(0,12rem))_auto] print:hidden"
    >
      {choice('Place', 'place', choices.places)}
      {choice('Coach', 'coach', choices.coaches)}
      {choice('Sport', 'sport', sports)}
      {choice('Week', 'week', choices.weeks, (monday) => `from ${shortDay(monday)}`)}
      {!isOpen(filter) && (
        <Button look="quiet" onClick={() => go(noFilter)}>
          Show all
        </Button>
      )}
    </div>
  );
}
