'use client';

import { floorsOf } from '@/core/venues/on-floor';
import type { Place } from '@/core/venues/place';
import { FloorThings } from '@/ui/drawing/floor-things';
import { useMoving } from '@/ui/drawing/use-moving';
import { useUnits } from '@/ui/units';

interface Props {
  readonly place: Pick<Place, 'lengthM' | 'widthM' | 'wallSide' | 'wallM' | 'things'>;
  readonly onMove: (index: number, byX: number, byY: number) => void;
}

const [widthPx, tallestPx, edge] = [640, 300, 8];
/** An arrow key moves a thing by a decimetre, with Shift by a metre. Ours. */
const [stepM, longStepM] = [0.1, 1];
/** The floor of a place with what stands on it, to scale: things are dragged, or moved by the arrow keys. */
export function ThingsDrawing({ place, onMove }: Props) {
  const { length } = useUnits();
  const { alongM, deepM } = floorsOf(place)[0]!;
  const things = place.things ?? [];
  const scale = Math.min((widthPx - 2 * edge) / alongM, (tallestPx - 2 * edge) / deepM);
  const { board, piece } = useMoving<number>({
    widthPx: alongM * scale + 2 * edge,
    scale,
    gridM: 0.05,
    stepM,
    longStepM,
    onMove,
  });
  if (!(alongM > 0 && deepM > 0)) return null;
  const x = (metres: number) => edge + metres * scale;
  const y = (metres: number) => edge + metres * scale;
  return (
    <svg
      {...board}
      viewBox={`0 0 ${alongM * scale + 2 * edge} ${deepM * scale + 2 * edge}`}
      className="w-full max-w-2xl touch-none"
    >
      <rect
        x={x(0)}
        y={y(0)}
        width={alongM * scale}
        height={deepM * scale}
        fill="var(--chalk)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {place.wallM > 0 && (
        <line
          x1={x(0)}
          x2={x(Math.min(place.wallM, alongM))}
          y1={y(0)}
          y2={y(0)}
          stroke="var(--now)"
          strokeWidth="6"
        />
      )}
      {things.map((thing, index) => (
        <g
          key={index}
          role="button"
          tabIndex={0}
          data-thing={index}
          aria-label={`${index + 1} ${thing.kind}, ${length(thing.xM)} along, ${length(thing.yM)} out: arrow keys move it`}
          {...piece(index)}
          className="cursor-move outline-offset-4"
        >
          {/* A pillar is small: it can be taken hold of beside it too. */}
          <rect
            x={x(thing.xM + thing.widthM / 2) - Math.max(22, (thing.widthM * scale) / 2)}
            y={y(thing.yM + thing.depthM / 2) - Math.max(22, (thing.depthM * scale) / 2)}
            width={Math.max(44, thing.widthM * scale)}
            height={Math.max(44, thing.depthM * scale)}
            fill="transparent"
          />
          <FloorThings things={[thing]} alongM={alongM} x={x} y={y} scale={scale} first={index} />
        </g>
      ))}
    </svg>
  );
}
