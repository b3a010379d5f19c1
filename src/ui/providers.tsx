'use client';

import { getNonce, setNonce } from 'get-nonce';
import type { ReactNode } from 'react';
import { FigureProvider } from './figure';
import { NoticeProvider } from './toast';

/** What every page of the application stands in. The nonce lets the scroll lock of open sheets set its styles. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  // The first one is the document's own; later ones belong to pages fetched into it, and would be refused.
  if (typeof window !== 'undefined' && nonce && !getNonce()) setNonce(nonce);
  return (
    <NoticeProvider>
      <FigureProvider>{children}</FigureProvider>
    </NoticeProvider>
  );
}
