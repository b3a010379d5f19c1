import { scratch, problem, value } from '../testing/scratch';
import { sessionsCoach } from '../base/actor';
import { addCoach, changePasscode, giveRole, removeCoach } from './coaches';
import { hashOfToken, idleMs, longestMs, signInCoach, signOut, whoComes } from './sign-in';
import { sql } from 'drizzle-orm';
import { forgetAllTries } from '@/data/coaches';

// What a passcode costs to try is tested beside it; here there are hundreds of tries.
jest.mock('./passcode', () => ({
  ...jest.requireActual<object>('./passcode'),
  hashPasscode: (word: string) => Promise.resolve(`hash of ${word}`),
  isPasscode: (word: string, hash: string) => Promise.resolve(hash === `hash of ${word}`),
}));

const passcode = 'quiet lantern over gravel';

async function club() {
  const box = await scratch();
  let nowMs = box.context.nowMs;
  const at = () => ({ ...box.context, nowMs });
  const owner = value(await addCoach(at(), { name: 'Ottilie', passcode })).id;
  return {
    box,
    at,
    owner,
    later: (ms: number) => (nowMs += ms),
    enter: (name: string, word: string, address = '192.0.2.1', known?: string) =>
      signInCoach(at(), { name, passcode: word }, { address, known }),
  };
}

test('who has the passcode comes in, whatever the capitals of their name; nobody else does', async () => {
  const { enter, at, box } = await club();
  expect(await whoComes(at(), undefined)).toEqual({ kept: true, who: null });
  const { token } = value(await enter(' oTTilie ', passcode));
  expect((await whoComes(at(), token)).who).toMatchObject({ name: 'Ottilie', role: 'owner' });
  // What the cookie says is nowhere in the book.
  const rows = await box.context.db.all<{ t: string }>(sql`select token_hash as t from sign_in`);
  expect(rows).toEqual([{ t: hashOfToken(token) }]);
  for (const [name, word] of [
    ['Ottilie', passcode.toUpperCase()],
    ['Nobody', passcode],
  ] as const)
    expect(problem(await enter(name, word))).toBe('passcode: Name or passcode is wrong.');
  for (const wrong of [{}, { name: 'Ottilie' }, { name: 'Ottilie', passcode: 'x'.repeat(10_000) }, null, 7])
    expect((await signInCoach(at(), wrong, { address: '' })).ok).toBe(false);
  box.close();
});

test('wrong tries wait longer and longer, by account and by address; the right one is let in after the wait', async () => {
  const { enter, later, at, box } = await club();
  value(await addCoach(at(), { name: 'Sefa', passcode }));
  for (let n = 0; n < 2; n++) expect(problem(await enter('Ottilie', 'wrong'))).not.toContain('wait');
  expect(problem(await enter('Ottilie', 'wrong'))).toContain('has to wait 5 seconds');
  // Even the right one waits: who guesses learns nothing. Another account does not, and no other address.
  expect(problem(await enter('Ottilie', passcode))).toContain('wait 5 seconds');
  expect((await enter('Ottilie', passcode, '198.51.100.7')).ok).toBe(true);
  expect((await enter('Sefa', passcode)).ok).toBe(true);
  later(5000);
  expect(problem(await enter('Ottilie', 'wrong'))).toContain('has to wait 10 seconds');
  later(10_000);
  value(await enter('Ottilie', passcode));
  expect(problem(await enter('Ottilie', 'wrong'))).toBe('passcode: Name or passcode is wrong.');
  // An address that tries many accounts waits too, and longer and longer, to a quarter of an hour.
  let waits = 0;
  for (let n = 0; n < 40; n++) {
    const said = problem(await enter(`Name ${n}`, 'wrong', '203.0.113.9'));
    const wait = /wait (\d+) (second|minute)/.exec(said);
    if (!wait) continue;
    waits += 1;
    later(Number(wait[1]) * (wait[2] === 'minute' ? 60_000 : 1000));
    expect(Number(wait[1])).toBeLessThanOrEqual(80);
  }
  expect(waits).toBeGreaterThan(15);
  later(86_400_001);
  expect((await enter('Ottilie', passcode, '203.0.113.9')).ok).toBe(true);
  box.close();
});

test('many tries at once are no more than one after the other', async () => {
  const { enter, box } = await club();
  const all = await Promise.all(Array.from({ length: 60 }, () => enter('Ottilie', 'wrong')));
  const looked = all.filter((one) => problem(one).startsWith('passcode: Name or passcode is wrong.'));
  expect(looked).toHaveLength(3);
  box.close();
});

