'use client';

import { counted, inThousands } from '@/core/base/words';
import { Figure } from '@/ui/figure';

/** Touches of the last four weeks, opened to what they are. */
export function SquadTouches({ touches, days, name }: { touches: number; days: number; name: string }) {
  const text = inThousands(touches);
  return (
    <Figure
      label={`${text} touches of ${name} in four weeks`}
      explain={() => ({
        title: `Touches, ${name}`,
        value: text,
        formula: 'Every good touch in every attempt of the last 28 days counts one.',
        inputs: [
          { label: 'Days with counts', value: counted(days, 'day') },
          { label: 'A day', value: days > 0 ? `about ${Math.round(touches / days)}` : '0' },
        ],
        source: 'Counted from the log of touches.',
      })}
    >
      {text}
    </Figure>
  );
}
