'use client';

import type { Taped } from '@/core/movement/layout';
import type { Floor } from '@/core/venues/on-floor';
import type { Place } from '@/core/venues/place';
import { laneStepM, laneWords, type LaneState } from '@/session/plan/moved-lanes';
import type { PlacedLane, PlacedSlot } from '@/session/plan/set-out';
import { FloorThings } from '@/ui/drawing/floor-things';
import { OnTheFloor, WayEnd, type Scaled } from '@/ui/drawing/on-the-floor';
import { useMoving } from '@/ui/drawing/use-moving';
import { useUnits } from '@/ui/units';
import type { Moves } from './use-moves';

const widthPx = 900;
const edge = { top: 30, side: 16, bottom: 44 };

interface Props {
  readonly place: Place;
  readonly slot: PlacedSlot;
  /** Points with the numbers they have in the list. */
  readonly numbered: readonly Taped[];
  /** What is in the way of which lane. */
  readonly states?: readonly LaneState[];
  /** What stands beside each of the points, instead of its number. */
  readonly beside?: readonly string[];
  /** True where lanes of several blocks lie over one another: their rooms are then left out. */
  readonly over?: boolean;
  /** Takes a lane elsewhere; left out where nothing can be moved. */
  readonly moves?: Pick<Moves, 'moveBy' | 'turn'>;
}

/** A slot on the floor of its place from above, to scale: the wall above, lanes, what lies in them, and a bar of metres. */
export function FloorPlan({ place, slot, numbered, states = [], moves, beside, over = false }: Props) {
  const { say, length } = useUnits();
  const { floor, blocks } = slot;
  const scale = (widthPx - 2 * edge.side) / floor.alongM;
  const x = (metres: number) => edge.side + metres * scale;
  const y = (metres: number) => edge.top + metres * scale;
  const heightPx = edge.top + floor.deepM * scale + edge.bottom;
  const wall = Math.min(place.wallM, floor.alongM);
  const lanes = blocks.flatMap((block) =>
    block.lanes.map((lane, n) => ({
      lane,
      n,
      block,
      blocked: states.some(
        (one) => one.blockId === block.blockId && one.lane === n && one.conflicts.length > 0,
      ),
    })),
  );
  const { board, piece } = useMoving<{ blockId: string; lane: number }>({
    widthPx,
    scale,
    gridM: laneStepM.short,
    stepM: laneStepM.short,
    longStepM: laneStepM.long,
    onMove: ({ blockId, lane }, byX, byY) => moves?.moveBy(blockId, lane, byX, byY),
  });
  const said = blocks
    .map(({ title, lanes: own }) => `${title}: ${own.length === 1 ? 'one lane' : `${own.length} lanes`}`)
    .join('; ');
  return (
    // On a phone it is looked at piece by piece, rather than too small to read.
    <div className="overflow-x-auto" role="group" aria-label="The floor" tabIndex={0}>
      <svg
        role={moves && lanes.length > 0 ? 'group' : 'img'}
        {...board}
        aria-label={say(
          `${place.name} from above, ${floor.alongM} by ${floor.deepM} m, to scale. ${said}. ${numbered.length} marks to tape.`,
        )}
        viewBox={`0 0 ${widthPx} ${Math.ceil(heightPx)}`}
        className="w-full min-w-[44rem]"
      >
        <WayEnd />
        <rect
          x={x(0)}
          y={y(0)}
          width={floor.alongM * scale}
          height={floor.deepM * scale}
          fill="var(--chalk)"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray={place.ceilingM === null ? '6 5' : undefined}
        />
        {wall > 0 && <line x1={x(0)} x2={x(wall)} y1={y(0)} y2={y(0)} stroke="var(--now)" strokeWidth="7" />}
        <text x={x(0)} y={edge.top - 11} fontSize="14" fontWeight="600" fill="var(--ink)">
          {wall > 0 ? 'Left end of the wall' : 'Left corner'}
        </text>
        <text
          x={x(floor.alongM)}
          y={edge.top - 11}
          fontSize="14"
          fontWeight="600"
          textAnchor="end"
          fill="var(--ink)"
        >
          Right corner
        </text>
        <FloorThings
          things={place.things ?? []}
          alongM={floor.alongM}
          x={x}
          y={y}
          scale={scale}
          words="kind"
        />
        {lanes.map(({ lane, n, block, blocked }) => {
          const drawing = over ? (
            <OnTheFloor layout={lane.layout} x={x} y={y} scale={scale} />
          ) : (
            <LaneDrawing lane={lane} x={x} y={y} scale={scale} blocked={blocked} />
          );
          const key = `${block.blockId} ${n}`;
          if (!moves) return <g key={key}>{drawing}</g>;
          const { onKeyDown, onPointerDown } = piece({ blockId: block.blockId, lane: n });
          return (
            <g
              key={key}
              role="button"
              tabIndex={0}
              data-lane={key}
              aria-label={say(
                `${laneWords(block, lane)}: ${lane.room.x.toFixed(2)} m along, ${lane.room.y.toFixed(2)} m out${blocked ? ', something is in its way' : ''}: arrow keys move it, T turns it`,
              )}
              onPointerDown={onPointerDown}
              onKeyDown={(event) => {
                if (event.key.toLowerCase() === 't' && !event.ctrlKey && !event.metaKey)
                  moves.turn(block.blockId, n);
                else onKeyDown(event);
              }}
              className="cursor-move touch-none outline-offset-2"
            >
              {drawing}
            </g>
          );
        })}
        {numbered.map(({ at }, n) => (
          <text
            key={n}
            x={x(at.x) + 7}
            y={y(at.y) - 6}
            fontSize="14"
            fontWeight="700"
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {beside?.[n] ?? n + 1}
          </text>
        ))}
        <ScaleBar floor={floor} x={x} y={y(floor.deepM) + 18} words={length} />
      </svg>
    </div>
  );
}

