import { keptView } from './kept-views';
import { savePlayer } from '../players/squad';
import { ada, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const counting = () => {
  let made = 0;
  return { make: () => Promise.resolve({ made: ++made }), count: () => made };
};

test('a view is made once until anybody writes', async () => {
  const { make, count } = counting();
  const ask = (name = 'plan a', context = box.context) => keptView(context, name, make);
  const first = await ask();
  expect(await ask()).toBe(first);
  expect(count()).toBe(1);
  value(await savePlayer(box.context, { ...ada, sure: true }));
  expect(await ask()).not.toBe(first);
  expect(count()).toBe(2);
});

test('another name, day, week or coach has a view of its own', async () => {
  const { make, count } = counting();
  await keptView(box.context, 'a', make);
  await keptView(box.context, 'b', make);
  await keptView({ ...box.context, today: '2026-12-01' }, 'a', make);
  await keptView({ ...box.context, firstDay: 'sunday' }, 'a', make);
  await keptView({ ...box.context, actor: { kind: 'coach', name: 'Sefa' } as never }, 'a', make);
  expect(count()).toBe(5);
});

test('what was written while it was made is not kept', async () => {
  const { make, count } = counting();
  const writing = async () => {
    value(await savePlayer(box.context, { ...ada, sure: true }));
    return make();
  };
  await keptView(box.context, 'a', writing);
  await keptView(box.context, 'a', make);
  await keptView(box.context, 'a', make);
  expect(count()).toBe(2);
});

test('what another connection writes is seen', async () => {
  const { openDatabase } = await import('@/data/client');
  const { make, count } = counting();
  await keptView(box.context, 'a', make);
  const other = await openDatabase(`file:${box.file}`);
  value(await savePlayer({ ...box.context, db: other }, { ...ada, sure: true }));
  // Within one turn of the event loop nobody else is looked at.
  await new Promise((resolve) => setImmediate(resolve));
  await keptView(box.context, 'a', make);
  other.$client.close();
  expect(count()).toBe(2);
});

test('the oldest views give way', async () => {
  const { make, count } = counting();
  for (let n = 0; n < 80; n++) await keptView(box.context, `view ${n}`, make);
  await keptView(box.context, 'view 79', make);
  expect(count()).toBe(80);
  await keptView(box.context, 'view 0', make);
  expect(count()).toBe(81);
});
