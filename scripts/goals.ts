import { plainBook } from '../src/drills';
import { goalCases } from './lib/goals';

/*
 * `npm run -s goals`: for every step, age band and change what is done, aimed at and passed with, the most that the dose
 * gives, and its seconds in the plan and on court, with what is wrong. `-- --summary`: one line of JSON.
 */
const cases = goalCases(plainBook);
const flags = cases.reduce((sum, one) => sum + one.flags.length, 0);
if (process.argv.includes('--summary')) {
  const steps = new Set(cases.map((one) => `${one.drillId} ${one.stepId}`)).size;
  console.log(JSON.stringify({ steps, cases: cases.length, flags }));
} else {
  const heads = [
    'drill',
    'step',
    'age',
    'change',
    'dose',
    'aim',
    'mark',
    'most',
    'plan s',
    'court s',
    'flags',
  ];
  console.log(heads.join('\t'));
  for (const one of cases) {
    const { drillId, stepId, band, change, dose, aim, mark, most, tooShort, planS, courtS } = one;
    const said = [...(tooShort ? ['too short to pass'] : []), ...one.flags.map((flag) => `! ${flag}`)];
    const seconds = [planS, courtS].map((s) => s.toFixed(0));
    const numbers = [aim, mark, Number.isFinite(most) ? most : '–', ...seconds];
    console.log([drillId, stepId, band, change || '–', dose, ...numbers, said.join(', ')].join('\t'));
  }
}
if (flags > 0) process.exitCode = 1;
