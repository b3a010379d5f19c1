import { readdirSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { database } from '@/data/open-book';
import * as actions from '../actions';
import * as doorActions from '../actions/doors';
import * as judgementActions from '../actions/judgement';
import * as vowActions from '../actions/vows';
import { contextIn } from '../base/context';
import { oneBlockSession, value } from '../testing/scratch';
import { addCoach } from './coaches';
import { signInCoach } from './sign-in';

/*
 * Every way in there is, found by its file, knocked at by everybody: a door that does not ask is found here.
 */

const cookie: { value?: string } = {};
jest.mock('next/headers', () => ({
  cookies: () =>
    Promise.resolve({
      get: (name: string) =>
        name === 'vowstep-coach' && cookie.value !== undefined ? { value: cookie.value } : undefined,
      set: () => undefined,
      delete: () => undefined,
    }),
  headers: () => Promise.resolve(new Headers({ 'x-vowstep-path': '/there' })),
}));
jest.mock('next/navigation', () => ({
  ...jest.requireActual<object>('next/navigation'),
  redirect: (to: string) => {
    throw new Error(`to ${to}`);
  },
  notFound: () => {
    throw new Error('not found');
  },
}));
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const app = path.join(process.cwd(), 'src/app');
const files = (readdirSync(app, { recursive: true }) as string[]).sort();
const pages = files.filter((file) => /(^|\/)(page|layout)\.tsx$/.test(file));
const routes = files.filter((file) => /(^|\/)route\.ts$/.test(file));

/** Doors that let anybody in, on purpose: they hold nothing of the book, or have a token and ask the link. */
const open = new Set([
  '(desk)/benches/page.tsx',
  '(desk)/blank/page.tsx',
  '(desk)/sessions/[id]/page.tsx',
  'layout.tsx',
  'sign-in/page.tsx',
  'help/[token]/page.tsx',
  'vow/[token]/route.ts',
  'calendar/[token]/route.ts',
  'api/help/[token]/court/route.ts',
  'api/help/[token]/touches/route.ts',
  'api/vow/[token]/touches/route.ts',
  'api/health/route.ts',
]);
const openActions = new Set(['signInAction']);

/** What only an owner may. */
const owners = new Set([
  'api/copies/[name]/route.ts GET',
  'eraseForGoodAction',
  'copyNowAction',
  'addCoachAction',
  'mayTakeAction',
  'giveRoleAction',
  'removeCoachAction',
  'makeCalendarLinkAction',
  'withdrawLinkAction',
  'aboutCopyAction',
  'restoreCopyAction',
  'auditLinesAction',
  'undoTakeOverAction',
  'api/book/route.ts GET',
  'api/book/route.ts POST',
  'api/tables/[name]/route.ts GET',
  'api/tables/[name]/route.ts POST',
]);

/** What an owner does only a moment after typing the passcode. */
const anew = new Set([
  'api/copies/[name]/route.ts GET',
  'api/book/route.ts GET',
  'api/tables/[name]/route.ts GET',
  'eraseForGoodAction',
  'addCoachAction',
  'mayTakeAction',
  'giveRoleAction',
  'removeCoachAction',
  'restoreCopyAction',
]);

const passcode = 'quiet lantern over gravel';
const tokens: Record<string, string> = {};
const counts = async () => {
  const { db } = await contextIn();
  const tables = [
    'player',
    'session',
    'block',
    'place',
    'own_drill',
    'touch_event',
    'note',
    'coach',
    'helper_link',
  ];
  return db.all(
    sql.raw(`select ${tables.map((name) => `(select count(*) from ${name}) as ${name}`).join(', ')}`),
  );
};

beforeAll(async () => {
  process.env.VOWSTEP_DATABASE_URL = `file:${path.join(process.env.TMPDIR ?? '/tmp', `vowstep-doors-${process.pid}.db`)}`;
  const context = await contextIn();
  await oneBlockSession(context);
  value(await addCoach(context, { name: 'Ottilie', passcode }));
  value(await addCoach(context, { name: 'Sefa', passcode }));
  for (const name of ['Ottilie', 'Sefa'])
    tokens[name] = value(await signInCoach(context, { name, passcode }, { address: '' })).token;
});
afterAll(async () => (await database()).$client.close());

const nobody = () => delete cookie.value;
const as = (name: string) => (cookie.value = tokens[name]!);

const props = {
  params: Promise.resolve({ id: 'nobody', token: 'x'.repeat(22), bench: 'wall', name: 'none.db' }),
  searchParams: Promise.resolve({}),
  children: null,
};

/** How a door answers: `in`, `sign-in`, `not-yours`, `anew`. */
async function knock(work: () => unknown): Promise<string> {
  try {
    const answer = await work();
    if (answer instanceof Response) {
      if (answer.status === 403)
        return ((await answer.json()) as { problems: { field: string }[] }).problems[0]!.field;
      await answer.body?.cancel();
      return answer.status === 401 ? 'sign-in' : 'in';
    }
    const { ok, problems } = (answer ?? {}) as { ok?: boolean; problems?: readonly { field: string }[] };
    const field = ok === false ? problems?.[0]?.field : undefined;
    return field === 'sign-in' || field === 'not-yours' || field === 'anew' ? field : 'in';
  } catch (error) {
    const { message } = error as Error;
    if (message === 'to /sign-in?to=%2Fthere') return 'sign-in';
    // Nothing of that name stands there: past the door, all the same.
    if (message === 'not found' || message.startsWith('to ')) return 'in';
    throw error;
  }
}

const page = async (file: string) => {
  const { default: Page } = (await import(path.join(app, file))) as { default: (given: unknown) => unknown };
  return Page(props);
};

type Handler = (request: Request, given: unknown) => unknown;
const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];

