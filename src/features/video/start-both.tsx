'use client';

import { useState } from 'react';
import { markKinds, markWords, type MarkKind } from '@/core/video/marks';
import { Button } from '@/ui/button';
import { Pick } from './pick';
import type { Clip } from './use-clip';

/** Starts two clips together, each at its own first mark of a kind. */
export function StartBoth({ first, second }: { readonly first: Clip; readonly second: Clip }) {
  const shared = markKinds.filter((kind) =>
    [first, second].every(({ marks }) => marks.some((mark) => mark.kind === kind)),
  );
  const [chosen, setChosen] = useState<MarkKind | null>(null);
  const kind = chosen && shared.includes(chosen) ? chosen : shared[0];
  if (!kind)
    return <span className="text-soft">Set the same mark in both: then they start there together.</span>;
  return (
    <>
      <Pick label="Both at" value={kind} onPick={(value) => setChosen(value as MarkKind)}>
        {shared.map((one) => (
          <option key={one} value={one}>
            {markWords[one].title}
          </option>
        ))}
      </Pick>
      <Button
        onClick={() => {
          for (const clip of [first, second]) {
            clip.pause();
            clip.seek(clip.marks.find((mark) => mark.kind === kind)!.atS);
          }
          for (const clip of [first, second]) clip.play();
        }}
      >
        Start both
      </Button>
    </>
  );
}
