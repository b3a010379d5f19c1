'use client';

import { SlidersHorizontal } from 'lucide-react';
import { buttonClass } from '@/ui/button';
import type { AdjustPanelProps } from './adjust-panel';
import type { CourtSheets } from './court-sheets';

interface Props extends AdjustPanelProps {
  readonly sheets: CourtSheets | null;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** Opens what is adjusted. Each time it opens for whom was counted last. */
export function AdjustSheet({ sheets, open, onOpenChange, ...props }: Props) {
  return (
    <>
      <button
        type="button"
        onClick={() => onOpenChange(true)}
        className={buttonClass('plain', 'min-h-16 text-xl')}
      >
        <SlidersHorizontal aria-hidden /> Adjust
      </button>
      {sheets && <sheets.AdjustDialog {...props} open={open} onOpenChange={onOpenChange} />}
    </>
  );
}