async function handlers(file: string): Promise<[string, () => unknown][]> {
  const all = (await import(path.join(app, file))) as Record<string, unknown>;
  return Object.keys(all)
    .filter((name) => methods.includes(name))
    .map((method) => [
      `${file} ${method}`,
      () =>
        (all[method] as Handler)(
          new Request('http://localhost:3000/x', {
            method,
            ...(method === 'GET' ? {} : { body: '{}', headers: { 'content-type': 'application/json' } }),
          }),
          props,
        ),
    ]);
}

const allActions = Object.entries({
  ...actions,
  ...doorActions,
  ...judgementActions,
  ...vowActions,
} as unknown as Record<string, (...given: unknown[]) => unknown>);

describe('nobody in particular', () => {
  beforeEach(nobody);

  test.each(pages)('%s', async (file) => {
    if (file === 'layout.tsx') return;
    expect(await knock(() => page(file))).toBe(open.has(file) ? 'in' : 'sign-in');
  });

  test.each(routes)('%s', async (file) => {
    const all = await handlers(file);
    expect(all.length).toBeGreaterThan(0);
    for (const [, handler] of all) expect(await knock(handler)).toBe(open.has(file) ? 'in' : 'sign-in');
  });

  test.each(allActions)('%s', async (name, action) => {
    const before = await counts();
    expect(await knock(() => action('x', 'y', {}))).toBe(openActions.has(name) ? 'in' : 'sign-in');
    expect(await counts()).toEqual(before);
  });

  test('a cookie that is none, or of before', async () => {
    for (const wrong of ['', 'x', 'x'.repeat(43), `${tokens.Ottilie!}x`, tokens.Ottilie!.toLowerCase()]) {
      cookie.value = wrong;
      expect(await knock(() => actions.startsAction())).toBe('sign-in');
    }
  });
});

describe('a coach', () => {
  beforeEach(() => as('Sefa'));

  test.each(pages.filter((file) => !open.has(file)))('%s', async (file) => {
    expect(await knock(() => page(file))).toBe('in');
  });

  test.each(routes.filter((file) => !open.has(file)))('%s', async (file) => {
    for (const [name, handler] of await handlers(file))
      expect([name, await knock(handler)]).toEqual([name, owners.has(name) ? 'not-yours' : 'in']);
  });

  test.each(allActions.filter(([name]) => name !== 'signOutAction' && !openActions.has(name)))(
    '%s',
    async (name, action) => {
      expect(await knock(() => action('x', false, {}))).toBe(owners.has(name) ? 'not-yours' : 'in');
    },
  );
});