test('strangers keep no coach out of a browser that was signed in before, and cannot go on from many addresses', async () => {
  const { enter, later, box } = await club();
  const { known } = value(await enter('Ottilie', passcode));
  for (let n = 0; n < 80; n++) await enter('Ottilie', 'wrong', `198.51.100.${n}`);
  for (let n = 0; n < 25; n++) await enter(`Name ${n}`, 'wrong');
  expect(problem(await enter('Ottilie', passcode, '203.0.113.7'))).toContain('Too many wrong tries');
  expect(problem(await enter('Ottilie', passcode))).toContain('Too many wrong tries');
  expect((await enter('Ottilie', passcode, '192.0.2.1', known)).ok).toBe(true);
  // What only looks like it is a stranger's; and the browser itself is slowed down for its own wrong tries.
  expect(problem(await enter('Ottilie', passcode, '192.0.2.1', `${known}x`))).toContain('Too many');
  expect(problem(await enter('Ottilie', passcode, '192.0.2.1', known.replace(/.$/, '~')))).toContain(
    'Too many',
  );
  for (let n = 0; n < 3; n++) await enter('Ottilie', 'wrong', '192.0.2.1', known);
  expect(problem(await enter('Ottilie', passcode, '192.0.2.1', known))).toContain('Too many');
  await box.context.db.transaction(forgetAllTries);
  expect((await enter('Ottilie', passcode, '203.0.113.7')).ok).toBe(true);
  later(1);
  box.close();
});

test('a new sign-in ends what the browser was signed in with before', async () => {
  const { enter, at, box } = await club();
  const first = value(await enter('Ottilie', passcode)).token;
  const other = value(await enter('Ottilie', passcode)).token;
  value(await signInCoach(at(), { name: 'Ottilie', passcode }, { address: '', before: first }));
  const who = async (token: string) => (await whoComes(at(), token)).who?.name ?? null;
  expect([await who(first), await who(other)]).toEqual([null, 'Ottilie']);
  box.close();
});

test('a sign-in ends unused, ends at last, and ends everywhere', async () => {
  const { enter, later, at, box, owner } = await club();
  const token = value(await enter('Ottilie', passcode)).token;
  const who = async (one = token) => (await whoComes(at(), one)).who?.name ?? null;
  later(idleMs - 1);
  expect(await who()).toBe('Ottilie');
  // Using it has been written down; it goes on from there.
  await new Promise((resolve) => setImmediate(resolve));
  later(idleMs - 1);
  expect(await who()).toBe('Ottilie');
  await new Promise((resolve) => setImmediate(resolve));
  for (let passed = 2 * idleMs; passed <= longestMs; passed += idleMs) {
    later(idleMs - 1);
    await who();
    await new Promise((resolve) => setImmediate(resolve));
  }
  expect(await who()).toBeNull();

  const [here, there] = [
    value(await enter('Ottilie', passcode)).token,
    value(await enter('Ottilie', passcode)).token,
  ];
  const actor = { kind: 'coach', id: owner, name: 'Ottilie', role: 'owner' } as const;
  await signOut({ ...at(), actor }, here, false);
  expect([await who(here), await who(there)]).toEqual([null, 'Ottilie']);
  await signOut({ ...at(), actor }, there, true);
  expect(await who(there)).toBeNull();

  const [own, other] = [
    value(await enter('Ottilie', passcode)).token,
    value(await enter('Ottilie', passcode)).token,
  ];
  value(
    await changePasscode(
      { ...at(), actor },
      owner,
      { passcode: 'seven slow green trains', own: passcode },
      { address: '', keep: own },
    ),
  );
  expect([await who(own), await who(other)]).toEqual(['Ottilie', null]);
  expect((await enter('Ottilie', passcode)).ok).toBe(false);
  box.close();
});

test('one owner stays; a coach changes no passcode but their own', async () => {
  const { at, box, owner } = await club();
  const sefa = value(await addCoach(at(), { name: 'Sefa', passcode })).id;
  expect(problem(await addCoach(at(), { name: 'SEFA', passcode }))).toContain('already');
  expect(problem(await removeCoach(at(), owner))).toContain('only owner');
  expect(problem(await giveRole(at(), owner, 'coach'))).toContain('only owner');
  expect(problem(await giveRole(at(), sefa, 'king'))).toContain('owner or coach');
  const here = { address: '' };
  const asSefa = { ...at(), actor: { kind: 'coach', id: sefa, name: 'Sefa', role: 'coach' } as const };
  expect(
    problem(
      await changePasscode(asSefa, owner, { passcode: 'seven slow green trains', own: passcode }, here),
    ),
  ).toContain('Only the owner');
  const next = { passcode: 'seven slow green trains' };
  for (const own of ['', 'wrong'])
    expect(problem(await changePasscode(asSefa, sefa, { ...next, own }, here))).toContain('own: ');
  value(await changePasscode(asSefa, sefa, { ...next, own: passcode }, here));
  // An owner types their own, not the one of whom it is for.
  const asOwner = { ...at(), actor: { kind: 'coach', id: owner, name: 'Ottilie', role: 'owner' } as const };
  expect(problem(await changePasscode(asOwner, sefa, { ...next, own: next.passcode }, here))).toContain(
    'own: ',
  );
  value(await changePasscode(asOwner, sefa, { ...next, own: passcode }, here));
  // At the computer itself nobody has one to type.
  value(await changePasscode({ ...at(), actor: sessionsCoach }, sefa, next, here));
  value(await giveRole(at(), sefa, 'owner'));
  value(await removeCoach({ ...at(), actor: sessionsCoach }, owner));
  // A name that went may come again.
  value(await addCoach(at(), { name: 'Ottilie', passcode }));
  box.close();
});
