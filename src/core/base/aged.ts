/** Years by the calendar from one local ISO day to another: age is by year of birth. */
export const yearsBetween = (from: string, to: string): number =>
  Number(to.slice(0, 4)) - Number(from.slice(0, 4));

/** People at the ages they have so many years later, or earlier. */
export const aged = <P extends { readonly age: number }>(
  people: readonly P[],
  years: number,
): readonly P[] => (years === 0 ? people : people.map((one) => ({ ...one, age: one.age + years })));
