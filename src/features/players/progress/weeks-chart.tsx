import { scaleBand, scaleLinear } from 'd3';
import type { Family } from '@/drills/base/types';
import type { WeekOfTouches } from '@/server/views/progress';
import { YGrid } from '@/ui/drawing/y-grid';

const [width, height] = [400, 170];
const margin = { left: 40, right: 4, top: 8, bottom: 22 };

/** Families in the order they stand on each other, each with a pattern of its own: nothing is told by colour alone. */
const order: readonly (readonly [Family, fill: string, opacity: number])[] = [
  ['loosen', 'var(--hatch)', 0.5],
  ['feet', 'var(--ink)', 0.35],
  ['hands', 'var(--ink)', 0.7],
  ['touch', 'var(--safe)', 0.45],
  ['wall', 'var(--safe)', 0.75],
  ['stroke', 'var(--safe)', 1],
  ['serve base', 'var(--now)', 0.55],
  ['games', 'var(--now)', 1],
];

/** Touches of each week, by family. */
export function WeeksChart({ weeks }: { readonly weeks: readonly WeekOfTouches[] }) {
  const totalOf = ({ families }: WeekOfTouches) =>
    Object.values(families).reduce<number>((sum, count) => sum + count, 0);
  const shown = order.filter(([family]) => weeks.some(({ families }) => families[family]));
  const x = scaleBand<string>()
    .domain(weeks.map(({ week }) => week))
    .range([margin.left, width - margin.right])
    .padding(0.18);
  const y = scaleLinear()
    .domain([0, Math.max(10, ...weeks.map(totalOf))])
    .nice(4)
    .range([height - margin.bottom, margin.top]);
  return (
    <>
      <svg
        role="img"
        aria-label={`Touches by week: ${weeks.map((one) => `${one.week}: ${totalOf(one)}`).join('; ')}.`}
        viewBox={`0 0 ${width} ${height}`}
        className="w-full"
      >
        <YGrid y={y} ticks={4} from={margin.left} to={width - margin.right} words={String} />
        {weeks.map((one, n) => {
          let below = 0;
          return (
            <g key={one.week}>
              {shown.map(([family, fill, opacity]) => {
                const count = one.families[family] ?? 0;
                const [from, to] = [below, below + count];
                below = to;
                return (
                  count > 0 && (
                    <rect
                      key={family}
                      x={x(one.week)}
                      width={x.bandwidth()}
                      y={y(to)}
                      height={y(from) - y(to)}
                      fill={fill}
                      fillOpacity={opacity}
                      stroke="var(--sheet)"
                      strokeWidth="0.8"
                    >
                      <title>{`${family}: ${count}`}</title>
                    </rect>
                  )
                );
              })}
              {n % 2 === 1 && (
                <text
                  x={x(one.week)! + x.bandwidth() / 2}
                  y={height - 6}
                  textAnchor="middle"
                  fontSize="11"
                  fill="var(--soft)"
                >
                  {Number(one.week.slice(8))}.{Number(one.week.slice(5, 7))}.
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <ul className="flex flex-wrap gap-x-3 text-sm text-soft" aria-label="Families, from the bottom up">
        {shown.map(([family, fill, opacity]) => (
          <li key={family} className="inline-flex items-center gap-1">
            <span
              aria-hidden
              className="inline-block size-3 rounded-xs"
              style={{ background: fill, opacity }}
            />
            {family}
          </li>
        ))}
      </ul>
    </>
  );
}
