import { cx } from './class-names';

export interface Tread {
  readonly id: string;
  readonly title: string;
}

export interface StairsProps {
  readonly treads: readonly Tread[];
  /** The tread the ball rests on. */
  readonly at: string;
  readonly label: string;
  readonly height?: number;
  readonly width?: number;
  readonly className?: string;
}

/** A ladder of steps as a flight of stairs seen from the side; the ball rests on the step in hand. */
export function Stairs({ treads, at, label, width = 132, height = 56, className }: StairsProps) {
  const run = width / treads.length;
  const rise = (height - 18) / treads.length;
  const top = (index: number) => height - (index + 1) * rise;
  const outline = treads
    .map((_, index) => `L ${index * run} ${top(index)} L ${(index + 1) * run} ${top(index)}`)
    .join(' ');
  const place = treads.findIndex((tread) => tread.id === at);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-3 -3 ${width + 6} ${height + 6}`}
      width={width}
      height={height}
      className={cx('shrink-0', className)}
    >
      <path d={`M 0 ${height} ${outline} L ${width} ${height} Z`} fill="var(--chalk)" />
      {place >= 0 && (
        <path
          d={`M 0 ${height} ${treads
            .slice(0, place + 1)
            .map((_, index) => `L ${index * run} ${top(index)} L ${(index + 1) * run} ${top(index)}`)
            .join(' ')} L ${(place + 1) * run} ${height} Z`}
          fill="var(--safe)"
          fillOpacity="0.28"
        />
      )}
      <path
        d={`M 0 ${height} ${outline}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.5"
        strokeLinejoin="round"
      />
      {place >= 0 && (
        <circle
          cx={place * run + run / 2}
          cy={top(place) - 7.5}
          r="6"
          fill="var(--now)"
          stroke="var(--ink)"
          strokeWidth="2"
        />
      )}
    </svg>
  );
}
