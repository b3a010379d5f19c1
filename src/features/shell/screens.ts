/*
 * Every screen there is, once: the navigation, the tests of access, the browser tests, the benchmarks and the pictures read
 * it. A page that is not in it fails `screens.test`.
 */

/** Where a screen belongs in the navigation; `aside` stands at its right end, `none` is under no item. */
export type Topic =
  'today' | 'sessions' | 'squad' | 'vows' | 'drills' | 'calculators' | 'places' | 'aside' | 'none';

export interface Screen {
  readonly title: string;
  readonly topic: Topic;
  /** Its page in `src/app`, as the address with its parts in brackets. */
  readonly route: string;
  /** Who may see it: anybody, whoever has the link, who is signed in (`see`), or who may change things (`write`). */
  readonly seenBy: 'anybody' | 'link' | 'see' | 'write';
}

export const screens = {
  today: { title: 'Today', topic: 'today', route: '/', seenBy: 'see' },
  sessions: { title: 'Sessions', topic: 'sessions', route: '/sessions', seenBy: 'see' },
  courses: { title: 'Courses', topic: 'sessions', route: '/courses', seenBy: 'see' },
  course: { title: 'Course', topic: 'sessions', route: '/courses/[id]', seenBy: 'see' },
  'course-paper': {
    title: 'Course on paper',
    topic: 'sessions',
    route: '/courses/[id]/paper',
    seenBy: 'see',
  },
  plan: { title: 'Plan', topic: 'sessions', route: '/sessions/[id]/plan', seenBy: 'see' },
  'set-out': { title: 'Set-out', topic: 'sessions', route: '/sessions/[id]/set-out', seenBy: 'see' },
  paper: { title: 'On paper', topic: 'sessions', route: '/sessions/[id]/paper', seenBy: 'see' },
  run: { title: 'Run', topic: 'none', route: '/sessions/[id]/run', seenBy: 'see' },
  review: { title: 'Review', topic: 'sessions', route: '/sessions/[id]/review', seenBy: 'see' },
  counts: { title: 'Counts', topic: 'sessions', route: '/sessions/[id]/counts', seenBy: 'see' },
  clip: { title: 'Clip', topic: 'sessions', route: '/sessions/[id]/clip', seenBy: 'see' },
  squad: { title: 'Squad', topic: 'squad', route: '/squad', seenBy: 'see' },
  needs: { title: 'Who needs you', topic: 'squad', route: '/squad/needs', seenBy: 'see' },
  challenges: { title: 'Challenges', topic: 'squad', route: '/squad/challenges', seenBy: 'see' },
  board: { title: 'Board', topic: 'squad', route: '/challenges/[id]', seenBy: 'see' },
  certificate: {
    title: 'Certificate',
    topic: 'squad',
    route: '/challenges/[id]/certificate/[player]',
    seenBy: 'see',
  },
  player: { title: 'Player', topic: 'squad', route: '/players/[id]', seenBy: 'see' },
  progress: { title: 'Progress', topic: 'squad', route: '/players/[id]/progress', seenBy: 'see' },
  family: { title: 'For the family', topic: 'squad', route: '/players/[id]/family', seenBy: 'see' },
  everything: { title: 'Everything', topic: 'squad', route: '/players/[id]/everything', seenBy: 'see' },
  'player-vows': { title: 'A player’s vows', topic: 'squad', route: '/players/[id]/vows', seenBy: 'see' },
  vows: { title: 'Vows', topic: 'vows', route: '/vows', seenBy: 'see' },
  'new-vow': { title: 'Make a vow', topic: 'vows', route: '/vows/new', seenBy: 'write' },
  'edit-vow': { title: 'Change a vow', topic: 'vows', route: '/vows/[id]/edit', seenBy: 'write' },
  card: { title: 'Card', topic: 'vows', route: '/vows/[id]/card', seenBy: 'see' },
  drills: { title: 'Drills', topic: 'drills', route: '/drills', seenBy: 'see' },
  drill: { title: 'Drill', topic: 'drills', route: '/drills/[id]', seenBy: 'see' },
  sequences: { title: 'Shadow sequences', topic: 'drills', route: '/drills/sequences', seenBy: 'see' },
  'new-drill': { title: 'Write a drill', topic: 'drills', route: '/drills/new', seenBy: 'write' },
  'edit-drill': { title: 'Change a drill', topic: 'drills', route: '/drills/[id]/edit', seenBy: 'write' },
  wall: { title: 'Wall', topic: 'calculators', route: '/benches/[bench]', seenBy: 'see' },
  toss: { title: 'Toss and tap', topic: 'calculators', route: '/benches/[bench]', seenBy: 'see' },
  feeder: { title: 'Feeder', topic: 'calculators', route: '/benches/[bench]', seenBy: 'see' },
  net: { title: 'Over the net', topic: 'calculators', route: '/benches/[bench]', seenBy: 'see' },
  rally: { title: 'What if', topic: 'calculators', route: '/benches/[bench]', seenBy: 'see' },
  places: { title: 'Places', topic: 'places', route: '/places', seenBy: 'see' },
  schools: { title: 'Teaching styles', topic: 'none', route: '/schools', seenBy: 'see' },
  find: { title: 'Find', topic: 'aside', route: '/find', seenBy: 'see' },
  help: { title: 'Help', topic: 'aside', route: '/help', seenBy: 'see' },
  settings: { title: 'Settings', topic: 'aside', route: '/settings', seenBy: 'see' },
  files: { title: 'Files', topic: 'none', route: '/files', seenBy: 'see' },
  removed: { title: 'Removed', topic: 'none', route: '/removed', seenBy: 'see' },
  'sign-in': { title: 'Sign in', topic: 'none', route: '/sign-in', seenBy: 'anybody' },
  helper: { title: 'A helper’s page', topic: 'none', route: '/help/[token]', seenBy: 'link' },
} as const satisfies Readonly<Record<string, Screen>>;

export type ScreenName = keyof typeof screens;
export const screenNames = Object.keys(screens) as ScreenName[];

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
