import { line, scaleLinear } from 'd3';
import { balls } from '@/core/ballistics/balls';
import type { PathPoint } from '@/core/ballistics/fly';
import { tableSize } from '@/core/ballistics/surfaces';
import type { Forgiveness } from '@/core/ballistics/wall/forgive';
import { hitFromM, type WallSetup } from '@/core/ballistics/wall/setup';
import type { WallSolution } from '@/core/ballistics/wall/solve';
import { Body } from '@/ui/drawing/body';
import { Ground, Level } from '@/ui/drawing/level';
import { XTicks } from '@/ui/drawing/x-ticks';
import { YGrid } from '@/ui/drawing/y-grid';
import { Said, useUnits } from '@/ui/units';

const [width, height] = [860, 268];
const margin = { left: 62, right: 24, top: 10, bottom: 26 };

/** A rally as it is drawn: its set-up, its way, and what it forgives. */
export interface DrawnRally {
  readonly setup: WallSetup;
  readonly solution: WallSolution;
  readonly path: readonly PathPoint[];
  readonly forgives: Forgiveness;
  readonly bodyM: number;
}

/** The wall from the side, to scale: the flight out and back, the child, and the band that still comes back. */
export function WallDrawing({
  setup,
  bodyM,
  rally,
  kept,
}: {
  setup: WallSetup;
  bodyM: number;
  rally: DrawnRally | null;
  kept: DrawnRally | null;
}) {
  const all = [rally, kept].flatMap((one) => one ?? []);
  const far = Math.max(setup.distanceM, ...all.map((one) => one.setup.distanceM)) + 1;
  const tallest = Math.max(bodyM * 1.15, setup.targetM + 0.3, ...all.map((one) => one.solution.topM + 0.2));
  // The ceiling is drawn where it is near.
  const near = setup.ceilingM !== null && setup.ceilingM < 1.3 * tallest;
  const top = near ? Math.max(tallest, setup.ceilingM! + 0.15) : tallest;
  const scale = Math.min(
    (width - margin.left - margin.right) / far,
    (height - margin.top - margin.bottom) / top,
  );
  const floor = height - margin.bottom;
  const left = margin.left + (width - margin.left - margin.right - far * scale) / 2;
  const x = scaleLinear()
    .domain([0, far])
    .range([left, left + far * scale]);
  const y = scaleLinear()
    .domain([0, top])
    .range([floor, floor - top * scale]);
  const { say } = useUnits();
  const right = x(far);
  const wallTop = Math.min(setup.wallTopM, top);
  const said = rally
    ? `From ${setup.distanceM.toFixed(2)} m the ball flies to the wall at ${setup.targetM.toFixed(2)} m and comes back to the hand at ${setup.contactM.toFixed(2)} m${rally.solution.bounceM === null ? ' without a bounce' : `, bouncing ${rally.solution.bounceM.toFixed(2)} m from the wall`}.`
    : 'Nothing comes back here: the sentence above says why.';
  return (
    <svg
      role="img"
      aria-label={say(`Side view to scale. ${said}`)}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <YGrid y={y} ticks={5} from={x(0)} to={right} gap={18} words={(tick) => `${tick} m`} />
      <XTicks
        x={x}
        ticks={Math.ceil(far)}
        at={floor + 19}
        words={(tick) => `${tick} m`}
        mark={{ from: floor, to: floor + 5 }}
      />
      {setup.ceilingM !== null && setup.ceilingM <= top && (
        <Level from={x(0)} to={right} y={y(setup.ceilingM)} />
      )}
      <rect
        x={x(0) - 12}
        y={y(wallTop)}
        width={12}
        height={floor - y(wallTop)}
        fill="var(--hatch)"
        stroke="var(--ink)"
      />
      <Ground from={x(0) - 12} to={right} y={floor} />
      {setup.shot === 'table' && (
        <g fill="var(--safe)" stroke="var(--ink)">
          <rect
            x={x(setup.tableGapM)}
            y={y(tableSize.heightM)}
            width={setup.tableLengthM * scale}
            height={5}
          />
          <line
            x1={x(setup.tableGapM + 0.15)}
            x2={x(setup.tableGapM + 0.15)}
            y1={y(tableSize.heightM)}
            y2={floor}
            strokeWidth="2"
          />
          <line
            x1={x(setup.tableGapM + setup.tableLengthM - 0.15)}
            x2={x(setup.tableGapM + setup.tableLengthM - 0.15)}
            y1={y(tableSize.heightM)}
            y2={floor}
            strokeWidth="2"
          />
        </g>
      )}
      {kept && <Rally one={kept} x={x} y={y} look="kept" shownM={top} />}
      <Body
        x={x(setup.distanceM + 0.28)}
        floor={floor}
        heightPx={bodyM * scale}
        handX={x(setup.distanceM)}
        handY={y(hitFromM(setup))}
      />
      {rally && <Rally one={rally} x={x} y={y} look="now" shownM={top} />}
      {!rally && <Level from={x(0)} to={x(0) + 14} y={y(setup.targetM)} colour="var(--now)" />}
    </svg>
  );
}

