/** Median standing height and its spread at one age, both sexes together, cm. */
interface Growth {
  readonly medianCm: number;
  readonly spreadCm: number;
}

/**
 * Height by age: World Health Organization growth references (2006 for 4 years, 2007 from 5 to 19), medians of girls
 * and boys averaged because no sex is kept here; spreads are the references' standard deviations, widened from 14 on
 * where girls and boys part. Written down from memory.
 */
const byAge: Readonly<Record<number, Growth>> = {
  4: { medianCm: 103.0, spreadCm: 4.3 },
  5: { medianCm: 109.7, spreadCm: 4.7 },
  6: { medianCm: 115.5, spreadCm: 5.0 },
  7: { medianCm: 121.3, spreadCm: 5.4 },
  8: { medianCm: 126.9, spreadCm: 5.7 },
  9: { medianCm: 132.5, spreadCm: 6.0 },
  10: { medianCm: 138.2, spreadCm: 6.4 },
  11: { medianCm: 144.1, spreadCm: 6.7 },
  12: { medianCm: 150.2, spreadCm: 7.0 },
  13: { medianCm: 156.2, spreadCm: 7.2 },
  14: { medianCm: 161.5, spreadCm: 7.5 },
  15: { medianCm: 165.3, spreadCm: 8.1 },
  16: { medianCm: 167.7, spreadCm: 8.7 },
};
const [youngest, oldest] = [4, 16];

/** A height in metres with the range that two children in three fall into. */
export interface HeightEstimate {
  readonly valueM: number;
  readonly lowM: number;
  readonly highM: number;
  readonly measured: boolean;
}

/** Two children in three are within this much of a height that was measured some weeks ago: ours. */
const measuredSpreadM = 0.01;

/**
 * A child's height: as measured, or the median of the age with one standard deviation to both sides.
 * Ages outside 4 to 16 take the nearest.
 * @param heightCm null when it was not measured
 */
export function heightOf(age: number, heightCm: number | null): HeightEstimate {
  if (heightCm !== null) {
    const valueM = heightCm / 100;
    return { valueM, lowM: valueM - measuredSpreadM, highM: valueM + measuredSpreadM, measured: true };
  }
  const { medianCm, spreadCm } = byAge[Math.min(oldest, Math.max(youngest, Math.round(age)))]!;
  return {
    valueM: medianCm / 100,
    lowM: (medianCm - spreadCm) / 100,
    highM: (medianCm + spreadCm) / 100,
    measured: false,
  };
}
