'use client';

import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import type { PlayerName } from '@/server/views/facts';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

const loadForm = () => import('./new-session-form');

/** Books a session and opens its empty plan. */
export function NewSession({ today, squad }: { today: string; squad: readonly PlayerName[] }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look="now" onClick={() => setOpen(true)}>
        <CalendarPlus aria-hidden size={18} /> Plan a session
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Plan a session"
        intro="First the booking and who is coming; the blocks come next."
      >
        {form && <form.NewSessionForm today={today} squad={squad} />}
      </Dialog>
    </>
  );
}
