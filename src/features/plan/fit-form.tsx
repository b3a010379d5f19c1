'use client';

import { useMemo, useState } from 'react';
import { fitToBooking, type FitHow, type TimeSetting } from '@/session/plan/fit-time';
import type { Evaluation } from '@/session/plan/evaluate';
import type { PlanBlock } from '@/session/base/plan';
import { counted, inHalfMinutes, inMinutes } from '@/core/base/words';
import { Button } from '@/ui/button';

export interface FitFormProps {
  readonly setting: TimeSetting;
  readonly blocks: readonly PlanBlock[];
  readonly titles: ReadonlyMap<string, string>;
  readonly bookedMin: number;
  readonly totalS: number;
  /** Blocks that stay as they are. */
  readonly held: readonly string[];
  /** What the plan would come to with other blocks. */
  readonly evaluate: (blocks: readonly PlanBlock[]) => Evaluation;
  readonly onFit: (blocks: readonly PlanBlock[]) => void;
  readonly onDone: () => void;
}

const isGrave = ({ warnings }: Evaluation) => warnings.filter((one) => one.severity !== 'note').length;

/** What would change so that the plan fills its booking, or holds it: shown first, done in one press. */
export function FitForm(props: FitFormProps) {
  const { setting, blocks, titles, bookedMin, totalS, held, evaluate, onFit, onDone } = props;
  const over = totalS > bookedMin * 60;
  const [how, setHow] = useState<FitHow>(over ? 'alike' : 'by phase');
  const fit = useMemo(
    () => fitToBooking(setting, blocks, bookedMin * 60, how, new Set(held)),
    [setting, blocks, bookedMin, how, held],
  );
  const more = useMemo(
    () => isGrave(evaluate(fit.blocks)) - isGrave(evaluate(blocks)),
    [evaluate, fit, blocks],
  );
  const ways: readonly (readonly [FitHow, string])[] = [
    ['by phase', over ? 'Take from the phases that have most' : 'Fill what is left by phase'],
    ['alike', over ? 'Squeeze all blocks alike' : 'Stretch all blocks alike'],
  ];
  return (
    <div>
      <div role="radiogroup" aria-label="How" className="mb-3 flex flex-wrap gap-x-6">
        {ways.map(([way, words]) => (
          <label key={way} className="flex min-h-11 items-center gap-2 font-semibold">
            <input
              type="radio"
              name="fit-how"
              checked={how === way}
              onChange={() => setHow(way)}
              className="size-5 accent-[var(--now)]"
            />
            {words}
          </label>
        ))}
      </div>
      {fit.changes.length === 0 ? (
        <p className="mb-3">
          Nothing would change: no block has a size that comes nearer to {bookedMin} min.
        </p>
      ) : (
        <table className="mb-3 w-full text-left">
          <caption className="sr-only">What would change</caption>
          <thead>
            <tr className="border-b-2 border-ink text-sm">
              <th scope="col">Block</th>
              <th scope="col">Now</th>
              <th scope="col">Then</th>
            </tr>
          </thead>
          <tbody>
            {fit.changes.map(({ blockId, index, before, after }) => (
              <tr key={blockId} data-fit-change className="border-b border-line align-top">
                <th scope="row" className="py-1 pr-3 font-semibold">
                  {index + 1} {titles.get(blockId)}
                </th>
                <td className="pr-3 text-soft">
                  {before.dose}; <span className="whitespace-nowrap">{inMinutes(before.totalS)}</span>
                </td>
                <td>
                  {after.dose}; <span className="whitespace-nowrap">{inMinutes(after.totalS)}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-lg">
        {inHalfMinutes(totalS)} min now, <strong>{inHalfMinutes(fit.totalS)} min then</strong>, {bookedMin}{' '}
        min booked.
      </p>
      {fit.totalS > bookedMin * 60 + 1 && (
        <p className="font-semibold text-care">
          That is still over: no block can be shorter. Take one out, or book longer.
        </p>
      )}
      {!over && fit.missing.length > 0 && bookedMin * 60 - fit.totalS > 60 && (
        <p className="text-soft">
          Nothing is planned for {fit.missing.join(', ').toLowerCase()}: a drill there would fill the rest.
        </p>
      )}
      {more > 0 && (
        <p className="font-semibold text-care">
          {counted(more, 'care warning')} more than now: look under Care.
        </p>
      )}
      <div className="mt-4 flex justify-end">
        <Button
          look="now"
          disabled={fit.changes.length === 0}
          onClick={() => {
            onFit(fit.blocks);
            onDone();
          }}
        >
          Change {counted(fit.changes.length, 'block')}
        </Button>
      </div>
    </div>
  );
}
