import { screenNames, type ScreenName } from '../../src/features/shell/screens';

/*
 * Where each screen is found on the demo: what browser tests, benchmarks and pictures open. A new screen does not compile
 * before it has an address here, or says why it has none.
 */

/** Things an address can be made with. */
export interface ScreenIds {
  /** A session that is to come, and one that was held with somebody who counted. */
  readonly planned: string;
  readonly held: string;
  readonly player: string;
  readonly challenge: string;
  readonly vow: string;
}

/** An address; or the reason why there is none: it needs something that has to be made first. */
type Address = ((ids: ScreenIds) => string) | { readonly none: string };

export const addresses = {
  today: () => '/',
  sessions: () => '/sessions',
  courses: () => '/courses',
  course: { none: 'the demo has no course: the walk of courses makes one' },
  'course-paper': { none: 'the demo has no course: the walk of courses makes one' },
  plan: ({ planned }) => `/sessions/${planned}/plan`,
  'set-out': ({ planned }) => `/sessions/${planned}/set-out`,
  paper: ({ planned }) => `/sessions/${planned}/paper`,
  run: ({ planned }) => `/sessions/${planned}/run`,
  review: ({ held }) => `/sessions/${held}/review`,
  counts: ({ held }) => `/sessions/${held}/counts`,
  clip: ({ held }) => `/sessions/${held}/clip`,
  squad: () => '/squad',
  needs: () => '/squad/needs',
  challenges: () => '/squad/challenges',
  board: ({ challenge }) => `/challenges/${challenge}`,
  certificate: ({ challenge, player }) => `/challenges/${challenge}/certificate/${player}`,
  player: ({ player }) => `/players/${player}?drill=palm-up-bounce`,
  progress: ({ player }) => `/players/${player}/progress?drill=ring-target`,
  family: ({ player }) => `/players/${player}/family`,
  everything: ({ player }) => `/players/${player}/everything`,
  'player-vows': ({ player }) => `/players/${player}/vows`,
  vows: () => '/vows',
  'new-vow': ({ player }) => `/vows/new?player=${player}&drill=rim-roll`,
  'edit-vow': ({ vow }) => `/vows/${vow}/edit`,
  card: ({ vow }) => `/vows/${vow}/card`,
  drills: () => '/drills',
  drill: () => '/drills/retreat-for-the-high-ball',
  sequences: ({ player }) => `/drills/sequences?player=${player}`,
  'new-drill': () => '/drills/new?vary=soft-catch',
  'edit-drill': { none: 'the demo has no drill of its own: the walk of drills writes one' },
  wall: ({ player }) => `/benches/wall?player=${player}`,
  toss: ({ player }) => `/benches/toss?player=${player}`,
  feeder: ({ player }) => `/benches/feeder?player=${player}`,
  net: ({ player }) => `/benches/net?player=${player}`,
  rally: ({ player }) => `/benches/rally?player=${player}`,
  places: () => '/places',
  schools: () => '/schools',
  find: () => '/find?q=hands',
  help: () => '/help',
  settings: () => '/settings',
  files: () => '/files',
  removed: () => '/removed',
  'sign-in': () => '/sign-in',
  helper: { none: 'its link is made on court: the walk of helpers makes one' },
} as const satisfies Readonly<Record<ScreenName, Address>>;

/** The screens that can be opened by an address, with it. */
export const addressesOf = (ids: ScreenIds): [ScreenName, string][] =>
  screenNames.flatMap((name) => {
    const address: Address = addresses[name];
    return typeof address === 'function' ? [[name, address(ids)] as [ScreenName, string]] : [];
  });
