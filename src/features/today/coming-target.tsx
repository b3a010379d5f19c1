'use client';

import { Figure } from '@/ui/figure';

interface Props {
  readonly drill: string;
  readonly step: string;
  readonly text: string;
  readonly reason: string;
}

/** The target waiting for a player today, opened to how it was set. */
export function ComingTarget({ drill, step, text, reason }: Props) {
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
            { label: 'Drill', value: drill },
            { label: 'Step', value: step },
          ],
          source: 'Decided in the last review of this step.',
        })}
      >
        {text}
      </Figure>
      , {step.toLowerCase()}
    </span>
  );
}
