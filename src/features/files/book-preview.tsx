'use client';

import { inThousands } from '@/core/base/words';
import { useState } from 'react';
import { longDay } from '@/ui/dates';
import type { TookOver } from '@/server/views/files';
import { Button } from '@/ui/button';

const named: Readonly<Record<string, string>> = {
  places: 'Places',
  kit: 'Kit',
  drills: 'Own drills',
  patterns: 'Patterns',
  feeders: 'Feeder settings',
  sequences: 'Shadow sequences',
  players: 'Players',
  focuses: 'What players work on',
  standings: 'Standings on ladders',
  styles: 'Styles',
  fits: 'Numbers of the fit',
  sessions: 'Sessions',
  attendances: 'Players in sessions',
  blocks: 'Blocks',
  parts: 'Own parts in blocks',
  marks: 'Marks',
  decisions: 'Decisions',
  notes: 'Notes',
};
const of: Readonly<Record<string, string>> = {
  book: 'a whole book',
  child: 'one child',
  session: 'one session',
  drills: 'own drills',
  places: 'places and kit',
};

interface Props {
  readonly name: string;
  readonly look: TookOver;
  readonly busy: boolean;
  readonly onTake: (replace: boolean) => void;
  readonly onLeave: () => void;
}

/** What a file with a book would do, thing by thing. */
export function BookPreview({ name, look, busy, onTake, onLeave }: Props) {
  const [replace, setReplace] = useState(false);
  const sum = (field: 'added' | 'differ') => look.counts.reduce((all, one) => all + one[field], 0);
  const does = sum('added') + (replace ? sum('differ') : 0);
  return (
    <div className="mt-4 space-y-3" data-preview="book">
      <h3 className="font-semibold">
        {name}: {of[look.part]}, made on {longDay(look.madeOn)}
      </h3>
      <table className="tabular w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th className="font-normal">&nbsp;</th>
            <th className="px-2 text-right font-normal">Added</th>
            <th className="px-2 text-right font-normal">The same</th>
            <th className="px-2 text-right font-normal">Differ</th>
            <th className="px-2 text-right font-normal">Left out</th>
          </tr>
        </thead>
        <tbody>
          {look.counts
            .filter(({ added, same, differ, leftOut }) => added + same + differ + leftOut > 0)
            .map(({ thing, added, same, differ, leftOut }) => (
              <tr key={thing} className="border-t border-line">
                <th scope="row" className="py-1 font-semibold">
                  {named[thing]}
                </th>
                {[added, same, differ, leftOut].map((n, index) => (
                  <td key={index} className="px-2 text-right">
                    {n === 0 ? '' : inThousands(n)}
                  </td>
                ))}
              </tr>
            ))}
        </tbody>
      </table>
      {look.lines.length > 0 && (
        <ul
          className="max-h-48 list-disc overflow-y-auto pl-5 text-sm"
          tabIndex={0}
          aria-label="What differs"
        >
          {look.lines.map(({ what, why }, index) => (
            <li key={index}>
              <span className="font-semibold">{what}</span> {why}
            </li>
          ))}
        </ul>
      )}
      {sum('differ') > 0 && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={replace}
            onChange={(event) => setReplace(event.target.checked)}
          />
          What differs becomes as the file says; otherwise it stays as it is here.
        </label>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="now" disabled={busy || does === 0} onClick={() => onTake(replace)}>
          {does === 0 ? 'Nothing to take over' : 'Take over'}
        </Button>
        <Button disabled={busy} onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </div>
  );
}
