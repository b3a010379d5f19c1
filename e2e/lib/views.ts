import type { App } from './app';
import { demoPlayer, demoSession } from './demo';

/** Ids of the demo that addresses are made with. */
export interface Ids {
  /** The next session of the tennis group, and the last one that was held: with hands, feet, a wall and Juno in it. */
  readonly planned: string;
  readonly held: string;
  readonly nessa: string;
  readonly bram: string;
  /** A challenge that is on, and somebody in it. */
  readonly challenge: string;
  /** A vow of Nessa’s that runs. */
  readonly vow: string;
}

export async function demoIds(app: App): Promise<Ids> {
  const pick = async (what: string, sql: string) => {
    const [row] = await app.query(sql);
    if (!row) throw new Error(`The demo has no ${what}.`);
    return row.id as string;
  };
  const asked = { drill: 'clap-and-catch', player: 'Juno' };
  return {
    planned: (await demoSession(app, { ...asked, state: 'planned' })).id,
    held: (await demoSession(app, { ...asked, state: 'finished' })).id,
    nessa: await demoPlayer(app, 'Nessa'),
    bram: await demoPlayer(app, 'Bram'),
    challenge: await pick('challenge on level ground', `select id from challenge where kind = 'level'`),
    vow: await pick(
      'vow of Nessa’s',
      `select v.id from vow v join player p on p.id = v.player_id where p.name like 'Nessa%' order by v.until_day desc limit 1`,
    ),
  };
}

/** Every view there is: its address on the demo, and words that say it is there. */
export const views: readonly (readonly [name: string, path: (ids: Ids) => string, words: string | RegExp])[] =
  [
    ['Today', () => '/', 'Coming up'],
    ['Sessions', () => '/sessions', 'Plans to come'],
    ['Courses', () => '/courses', 'Make a course'],
    ['Squad', () => '/squad', '9 players.'],
    ['Player', (ids) => `/players/${ids.nessa}?drill=palm-up-bounce`, 'attempts in twelve weeks'],
    ['Progress', (ids) => `/players/${ids.nessa}/progress?drill=ring-target`, 'Would change its mind'],
    ['For the family', (ids) => `/players/${ids.nessa}/family`, 'What got better'],
    ['Who needs you', () => '/squad/needs', 'Ready to move'],
    ['Challenges', () => '/squad/challenges', 'Marker week'],
    ['Board', (ids) => `/challenges/${ids.challenge}`, 'Put it on the board'],
    ['Certificate', (ids) => `/challenges/${ids.challenge}/certificate/${ids.nessa}`, 'Called side'],
    ['Vows', () => '/vows', 'vows running'],
    ['A player’s vows', (ids) => `/players/${ids.nessa}/vows`, 'Weeks ahead'],
    ['Make a vow', (ids) => `/vows/new?player=${ids.nessa}&drill=rim-roll`, 'Make the vow'],
    ['Change a vow', (ids) => `/vows/${ids.vow}/edit`, 'Change it from today'],
    ['Card', (ids) => `/vows/${ids.vow}/card`, 'For whoever helps'],
    ['Drills', () => '/drills', 'Starting points'],
    ['Drill', () => '/drills/retreat-for-the-high-ball', 'Teaching styles that act here'],
    ['Shadow sequences', (ids) => `/drills/sequences?player=${ids.nessa}`, 'Stroke by stroke'],
    ['Write a drill', () => '/drills/new?vary=soft-catch', 'The ladder, easiest first'],
    ['Wall', (ids) => `/benches/wall?player=${ids.nessa}`, 'hits a minute'],
    ['Toss and tap', (ids) => `/benches/toss?player=${ids.nessa}`, 'touches a minute'],
    ['Feeder', (ids) => `/benches/feeder?player=${ids.nessa}`, 'Racket ready'],
    ['Over the net', (ids) => `/benches/net?player=${ids.nessa}`, 'of the far side'],
    ['What if', (ids) => `/benches/rally?player=${ids.nessa}`, 'Press the button'],
    ['Places', () => '/places', 'Slipway yard'],
    ['Teaching styles', () => '/schools', 'Otherwise for a player or a drill'],
    ['Plan', (ids) => `/sessions/${ids.planned}/plan`, 'Breathless'],
    ['Set-out', (ids) => `/sessions/${ids.planned}/set-out`, 'Your paces over ten metres'],
    ['On paper', (ids) => `/sessions/${ids.planned}/paper`, 'To ask at the end'],
    ['Review', (ids) => `/sessions/${ids.held}/review`, /Accept \d+ proposals/],
    ['Counts', (ids) => `/sessions/${ids.held}/counts`, 'Back to the review'],
    ['Clip', (ids) => `/sessions/${ids.held}/clip`, 'Open a clip'],
    ['Find', () => '/find?q=hands', 'found for'],
    ['Removed', () => '/removed', 'Nothing has been removed'],
    ['Help', () => '/help', 'Short answers'],
    ['Settings', () => '/settings', 'Copies of the book'],
    ['Files', () => '/files', 'Bring a file in'],
    ['Sign in', () => '/sign-in', 'Forgotten?'],
    ['Everything', (ids) => `/players/${ids.nessa}/everything`, 'anybody else'],
    ['Run', (ids) => `/sessions/${ids.planned}/run`, 'Start block'],
  ];
