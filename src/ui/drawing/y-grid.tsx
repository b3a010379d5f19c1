import { Marked } from '../units';
interface YGridProps {
  /** A linear scale of D3. */
  readonly y: { (value: number): number; ticks(count: number): number[] };
  readonly ticks: number;
  /** Where the lines begin and end. */
  readonly from: number;
  readonly to: number;
  /** How far left of the lines their words stand. */
  readonly gap?: number;
  readonly words: (tick: number) => string;
}

/** Thin level lines across a drawing, with their values on the left. */
export function YGrid({ y, ticks, from, to, gap = 8, words }: YGridProps) {
  return y.ticks(ticks).map((tick) => (
    <g key={tick}>
      <line x1={from} x2={to} y1={y(tick)} y2={y(tick)} stroke="var(--line)" strokeWidth="0.7" />
      <text x={from - gap} y={y(tick) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
        <Marked>{words(tick)}</Marked>
      </text>
    </g>
  ));
}
