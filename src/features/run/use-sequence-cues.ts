'use client';

import { useEffect, useState } from 'react';
import type { Cue } from '@/core/calls/timeline';
import type { Phase } from '@/core/run/phases';
import type { SequenceSetting } from '@/core/setting';

const none: readonly Cue[] = [];

/** The cues of called sequences; what makes them is fetched only where a block has some. */
export function useSequenceCues(phases: readonly Phase[], sequence: SequenceSetting | null): readonly Cue[] {
  const [made, setMade] = useState<{ of: unknown; phases: unknown; cues: readonly Cue[] } | null>(null);
  useEffect(() => {
    if (!sequence) return;
    let gone = false;
    void import('@/core/calls/sequence-cues').then(({ sequenceCues }) => {
      if (!gone) setMade({ of: sequence, phases, cues: sequenceCues(phases, sequence) });
    });
    return () => {
      gone = true;
    };
  }, [phases, sequence]);
  return sequence && made?.of === sequence && made.phases === phases ? made.cues : none;
}
