/** The label of what somebody else hits: it is told apart, and never counted. */
export const othersLabel = 'somebody else';

/** The label of the other side, where two sides sound different and come in turn: both are counted. */
export const otherSideLabel = 'the other side';

export const othersAre = (label: string): boolean => label === othersLabel;
