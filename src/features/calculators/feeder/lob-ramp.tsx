import { useDeferredValue, useMemo, useState } from 'react';
import type { Feed, FeederPlace, FeederSettings } from '@/core/ballistics/feed/feeder';
import { lobRamp, type Lob } from '@/core/ballistics/feed/ramp';
import { rampSentence } from '@/core/explanations/feed';
import { inMetres } from '@/core/explanations/wall';
import type { BenchChild } from '../child';
import { Dial } from '../dial';

interface LobRampProps {
  readonly machine: FeederSettings;
  readonly place: FeederPlace;
  readonly one: Feed;
  readonly child: BenchChild;
}

/** Lobs of one arc, deeper and deeper: the steps each takes. */
export function LobRamp({ machine, place, one, child }: LobRampProps) {
  const [apexM, setApexM] = useState(4.5);
  const later = useDeferredValue(apexM);
  const lobs = useMemo<readonly Lob[]>(
    () => (one.fault === 'never comes' ? [] : lobRamp(machine, place, later, child)),
    [machine, place, later, child, one.fault],
  );
  if (place.tableFromM !== null) return null;
  return (
    <details className="text-sm">
      <summary className="min-h-6 touch:min-h-11 font-semibold">
        A ramp of lobs: how deep before only crossover steps reach
      </summary>
      <div className="mt-1 max-w-xs">
        <Dial
          label="Top of every lob"
          unit="m"
          value={apexM}
          min={2}
          max={8}
          step={0.1}
          onChange={setApexM}
        />
      </div>
      <p className="font-semibold">{rampSentence(lobs)}</p>
      <table className="mt-1 w-full text-left">
        <thead>
          <tr>
            <th scope="col">Would land at</th>
            <th scope="col">Back from the start place</th>
            <th scope="col">Steps</th>
            <th scope="col">To spare</th>
          </tr>
        </thead>
        <tbody>
          {lobs.map((lob) => (
            <tr key={lob.landM} className="border-t border-line">
              <td className="tabular">{inMetres(lob.landM)}</td>
              <td className="tabular">
                {lob.backM < 0 ? `${inMetres(-lob.backM)} in front` : inMetres(lob.backM)}
              </td>
              <td>
                {lob.how === 'stay'
                  ? 'stay'
                  : `${lob.steps} ${lob.steps === 1 ? lob.how.slice(0, -1) : lob.how}`}
              </td>
              <td className="tabular">
                {lob.toSpareS < 0 ? 'too deep for the time' : `${lob.toSpareS.toFixed(1)} s`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
