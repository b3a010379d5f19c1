'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { floorsOf } from '@/core/place/on-floor';
import type { Place } from '@/core/place/place';
import { FloorThings } from '@/ui/drawing/floor-things';
import { useUnits } from '@/ui/units';

interface Props {
  readonly place: Pick<Place, 'lengthM' | 'widthM' | 'wallSide' | 'wallM' | 'things'>;
  readonly onMove: (index: number, byX: number, byY: number) => void;
}

const [widthPx, tallestPx, edge] = [640, 300, 8];
/** An arrow key moves a thing by a decimetre, with Shift by a metre. Ours. */
const [stepM, longStepM] = [0.1, 1];
const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The floor of a place with what stands on it, to scale: things are dragged, or moved by the arrow keys. */
export function ThingsDrawing({ place, onMove }: Props) {
  const { length } = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<{ index: number; x: number; y: number } | null>(null);
  const { alongM, deepM } = floorsOf(place)[0]!;
  const things = place.things ?? [];
  if (!(alongM > 0 && deepM > 0)) return null;
  const scale = Math.min((widthPx - 2 * edge) / alongM, (tallestPx - 2 * edge) / deepM);
  const x = (metres: number) => edge + metres * scale;
  const y = (metres: number) => edge + metres * scale;
  const at = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const perM = (box.width / (alongM * scale + 2 * edge)) * scale;
    return { x: event.clientX / perM, y: event.clientY / perM };
  };
  const drag = (event: PointerEvent) => {
    if (!held.current) return;
    const now = at(event);
    const [byX, byY] = [now.x - held.current.x, now.y - held.current.y].map((by) => Math.round(by * 20) / 20);
    if (byX === 0 && byY === 0) return;
    onMove(held.current.index, byX!, byY!);
    held.current = { index: held.current.index, x: held.current.x + byX!, y: held.current.y + byY! };
  };
  const press = (event: KeyboardEvent, index: number) => {
    const way = arrows[event.key];
    if (!way) return;
    event.preventDefault();
    const by = event.shiftKey ? longStepM : stepM;
    onMove(index, way[0] * by, way[1] * by);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${alongM * scale + 2 * edge} ${deepM * scale + 2 * edge}`}
      className="w-full max-w-2xl touch-none"
      onPointerMove={drag}
      onPointerUp={() => (held.current = null)}
      onPointerLeave={() => (held.current = null)}
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
          onKeyDown={(event) => press(event, index)}
          onPointerDown={(event) => {
            const now = at(event);
            held.current = { index, ...now };
          }}
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
