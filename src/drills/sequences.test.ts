import { fitOf } from '@/core/players/fit';
import { demandsOf } from '@/core/movement/sequence/feasible';
import { readLine, writeLine } from '@/core/movement/sequence/line';
import { groundsOf } from '@/core/movement/sequence/shots';
import { catalogue } from './catalogue';
import { knownSequences } from './sequences';

const playerOf = (age: number, sport: 'tennis' | 'table tennis') => {
  const { sideStepM, contactM } = fitOf({ age, sport, heightCm: null, racketIn: null });
  return { age, sideStepM: sideStepM.value, contactM: contactM.value };
};

test('every one has a name of its own', () => {
  expect(new Set(knownSequences.map(({ id }) => id)).size).toBe(knownSequences.length);
});

test.each(knownSequences.map((one) => [one.id, one] as const))(
  '%s: reads, is written the one way, and belongs where it says',
  (_, { sport, ground, line, of, feet }) => {
    const read = readLine(line, sport);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(writeLine(read.value, sport)).toBe(line);
    expect(groundsOf(sport)).toContain(ground);
    if (of) {
      const drill = catalogue.find((one) => one.id === of.drillId);
      expect(drill?.steps.map((step) => step.id)).toContain(of.stepId);
      expect(drill?.sports).toContain(sport);
    }
    // The feet do what the pattern is called after, at ten.
    const done = new Set(
      demandsOf(read.value, ground, playerOf(10, sport)).gaps.flatMap((gap) =>
        gap.stretches.map(({ pattern }) => pattern),
      ),
    );
    if (feet)
      expect([...done].filter((one) => one !== 'on the spot' || feet.includes(one)).sort()).toEqual(
        [...feet].sort(),
      );
  },
);

// Common practice: shadow patterns of 30 to 40 s are played at about the pace the catalogue gives them; the model must not
// call that impossible for the ages the drill is for, nor find room for twice as many strokes.
test.each(
  knownSequences.filter(({ of }) => of?.drillId.endsWith('-patterns')).map((one) => [one.id, one] as const),
)('%s can be played at the pace of its step from eight on', (_, { sport, ground, line, of }) => {
  const step = catalogue.find(({ id }) => id === of!.drillId)!.steps.find(({ id }) => id === of!.stepId)!;
  const read = readLine(line, sport);
  const shots = read.ok ? read.value : [];
  // A step that is counted by whole patterns takes the time of one for each.
  const perStrokeS = step.measure === 'reps' ? step.perTouchS.value / shots.length : step.perTouchS.value;
  const needs = [8, 10, 13].map((age) => 60 / demandsOf(shots, ground, playerOf(age, sport)).fastestPerMin);
  for (const one of needs) {
    // A serve with its toss is the longest of its pattern; the others make up for it.
    expect(one).toBeLessThanOrEqual(step.measure === 'reps' ? 2.2 * perStrokeS : perStrokeS);
    expect(2 * one).toBeGreaterThan(perStrokeS);
  }
});
