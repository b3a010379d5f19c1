import { catalogue } from '@/drills';
import { sessionsBetween } from '@/data/session';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { benchesView } from './benches';
import { challengesView } from './challenges';
import { courtPage } from './court-page';
import { drillsView, drillView } from './drills';
import { filesView } from './files';
import { houseView } from './house';
import { needsView } from './needs';
import { placesView } from './places';
import { playerView } from './player';
import { progressView } from './progress';
import { schoolsView } from './schools';
import { sessionPlanView } from './session-plan';
import { sessionReviewView } from './session-review';
import { sessionsView } from './sessions';
import { settingsView } from './settings';
import { squadView } from './squad';
import { todayView } from './today';
import { playerVowsView, vowsView } from './vows';

/** Sessions of so many days around today are what is opened next. Ours. */
const daysAround = 8;
const [mostSessions, mostPlayers] = [6, 12];
/** Between two pages, longer than what is taken for one (data/reads.ts), milliseconds. */
const pauseMs = 500;

/**
 * Reads once what will be looked at first, where the database is far away: from then on what belongs to a page is asked
 * for together. What goes wrong here goes wrong again, and is said, when somebody asks for it.
 */
export async function warm(context: Context): Promise<void> {
  const { db, today } = context;
  const near = (await sessionsBetween(db, dayAfter(today, -daysAround), dayAfter(today, daysAround))).slice(
    0,
    mostSessions,
  );
  const { players } = await squadView(context);
  const pages: readonly (() => Promise<unknown>)[] = [
    () => todayView(context),
    () => sessionsView(context, 0),
    () => drillsView(context),
    () => drillView(context, catalogue[0]!.id),
    () => placesView(context),
    () => schoolsView(context),
    () => benchesView(context),
    () => vowsView(context),
    () => needsView(context),
    () => challengesView(context),
    () => settingsView(context),
    () => filesView(context),
    ...players
      .slice(0, mostPlayers)
      .flatMap<() => Promise<unknown>>(({ id }) => [
        () => playerView(context, id),
        () => progressView(context, id),
        () => playerVowsView(context, id),
      ]),
    ...near.flatMap<() => Promise<unknown>>(({ id, state }) =>
      state === 'finished'
        ? [() => sessionReviewView(context, id)]
        : [() => sessionPlanView(context, id), () => courtPage(context, id)],
    ),
  ];
  for (const page of pages) {
    await new Promise((resolve) => setTimeout(resolve, pauseMs).unref());
    await Promise.all([page(), houseView(context)]).catch(() => undefined);
  }
}
