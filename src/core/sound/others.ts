/** The label of what somebody else hits: it is told apart, and never counted. */
export const othersLabel = 'somebody else';

export const othersAre = (label: string): boolean => label === othersLabel;
