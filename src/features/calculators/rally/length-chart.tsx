import { line, scaleBand, scaleLinear } from 'd3';
import { rallyEnds } from '@/core/ballistics/wall/exchange';
import type { RallyAnswer } from '@/core/calculators/rally/job';
import { shareOfAtLeast } from '@/core/calculators/rally/results';
import { percent } from '@/core/base/words';
import { YGrid } from '@/ui/drawing/y-grid';

const [width, height] = [640, 270];
const margin = { left: 50, right: 20, top: 16, bottom: 40 };
/** Longest row on the chart: what is longer stands at its end. */
const mostShown = 30;

/** How long rallies are: one bar a length, the plain model as a line over it, the aim as a mark. */
export function LengthChart({ answer }: { answer: RallyAnswer }) {
  const { rallies, aim } = answer.forecast;
  const { rate } = answer.plain;
  const longest = rallies.lengths.findLastIndex((count) => count > rallies.rallies / 500);
  const last = Math.min(mostShown, rallies.lengths.length - 1, Math.max(aim + 2, longest));
  const share = (n: number) =>
    n === last ? shareOfAtLeast(rallies, last) : (rallies.lengths[n] ?? 0) / rallies.rallies;
  const plain = (n: number) => (n === last ? rate ** n : rate ** n * (1 - rate));
  const lengths = Array.from({ length: last + 1 }, (_, n) => n);
  const top = Math.max(...lengths.map((n) => Math.max(share(n), plain(n)))) * 1.1;
  const x = scaleBand<number>()
    .domain(lengths)
    .range([margin.left, width - margin.right])
    .padding(0.15);
  const y = scaleLinear()
    .domain([0, top])
    .range([height - margin.bottom, margin.top]);
  const middle = (n: number) => x(n)! + x.bandwidth() / 2;
  const way = line<number>(middle, (n) => y(plain(n)))(lengths.slice(0, -1))!;
  return (
    <svg
      role="img"
      aria-label={`How many good hits in a row: ${percent(shareOfAtLeast(rallies, aim))} of rallies have ${aim} or more; none at all in ${percent(share(0))}.`}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <YGrid
        y={y}
        ticks={5}
        from={margin.left}
        to={width - margin.right}
        words={(tick) => `${Math.round(tick * 100)} %`}
      />
      {lengths.map((n) => (
        <g key={n}>
          <rect
            x={x(n)}
            width={x.bandwidth()}
            y={y(share(n))}
            height={Math.max(0, y(0) - y(share(n)))}
            fill={n >= aim ? 'var(--safe)' : 'var(--hatch)'}
            stroke="var(--ink)"
          />
          {(n % (last > 14 ? 5 : 1) === 0 || n === last) && (
            <text
              x={middle(n)}
              y={height - margin.bottom + 16}
              textAnchor="middle"
              fontSize="12"
              fill="var(--soft)"
            >
              {n === last ? `${n}+` : n}
            </text>
          )}
        </g>
      ))}
      <path d={way} fill="none" stroke="var(--now)" strokeWidth="3" strokeDasharray="7 4" />
      {/* The last place holds all that is longer. */}
      <circle cx={middle(last)} cy={y(plain(last))} r="4.5" fill="var(--now)" stroke="var(--ink)" />
      {aim <= last && (
        <g>
          <line
            x1={x(aim)! - 2}
            x2={x(aim)! - 2}
            y1={margin.top}
            y2={y(0)}
            stroke="var(--ink)"
            strokeWidth="1.5"
            strokeDasharray="3 3"
          />
          <text x={x(aim)! + 3} y={margin.top + 10} fontSize="13" fontWeight="700" fill="var(--ink)">
            aim {aim}
          </text>
        </g>
      )}
      <line
        x1={margin.left}
        x2={width - margin.right}
        y1={y(0)}
        y2={y(0)}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <text
        x={(margin.left + width - margin.right) / 2}
        y={height - 4}
        textAnchor="middle"
        fontSize="12"
        fill="var(--soft)"
      >
        good hits in a row
      </text>
    </svg>
  );
}

/** Why rallies end, as bars with their words and shares. */
export function EndBars({ answer }: { answer: RallyAnswer }) {
  const { rallies } = answer.forecast;
  const all = [
    ...rallyEnds.map((end) => ({ text: end, count: rallies.ends[end] })),
    { text: 'still going', count: rallies.unended },
  ].filter(({ count }) => count > 0);
  const most = Math.max(...all.map(({ count }) => count));
  return (
    <ul className="space-y-1 text-sm">
      {all.map(({ text, count }) => (
        <li key={text} className="grid grid-cols-[6rem_1fr_4.2rem] items-center gap-2">
          <span>{text}</span>
          <span className="h-4 border border-edge bg-now/60" style={{ width: `${(100 * count) / most}%` }} />
          <span className="tabular text-right">{percent(count / rallies.rallies)}</span>
        </li>
      ))}
    </ul>
  );
}
