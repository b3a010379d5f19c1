'use client';

import { deferral, type Mend, type Warning } from '@/core/care/care';
import { Button } from '@/ui/button';
import { CareLine } from '@/ui/care-line';

interface Props {
  readonly warnings: readonly Warning[];
  /** Blocks that were held: nothing is changed in them. */
  readonly held: readonly string[];
  readonly onMend: (mend: Mend) => void;
}

/** Warnings with what can be done about each, in one press. */
export function CareList({ warnings, held, onMend }: Props) {
  return (
    <ul>
      {warnings.map((warning, index) => {
        const { mend, mendText } = warning;
        const fixed = mend !== null && 'blockId' in mend && held.includes(mend.blockId);
        return (
          <CareLine key={`${warning.rule} ${index}`} warning={warning}>
            {mend && mendText && !fixed && (
              <Button
                className="min-h-9 touch:min-h-11 px-3 text-left text-sm leading-tight"
                onClick={() => onMend(mend)}
              >
                {mendText}
              </Button>
            )}
          </CareLine>
        );
      })}
    </ul>
  );
}

/** Everything the care rules say of the plan. */
export function CarePanel(props: Props) {
  return (
    <div
      tabIndex={0}
      role="group"
      aria-label="Care of the whole plan"
      className="min-h-0 flex-1 overflow-y-auto"
    >
      {props.warnings.length === 0 && <p className="text-safe">The care rules have nothing to say.</p>}
      <CareList {...props} />
      <p className="mt-2 text-sm text-soft">{deferral}</p>
    </div>
  );
}
