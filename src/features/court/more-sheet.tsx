'use client';

import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { buttonClass } from '@/ui/button';
import type { MorePanelProps } from './more-panel';
import type { CourtSheets } from './court-sheets';

/** Opens what is set now and then. */
export function MoreSheet({ sheets, ...props }: MorePanelProps & { readonly sheets: CourtSheets | null }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={buttonClass('quiet', 'min-h-16 flex-col gap-0 px-2 text-sm')}
      >
        <Ellipsis aria-hidden size={22} /> More
      </button>
      {sheets && <sheets.MoreDialog {...props} open={open} onOpenChange={setOpen} />}
    </>
  );
}
