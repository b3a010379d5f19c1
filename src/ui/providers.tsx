'use client';

import { setNonce } from 'get-nonce';
import type { ReactNode } from 'react';
import { FigureProvider } from './figure';
import { NoticeProvider } from './toast';

/** What every page of the application stands in. The nonce lets the scroll lock of open sheets set its styles. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  if (nonce) setNonce(nonce);
  return (
    <NoticeProvider>
      <FigureProvider>{children}</FigureProvider>
    </NoticeProvider>
  );
}
