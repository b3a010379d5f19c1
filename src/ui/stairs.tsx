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
  // To a tenth of a pixel: the list of drills has a flight for every one.
  const short = (pixels: number) => Math.round(10 * pixels) / 10;
  const upTo = (end: number) =>
    treads
      .slice(0, end)
      .map((_, index) => `V${short(top(index))}H${short((index + 1) * run)}`)
      .join('');
  const outline = upTo(treads.length);
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
      <path d={`M0 ${height}${outline}V${height}Z`} fill="var(--chalk)" />
      {place >= 0 && (
        <path d={`M0 ${height}${upTo(place + 1)}V${height}Z`} fill="var(--safe)" fillOpacity="0.28" />
      )}
      <path
        d={`M0 ${height}${outline}`}
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
