import { tableSize } from '../surfaces';

/** A court as the over-the-net bench knows it. Metres. */
export interface Court {
  readonly label: string;
  readonly lengthM: number;
  readonly widthM: number;
  /** Net height in the middle and at its ends, over the floor (on a table: over the floor too). */
  readonly netM: number;
  readonly netEndM: number;
  /** Height of the surface that is played on. */
  readonly levelM: number;
}

export const courtKinds = ['full', 'orange', 'red', 'table'] as const;
export type CourtKind = (typeof courtKinds)[number];

/** ITF rules of tennis and its junior courts, ITTF laws of table tennis; written down from memory. */
export const courts: Readonly<Record<CourtKind, Court>> = {
  full: { label: 'full court', lengthM: 23.77, widthM: 8.23, netM: 0.914, netEndM: 1.07, levelM: 0 },
  orange: { label: 'orange court', lengthM: 18, widthM: 6.5, netM: 0.8, netEndM: 0.914, levelM: 0 },
  red: { label: 'red court', lengthM: 11, widthM: 5.5, netM: 0.8, netEndM: 0.838, levelM: 0 },
  table: {
    label: 'table',
    lengthM: tableSize.lengthM,
    widthM: tableSize.widthM,
    netM: tableSize.heightM + tableSize.netM,
    netEndM: tableSize.heightM + tableSize.netM,
    levelM: tableSize.heightM,
  },
};

/** Height of the net so far from its middle: it sags to the strap. */
export function netHeightAt({ netM, netEndM, widthM }: Court, sideM: number): number {
  return netM + (netEndM - netM) * Math.min(1, (2 * Math.abs(sideM)) / widthM);
}
