import { groupBy } from '@/core/base/group-by';
import type { BuildAsk } from './model';
import { warmsFor } from './option';
import { ofStretch, ranksOf, type Stretches } from './stretches';

/** A number as the file format of linear programs has it. */
const num = (value: number): string => `${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(9)}`;
const terms = (of: readonly (readonly [number, string])[]): string =>
  of
    .filter(([value]) => value !== 0)
    .map(([value, name]) => `${num(value)} ${name}`)
    .join(' ');

type Row = (of: readonly (readonly [number, string])[], relation: '<=' | '=', right: number) => void;

/**
 * The same question as a mixed integer linear program in CPLEX LP format, for a solver. Variables: `x0`… options, `m` what
 * the least-served child has (only its rows hold it down), `f…` the counts of a family by falling worth, `o…`, `u…` a
 * phase over and under its share, `t…` things carried; where drinks are looked at, `s…` the stretch an option is in and
 * `w…` how far a stretch has come.
 * @returns the text; names of options are `x` and their place in the list
 */
export function asProgram(ask: BuildAsk): string {
  const { options, children, seconds, wholeS, shares, weights } = ask;
  const x = (at: number) => `x${at}`;
  const all = options.map((one, at) => [one, at] as const);
  const families = [...new Set(options.map(({ family }) => family))];
  const things = [...new Set(options.flatMap((one) => one.things))];

  const goal: [number, string][] = all.map(([one, at]) => [
    one.good.reduce((sum, value) => sum + value, 0) / Math.max(1, children) - one.cost - weights.block,
    x(at),
  ]);
  if (children > 0) goal.push([weights.fair, 'm']);
  for (const at of families.keys())
    for (const [n, worth] of weights.variety.entries()) goal.push([worth, `f${at}_${n}`]);
  for (const phase of shares.keys()) goal.push([-weights.phase, `o${phase}`], [-weights.phase, `u${phase}`]);
  for (const at of things.keys()) goal.push([-weights.thing, `t${at}`]);

  const rows: string[] = [];
  const row: Row = (of, relation, right) => {
    const text = terms(of);
    if (text !== '') rows.push(` r${rows.length}: ${text} ${relation} ${right.toFixed(9)}`);
  };
  row(
    all.map(([one, at]) => [one.seconds, x(at)] as const),
    '<=',
    seconds,
  );
  row(
    all.map(([, at]) => [1, x(at)] as const),
    '<=',
    ask.mostBlocks,
  );
  for (const drill of new Set(options.map((one) => one.drill))) {
    const own = all.filter(([one]) => one.drill === drill).map(([, at]) => [1, x(at)] as const);
    row(own, ask.must.includes(drill) ? '=' : '<=', 1);
  }
  for (const [phase, most] of ask.most.entries())
    if (most !== null)
      row(
        all.filter(([one]) => one.phase === phase).map(([, at]) => [1, x(at)] as const),
        '<=',
        most,
      );
  for (const [kind, caps] of ask.caps.entries())
    for (const [child, cap] of caps.entries())
      row(
        all.map(([one, at]) => [one.loads[kind]![child]!, x(at)] as const),
        '<=',
        cap,
      );
  for (const [one, at] of all)
    for (const part of one.asks)
      row(
        [
          [1, x(at)],
          ...all.filter(([warm]) => warmsFor(warm, part, one)).map(([, w]) => [-1, x(w)] as const),
        ],
        '<=',
        0,
      );
  for (let child = 0; child < children; child++)
    row([[1, 'm'], ...all.map(([one, at]) => [-one.good[child]!, x(at)] as const)], '<=', 0);
  for (const [at, family] of families.entries())
    row(
      [
        ...all.filter(([one]) => one.family === family).map(([, o]) => [1, x(o)] as const),
        ...weights.variety.map((_, n) => [-1, `f${at}_${n}`] as const),
      ],
      '=',
      0,
    );
  for (const [phase, share] of shares.entries())
    row(
      [
        ...all
          .filter(([one]) => one.phase === phase)
          .map(([one, at]) => [one.seconds / wholeS, x(at)] as const),
        [-1, `o${phase}`],
        [1, `u${phase}`],
      ],
      '=',
      share,
    );
  for (const [at, thing] of things.entries())
    for (const [one, o] of all)
      if (one.things.includes(thing))
        row(
          [
            [1, x(o)],
            [-1, `t${at}`],
          ],
          '<=',
          0,
        );
  const at = new Map(all.map(([one, place]) => [one.id, place]));
  for (const id of ask.locked) row([[1, x(at.get(id)!)]], '=', 1);
  for (const { ids, most } of ask.limits)
    row(
      ids.flatMap((id) => (at.has(id) ? [[1, x(at.get(id)!)] as const] : [])),
      '<=',
      most,
    );

  const stretched = ask.stretches ? stretchRows(ask, ask.stretches, row) : [];

  const bounds = [
    ...(children > 0 ? [' m >= 0'] : []),
    ...families.flatMap((_, f) =>
      weights.variety.map((_worth, n) =>
        n < weights.variety.length - 1 ? ` 0 <= f${f}_${n} <= 1` : ` f${f}_${n} >= 0`,
      ),
    ),
    ...things.map((_, t) => ` 0 <= t${t} <= 1`),
  ];
  return [
    'Maximize',
    ` obj: ${terms(goal)}`,
    'Subject To',
    ...rows,
    'Bounds',
    ...bounds,
    'Binary',
    ` ${[...all.map(([, place]) => x(place)), ...stretched].join(' ')}`,
    'End',
  ].join('\n');
}

