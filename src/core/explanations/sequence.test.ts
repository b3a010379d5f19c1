import { demandsOf, type ShadowPlayer } from '../movement/sequence/feasible';
import { readLine } from '../movement/sequence/line';
import { explainGap, explainTempo, explainWay } from './sequence';

const child: ShadowPlayer = { age: 9, sideStepM: 0.47, contactM: 0.53 };
const number = (text: string) => Number(/^-?[\d.]+/.exec(text)![0]);

test.each([
  ['table tennis', 'table', 'bh corner, fh pivot loop backspin, fh wide home, bh middle out'],
  ['tennis', 'red', 'fh wide, bh corner in, fh net volley stay'],
] as const)('%s: what is opened adds up to what is shown', (sport, ground, line) => {
  const read = readLine(line, sport);
  const shots = read.ok ? read.value : [];
  const demands = demandsOf(shots, ground, child);
  for (const gap of demands.gaps) {
    const { value, inputs } = explainGap(gap, shots, sport);
    const sum = inputs.reduce((all, input) => all + number(input.value), 0);
    expect(sum).toBeCloseTo(number(value), 6);
  }
  const way = explainWay(demands, shots, sport);
  expect(way.inputs.reduce((all, input) => all + number(input.value), 0)).toBeCloseTo(number(way.value), 6);
  const tempo = explainTempo(demands, shots, sport);
  const slowest = number(tempo.inputs.at(-1)!.value);
  // The tempo that is shown can be played in the time that is shown, to the hundredth.
  expect(60 / number(tempo.value)).toBeGreaterThanOrEqual(slowest - 0.006);
});
