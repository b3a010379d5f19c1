import highsLoader from 'highs';
import { asProgram } from '../src/core/plan/build/program';
import { worthOf, brokenBy, type BuildAsk } from '../src/core/plan/build/model';
import { buildQuickly, type Built } from '../src/core/plan/build/search';
import { built, quickly } from '../src/session/plan/build/build';
import { evenDials, prepare } from '../src/session/plan/build/options';
import { buildCase } from '@/demo/build-cases';
import { median, report } from './lib/measure';

/*
 * The session builder on sixty seeded cases: how far the quick answer is below the best there is (a solver of integer
 * programs on the same question), how much sooner it comes, and how soon the first one is there for nine children, an hour
 * and the whole catalogue. Every plan has to pass the rules that the plan screen shows.
 */
const cases = 60;
const seed = 20;
const highs = await highsLoader();

/** The best choice, solved to the end. */
function solve(ask: BuildAsk): { best: Built; proven: boolean } | null {
  const { Status, Columns } = highs.solve(asProgram(ask), { mip_rel_gap: 1e-6, time_limit: 120 });
  if (Status === 'Infeasible') return null;
  const chosen = ask.options.filter(
    (_, at) => Math.round((Columns[`x${at}`] as { Primal?: number }).Primal ?? 0) === 1,
  );
  if (brokenBy(ask, chosen)) throw new Error(`The solver breaks a limit: ${brokenBy(ask, chosen)}.`);
  return {
    best: { ids: chosen.map(({ id }) => id), worth: worthOf(ask, chosen).total },
    proven: Status === 'Optimal',
  };
}
/** How far a session is below the best, as a share of what the best brings over no session at all. */
const gapOf = (ask: BuildAsk, worth: number, best: number): number =>
  Math.max(0, best - worth) / (best - worthOf(ask, []).total);

const wish = { must: [], banned: [], dials: evenDials, kept: [], begun: [], retest: null };
const quickGaps: number[] = [];
const speeds: number[] = [];
const [quickMs, solverMs]: [number[], number[]] = [[], []];
const finalMs: number[] = [];
let [finalWorst, solved, unproven, unprovenFinal, failing] = [0, 0, 0, 0, 0];
for (let n = 0; n < cases; n++) {
  const { name, setting, facts, standsOn } = buildCase(n);
  const prepared = prepare(setting, facts, standsOn, wish);
  const from = performance.now();
  const quick = buildQuickly(prepared.ask, seed);
  const quickIn = performance.now() - from;
  const then = performance.now();
  const exact = solve(prepared.ask);
  const exactIn = performance.now() - then;
  if ((quick === null) !== (exact === null))
    throw new Error(`${name}: one finds a session and the other none.`);
  if (!quick || !exact) continue;
  solved += 1;
  if (!exact.proven) unproven += 1;
  const most = Math.max(quick.worth, exact.best.worth);
  quickGaps.push(gapOf(prepared.ask, quick.worth, most));
  if (process.env.VOWSTEP_BENCH_CASES && quickGaps.at(-1)! > 0.01) console.error(name, n, quickGaps.at(-1));
  speeds.push(exactIn / quickIn);
  quickMs.push(quickIn);
  solverMs.push(exactIn);
  // What is shown in the end is the better of the two, built until it passes every rule.
  const thenAll = performance.now();
  const quickest = quickly(seed);
  const { session, bound } = built(prepared, setting, (ask) => {
    const soon = quickest(ask).built;
    const found = solve(ask);
    const best = [found?.best, soon].filter((one) => one !== null && one !== undefined);
    const limit = found === null ? -Infinity : found.proven ? found.best.worth : null;
    return { built: best.sort((a, b) => b.worth - a.worth)[0] ?? null, bound: limit };
  });
  finalMs.push(performance.now() - thenAll);
  if (!session) {
    failing += 1;
    console.error(`${name}: nothing passes.`);
  } else {
    const { evaluation, worth } = session;
    // Against what no session can be worth more than: what the rules took on the way counts as a gap, drinks are proven.
    const gap = gapOf(prepared.ask, worth, Math.max(worth, bound ?? most));
    finalWorst = Math.max(finalWorst, gap);
    if (gap > 1e-5) unprovenFinal += 1;
    if (process.env.VOWSTEP_BENCH_CASES)
      console.error('  final gap', gap.toFixed(5), Math.round(finalMs.at(-1)!), 'ms');
    const wrong = evaluation.warnings.filter(({ severity }) => severity !== 'note');
    if (evaluation.time.overrunS > 0 || wrong.length > 0) failing += 1;
  }
  if (process.env.VOWSTEP_BENCH_CASES)
    console.error(
      name,
      session?.blocks.length,
      quick.worth.toFixed(3),
      exact.best.worth.toFixed(3),
      Math.round(quickIn),
      Math.round(exactIn),
      prepared.ask.options.length,
    );
}
report('build-cases', solved, 'cases', cases);
report('build-failing', failing, 'plans', 1);
report('build-unproven', unproven, 'cases', 1);
report('build-gap-quick', median(quickGaps), 'share', 0.005);
report('build-gap-quick-worst', Math.max(...quickGaps), 'share', 0.03);
report('build-gap-worst', finalWorst, 'share', 0.005);
report('build-final-unproven', unprovenFinal, 'cases', cases / 10);
report('build-speed', median(quickMs), 'ms', median(solverMs), median(speeds));

// The first answer of all, with everything that has to be made ready for it.
const nine = Array.from({ length: 400 }, (_, n) => n).find((n) => {
  const { setting } = buildCase(n);
  return (
    setting.players.length === 9 && setting.bookedMin === 60 && setting.ground.place?.name === 'Rope hall'
  );
})!;
const first = Array.from({ length: 7 }, () => {
  const { setting, facts, standsOn } = buildCase(nine);
  const from = performance.now();
  buildQuickly(prepare(setting, facts, standsOn, wish).ask, seed);
  return performance.now() - from;
});
report('build-first', median(first), 'ms', 150);
