'use client';

import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

const loadForm = () => import('./player-form');

/** A button that opens an empty player sheet. */
export function AddPlayer({ year, text = 'Add a player' }: { year: number; text?: string }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look="now" onClick={() => setOpen(true)}>
        <UserPlus aria-hidden size={18} /> {text}
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Add a player"
        intro="Kept on this computer only."
      >
        {form && <form.PlayerFields year={year} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
