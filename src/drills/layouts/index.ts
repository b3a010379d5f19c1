import type { Layout } from '@/core/movement/layout';
import type { Drill } from '../base/types';
import { feetLayouts } from './feet';
import { gameLayouts } from './games';
import { handLayouts } from './hands';
import type { LayoutChild, Layouts, LayoutStep } from './kit';
import { wallLayouts } from './wall';

export { layoutChild, type LayoutChild } from './kit';

/** What lies on the floor, by drill of the catalogue. */
export const layouts: Layouts = { ...feetLayouts, ...handLayouts, ...wallLayouts, ...gameLayouts };

/** What lies on the floor for one who works, in the clear room of the drill; null where nothing does. */
export function layoutOf(
  drill: Pick<Drill, 'id' | 'space'>,
  step: LayoutStep,
  child: LayoutChild,
): Layout | null {
  const { widthM, lengthM } = drill.space;
  return layouts[drill.id]?.({ widthM, depthM: lengthM }, step, child) ?? null;
}