describe('an owner', () => {
  beforeEach(() => as('Ottilie'));

  test('every door that is an owner’s exists, and opens', async () => {
    const doors = new Map<string, () => unknown>(
      allActions.map(([name, action]) => [name, () => action('x', 0, {})]),
    );
    for (const file of routes) for (const [name, handler] of await handlers(file)) doors.set(name, handler);
    for (const name of owners) expect([name, await knock(doors.get(name)!)]).toEqual([name, 'in']);
  });

  test('what cannot be taken back asks for the passcode once more, and what is typed holds for a while', async () => {
    const { db } = await contextIn();
    await db.run(sql`update sign_in set created_at_ms = created_at_ms - 3600000`);
    const doors = new Map<string, () => unknown>(
      allActions.map(([name, action]) => [name, () => action('x', 0, {})]),
    );
    for (const file of routes) for (const [name, handler] of await handlers(file)) doors.set(name, handler);
    for (const name of owners)
      expect([name, await knock(doors.get(name)!)]).toEqual([name, anew.has(name) ? 'anew' : 'in']);
    expect((await doorActions.confirmAction('wrong')).ok).toBe(false);
    expect(await knock(doors.get('mayTakeAction')!)).toBe('anew');
    value(await doorActions.confirmAction(passcode));
    for (const name of anew) expect([name, await knock(doors.get(name)!)]).toEqual([name, 'in']);
    // On another browser of the same coach it was not typed.
    cookie.value = value(
      await signInCoach(
        { ...(await contextIn()), nowMs: Date.now() - 3_600_000 },
        { name: 'Ottilie', passcode },
        { address: '' },
      ),
    ).token;
    expect(await knock(doors.get('mayTakeAction')!)).toBe('anew');
    await db.run(sql`update sign_in set created_at_ms = created_at_ms + 3600000`);
  });
});

test('what is done says who did it, in the same transaction; what is refused is not said', async () => {
  as('Sefa');
  const said = async () => {
    const { db } = await contextIn();
    return db.all<{ who: string; what: string; times: number }>(
      sql`select who, what, times from audit order by at_ms desc, id desc`,
    );
  };
  const before = (await said()).length;
  const child = { name: 'Ilva', birthYear: 2016, sport: 'tennis', hand: 'right', focus: '' };
  const { id: childId } = value(await actions.savePlayerAction(child));
  expect((await said())[0]).toEqual({ who: 'Sefa', what: 'player.save', times: 1 });
  expect((await actions.savePlayerAction({ ...child, birthYear: 12 })).ok).toBe(false);
  expect(await said()).toHaveLength(before + 1);
  // The same plan saved again and again is one line.
  const id = value(
    await actions.createSessionAction({
      title: 'T',
      day: '2026-12-01',
      startTime: '10:00',
      bookedMin: 30,
      playerIds: [childId],
    }),
  ).id;
  const length = (await said()).length;
  for (const removed of [true, false]) value(await actions.removeSessionAction(id, removed));
  expect((await said()).slice(0, 2).map(({ what }) => what)).toEqual([
    'session.bring-back',
    'session.remove',
  ]);
  expect(await said()).toHaveLength(length + 2);
});

test('a cookie opens nothing after its coach signed out, or was removed', async () => {
  as('Sefa');
  value(await doorActions.signOutAction(false));
  expect(await knock(() => actions.startsAction())).toBe('sign-in');
  const context = await contextIn();
  cookie.value = value(await signInCoach(context, { name: 'Sefa', passcode }, { address: '' })).token;
  expect(await knock(() => actions.startsAction())).toBe('in');
  const held = cookie.value;
  as('Ottilie');
  const [sefa] = await context.db.all<{ id: string }>(sql`select id from coach where name = 'Sefa'`);
  value(await doorActions.removeCoachAction(sefa!.id));
  cookie.value = held;
  expect(await knock(() => actions.startsAction())).toBe('sign-in');
});