function LaneDrawing({
  lane: { room, layout, name, who },
  x,
  y,
  scale,
  blocked,
}: { readonly lane: PlacedLane; readonly blocked: boolean } & Scaled) {
  return (
    <g>
      <rect
        x={x(room.x) + 2}
        y={y(room.y) + 2}
        width={room.width * scale - 4}
        height={room.height * scale - 4}
        fill="var(--sheet)"
        stroke={blocked ? 'var(--stop)' : 'var(--soft)'}
        strokeWidth={blocked ? 4 : 1.5}
        strokeDasharray={blocked ? '10 5' : '3 4'}
      />
      <OnTheFloor layout={layout} x={x} y={y} scale={scale} />
      {(name || who) && (
        <text x={x(room.x) + 7} y={y(room.y + room.height) - 8} fontSize="13" fill="var(--soft)">
          {[name, who?.split(' ')[0]].filter(Boolean).join(' ')}
        </text>
      )}
    </g>
  );
}

/** A bar of metres below the floor: on paper a ruler checks the scale. */
function ScaleBar({
  floor,
  x,
  y,
  words,
}: {
  readonly floor: Floor;
  readonly x: (metres: number) => number;
  readonly y: number;
  readonly words: (metres: number) => string;
}) {
  const bar = floor.alongM >= 12 ? 5 : floor.alongM >= 5 ? 2 : 1;
  return (
    <g>
      <path
        d={`M${x(0)} ${y - 5}v10M${x(0)} ${y}H${x(bar)}M${x(bar)} ${y - 5}v10`}
        stroke="var(--ink)"
        strokeWidth="2"
        fill="none"
      />
      <text x={x(bar) + 8} y={y + 5} fontSize="14" fill="var(--ink)">
        {words(bar)}
      </text>
      <text x={x(floor.alongM)} y={y + 5} fontSize="14" textAnchor="end" fill="var(--soft)">
        {`${words(floor.alongM)} × ${words(floor.deepM)}`}
      </text>
    </g>
  );
}
