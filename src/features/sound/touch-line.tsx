import type { HeardRow } from '@/core/sound/count/rows';
import type { LeftOut } from '@/core/sound/count/taken';

interface Props {
  readonly rows: readonly HeardRow[];
  readonly leftOut: readonly LeftOut[];
}

const [width, height] = [640, 56] as const;

/** Every touch on a line of time: as high as it is sure; hollow where only the beat says it, a dot where something was left out. */
export function TouchLine({ rows, leftOut }: Props) {
  const touches = rows.flatMap((row) => row.touches);
  const times = [...touches, ...leftOut].map(({ atS }) => atS);
  if (times.length === 0) return null;
  const fromS = Math.min(...times);
  const spanS = Math.max(1, Math.max(...times) - fromS);
  const x = (atS: number) => 6 + ((width - 12) * (atS - fromS)) / spanS;
  const unsure = touches.filter(({ sure }) => sure < 0.8).length;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${touches.length} touches over ${Math.round(spanS)} seconds, ${unsure} of them unsure; ${leftOut.length} left out`}
        className="w-full rounded-md border-2 border-line bg-sheet"
      >
        <line x1="0" x2={width} y1={height - 8} y2={height - 8} className="stroke-edge" />
        {leftOut.map(({ atS }) => (
          <circle key={atS} cx={x(atS)} cy={height - 8} r="2.5" className="fill-soft" />
        ))}
        {touches.map(({ atS, sure, heard }) => (
          <rect
            key={atS}
            x={x(atS) - 2}
            width="4"
            y={height - 8 - (height - 14) * sure}
            height={(height - 14) * sure}
            className={heard ? 'fill-now' : 'fill-none stroke-now'}
          />
        ))}
      </svg>
      <figcaption className="text-sm text-soft">
        A bar is a touch, as high as it is sure; hollow: not heard, but the beat has room for it. A dot was
        left out.
      </figcaption>
    </figure>
  );
}
