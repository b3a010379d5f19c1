/*
 * Every screen there is, once: the navigation, the tests of access, the browser tests, the benchmarks and the pictures read
 * it. A page that is not in it fails `screens.test`.
 */

/** Where a screen belongs in the navigation; `aside` stands at its right end, `none` is under no item. */
export type Topic =
  'today' | 'sessions' | 'squad' | 'vows' | 'drills' | 'calculators' | 'places' | 'aside' | 'none';

/** Things an address can be made with. */
export interface ScreenIds {
  /** A session that is to come, and one that was held with somebody who counted. */
  readonly planned: string;
  readonly held: string;
  readonly player: string;
  readonly challenge: string;
  readonly vow: string;
}

export interface Screen {
  readonly title: string;
  readonly topic: Topic;
  /** Its page in `src/app`, as the address with its parts in brackets. */
  readonly route: string;
  /** Who may see it: anybody, whoever has the link, who is signed in (`see`), or who may change things (`write`). */
  readonly seenBy: 'anybody' | 'link' | 'see' | 'write';
  /** An address of it; null where it needs something that has to be made first, and the reason. */
  readonly address: ((ids: ScreenIds) => string) | { readonly none: string };
}

export const screens = {
  today: { title: 'Today', topic: 'today', route: '/', seenBy: 'see', address: () => '/' },
  sessions: {
    title: 'Sessions',
    topic: 'sessions',
    route: '/sessions',
    seenBy: 'see',
    address: () => '/sessions',
  },
  courses: {
    title: 'Courses',
    topic: 'sessions',
    route: '/courses',
    seenBy: 'see',
    address: () => '/courses',
  },
  course: {
    title: 'Course',
    topic: 'sessions',
    route: '/courses/[id]',
    seenBy: 'see',
    address: { none: 'the demo has no course: the walk of courses makes one' },
  },
  'course-paper': {
    title: 'Course on paper',
    topic: 'sessions',
    route: '/courses/[id]/paper',
    seenBy: 'see',
    address: { none: 'the demo has no course: the walk of courses makes one' },
  },
  plan: {
    title: 'Plan',
    topic: 'sessions',
    route: '/sessions/[id]/plan',
    seenBy: 'see',
    address: ({ planned }) => `/sessions/${planned}/plan`,
  },
  'set-out': {
    title: 'Set-out',
    topic: 'sessions',
    route: '/sessions/[id]/set-out',
    seenBy: 'see',
    address: ({ planned }) => `/sessions/${planned}/set-out`,
  },
  paper: {
    title: 'On paper',
    topic: 'sessions',
    route: '/sessions/[id]/paper',
    seenBy: 'see',
    address: ({ planned }) => `/sessions/${planned}/paper`,
  },
  run: {
    title: 'Run',
    topic: 'none',
    route: '/sessions/[id]/run',
    seenBy: 'see',
    address: ({ planned }) => `/sessions/${planned}/run`,
  },
  review: {
    title: 'Review',
    topic: 'sessions',
    route: '/sessions/[id]/review',
    seenBy: 'see',
    address: ({ held }) => `/sessions/${held}/review`,
  },
  counts: {
    title: 'Counts',
    topic: 'sessions',
    route: '/sessions/[id]/counts',
    seenBy: 'see',
    address: ({ held }) => `/sessions/${held}/counts`,
  },
  clip: {
    title: 'Clip',
    topic: 'sessions',
    route: '/sessions/[id]/clip',
    seenBy: 'see',
    address: ({ held }) => `/sessions/${held}/clip`,
  },
  squad: { title: 'Squad', topic: 'squad', route: '/squad', seenBy: 'see', address: () => '/squad' },
  needs: {
    title: 'Who needs you',
    topic: 'squad',
    route: '/squad/needs',
    seenBy: 'see',
    address: () => '/squad/needs',
  },
  challenges: {
    title: 'Challenges',
    topic: 'squad',
    route: '/squad/challenges',
    seenBy: 'see',
    address: () => '/squad/challenges',
  },
  board: {
    title: 'Board',
    topic: 'squad',
    route: '/challenges/[id]',
    seenBy: 'see',
    address: ({ challenge }) => `/challenges/${challenge}`,
  },
  certificate: {
    title: 'Certificate',
    topic: 'squad',
    route: '/challenges/[id]/certificate/[player]',
    seenBy: 'see',
    address: ({ challenge, player }) => `/challenges/${challenge}/certificate/${player}`,
  },
  player: {
    title: 'Player',
    topic: 'squad',
    route: '/players/[id]',
    seenBy: 'see',
    address: ({ player }) => `/players/${player}?drill=palm-up-bounce`,
  },
  progress: {
    title: 'Progress',
    topic: 'squad',
    route: '/players/[id]/progress',
    seenBy: 'see',
    address: ({ player }) => `/players/${player}/progress?drill=ring-target`,
  },
  family: {
    title: 'For the family',
    topic: 'squad',
    route: '/players/[id]/family',
    seenBy: 'see',
    address: ({ player }) => `/players/${player}/family`,
  },
  everything: {
    title: 'Everything',
    topic: 'squad',
    route: '/players/[id]/everything',
    seenBy: 'see',
    address: ({ player }) => `/players/${player}/everything`,
  },
  'player-vows': {
    title: 'A player’s vows',
    topic: 'squad',
    route: '/players/[id]/vows',
    seenBy: 'see',
    address: ({ player }) => `/players/${player}/vows`,
  },
  vows: { title: 'Vows', topic: 'vows', route: '/vows', seenBy: 'see', address: () => '/vows' },
  'new-vow': {
    title: 'Make a vow',
    topic: 'vows',
    route: '/vows/new',
    seenBy: 'write',
    address: ({ player }) => `/vows/new?player=${player}&drill=rim-roll`,
  },
  'edit-vow': {
    title: 'Change a vow',
    topic: 'vows',
    route: '/vows/[id]/edit',
    seenBy: 'write',
    address: ({ vow }) => `/vows/${vow}/edit`,
  },
  card: {
    title: 'Card',
    topic: 'vows',
    route: '/vows/[id]/card',
    seenBy: 'see',
    address: ({ vow }) => `/vows/${vow}/card`,
  },
  drills: { title: 'Drills', topic: 'drills', route: '/drills', seenBy: 'see', address: () => '/drills' },
  drill: {
    title: 'Drill',
    topic: 'drills',
    route: '/drills/[id]',
    seenBy: 'see',
    address: () => '/drills/retreat-for-the-high-ball',
  },
  sequences: {
    title: 'Shadow sequences',
    topic: 'drills',
    route: '/drills/sequences',
    seenBy: 'see',
    address: ({ player }) => `/drills/sequences?player=${player}`,
  },
  'new-drill': {
    title: 'Write a drill',
    topic: 'drills',
    route: '/drills/new',
    seenBy: 'write',
    address: () => '/drills/new?vary=soft-catch',
  },
  'edit-drill': {
    title: 'Change a drill',
    topic: 'drills',
    route: '/drills/[id]/edit',
    seenBy: 'write',
    address: { none: 'the demo has no drill of its own: the walk of drills writes one' },
  },
  wall: {
    title: 'Wall',
    topic: 'calculators',
    route: '/benches/[bench]',
    seenBy: 'see',
    address: ({ player }) => `/benches/wall?player=${player}`,
  },
  toss: {
    title: 'Toss and tap',
    topic: 'calculators',
    route: '/benches/[bench]',
    seenBy: 'see',
    address: ({ player }) => `/benches/toss?player=${player}`,
  },
  feeder: {
    title: 'Feeder',
    topic: 'calculators',
    route: '/benches/[bench]',
    seenBy: 'see',
    address: ({ player }) => `/benches/feeder?player=${player}`,
  },
  net: {
    title: 'Over the net',
    topic: 'calculators',
    route: '/benches/[bench]',
    seenBy: 'see',
    address: ({ player }) => `/benches/net?player=${player}`,
  },
  rally: {
    title: 'What if',
    topic: 'calculators',
    route: '/benches/[bench]',
    seenBy: 'see',
    address: ({ player }) => `/benches/rally?player=${player}`,
  },
  places: { title: 'Places', topic: 'places', route: '/places', seenBy: 'see', address: () => '/places' },
  schools: {
    title: 'Teaching styles',
    topic: 'none',
    route: '/schools',
    seenBy: 'see',
    address: () => '/schools',
  },
  find: { title: 'Find', topic: 'aside', route: '/find', seenBy: 'see', address: () => '/find?q=hands' },
  help: { title: 'Help', topic: 'aside', route: '/help', seenBy: 'see', address: () => '/help' },
  settings: {
    title: 'Settings',
    topic: 'aside',
    route: '/settings',
    seenBy: 'see',
    address: () => '/settings',
  },
  files: { title: 'Files', topic: 'none', route: '/files', seenBy: 'see', address: () => '/files' },
  removed: { title: 'Removed', topic: 'none', route: '/removed', seenBy: 'see', address: () => '/removed' },
  'sign-in': {
    title: 'Sign in',
    topic: 'none',
    route: '/sign-in',
    seenBy: 'anybody',
    address: () => '/sign-in',
  },
  helper: {
    title: 'A helper’s page',
    topic: 'none',
    route: '/help/[token]',
    seenBy: 'link',
    address: { none: 'its link is made on court: the walk of helpers makes one' },
  },
} as const satisfies Readonly<Record<string, Screen>>;

export type ScreenName = keyof typeof screens;
export const screenNames = Object.keys(screens) as ScreenName[];

/** The screens that can be opened by an address, with it. */
export const addressesOf = (ids: ScreenIds): [ScreenName, string][] =>
  screenNames.flatMap((name) => {
    const { address }: Screen = screens[name];
    return typeof address === 'function' ? [[name, address(ids)] as [ScreenName, string]] : [];
  });

/** Does an address lead to a route? A part in brackets is any. */
export function leadsTo(route: string, path: string): boolean {
  const [asked, parts] = [route.split('/'), path.split('/')];
  return (
    asked.length === parts.length && asked.every((part, at) => part.startsWith('[') || part === parts[at])
  );
}

/** The topic an address belongs to: what the navigation marks. A fixed part tells more than one in brackets. */
export function topicOf(path: string): Topic {
  const found = screenNames
    .map((name): Screen => screens[name])
    .filter(({ route }) => leadsTo(route, path))
    .sort((a, b) => a.route.split('[').length - b.route.split('[').length);
  return found[0]?.topic ?? 'none';
}
