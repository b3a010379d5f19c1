import type { Client } from '@libsql/client';

/** Addresses of the main views on a book, by name; an empty page first. */
export async function viewsOf(client: Client): Promise<Record<string, string>> {
  const one = async (sql: string) => (await client.execute(sql)).rows[0]!.id as string;
  const planned = await one(
    `select id from session where state = 'planned' order by day, start_time limit 1`,
  );
  const held = await one(
    `select id from session where state = 'finished' and kind = 'court' order by day desc, start_time desc limit 1`,
  );
  const player = await one(`select id from player where name like 'Nessa%'`);
  return {
    blank: '/blank',
    today: '/',
    sessions: '/sessions',
    courses: '/courses',
    squad: '/squad',
    drills: '/drills',
    drill: '/drills/palm-up-bounce',
    sequences: `/drills/sequences?player=${player}`,
    wall: `/benches/wall?player=${player}`,
    rally: `/benches/rally?player=${player}`,
    places: '/places',
    schools: '/schools',
    player: `/players/${player}?drill=racket-wall-rally`,
    progress: `/players/${player}/progress`,
    vows: '/vows',
    'player-vows': `/players/${player}/vows`,
    needs: '/squad/needs',
    challenges: '/squad/challenges',
    settings: '/settings',
    files: '/files',
    plan: `/sessions/${planned}/plan`,
    'set-out': `/sessions/${planned}/set-out`,
    run: `/sessions/${planned}/run`,
    review: `/sessions/${held}/review`,
    clip: `/sessions/${held}/clip`,
  };
}
