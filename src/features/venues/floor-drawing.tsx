import { tableSize } from '@/core/ballistics/surfaces';
import { floorsOf } from '@/core/venues/on-floor';
import type { Place } from '@/core/venues/place';
import { FloorThings } from '@/ui/drawing/floor-things';
import { useUnits } from '@/ui/units';

const drawingPx = 190;
/** Metres drawn across: every place is on the same scale, so a hall looks like a hall. */
const acrossM = 26;

/** A place from above, to scale: the floor, the wall that may be hit, and the tables. */
export function FloorDrawing({ place }: { place: Place }) {
  const { say } = useUnits();
  const scale = drawingPx / acrossM;
  const { alongM, deepM } = floorsOf(place)[0]!;
  const [width, height] = [Math.min(acrossM, alongM) * scale, Math.min(acrossM, deepM) * scale];
  const wall = Math.min(acrossM, place.wallM, alongM) * scale;
  const tables = Array.from({ length: Math.min(place.tables, 4) }, (_, index) => index);
  return (
    <svg
      role="img"
      aria-label={say(`${place.name} from above: ${place.lengthM} by ${place.widthM} m`)}
      viewBox={`0 0 ${drawingPx + 8} ${Math.max(70, height + 30)}`}
      width={drawingPx + 8}
      height={Math.max(70, height + 30)}
      className="shrink-0"
    >
      <g transform="translate(4 10)">
        <rect
          width={width}
          height={height}
          fill="var(--chalk)"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray={place.ceilingM === null ? '5 4' : undefined}
        />
        <FloorThings
          things={place.things ?? []}
          alongM={alongM}
          x={(metres) => metres * scale}
          y={(metres) => metres * scale}
          scale={scale}
          words="none"
        />
        {wall > 0 && <line x1="0" y1="0" x2={wall} y2="0" stroke="var(--now)" strokeWidth="6" />}
        {tables.map((index) => (
          <rect
            key={index}
            x={width - (index + 1) * (tableSize.widthM * scale + 6)}
            y={height / 2 - (tableSize.lengthM * scale) / 2}
            width={tableSize.widthM * scale}
            height={tableSize.lengthM * scale}
            fill="var(--safe)"
            fillOpacity="0.35"
            stroke="var(--ink)"
          />
        ))}
        <text x="0" y={height + 15} fontSize="12" fill="var(--soft)">
          {say(`${place.lengthM} x ${place.widthM} m`)}
          {wall > 0 && ', wall above'}
        </text>
      </g>
    </svg>
  );
}
