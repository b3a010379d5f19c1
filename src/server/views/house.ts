import type { BookContents } from '@/drills';
import { listPlaces } from '@/data/places';
import { bookContents } from '../readers/book';
import type { Context } from '../base/context';

export interface HouseView {
  readonly contents: BookContents;
  readonly places: readonly { readonly id: string; readonly name: string }[];
}

/** What every page is given of the house. */
export async function houseView({ db }: Context): Promise<HouseView> {
  const [contents, places] = await Promise.all([bookContents(db), listPlaces(db)]);
  return { contents, places: places.map(({ id, name }) => ({ id, name })) };
}
