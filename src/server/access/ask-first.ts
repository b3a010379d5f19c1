import { troubleOf } from '@/data/trouble';
import { contextIn } from '../base/context';
import { gate, type Answer } from '../http/gate';
import { linkOf } from './tokens';
import { coachCookie } from './cookie';
import { whoComes } from './sign-in';

/** What our own server (scripts/server.mjs) says of a request before any of its body is read. */
export interface FirstSight {
  readonly method: string;
  readonly path: string;
  readonly cookie: string;
  readonly length: number | null;
}

/** The value of a cookie in a `Cookie` header. */
const cookieIn = (header: string, name: string): string | undefined =>
  header
    .split(';')
    .map((one) => one.trim())
    .find((one) => one.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/** Does somebody come who may: a coach who is signed in, or whoever has a link that is open? */
async function isKnown({ path, cookie }: FirstSight): Promise<boolean> {
  const context = await contextIn();
  const [, scope, token] = /^\/api\/(help|vow)\/([^/]*)\//.exec(path) ?? [];
  if (scope !== undefined)
    return typeof (await linkOf(context, scope === 'help' ? 'count' : 'vow', token!)) !== 'string';
  const { kept, who } = await whoComes(context, cookieIn(cookie, coachCookie));
  return !kept || who !== null;
}

export async function askFirst(sight: FirstSight): Promise<Answer> {
  try {
    return await gate({ ...sight, isKnown: () => isKnown(sight) });
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    return { status: 503, field: 'database', message: trouble.message, retryS: 5 };
  }
}

/** Tells our own server whom to ask: it is plain JavaScript, and finds this by its name. */
export function answerTheGate(): void {
  Object.assign(globalThis, { [Symbol.for('vowstep.gate')]: { askFirst } });
}
