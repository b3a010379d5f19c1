'use client';

import { MapPinPlus } from 'lucide-react';
import { useState } from 'react';
import { Button, type ButtonLook } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

const loadForm = () => import('./place-form');

/** A button that opens an empty sheet for a place. */
export function AddPlace({ text = 'Add a place', look = 'now' }: { text?: string; look?: ButtonLook }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look={look} onClick={() => setOpen(true)}>
        <MapPinPlus aria-hidden size={18} /> {text}
      </Button>
      <Dialog open={open && form !== null} onOpenChange={setOpen} title="Add a place">
        {form && <form.PlaceFields onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
