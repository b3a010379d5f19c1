'use client';

import { resultInWords } from '@/core/counting/measure';
import { Figure } from '@/ui/figure';
import { useBook } from '@/ui/house';

interface Props {
  readonly drillId: string;
  readonly stepId: string;
  readonly result: number;
  readonly reason: string;
}

/** The target waiting for a player today, opened to how it was set. */
export function ComingTarget({ drillId, stepId, result, reason }: Props) {
  const book = useBook();
  const step = book.step(drillId, stepId);
  if (!step) return null;
  const text = resultInWords(step.measure, result);
  return (
    <span className="text-soft">
      {' '}
      · aims at{' '}
      <Figure
        label={`Aims at ${text}`}
        explain={() => ({
          title: 'Next target',
          value: text,
          formula: reason,
          inputs: [
            { label: 'Drill', value: book.drill(drillId)!.title },
            { label: 'Step', value: step.title },
          ],
          source: 'Decided in the last review of this step.',
        })}
      >
        {text}
      </Figure>
      , {step.title.toLowerCase()}
    </span>
  );
}
