'use client';

import { Hammer } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import type { BuildFormProps } from './build-form';

const loadForm = () => import('./build-form');

/**
 * Opens the builder; nothing changes in the plan before something is taken. An address that ends in `?build` opens it at
 * once.
 */
export function Build(props: Omit<BuildFormProps, 'onDone'>) {
  const asked = useSearchParams()?.has('build') ?? false;
  const [open, setOpen] = useState(asked);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button className="px-3 text-sm" onClick={() => setOpen(true)}>
        <Hammer aria-hidden size={18} /> Build
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Build the session"
        intro={`${props.doc.bookedMin} min for those who come, here, from what each of them needs.`}
        startsAtField={false}
        wide
      >
        {form && <form.BuildForm {...props} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}
