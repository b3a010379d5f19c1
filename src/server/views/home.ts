import type { TouchEvent } from '@/core/counting/event';
import { eventsOfBlocks } from '@/data/log';
import { getPlayer } from '@/data/squad';
import { vowsOfPlayer } from '@/data/vows';
import { cardOf, firstName, plainDose } from '@/session/vows/card';
import { earsOf } from '@/session/vows/ears';
import { isoDay } from '@/core/base/days';
import type { HomeView, HomeVow } from '@/session/vows/home-view';
import { latestMs, type Context } from '../base/context';
import { dayAfter } from '../base/days';
import { bookFor } from '../readers/book';
import { playerFacts } from '../readers/player-facts';
import { daysDone, readVow } from '../readers/vows';
import { resultsReady } from '../court/results';
import type { FromHome } from '../vows/home-log';
import { noteVowVisit, vowLinkState, type VowLinkState } from '../vows/links';

/** Days back that are shown and can be filled in, and days ahead that a phone without network can go on with. Ours. */
const [daysBack, daysAhead] = [14, 60];

/** A child's vows as their family sees them; null where the child is not on the squad. */
export async function homeView(
  context: Pick<Context, 'db' | 'today' | 'nowMs'>,
  { playerId, by, sign }: FromHome,
): Promise<HomeView | null> {
  const { db, today } = context;
  const row = await getPlayer(db, playerId);
  if (!row || row.removedAtMs !== null) return null;
  const book = await bookFor(db);
  const player = playerFacts(row, today);
  const from = dayAfter(today, -daysBack);
  const kept = (await vowsOfPlayer(db, playerId))
    .map(readVow)
    .filter(({ untilDay, endedOn }) => untilDay >= from && (endedOn === null || endedOn >= from))
    .reverse();
  const days = await daysDone(db, kept);
  const vows = kept.flatMap<HomeVow>(({ vow, untilDay, endedOn, pauses, thanks }, index) => {
    const own = (days.get(kept[index]!.id) ?? []).filter(({ day }) => endedOn === null || day <= endedOn);
    const card = cardOf(
      book,
      player,
      vow,
      endedOn ?? untilDay,
      own
        .filter(({ asked, day }) => asked && day >= today)
        .map(({ day, parts }) => ({ day, doses: parts.map(({ dose }) => dose) })),
    );
    if (!card) return [];
    return [
      {
        key: `v${index + 1}`,
        card,
        thanks,
        ears: earsOf(book, vow, playerId),
        days: own
          .filter(({ day }) => day >= from && day <= dayAfter(today, daysAhead))
          // What was another drill then is not on the card any more; what was counted of it still arrives.
          .filter(({ parts }) => parts.every(({ part, drillId }) => vow.parts[part]?.drillId === drillId))
          .filter(({ asked, free, attempts }) => asked || free || attempts.length > 0)
          .map(({ day, asked, parts }) => ({
            day,
            asked,
            parts: parts.map(({ part, blockId, stepId, dose }) => ({
              part,
              blockId,
              stepId,
              dose,
              words: plainDose(card.parts[part]!, dose),
            })),
          })),
        rests: pauses.map(
          (one) => [isoDay(one.from), one.until === null ? null : isoDay(one.until)] as const,
        ),
      },
    ];
  });
  const blockIds = vows.flatMap((one) =>
    one.days.flatMap(({ parts }) => parts.map(({ blockId }) => blockId)),
  );
  const events = (await eventsOfBlocks(db, blockIds)).flatMap<TouchEvent>((event) =>
    event.playerId === playerId ? [event.device.startsWith(sign) ? event : { ...event, by: null }] : [],
  );
  return {
    name: firstName(player.name),
    playerId,
    today,
    madeAtMs: latestMs(context),
    vows,
    events,
    by,
    sign,
  };
}

/** The same for a file, which begins with nothing: what was before yesterday, and what was counted, belong to the book. */
export function beginningNow(view: HomeView): HomeView {
  const from = dayAfter(view.today, -1);
  const vows = view.vows.map((vow) => ({ ...vow, days: vow.days.filter(({ day }) => day >= from) }));
  return { ...view, vows, events: [] };
}

/** What a family’s link opens, or why it opens nothing. Opening it is a use of it. */
export async function homePage(context: Context, token: string): Promise<HomeView | VowLinkState> {
  const link = await vowLinkState(context, token);
  if (link.kind !== 'open') return link;
  await resultsReady(context.db);
  const view = await homeView(context, link);
  if (!view) return { kind: 'unknown' };
  await noteVowVisit(context, token, link);
  return view;
}
