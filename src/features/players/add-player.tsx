'use client';

import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import { Button, type ButtonLook } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

const loadForm = () => import('./player-form');

interface Props {
  readonly year: number;
  readonly text?: string;
  readonly look?: ButtonLook;
}

/** A button that opens an empty player sheet. */
export function AddPlayer({ year, text = 'Add a player', look = 'now' }: Props) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look={look} onClick={() => setOpen(true)}>
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
