'use client';

import { useState } from 'react';
import { counted } from '@/core/base/words';
import { deviceStore } from '@/court/device';
import type { HeldBack } from '@/court/held-back';
import { groupsOf } from '@/court/settle-held-back';
import { HeldBackSheet } from './held-back-sheet';

interface Props {
  readonly heldBack: readonly HeldBack[];
  readonly onChange: (left: readonly HeldBack[]) => void;
}

/** Says at the desk that marks from court are held back on this device, and lets a coach say what becomes of them. */
export function DeskHeldBack({ heldBack, onChange }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <div
      role="status"
      className="mt-2 flex flex-wrap items-center gap-x-3 rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care"
    >
      <p className="flex-1">
        {counted(heldBack.length, 'mark')} from court {heldBack.length === 1 ? 'is' : 'are'} held back on this
        device: the server does not take {heldBack.length === 1 ? 'it' : 'them'}.
      </p>
      <button type="button" onClick={() => setOpen(true)} className="min-h-11 font-bold underline">
        Look and decide
      </button>
      <HeldBackSheet
        groups={groupsOf(heldBack)}
        onDiscard={(group) => {
          const gone = new Set(group.held.map((one) => one.event.id));
          void deviceStore()
            .forget([...gone])
            .then(() => onChange(heldBack.filter((one) => !gone.has(one.event.id))));
        }}
        open={open}
        onOpenChange={setOpen}
      />
    </div>
  );
}