/**
 * Each option that is taken is in one stretch, no stretch is too long, and what is run later is in no sooner stretch: of
 * the ranks in order, `w` says which a stretch may still have, and what follows it may have no lower one than its last.
 * @returns the names of the variables that are 0 or 1
 */
function stretchRows({ options }: BuildAsk, stretches: Stretches, row: Row): string[] {
  const ranks = ranksOf(options);
  const inOrder = [...new Set(ranks)].sort((a, b) => a - b);
  const numbers = Array.from({ length: stretches.count }, (_, k) => k);
  const s = (at: number, k: number) => `s${at}_${k}`;
  const w = (rank: number, k: number) => `w${rank}_${k}`;
  for (const at of options.keys())
    row([[1, `x${at}`], ...numbers.map((k) => [-1, s(at, k)] as const)], '=', 0);
  for (const k of numbers)
    row(
      options.map((one, at) => [ofStretch(one, stretches), s(at, k)] as const),
      '<=',
      stretches.seconds,
    );
  for (const [rank, value] of inOrder.entries()) {
    // Sizes of one drill exclude each other: one row for all of them says more than one for each.
    const drills = groupBy(
      [...options.keys()].filter((at) => ranks[at] === value),
      (at) => options[at]!.drill,
    );
    for (const k of numbers) {
      for (const own of drills.values()) {
        const taken = own.map((at) => [1, s(at, k)] as const);
        row([...taken, [-1, w(rank, k)]], '<=', 0);
        if (k > 0 && rank + 1 < inOrder.length) row([...taken, [1, w(rank + 1, k - 1)]], '<=', 1);
      }
      const pairs: (readonly [string, string])[] = [];
      if (rank > 0) pairs.push([w(rank, k), w(rank - 1, k)]);
      if (k > 0) pairs.push([w(rank, k - 1), w(rank, k)]);
      for (const [less, more] of pairs)
        row(
          [
            [1, less],
            [-1, more],
          ],
          '<=',
          0,
        );
    }
  }
  return numbers.flatMap((k) => [
    ...[...options.keys()].map((at) => s(at, k)),
    ...inOrder.map((_, rank) => w(rank, k)),
  ]);
}
