'use client';

import { createContext, type ReactNode } from 'react';
import type { Lengths } from '@/core/base/units';

/** In what this browser's coach reads lengths. It stands apart from what turns them, which most pages do without. */
export const LengthsContext = createContext<Lengths>('metres');

export function UnitsProvider({ lengths, children }: { lengths: Lengths; children: ReactNode }) {
  return <LengthsContext value={lengths}>{children}</LengthsContext>;
}
