import { createSession } from '../plan/sessions';
import { removePlayer } from '../players/squad';
import { booking, oneBlockSession, scratch, value } from '../testing/scratch';
import { groupsView } from './groups';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('every group by its name, as it last met, the latest first; who left the squad has left the group', async () => {
  const { context } = box;
  const { playerIds } = await oneBlockSession(context);
  const [first, second] = playerIds;
  const book = async (title: string, day: string, more: Partial<typeof booking> & { playerIds: string[] }) =>
    value(await createSession(context, { ...booking, title, day, ...more }));
  await book('Juniors', '2026-11-10', { playerIds: [first!], startTime: '15:00' });
  await book('Juniors', '2026-11-17', { playerIds: [first!, second!], startTime: '15:30' });
  await book('Long ago', '2025-01-10', { playerIds: [first!] });
  const groups = await groupsView(context);
  expect(groups.map(({ title }) => title)).toEqual([booking.title, 'Juniors']);
  expect(groups[1]).toMatchObject({
    startTime: '15:30',
    bookedMin: booking.bookedMin,
    playerIds: [first, second],
  });
  value(await removePlayer(context, second!, true));
  expect((await groupsView(context))[1]).toMatchObject({ playerIds: [first] });
});
