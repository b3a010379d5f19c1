/** How often a step is shown to a group, as often as its youngest needs: three times up to nine years, then twice. Ours. */
export const demonstrationsFor = (youngestAge: number): number => (youngestAge <= 9 ? 3 : 2);
