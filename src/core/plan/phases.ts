/** The parts of a session in the order they are run, with the share of the time that is suggested for each: ours. */
export const sessionPhases = [
  { id: 'retest', title: 'Retest', share: 0.08 },
  { id: 'loosen', title: 'Loosen', share: 0.12 },
  { id: 'feet and hands', title: 'Feet and hands', share: 0.25 },
  { id: 'racket and ball', title: 'Racket and ball', share: 0.3 },
  { id: 'stroke', title: 'Strokes', share: 0.15 },
  { id: 'game', title: 'Game', share: 0.1 },
] as const;
export type SessionPhaseId = (typeof sessionPhases)[number]['id'];

export interface PhaseShare {
  readonly id: SessionPhaseId;
  readonly title: string;
  readonly plannedS: number;
  /** Share of everything planned, 0 to 1. */
  readonly planned: number;
  readonly suggested: number;
}

/** How the planned time is shared out over the phases, beside what is suggested. */
export function phaseShares(
  blocks: readonly { readonly phase: SessionPhaseId; readonly totalS: number }[],
): PhaseShare[] {
  const allS = blocks.reduce((sum, block) => sum + block.totalS, 0);
  return sessionPhases.map(({ id, title, share }) => {
    const plannedS = blocks
      .filter((block) => block.phase === id)
      .reduce((sum, block) => sum + block.totalS, 0);
    return { id, title, plannedS, planned: allS > 0 ? plannedS / allS : 0, suggested: share };
  });
}
