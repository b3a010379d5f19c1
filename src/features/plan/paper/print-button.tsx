'use client';

import { Printer } from 'lucide-react';
import { Button } from '@/ui/button';

/** Calls the browser's own print, which also makes a PDF. */
export function PrintButton() {
  return (
    <Button look="now" onClick={() => window.print()}>
      <Printer aria-hidden size={18} /> Print
    </Button>
  );
}
