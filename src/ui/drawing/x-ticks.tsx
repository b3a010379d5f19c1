import { Marked } from '../units';
interface XTicksProps {
  /** A linear scale of D3. */
  readonly x: { (value: number): number; ticks(count: number): number[] };
  readonly ticks: number;
  /** Where the words stand: their lower edge. */
  readonly at: number;
  readonly words: (tick: number) => string;
  /** A mark or a line at each of them, from and to; none without it. */
  readonly mark?: { readonly from: number; readonly to: number; readonly thin?: boolean };
}

/** Values along a drawing, with a mark at each. */
export function XTicks({ x, ticks, at, words, mark }: XTicksProps) {
  return x.ticks(ticks).map((tick) => (
    <g key={tick}>
      {mark && (
        <line
          x1={x(tick)}
          x2={x(tick)}
          y1={mark.from}
          y2={mark.to}
          stroke={mark.thin ? 'var(--line)' : 'var(--ink)'}
          strokeWidth={mark.thin ? 0.7 : 1.5}
        />
      )}
      <text x={x(tick)} y={at} textAnchor="middle" fontSize="12" fill="var(--soft)">
        <Marked>{words(tick)}</Marked>
      </text>
    </g>
  ));
}
