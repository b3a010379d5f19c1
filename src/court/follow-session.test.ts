import { eventWith } from '@/core/counting/testing/event';
import { followSession, type Answer, type News } from './follow-session';

describe('following other devices', () => {
  const world = (answers: (Answer | null)[]) => {
    const jobs: { work: () => void; ms: number }[] = [];
    const asked: number[] = [];
    const anew: string[][] = [];
    const got: string[] = [];
    const reached: boolean[] = [];
    const stop = followSession(placeAt(5), {
      ask: async ({ seq }) => {
        asked.push(seq);
        return answers.shift() ?? null;
      },
      later: (work, ms) => {
        const job = { work, ms };
        jobs.push(job);
        return () => void jobs.splice(jobs.indexOf(job), 1);
      },
      onEvents: (events) => {
        if (events.some((event) => event.id === 'bomb')) throw new Error('It went off.');
        got.push(...events.map((event) => event.id));
      },
      onReset: (events) => anew.push(events.map((event) => event.id)),
      onClosed: (message) => got.push(message),
      onReach: (reachable) => reached.push(reachable),
    });
    const turn = async () => {
      jobs.shift()?.work();
      await new Promise((done) => setImmediate(done));
    };
    return { jobs, asked, got, anew, reached, stop, turn };
  };
  const placeAt = (seq: number) => ({ seq, id: null, epoch: 'e' });
  const news = (ids: string[], after: number, more: Partial<News> = {}): Answer => ({
    kind: 'news',
    events: ids.map((id) => eventWith({ id })),
    place: placeAt(after),
    reset: false,
    more: false,
    nowMs: 0,
    build: '',
    plan: null,
    ...more,
  });

  test('goes on from where it was, asks less often while the server is away, and as before when it is back', async () => {
    const { jobs, asked, got, reached, turn } = world([
      news(['a', 'b'], 7),
      null,
      null,
      null,
      null,
      news([], 7),
      news(['c'], 8),
    ]);
    const waits: number[] = [];
    for (let n = 0; n < 7; n++) {
      waits.push(jobs[0]!.ms);
      await turn();
    }
    expect(asked).toEqual([5, 7, 7, 7, 7, 7, 7]);
    expect(waits).toEqual([2000, 2000, 4000, 8000, 16_000, 16_000, 2000]);
    expect(got).toEqual(['a', 'b', 'c']);
    // One lost question is not a server that is away.
    expect(reached).toEqual([true, true, false, false, false, true, true]);
  });

  test('ends when the link is closed, and when it is told to', async () => {
    const closed = world([{ kind: 'closed', message: 'Withdrawn.' }]);
    await closed.turn();
    expect(closed.got).toEqual(['Withdrawn.']);
    expect(closed.jobs).toEqual([]);
    const stopped = world([news(['a'], 6)]);
    stopped.stop();
    expect(stopped.jobs).toEqual([]);
  });

  test('asks on at once while there is more, and tells a whole other history together', async () => {
    const { asked, got, anew, jobs, turn } = world([
      news(['a'], 6, { more: true }),
      news(['b'], 7),
      news(['c'], 2, { reset: true, more: true }),
      null,
      news(['d'], 3, { more: true }),
      news(['e'], 4),
      news(['f'], 5),
    ]);
    const waits: number[] = [];
    for (let n = 0; n < 7; n++) {
      await turn();
      waits.push(jobs[0]!.ms);
    }
    expect(asked).toEqual([5, 6, 7, 2, 2, 3, 4]);
    expect(got).toEqual(['a', 'b', 'f']);
    expect(anew).toEqual([['c', 'd', 'e']]);
    expect(waits).toEqual([0, 2000, 0, 4000, 0, 2000, 2000]);
  });

  test('one event that cannot be taken in does not end the following', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const { got, turn } = world([news(['bomb'], 6), news(['a'], 7)]);
    await turn();
    await turn();
    expect(got).toEqual(['a']);
    expect(said).toHaveBeenCalledTimes(1);
    said.mockRestore();
  });
});
