import { planAgain } from '../plan/again';
import { createSession, loadPlan, removeSession } from '../plan/sessions';
import { sayNotHeld } from '../plan/attendance';
import { oneBlockSession, scratch, value } from '../testing/scratch';
import { clashesView } from './clashes';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('a session planned again collides with the one that is there, and the next free week is proposed', async () => {
  const { sessionId } = await oneBlockSession(box.context);
  const { day, startTime, title } = value(await loadPlan(box.context, sessionId));
  const later = (n: number) => new Date(Date.parse(day) + n * 7 * 86_400_000).toISOString().slice(0, 10);
  const { ids } = value(await planAgain(box.context, sessionId, { days: [later(1), later(2)] }));
  const asked = { days: [later(1)], fromId: sessionId };
  const found = await clashesView(box.context, asked);
  expect(found.clashes).toMatchObject([{ day: later(1), title, startTime }]);
  expect(found.clashes[0]!.names.length).toBeGreaterThan(0);
  expect(found.freeDay).toBe(later(3));
  // Several days: each that is taken is named.
  const weeks = await clashesView(box.context, { ...asked, days: [later(1), later(2), later(3)] });
  expect(weeks.clashes.map((one) => one.day)).toEqual([later(1), later(2)]);

  // What was taken off the list, or called off, takes nobody's time; a session does not collide with itself.
  value(await removeSession(box.context, ids[0]!, true));
  expect(await clashesView(box.context, asked)).toEqual({ clashes: [], freeDay: null, freeLater: null });
  const second = { days: [later(2)], fromId: sessionId };
  expect((await clashesView(box.context, second)).clashes).toHaveLength(1);
  expect((await clashesView(box.context, { ...second, exceptId: ids[1] })).clashes).toHaveLength(0);
  value(await sayNotHeld(box.context, ids[1]!, { why: 'rain' }));
  expect((await clashesView(box.context, second)).clashes).toHaveLength(0);
});

test('a booking in a form collides by child, coach or place; half a booking with nothing', async () => {
  const { sessionId, playerIds } = await oneBlockSession(box.context);
  const { day, startTime } = value(await loadPlan(box.context, sessionId));
  const booking = { startTime, bookedMin: 60, coach: '', placeId: null, placeName: '', playerIds };
  const ask = (more: object) => clashesView(box.context, { days: [day], booking: { ...booking, ...more } });
  expect((await ask({})).clashes).toHaveLength(1);
  for (const half of [{ bookedMin: '' }, { startTime: '' }, { playerIds: [] }])
    expect((await ask(half)).clashes).toHaveLength(0);
  expect(await clashesView(box.context, null)).toMatchObject({ clashes: [] });
});

test('a booking stands all the same where the coach wants it', async () => {
  const { sessionId } = await oneBlockSession(box.context);
  const { blocks: _, revision: __, ...booking } = value(await loadPlan(box.context, sessionId));
  expect((await createSession(box.context, { ...booking, patternId: null })).ok).toBe(true);
});
