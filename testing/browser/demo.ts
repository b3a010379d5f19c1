import type { InValue } from '@libsql/client';

/*
 * Things of the demo found by what they have, not by where they happen to stand. What a test needs and the demo lacks is
 * said in one sentence.
 */

/** Whatever can be asked of the demo's database. */
export interface Asks {
  readonly query: (sql: string, args?: InValue[]) => Promise<Record<string, unknown>[]>;
}

export interface DemoSession {
  readonly id: string;
  readonly title: string;
  readonly day: string;
  readonly startTime: string;
}

interface SessionAsked {
  readonly state: 'planned' | 'finished';
  readonly title?: string;
  /** The catalogue's id of a drill it has a block of. */
  readonly drill?: string;
  /** How the name of somebody begins who comes to it and does that drill. */
  readonly player?: string;
}

/** A session on court: the next one that is planned, or the last one that was held, with what is asked for. */
export async function demoSession(app: Asks, asked: SessionAsked): Promise<DemoSession> {
  const { state, title = null, drill = null, player = null } = asked;
  const order = state === 'planned' ? 's.day, s.start_time' : 's.day desc, s.start_time desc';
  const [found] = await app.query(
    `select s.id, s.title, s.day, s.start_time as startTime from session s
     where s.state = ? and s.kind = 'court' and s.removed_at_ms is null and (? is null or s.title = ?) and exists (
       select 1 from block b join block_player bp on bp.block_id = b.id join player p on p.id = bp.player_id
       where b.session_id = s.id and bp.sits_out = 0 and (? is null or b.drill_id = ?) and (? is null or p.name like ?))
     order by ${order} limit 1`,
    [state, title, title, drill, drill, player, `${player ?? ''}%`],
  );
  if (found) return found as unknown as DemoSession;
  const wanted = [title && `called ${title}`, drill && `with ${drill}`, player && `for ${player}`];
  throw new Error(`The demo has no ${state} session ${wanted.filter(Boolean).join(' ')}.`);
}

/** The block of a drill in a session. */
export async function demoBlock(app: Asks, sessionId: string, drill: string): Promise<string> {
  const [found] = await app.query(
    `select id from block where session_id = ? and drill_id = ? order by position limit 1`,
    [sessionId, drill],
  );
  if (!found) throw new Error(`The demo’s session has no block of ${drill}.`);
  return found.id as string;
}

/** The id of a player of the demo by how the name begins. */
export async function demoPlayer(app: Asks, name: string): Promise<string> {
  const [found] = await app.query(`select id from player where name like ? order by name limit 1`, [
    `${name}%`,
  ]);
  if (!found) throw new Error(`The demo has nobody called ${name}.`);
  return found.id as string;
}
