/** What a vow is called: its drills by their names. */
export const titleOfParts = (drills: readonly string[]): string => drills.join(' and ');
