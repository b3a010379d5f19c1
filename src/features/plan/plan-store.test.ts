import { done, refused, type Outcome } from '@/core/base/outcome';
import type { PlanForm, PlanSave } from '@/schemas/session';
import { PlanStore, type PlanDoc, type PlanDraft } from './plan-store';

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
  const saved: PlanSave[] = [];
  const kept: (string | null)[] = [];
  let nextId = 0;
  let savedAs: string | undefined;
  const answers: Outcome<{ revision: number }>[] = [];
  let held = start;
  let losing = false;
  let work: () => void = () => undefined;
  return {
    saved,
    answers,
    kept,
    /** A save that is done, and whose answer is lost on its way. */
    loseAnswer: () => (losing = true),
    put: (plan: PlanForm) => (held = plan),
    runLater: () => work(),
    ports: {
      save: async (plan: PlanSave) => {
        const goesOn = savedAs !== undefined && plan.unanswered?.includes(savedAs);
        const answer =
          answers.shift() ??
          (plan.revision === held.revision || goesOn
            ? done({ revision: held.revision + 1 })
            : refused('revision', 'changed elsewhere'));
        if (!answer.ok) return answer;
        saved.push(plan);
        savedAs = plan.saveId;
        const { saveId: _id, unanswered: _lost, ...form } = plan;
        held = { ...form, revision: answer.value.revision };
        if (!losing) return answer;
        losing = false;
        return refused('server', 'The server could not be reached.');
      },
      load: async () => done(held),
      later: (next: () => void) => (work = next),
      newId: () => `save-${++nextId}`,
      keep: (draft: PlanDraft | null) => kept.push(draft && draft.doc.title),
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

test('a save whose answer was lost is no conflict, whatever was typed meanwhile', async () => {
  const { ports, saved, loseAnswer, runLater } = server();
  const store = new PlanStore(start, ports);
  store.change(title('B'));
  loseAnswer();
  await store.flush();
  expect(store.state()).toMatchObject({ saving: 'failed', conflict: false });
  store.change(title('C'));
  runLater();
  await store.flush();
  expect(store.state()).toMatchObject({ saving: 'saved', conflict: false });
  expect(saved.map((plan) => [plan.title, plan.revision, plan.unanswered])).toEqual([
    ['B', 1, []],
    ['C', 1, ['save-1']],
  ]);
  store.change(title('D'));
  await store.flush();
  expect(saved.at(-1)).toMatchObject({ title: 'D', revision: 3, unanswered: [] });
});

test('the keys of one number are one step to undo', async () => {
  const { ports } = server();
  const store = new PlanStore(start, ports);
  for (const minutes of [4, 45]) store.change((doc) => ({ ...doc, bookedMin: minutes }), 'minutes');
  store.change(title('B'));
  store.change((doc) => ({ ...doc, bookedMin: 450 }), 'minutes');
  store.undo();
  expect(store.state().doc).toMatchObject({ title: 'B', bookedMin: 45 });
  store.undo();
  store.undo();
  expect(store.state().doc).toMatchObject({ title: 'A', bookedMin: 30 });
  expect(store.state().canUndo).toBe(false);
});

test('nothing is called saved while something typed cannot be taken, or is not saved', async () => {
  const { ports, kept } = server();
  const store = new PlanStore(start, ports);
  store.typing('a', 'Minutes must be a number.');
  expect(store.state().saving).toBe('typing');
  store.change(title('B'));
  expect(store.state().saving).toBe('waiting');
  expect(kept.at(-1)).toBe('B');
  await store.flush();
  expect(store.state().saving).toBe('typing');
  store.typing('a', null);
  expect(store.state().saving).toBe('saved');
  expect(kept.at(-1)).toBeNull();
});

test('a plan that is come back to is the present one, unless there is something to save', async () => {
  const { ports, put } = server();
  const store = new PlanStore(start, ports);
  put({ ...start, title: 'Changed at the desk', revision: 4 });
  await store.present();
  expect(store.state()).toMatchObject({
    doc: { title: 'Changed at the desk' },
    saving: 'saved',
    canUndo: false,
  });
  store.change(title('Mine'));
  put({ ...start, title: 'Changed again', revision: 6 });
  await store.present();
  expect(store.state().doc.title).toBe('Mine');
});

test('what an earlier page could not save is put back as a change', () => {
  const { ports } = server();
  const store = new PlanStore(start, ports);
  const { revision, ...doc } = start;
  store.takeUp({ doc: { ...doc, title: 'Kept' }, revision });
  expect(store.state()).toMatchObject({ doc: { title: 'Kept' }, saving: 'waiting' });
  store.undo();
  expect(store.state().doc.title).toBe('A');
});
