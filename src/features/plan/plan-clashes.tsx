'use client';

import { askedOf, ClashNote, useClashes } from '@/features/plan/sessions/clashes';
import type { PlanDoc } from './plan-store';

interface Props {
  readonly doc: PlanDoc;
  readonly sessionId: string;
  /** True while it can still be held at another time. */
  readonly planned: boolean;
  readonly onChange: (fields: Partial<Pick<PlanDoc, 'day' | 'startTime'>>) => void;
}

/** What the booking of a plan collides with, and what is free instead. */
export function PlanClashes({ doc, sessionId, planned, onChange }: Props) {
  const { found } = useClashes(planned ? askedOf(doc, sessionId) : null);
  return (
    <ClashNote
      found={found}
      onDay={(day) => onChange({ day })}
      onStart={(startTime) => onChange({ startTime })}
      className="mb-2"
    />
  );
}
