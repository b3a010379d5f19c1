'use client';

import { usePart } from '@/ui/use-part';
import type { CallBanner } from './call-banner';

/** Fetched where a block is called, and kept for a reload without the server. */
export const loadCalls = () => import('./call-banner');

/** The call that stands; its room is there before it is. */
export function CallLater(props: Parameters<typeof CallBanner>[0]) {
  const part = usePart(loadCalls, true);
  return part ? <part.CallBanner {...props} /> : <div className="h-24 shrink-0" aria-busy />;
}
