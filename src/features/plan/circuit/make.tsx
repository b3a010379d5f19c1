'use client';

import { Columns3 } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { MakeCircuitProps } from './make-form';

const loadForm = () => import('./make-form');

/** Opens what makes blocks of the plan stations that are done side by side. */
export function SideBySide(props: Omit<MakeCircuitProps, 'onDone'>) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button className="px-3 text-sm" onClick={() => setOpen(true)}>
        <Columns3 aria-hidden size={18} /> Side by side
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Stations side by side"
        startsAtField={false}
      >
        {form && <form.MakeCircuit {...props} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
