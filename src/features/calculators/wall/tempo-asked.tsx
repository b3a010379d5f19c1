'use client';

import { useState } from 'react';
import { distanceForTempo, markForTempo, type ForTempo } from '@/core/ballistics/wall/advise';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import { inMetres } from '@/core/explanations/wall';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { Said } from '@/ui/units';

/** The other way round: a wanted tempo, and the mark or the distance that gives it. */
export function TempoAsked({ setup, onSetup }: { setup: WallSetup; onSetup: (setup: WallSetup) => void }) {
  const [tempo, setTempo] = useState('38');
  const [speed, setSpeed] = useState('8');
  const [said, setSaid] = useState<string | null>(null);
  const wanted = Number(tempo);
  const swing = Number(speed);
  const answer = (found: ForTempo, words: (setup: WallSetup) => string) => {
    if (found.ok) {
      onSetup(found.setup);
      setSaid(words(found.setup));
    } else
      setSaid(
        found.slowest === null
          ? 'No mark on this wall keeps a rally going here.'
          : `With this ball and hand a rally runs at ${Math.ceil(found.slowest)} to ${Math.floor(found.fastest!)} hits a minute: ask for one of those.`,
      );
  };
  const good = wanted >= 10 && wanted <= 240;
  return (
    <Sheet className="p-3 text-sm" aria-label="A wanted tempo">
      <h2 className="text-base">A wanted tempo</h2>
      <p className="text-soft">
        The mark makes the tempo: the same heights take the same time from any distance. The swing makes the
        distance.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <label className="font-semibold">
          Hits a minute{' '}
          <input
            value={tempo}
            inputMode="numeric"
            onChange={(event) => setTempo(event.target.value)}
            aria-invalid={!good || undefined}
            className="tabular min-h-9 touch:min-h-11 w-14 rounded-md border-2 border-edge bg-sheet px-2 aria-[invalid=true]:border-stop"
          />
        </label>
        <Button
          className="min-h-9 touch:min-h-11 px-2"
          disabled={!good}
          onClick={() =>
            answer(markForTempo(setup, wanted), (found) => `Aim at ${inMetres(found.targetM)} from here.`)
          }
        >
          Find the mark
        </Button>
        <label className="font-semibold">
          Swing, m/s{' '}
          <input
            value={speed}
            inputMode="decimal"
            onChange={(event) => setSpeed(event.target.value)}
            className="tabular min-h-9 touch:min-h-11 w-14 rounded-md border-2 border-edge bg-sheet px-2"
          />
        </label>
        <Button
          className="min-h-9 touch:min-h-11 px-2"
          disabled={!good || !(swing >= 2 && swing <= 35)}
          onClick={() =>
            answer(
              distanceForTempo(setup, wanted, swing),
              (found) => `Stand at ${inMetres(found.distanceM)} and aim at ${inMetres(found.targetM)}.`,
            )
          }
        >
          Find the distance
        </Button>
      </div>
      {said && (
        <p role="status" className="mt-1 font-semibold">
          <Said>{said}</Said>
        </p>
      )}
    </Sheet>
  );
}
