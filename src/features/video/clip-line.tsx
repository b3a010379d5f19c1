import { scaleLinear } from 'd3';
import { markWords, type ClipMark } from '@/core/video/marks';
import type { HeardTouch } from '@/core/sound/count/rows';

interface Props {
  readonly durationS: number;
  readonly atS: number;
  readonly marks: readonly ClipMark[];
  readonly heard: readonly HeardTouch[];
  readonly onSeek: (toS: number) => void;
}

const [width, height, markY, heardY] = [1000, 64, 22, 48] as const;

/** A clip from its beginning to its end: what was marked above, what was heard below, and where it stands. */
export function ClipLine({ durationS, atS, marks, heard, onSeek }: Props) {
  const x = scaleLinear([0, Math.max(0.001, durationS)], [8, width - 8]);
  return (
    <div className="space-y-1">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${marks.length} marks and ${heard.length} touches heard in ${durationS.toFixed(1)} seconds`}
        className="w-full rounded-md border-2 border-line bg-sheet"
      >
        <line x1="8" x2={width - 8} y1={height / 2 + 2} y2={height / 2 + 2} className="stroke-line" />
        {heard.map((one) => (
          <line
            key={one.atS}
            data-heard-at={one.atS}
            x1={x(one.atS)}
            x2={x(one.atS)}
            y1={heardY - 8}
            y2={heardY + 8}
            strokeWidth="3"
            className="stroke-safe"
          />
        ))}
        {marks.map(({ kind, atS: markS }) => (
          <text
            key={`${kind} ${markS}`}
            x={x(markS)}
            y={markY}
            textAnchor="middle"
            fontSize="18"
            fontWeight="700"
            className="fill-ink"
          >
            {markWords[kind].key.toUpperCase()}
          </text>
        ))}
        <line x1={x(atS)} x2={x(atS)} y1="2" y2={height - 2} strokeWidth="2" className="stroke-now" />
      </svg>
      <input
        type="range"
        aria-label="Where the clip stands, seconds"
        min={0}
        max={durationS || 1}
        step={0.001}
        value={atS}
        onChange={({ target }) => onSeek(Number(target.value))}
        className="w-full accent-now"
      />
    </div>
  );
}
