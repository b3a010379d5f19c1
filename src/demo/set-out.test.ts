import { isInside } from '@/core/geometry/points';
import { pointsOf } from '@/core/movement/layout';
import { session } from '@/data/schema';
import { scratch } from '@/server/testing/scratch';
import { sessionSetOutView } from '@/server/views/session-set-out';
import { demoScratch } from './testing/demo-scratch';

test('every session of the demo is set out in its place, inside its floor, or says why not', async () => {
  const { context, close } = await demoScratch(2);
  const sessions = await context.db.select({ id: session.id, placeId: session.placeId }).from(session);
  let [laid, refused] = [0, 0];
  for (const { id, placeId } of sessions) {
    const view = (await sessionSetOutView(context, id))!;
    expect(view.setOut === null).toBe(placeId === null);
    for (const { blocks, floor, comes, stays } of view.setOut?.slots ?? []) {
      const room = { x: 0, y: 0, width: floor.alongM, height: floor.deepM };
      expect([...comes, ...stays].every(({ at }) => isInside(at, room))).toBe(true);
      for (const block of blocks) {
        if (block.problem === null && block.comers > 0) {
          expect(block.lanes.length).toBeGreaterThan(0);
          laid += 1;
        } else refused += block.problem ? 1 : 0;
        for (const lane of block.lanes)
          for (const point of pointsOf(lane.layout)) expect(isInside(point, room)).toBe(true);
      }
    }
  }
  expect(laid).toBeGreaterThan(40);
  // What the demo plans is planned where it fits.
  expect(refused).toBe(0);
  close();
});

test('a session nobody knows has no set-out', async () => {
  const { context, close } = await scratch();
  expect(await sessionSetOutView(context, 'nobody')).toBeNull();
  close();
});
