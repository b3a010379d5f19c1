import { cookies, headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { refused, type Outcome } from '@/core/base/outcome';
import { whileDoing } from '@/data/audit';
import { troubleOf } from '@/data/trouble';
import { sessionsCoach, type Actor } from '../base/actor';
import { contextIn, type Context } from '../base/context';
import { refusal } from '../http/body';
import { Budget } from '../http/budget';
import { firstDayOfRequest, zoneOfRequest } from '../http/zone-cookie';
import { isAnew } from './anew';
import { coachCookie } from './cookie';
import { doing } from './doing';
import { may, type Deed } from './may';
import { hashOfToken, whoComes } from './sign-in';
import { mayTry } from './strangers';

/*
 * Every way in from outside goes through one of these: a page, a route, an action, or a link. Each says what it is for
 * (a deed), and gets a context with its actor only when that actor may do it. doors.test.ts walks all of them.
 */

export const tokenOfRequest = async (): Promise<string | undefined> =>
  (await cookies()).get(coachCookie)?.value;

type Closed = 'sign-in' | 'not-yours' | 'anew';

/** Who asks, and with what; the same for all parts of one page. */
const asking = cache(async (): Promise<{ context: Context; actor: Actor | null; anew: boolean }> => {
  const firstDay = await firstDayOfRequest();
  const context = { ...(await contextIn(await zoneOfRequest())), ...(firstDay && { firstDay }) };
  const token = await tokenOfRequest();
  const { kept, who } = await whoComes(context, token);
  // Nobody has a passcode: whoever reaches the server sits at it (it does not start anywhere else).
  if (!kept) return { context, actor: sessionsCoach, anew: true };
  if (!who) return { context, actor: null, anew: false };
  const anew = isAnew(hashOfToken(token!), who.signedInAtMs, context.nowMs);
  return { context, actor: { kind: 'coach', id: who.id, name: who.name, role: who.role }, anew };
});

/** The context of a request for a deed, or why there is none. */
async function contextFor(deed: Deed): Promise<Context | Closed> {
  const { context, actor, anew } = await asking();
  if (!actor) return 'sign-in';
  if (!may(actor, deed)) return 'not-yours';
  return deed === 'rule-anew' && !anew ? 'anew' : { ...context, actor };
}

/** For a page: who has to sign in first is sent to where that is done, and comes back. */
export async function pageContext(deed: Deed = 'see'): Promise<Context> {
  const context = await contextFor(deed);
  if (context === 'not-yours' || context === 'anew') notFound();
  if (context !== 'sign-in') return context;
  const to = (await headers()).get('x-vowstep-path') ?? '/';
  redirect(`/sign-in?to=${encodeURIComponent(to)}`);
}

const sentences: Record<Closed, string> = {
  'sign-in':
    'You are signed out. Sign in again in another window, then do this once more: nothing on this page is lost.',
  anew: 'This asks for your passcode once more: open Settings or Files, and do it from there.',
  'not-yours': 'Only an owner does this. Ask one, or have them make you one in Settings.',
};

/**
 * For a route: its work is done with the context, or the answer says why not.
 * @param what for the audit, where the work writes something
 */
export async function throughRoute(
  deed: Deed,
  work: (context: Context) => Response | Promise<Response>,
  what?: string,
): Promise<Response> {
  return orTrouble(async () => {
    const context = await contextFor(deed);
    if (typeof context === 'object')
      return what ? whileDoing(doing(context, what, []), async () => work(context)) : work(context);
    return refusal({
      problems: [{ field: context, message: sentences[context] }],
      status: context === 'sign-in' ? 401 : 403,
    });
  });
}

/** An answer, or 503 with one sentence where the database is in trouble. */
async function orTrouble(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    return refusal({ problems: [{ field: 'database', message: trouble.message }], status: 503 });
  }
}

/**
 * For an action that changes something: whatever it writes says who did it and what.
 * @param what for the audit, `thing.deed`
 * @param about ids of what it is about
 */
export async function act<T>(
  deed: Deed,
  what: string,
  about: readonly string[],
  work: (context: Context) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  const context = await contextFor(deed);
  if (typeof context === 'string') return refused(context, sentences[context]);
  return whileDoing(doing(context, what, about), () => work(context));
}

/** For what a page fetches later: whoever is signed out is sent to sign in. */
export async function look<T>(work: (context: Context) => Promise<T>): Promise<T> {
  return work(await pageContext('see'));
}

/** A helper's phone asks for news once a second and sends a batch for every handful of touches. Ours. */
const perLink = new Budget({ burst: 120, perSecond: 10 });

/** For a link: its token is the key, and what it opens is asked by whoever is given this. Nobody acts yet. */
export const linkContext = async (): Promise<Context> => ({
  ...(await contextIn(await zoneOfRequest())),
  address: (await headers()).get('x-vowstep-address') ?? undefined,
});

/** What somebody is told who tried too many links that open nothing. */
export const tooManyGuesses =
  'Too many links that open nothing were tried from here: wait a minute. Counts stay on the device.';

/** For a route under a link: one link may ask so much, whoever has it. */
export async function throughLink(
  token: string,
  work: (context: Context) => Response | Promise<Response>,
): Promise<Response> {
  const key = token.slice(0, 64);
  const guessing = !mayTry(key, (await headers()).get('x-vowstep-address') ?? undefined);
  if (!guessing && perLink.take(key)) return orTrouble(async () => work(await linkContext()));
  const message = guessing
    ? tooManyGuesses
    : 'This link is asked too much: wait a few seconds. Counts stay on the device.';
  return refusal({ problems: [{ field: 'link', message }], status: 429 }, { 'retry-after': '5' });
}
