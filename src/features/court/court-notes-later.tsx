'use client';

import { usePart } from '@/ui/use-part';
import type { CourtNotesProps } from './court-notes';

const load = () => import('./court-notes');

/** The notes of a court, fetched once it is alive: most sessions have none. */
export function CourtNotesLater(props: CourtNotesProps) {
  const part = usePart(load);
  return part && <part.CourtNotes {...props} />;
}