type Scale = (value: number) => number;

function Rally({
  one,
  x,
  y,
  look,
  shownM,
}: {
  one: DrawnRally;
  x: Scale;
  y: Scale;
  look: 'now' | 'kept';
  /** Height the drawing ends at. */
  shownM: number;
}) {
  const { setup, solution, path, forgives } = one;
  const draw = line<PathPoint>(
    (point) => x(point.x),
    (point) => y(point.y),
  );
  const colour = look === 'now' ? 'var(--now)' : 'var(--safe)';
  const out = path.filter((point) => point.atS <= solution.outS + 1e-6);
  const back = path.filter((point) => point.atS >= solution.outS - 1e-6);
  const radius = Math.max(4, (balls[setup.ball].diameterM.value / 2) * (x(1) - x(0)));
  const [low, high] = [Math.max(0, forgives.lowestM), Math.min(forgives.highestM, setup.wallTopM, shownM)];
  return (
    <g>
      {look === 'now' && (
        <>
          <rect
            x={x(0)}
            y={y(high)}
            width={7}
            height={Math.max(2, y(low) - y(high))}
            fill={colour}
            fillOpacity="0.3"
          />
          <Level from={x(0) - 12} to={x(0) + 16} y={y(setup.targetM)} colour={colour} />
          <text x={x(0) + 20} y={y(setup.targetM) - 6} fontSize="13" fontWeight="700" fill="var(--ink)">
            mark <Said>{`${setup.targetM.toFixed(2)} m`}</Said>
          </text>
        </>
      )}
      <path d={draw(out) ?? ''} fill="none" stroke={colour} strokeWidth={look === 'now' ? 3 : 2} />
      <path
        d={draw(back) ?? ''}
        fill="none"
        stroke={colour}
        strokeWidth={look === 'now' ? 3 : 2}
        strokeDasharray="8 5"
      />
      {solution.bounceM !== null && (
        <text
          x={x(solution.bounceM)}
          y={y(setup.shot === 'table' ? tableSize.heightM : 0) + (look === 'now' ? -10 : -26)}
          textAnchor="middle"
          fontSize="13"
          fontWeight="700"
          fill={look === 'now' ? 'var(--ink)' : colour}
          stroke="var(--sheet)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          bounce <Said>{`${solution.bounceM.toFixed(2)} m`}</Said>
        </text>
      )}
      {setup.shot === 'down' && (
        <circle
          cx={x(setup.distanceM)}
          cy={y(hitFromM(setup))}
          r={radius}
          fill="none"
          stroke={colour}
          strokeWidth="2"
        />
      )}
      <circle
        cx={x(setup.distanceM)}
        cy={y(setup.contactM)}
        r={radius}
        fill={colour}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
    </g>
  );
}
