/** @jest-environment ./testing/page-environment.mjs */
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { tally } from '@/core/counting/tally';
import { elapsedS } from '@/core/court/block-clock';
import { SteadyClock } from '@/core/court/steady-clock';
import { RunLog } from '@/court/run-log';
import { memoryStore } from '@/court/testing/memory-store';
import { plainBook } from '@/drills';
import { plainContents } from '@/drills/book-of';
import { newBlock } from '@/session/plan/place-block';
import { HouseProvider } from '@/ui/house';
import { plainSettings } from './court-settings';
import type { CourtView } from './court-view';
import { loadSound, useBlock } from './use-block';
import type { Court } from './use-court';

const player = { id: 'p', name: 'Ada', age: 11 };
const house = { contents: plainContents, places: [], drills: plainBook.drills };
const wrapper = ({ children }: { children: ReactNode }) => (
  <HouseProvider house={house}>{children}</HouseProvider>
);

/** A court with one block of a step, one child, and a clock that goes when a test says so. */
async function court(drillId: string, stepId: string) {
  const plan = newBlock(plainBook, drillId, [player], () => stepId, 'b', stepId);
  const own = { playerId: 'p', target: null, bestEver: null };
  const block = { ...plan, players: [own], turns: 1, turnS: 60, atOnce: 1 };
  const time = { ms: Date.UTC(2027, 0, 3, 22, 0, 0) };
  const clocks = { now: () => time.ms, mono: () => time.ms };
  const log = new RunLog([], {
    store: memoryStore().store,
    send: () => Promise.resolve({ kind: 'unreachable' as const }),
    later: () => undefined,
    clock: clocks,
    device: 'd',
    blockIds: ['b'],
  });
  const view = {
    session: { id: 's', coach: '', revision: 1 },
    players: [player],
    blocks: [block],
    events: [],
    logEnd: { seq: 0, book: '' },
    build: '',
  } as unknown as CourtView;
  const given = { log, clock: new SteadyClock(clocks) } as unknown as Court;
  const hook = renderHook(() => useBlock(view, block, given, plainSettings)!, { wrapper });
  // What it sounds comes a moment after the page.
  await act(async () => void (await loadSound()));
  const press = (work: () => unknown) => act(() => void work());
  /** Some seconds later, and the screen has been drawn again. */
  const after = (seconds: number) => {
    time.ms += 1000 * seconds;
    hook.rerender();
  };
  const counts = () => tally(log.eventsOf('b', 'p'), hook.result.current.playerNow('p').work.step.measure);
  const marks = (kind: string) => log.events('b', null).filter((one) => one.kind === kind).length;
  return { ...hook, log, press, after, counts, marks };
}

const step = (has: (one: (typeof plainBook.drills)[number]['steps'][number]) => boolean) => {
  for (const drill of plainBook.drills) {
    const found = drill.steps.find(has);
    if (found) return [drill.id, found.id] as const;
  }
  throw new Error('No such step.');
};

test('before Start a lap counts nothing and says so; after it only the time of the clock counts', async () => {
  const { result, press, after, counts, log } = await court('triangle-run', 'timed-lap');
  let said: string | null = '';
  press(() => (said = result.current.mark('p', 'lap')));
  expect(said).toBe('Not counted: start the block first.');
  expect(log.eventsOf('b', 'p')).toEqual([]);
  press(() => result.current.toggleClock());
  // Counted in for three seconds, then it runs.
  after(3 + 4);
  press(() => result.current.toggleClock());
  after(60);
  press(() => result.current.toggleClock());
  after(3.5);
  press(() => (said = result.current.mark('p', 'lap')));
  expect([said, counts().best]).toEqual([null, 7.5]);
});

test('a drop begins a new row, and taking back brings the row before back', async () => {
  const { result, press, after, counts } = await court('palm-up-bounce', 'row-20');
  press(() => result.current.toggleClock());
  for (const kind of ['touch', 'touch', 'touch', 'drop', 'touch'] as const) {
    after(1);
    press(() => result.current.mark('p', kind));
  }
  expect(counts()).toMatchObject({ best: 3, current: 1, drops: 1 });
  press(() => result.current.undo());
  press(() => result.current.undo());
  expect(counts()).toMatchObject({ current: 3, drops: 0 });
});

test('at the last shot no more is taken, and the press says why', async () => {
  const { result, press, after, counts } = await court(
    ...step(({ doses, measure }) => doses['10-12'].kind === 'shots' && measure === 'points'),
  );
  press(() => result.current.toggleClock());
  after(5);
  const said: (string | null)[] = [];
  const shots = result.current.playerNow('p').inAll;
  expect(shots).toBeGreaterThan(2);
  for (let n = 0; n <= shots; n++) press(() => said.push(result.current.mark('p', 'zone', 1)));
  const { touches, drops } = counts();
  expect(touches + drops).toBe(shots);
  expect(said.slice(0, -1)).toEqual(Array(shots).fill(null));
  expect(said.at(-1)).toContain(`${shots} of ${shots}: done`);
});

test('two quick presses on Next end the block once; its clock stood still while it was paused', async () => {
  const { result, press, after, marks, log } = await court('palm-up-bounce', 'row-20');
  press(() => result.current.toggleClock());
  after(10);
  press(() => result.current.leave('pause'));
  after(100);
  expect(elapsedS(result.current.clock, log.events('b', null).at(-1)!.atMs + 100_000)).toBe(10);
  press(() => (result.current.leave('end'), result.current.leave('end')));
  expect(marks('end')).toBe(1);
  expect(marks('pause')).toBe(1);
});
