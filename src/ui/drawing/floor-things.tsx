import type { FloorThing } from '@/core/venues/place';
import type { Scaled } from './on-the-floor';

interface Props extends Scaled {
  readonly things: readonly FloorThing[];
  /** How wide the floor is: words near its right end stand on the left of their thing. */
  readonly alongM: number;
  /** The number of the first of them, less one. */
  readonly first?: number;
  /** What is written beside them: their numbers as beside fields, only what they are, or nothing. */
  readonly words?: 'numbered' | 'kind' | 'none';
}

/** What may be stepped on but not worked on. */
const flat: ReadonlySet<FloorThing['kind']> = new Set(['slippery', 'keep clear', 'door', 'bottles']);

const nearEnd = (xM: number, widthM: number, alongM: number): boolean => xM + widthM > 0.8 * alongM;

/** Pillars, doors and the like on a floor, to scale; what is flat is only hatched by its dashes. */
export function FloorThings({ things, alongM, x, y, scale, first = 0, words = 'numbered' }: Props) {
  return things.map(({ kind, xM, yM, widthM, depthM }, n) => (
    <g key={n}>
      <rect
        x={x(xM)}
        y={y(yM)}
        width={Math.max(3, widthM * scale)}
        height={Math.max(3, depthM * scale)}
        fill={flat.has(kind) ? 'none' : 'var(--soft)'}
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray={flat.has(kind) ? '4 3' : undefined}
      />
      {words !== 'none' && (
        <text
          x={nearEnd(xM, widthM, alongM) ? x(xM) - 4 : x(xM + widthM) + 4}
          textAnchor={nearEnd(xM, widthM, alongM) ? 'end' : 'start'}
          y={y(yM + depthM / 2) + 4}
          fontSize="12"
          fill="var(--ink)"
          stroke="var(--sheet)"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {words === 'numbered' ? `${first + n + 1} ${kind}` : kind}
        </text>
      )}
    </g>
  ));
}
