import { useState } from 'react';
import { aimFeeder } from '@/core/ballistics/feed/aim';
import type { FeederPlace, FeederSettings } from '@/core/ballistics/feed/feeder';
import type { Moving } from '@/core/ballistics/feed/interval';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { Dial } from '../dial';

const whyNot = {
  'too high': 'That arc is steeper than the machine tilts: a lower top, or a spot further away.',
  'too low': 'That top is no higher than the mouth, or the spot is out of reach under it: a higher top.',
  'too fast': 'That takes more speed than the machine has: a nearer spot, or a higher top.',
  net: 'That arc goes into the net: a higher top.',
  ceiling: 'That arc meets the ceiling: a lower top.',
} as const;

interface SpotAndArcProps {
  readonly machine: FeederSettings;
  readonly place: FeederPlace;
  readonly moving: Moving;
  readonly onMoving: (moving: Moving) => void;
  readonly onMachine: (machine: FeederSettings) => void;
}

/** The other way round: the dials for a landing spot and an arc. Beside it, the way a player has to go. */
export function SpotAndArc({ machine, place, moving, onMoving, onMachine }: SpotAndArcProps) {
  const [spot, setSpot] = useState({ alongM: 7.5, sideM: 0, apexM: 2.4 });
  const [said, setSaid] = useState<string | null>(null);
  const dial = () => {
    const aimed = aimFeeder(machine, place, spot);
    if (aimed.ok) onMachine(aimed.settings);
    setSaid(aimed.ok ? 'Dialled: it lands there.' : whyNot[aimed.why]);
  };
  return (
    <Sheet className="p-3 text-sm" aria-label="A spot and an arc">
      <h2 className="text-base">A spot and an arc</h2>
      <Dial
        label="Lands from the mouth"
        unit="m"
        value={spot.alongM}
        min={1}
        max={25}
        step={0.1}
        onChange={(alongM) => setSpot({ ...spot, alongM })}
      />
      <Dial
        label="To the right"
        unit="m"
        value={spot.sideM}
        min={-4}
        max={4}
        step={0.1}
        onChange={(sideM) => setSpot({ ...spot, sideM })}
      />
      <Dial
        label="Top of the arc"
        unit="m"
        value={spot.apexM}
        min={0.5}
        max={8}
        step={0.1}
        onChange={(apexM) => setSpot({ ...spot, apexM })}
      />
      <Button className="mt-1 min-h-9 touch:min-h-11 px-2" onClick={dial}>
        Dial it
      </Button>
      {said && (
        <p role="status" className="mt-1 font-semibold">
          {said}
        </p>
      )}
      <h2 className="mt-2 text-base">The player’s way</h2>
      <Dial
        label="To the ball and back, each"
        unit="m"
        value={moving.distanceM}
        min={0}
        max={8}
        step={0.1}
        onChange={(distanceM) => onMoving({ ...moving, distanceM })}
      />
      <Dial
        label="Speed on the feet"
        unit="m/s"
        value={moving.speedMps}
        min={0.5}
        max={6}
        step={0.1}
        onChange={(speedMps) => onMoving({ ...moving, speedMps })}
      />
    </Sheet>
  );
}
