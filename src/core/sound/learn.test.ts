import { echoesAmong, echoesOf } from './echo';
import { examplesWanted, learn, mistaken, notToldApart, takenFor } from './learn';
import { taught, thingsOf } from './synth/drills';
import { heardOf, taughtIn } from './testing/heard';
import type { Impact } from './impacts';

const examples = (seed: number, kind: Parameters<typeof taught>[1]) => {
  const things = thingsOf(seed);
  return heardOf(taught(things, kind));
};

describe('what is taught', () => {
  test('fewer than five that are alike teach nothing', () => {
    const found = examples(1, 'strings');
    expect(learn('strings', 'strings', found.slice(0, examplesWanted - 1))).toBeNull();
    expect(learn('strings', 'strings', found)?.examples).toBeGreaterThanOrEqual(examplesWanted);
  });

  test('a step among the examples is left out of them', () => {
    const found = examples(2, 'strings');
    const step = heardOf(taught(thingsOf(3), 'step'))[0]!;
    const alone = learn('strings', 'strings', found)!;
    const with_ = learn('strings', 'strings', [...found.slice(0, 3), step, ...found.slice(3)])!;
    expect(with_.examples).toBe(alone.examples);
  });

  test('each sound is taken for itself, and a step for none of them', () => {
    const things = thingsOf(4);
    const { learnt } = taughtIn(things, [
      ['strings', 0],
      ['floor', 0],
      ['clap', 0],
    ]);
    for (const kind of ['strings', 'floor', 'clap'] as const)
      for (const impact of heardOf(taught(things, kind), { seed: 9 }).slice(1))
        expect(takenFor(learnt, impact).label).toBe(kind);
    const bare = learnt.filter(({ kind }) => kind !== 'floor');
    for (const impact of heardOf(taught(things, 'step'), { seed: 9 }))
      expect(takenFor(bare, impact).label).toBeNull();
  });

  test('a ball like ours from far away is too soft to be ours', () => {
    const things = thingsOf(5);
    const { learnt } = taughtIn(things, [['strings', 0]]);
    const far = heardOf(taught(things, 'strings', -16), { seed: 8 });
    expect(far.filter((one) => takenFor(learnt, one).label !== null).length).toBeLessThan(2);
  });

  test('two of one kind that sound alike cannot be told apart, and it is said', () => {
    const things = thingsOf(6);
    const { learnt } = taughtIn(things, [
      ['strings', 0, 'Ada'],
      ['frame', 0, 'Bo'],
    ]);
    expect(notToldApart(learnt)).toEqual([]);
    const twin = { ...learnt[0]!, label: 'Cy' };
    expect(mistaken(learnt[0]!, twin)).toBeCloseTo(0.5, 5);
    expect(notToldApart([...learnt, twin]).map((pair) => pair.map(({ label }) => label))).toEqual([
      ['Ada', 'Cy'],
    ]);
  });
});

describe('echoes', () => {
  const blow = (atS: number, levelDb: number): Impact => ({
    atS,
    levelDb,
    clear: 2,
    bands: [1],
    decayMs: 5,
    clipped: false,
  });

  test('what follows after the same time and softer is an echo; a second bounce is not', () => {
    const room = [1, 1.7, 2.5, 3.2].flatMap((atS) => [blow(atS, -20), blow(atS + 0.17, -31)]);
    const [echo, ...others] = echoesOf(room);
    expect(others).toEqual([]);
    expect(echo!.afterS).toBeCloseTo(0.17, 6);
    expect(echo!.softerDb).toBeCloseTo(11, 6);
    const later = [blow(9, -22), blow(9.171, -32), blow(9.3, -33), blow(9.6, -22)];
    expect([...echoesAmong(later, [echo!])].map(({ atS }) => atS)).toEqual([9.171]);
  });
});
