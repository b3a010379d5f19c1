import { catalogue } from '@/drills';
import { warmUps } from '@/session/plan/evaluate';
import type { Drill } from '@/drills/base/types';
import type { HouseView } from './house';

/** What a page is given that shows some drills and no others. */
export interface PageHouse extends HouseView {
  readonly drills: readonly Drill[];
}

/** The house as a page needs it that shows these drills: of the catalogue only them, and what care offers to warm up. */
export function pageHouse(house: HouseView, drillIds: readonly string[]): PageHouse {
  const ids = new Set([...drillIds, ...Object.values(warmUps)]);
  const { own, retired, choices } = house.contents;
  return {
    ...house,
    contents: { own: own.filter(({ id }) => ids.has(id)), retired, choices },
    drills: catalogue.filter(({ id }) => ids.has(id)),
  };
}
