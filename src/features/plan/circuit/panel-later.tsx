'use client';

import { usePart } from '@/ui/use-part';
import type { CircuitPanelProps } from './circuit-panel';

const load = () => import('./circuit-panel');

/** The circuit of a block, fetched where there is one. */
export function CircuitLater(props: CircuitPanelProps) {
  const part = usePart(load);
  return part && <part.CircuitPanel {...props} />;
}
