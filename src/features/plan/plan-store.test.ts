import { done, refused, type Outcome } from '@/core/outcome';
import type { PlanForm } from '@/server/schemas/session';
import { PlanStore, type PlanDoc } from './plan-store';

const start: PlanForm = {
  title: 'A',
  day: '2026-11-24',
  startTime: '16:30',
  bookedMin: 30,
  coach: '',
  placeName: '',
  placeId: null,
  airC: null,
  playerIds: ['p'],
  revision: 1,
  blocks: [],
};
const title = (to: string) => (doc: PlanDoc) => ({ ...doc, title: to });

/** A server that keeps one plan, and hands in the answers a test wants instead. */
function server() {
  const saved: PlanForm[] = [];
  const answers: Outcome<{ revision: number }>[] = [];
  let held = start;
  let work: () => void = () => undefined;
  return {
    saved,
    answers,
    put: (plan: PlanForm) => (held = plan),
    runLater: () => work(),
    ports: {
      save: async (plan: PlanForm) => {
        const answer =
          answers.shift() ??
          (plan.revision === held.revision
            ? done({ revision: plan.revision + 1 })
            : refused('revision', 'changed elsewhere'));
        if (answer.ok) {
          saved.push(plan);
          held = { ...plan, revision: answer.value.revision };
        }
        return answer;
      },
      load: async () => done(held),
      later: (next: () => void) => (work = next),
    },
  };
}

test('a change is saved on the newest revision, and once is enough', async () => {
  const { ports, saved, runLater } = server();
  const store = new PlanStore(start, ports);
  store.change(title('B'));
  store.change(title('C'));
  expect(store.state().saving).toBe('waiting');
  runLater();
  await store.flush();
  await store.flush();
  expect(saved.map((plan) => [plan.title, plan.revision])).toEqual([['C', 1]]);
  expect(store.state().saving).toBe('saved');
});

test('undo and redo go back and forth and are saved too', async () => {
  const { ports, saved } = server();
  const store = new PlanStore(start, ports);
  store.change(title('B'));
  store.change(title('C'));
  store.undo();
  expect(store.state()).toMatchObject({ doc: { title: 'B' }, canUndo: true, canRedo: true });
  store.undo();
  store.undo();
  expect(store.state()).toMatchObject({ doc: { title: 'A' }, canUndo: false });
  store.redo();
  await store.flush();
  expect(saved.at(-1)?.title).toBe('B');
  store.change(title('D'));
  expect(store.state().canRedo).toBe(false);
});

test('a change during a save is saved after it', async () => {
  const { ports, saved } = server();
  const store = new PlanStore(start, ports);
  store.change(title('B'));
  const flushing = store.flush();
  store.change(title('C'));
  await flushing;
  expect(saved.map((plan) => [plan.title, plan.revision])).toEqual([
    ['B', 1],
    ['C', 2],
  ]);
});

test('a refused save keeps what was typed and says why; the next change tries again', async () => {
  const { ports, answers, saved } = server();
  const store = new PlanStore(start, ports);
  answers.push(refused('title', 'Title is too long.'));
  store.change(title('B'));
  await store.flush();
  expect(store.state()).toMatchObject({
    saving: 'failed',
    doc: { title: 'B' },
    problems: [{ message: 'Title is too long.' }],
  });
  store.change(title('C'));
  await store.flush();
  expect(saved.map((plan) => plan.title)).toEqual(['C']);
});

test('an unreachable server is tried again by itself', async () => {
  const { ports, answers, saved, runLater } = server();
  const store = new PlanStore(start, ports);
  answers.push(refused('server', 'out of reach'));
  store.change(title('B'));
  await store.flush();
  expect(store.state().saving).toBe('failed');
  runLater();
  await store.flush();
  expect(saved).toHaveLength(1);
});

describe('another window was quicker', () => {
  const conflicted = async () => {
    const fake = server();
    const store = new PlanStore(start, fake.ports);
    fake.put({ ...start, title: 'Theirs', revision: 5 });
    store.change(title('Mine'));
    await store.flush();
    expect(store.state()).toMatchObject({ conflict: true, doc: { title: 'Mine' } });
    return { store, ...fake };
  };

  test('mine can stand', async () => {
    const { store, saved } = await conflicted();
    await store.keepMine();
    expect(saved).toMatchObject([{ title: 'Mine', revision: 5 }]);
    expect(store.state()).toMatchObject({ conflict: false, saving: 'saved' });
  });

  test('theirs can stand, and undo brings mine back', async () => {
    const { store, saved } = await conflicted();
    await store.takeTheirs();
    expect(store.state()).toMatchObject({ conflict: false, saving: 'saved', doc: { title: 'Theirs' } });
    store.undo();
    await store.flush();
    expect(saved).toMatchObject([{ title: 'Mine', revision: 5 }]);
  });
});
