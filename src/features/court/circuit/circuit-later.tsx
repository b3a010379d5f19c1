'use client';

import { usePart } from '@/ui/use-part';
import { CourtHead, type CourtHeadProps } from '../court-head';
import type { CircuitCourtProps } from './circuit-court';

/** Fetched where there is a circuit, and kept for a reload without the server. */
export const loadCircuit = () => import('./circuit-court');

export function CircuitLater(props: CircuitCourtProps) {
  const part = usePart(loadCircuit, true);
  return part ? <part.CircuitCourt {...props} /> : <div className="flex-1" aria-busy />;
}

/** The head of a circuit; until that is there, the head of its first station. */
export function CircuitHeadLater(props: CourtHeadProps) {
  const part = usePart(loadCircuit);
  return part ? <part.CircuitHead {...props} /> : <CourtHead {...props} />;
}
