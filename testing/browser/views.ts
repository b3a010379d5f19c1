import { screens, type ScreenName } from '../../src/features/shell/screens';
import { addresses, addressesOf, type ScreenIds } from './addresses';
import { demoPlayer, demoSession, type Asks } from './demo';

/** Ids of the demo that addresses are made with. */
export interface Ids extends ScreenIds {
  readonly bram: string;
}

/** The next session of the tennis group and the last one that was held, Nessa, a challenge that is on, a vow that runs. */
export async function demoIds(app: Asks): Promise<Ids> {
  const pick = async (what: string, sql: string) => {
    const [row] = await app.query(sql);
    if (!row) throw new Error(`The demo has no ${what}.`);
    return row.id as string;
  };
  // With hands, feet, a wall and Juno in it.
  const asked = { drill: 'clap-and-catch', player: 'Juno' };
  return {
    planned: (await demoSession(app, { ...asked, state: 'planned' })).id,
    held: (await demoSession(app, { ...asked, state: 'finished' })).id,
    player: await demoPlayer(app, 'Nessa'),
    bram: await demoPlayer(app, 'Bram'),
    challenge: await pick('challenge on level ground', `select id from challenge where kind = 'level'`),
    vow: await pick(
      'vow of Nessa’s',
      `select v.id from vow v join player p on p.id = v.player_id where p.name like 'Nessa%' order by v.until_day desc limit 1`,
    ),
  };
}

type Opened = {
  [Name in ScreenName]: (typeof addresses)[Name] extends { none: string } ? never : Name;
}[ScreenName];

/** Words that say that a screen is there, for each that can be opened by its address on the demo. */
const words: Readonly<Record<Opened, string | RegExp>> = {
  today: 'Coming up',
  sessions: 'Plans to come',
  courses: 'Make a course',
  squad: '9 players.',
  player: 'attempts in twelve weeks',
  progress: 'Would change its mind',
  family: 'What got better',
  needs: 'Ready to move',
  challenges: 'Marker week',
  board: 'Put it on the board',
  certificate: 'Called side',
  vows: 'vows running',
  'player-vows': 'Weeks ahead',
  'new-vow': 'Make the vow',
  'edit-vow': 'Change it from today',
  card: 'For whoever helps',
  drills: 'Starting points',
  drill: 'Teaching styles that act here',
  sequences: 'Stroke by stroke',
  'new-drill': 'The ladder, easiest first',
  wall: 'hits a minute',
  toss: 'touches a minute',
  feeder: 'Racket ready',
  net: 'of the far side',
  rally: 'Press the button',
  places: 'Slipway yard',
  schools: 'Otherwise for a player or a drill',
  plan: 'Breathless',
  'set-out': 'Your paces over ten metres',
  paper: 'To ask at the end',
  review: /Accept \d+ proposals/,
  counts: 'Back to the review',
  clip: 'Open a clip',
  find: 'found for',
  removed: 'Nothing has been removed',
  help: 'Short answers',
  settings: 'Copies of the book',
  files: 'Bring a file in',
  'sign-in': 'Forgotten?',
  everything: 'anybody else',
  run: 'Start block',
};

/** Every screen that can be opened on the demo: its address, and words that say it is there. */
export const views: readonly (readonly [name: string, path: (ids: Ids) => string, words: string | RegExp])[] =
  (Object.keys(words) as Opened[]).map((name) => [screens[name].title, addresses[name], words[name]]);

/** The addresses of the demo's screens by name, an empty page first: what benchmarks measure. */
export async function addressesOn(app: Asks): Promise<Record<string, string>> {
  return { blank: '/blank', ...Object.fromEntries(addressesOf(await demoIds(app))) };
}
