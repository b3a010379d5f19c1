import { helperView, type HelperView } from './helper';
import type { Context } from '../base/context';
import type { LinkState } from '../court/helper-links';
import { houseView } from './house';
import { pageHouse, type PageHouse } from './page-house';
import { sessionRunView, type SessionRunView } from './session-run';

/** A court page: the session as it is run, and what it needs of the house. */
export interface CourtPage<V> {
  readonly view: V;
  readonly house: PageHouse;
}

/** The court page of a session; null when there is no such session. */
export async function courtPage(context: Context, id: string): Promise<CourtPage<SessionRunView> | null> {
  const [view, house] = await Promise.all([sessionRunView(context, id), houseView(context)]);
  return (
    view && {
      view,
      house: pageHouse(
        house,
        view.blocks.map((block) => block.drillId),
      ),
    }
  );
}

/** The page of a helper's link, with nothing of the house but the drills that are run; or why the link is closed. */
export async function helperPage(
  context: Context,
  token: string,
): Promise<CourtPage<Omit<HelperView, 'contents'>> | LinkState> {
  const helped = await helperView(context, token);
  if ('kind' in helped) return helped;
  const { contents, ...view } = helped;
  const drillIds = view.blocks.map((block) => block.drillId);
  return { view, house: pageHouse({ contents, places: [] }, drillIds) };
}
