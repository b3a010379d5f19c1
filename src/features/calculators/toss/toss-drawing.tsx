import { line, scaleLinear } from 'd3';
import { ballNumbers, balls, type BallKind } from '@/core/ballistics/balls';
import { rise, terminalMps } from '@/core/ballistics/drop';
import { g } from '@/core/base/gravity';
import { Body } from '@/ui/drawing/body';
import { Ground, Level } from '@/ui/drawing/level';
import { XTicks } from '@/ui/drawing/x-ticks';
import { YGrid } from '@/ui/drawing/y-grid';
import { useUnits } from '@/ui/units';

/** A ball that goes up and comes down, to be drawn. Heights over the floor in metres. */
export interface DrawnToss {
  readonly fromM: number;
  readonly heightM: number;
  /** Seconds of each flight, one after another. */
  readonly seconds: readonly number[];
  readonly ball: BallKind;
  readonly marks: readonly { readonly atS: number; readonly text: string }[];
  readonly hoopM?: number;
  /** How far the hand sinks with the ball. */
  readonly stopM?: number;
  readonly spreadM?: number;
}

const [width, height] = [860, 340];
const margin = { left: 50, right: 20, top: 14, bottom: 30 };
/** Where the child stands, and where the curve of height over time begins. */
const [bodyX, curveX] = [150, 330];

/** The child and the ball from the side, to scale, and beside it the height over time. */
export function TossDrawing({
  drawn,
  bodyM,
  ceilingM,
}: {
  drawn: DrawnToss;
  bodyM: number;
  ceilingM: number | null;
}) {
  const { fromM, heightM, seconds, ball, marks, hoopM, stopM = 0, spreadM = 0 } = drawn;
  const topM = fromM + heightM;
  const shownM = Math.max(bodyM, topM + spreadM) * 1.1 + 0.1;
  const top = ceilingM === null ? shownM : Math.max(shownM, Math.min(ceilingM + 0.1, shownM * 1.6));
  const floor = height - margin.bottom;
  const y = scaleLinear().domain([0, top]).range([floor, margin.top]);
  const scale = y(0) - y(1);
  const whole = seconds.reduce((sum, one) => sum + one, 0);
  const x = scaleLinear()
    .domain([0, whole])
    .range([curveX, width - margin.right]);
  const heightAt = heightOverTime(ball, heightM);
  const points = seconds.flatMap((one, turn) => {
    const startS = seconds.slice(0, turn).reduce((sum, before) => sum + before, 0);
    return Array.from({ length: 41 }, (_, k) => {
      const atS = (one * k) / 40;
      return { atS: startS + atS, m: fromM + heightAt(atS) };
    });
  });
  const curve = line<{ atS: number; m: number }>(
    (point) => x(point.atS),
    (point) => y(point.m),
  )(points)!;
  const { say } = useUnits();
  const radius = Math.max(4, (balls[ball].diameterM.value / 2) * scale);
  const handX = bodyX + bodyM * scale * 0.22;
  return (
    <svg
      role="img"
      aria-label={say(
        `From the hand at ${fromM.toFixed(2)} m the ball rises ${heightM.toFixed(2)} m and is back after ${seconds[0]!.toFixed(2)} s.`,
      )}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <YGrid y={y} ticks={6} from={margin.left} to={width - margin.right} words={(tick) => `${tick} m`} />
      <XTicks x={x} ticks={6} at={floor + 18} words={(tick) => `${tick} s`} />
      {ceilingM !== null && ceilingM <= top && (
        <Level from={margin.left} to={width - margin.right} y={y(ceilingM)} words={`ceiling ${ceilingM} m`} />
      )}
      <Ground from={margin.left} to={width - margin.right} y={floor} />
      {spreadM > 0 && (
        <rect
          x={curveX}
          width={width - margin.right - curveX}
          y={y(topM + spreadM)}
          height={Math.max(2, 2 * spreadM * scale)}
          fill="var(--now)"
          fillOpacity="0.16"
        />
      )}
      {stopM > 0 && (
        <rect
          x={handX - 14}
          width={width - margin.right - handX + 14}
          y={y(fromM + stopM)}
          height={stopM * scale}
          fill="var(--safe)"
          fillOpacity="0.2"
        />
      )}
      {hoopM !== undefined && (
        <ellipse cx={handX} cy={y(hoopM)} rx={34} ry={8} fill="none" stroke="var(--safe)" strokeWidth="5" />
      )}
      <Body x={bodyX} floor={floor} heightPx={bodyM * scale} handX={handX} handY={y(fromM)} />
      <line
        x1={handX}
        x2={handX}
        y1={y(fromM)}
        y2={y(topM)}
        stroke="var(--now)"
        strokeWidth="2"
        strokeDasharray="5 5"
      />
      <circle cx={handX} cy={y(topM)} r={radius} fill="var(--now)" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={handX + 14} y={y(fromM + heightM / 2)} fontSize="13" fontWeight="700" fill="var(--ink)">
        {say(heightM < 1 ? `${Math.round(100 * heightM)} cm` : `${heightM.toFixed(2)} m`)}
      </text>
      <path d={curve} fill="none" stroke="var(--now)" strokeWidth="3" />
      {marks.map(({ atS, text }) => (
        <g key={text}>
          <circle cx={x(atS)} cy={y(fromM + heightAt(atS))} r="4.5" fill="var(--ink)" />
          <text
            x={x(atS)}
            y={y(fromM + heightAt(atS)) - 10}
            textAnchor="middle"
            fontSize="13"
            fontWeight="700"
            fill="var(--ink)"
          >
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Height over the hand at a moment: the closed form with drag, up and then down. */
function heightOverTime(ball: BallKind, heightM: number): (atS: number) => number {
  const { dragPerM } = ballNumbers(balls[ball]);
  const v = terminalMps(dragPerM);
  const up = rise(heightM, dragPerM);
  const scaleM = (v * v) / g;
  return (atS) => {
    const fromTopS = atS - up.seconds;
    const below =
      fromTopS < 0
        ? -scaleM * Math.log(Math.cos((g * -fromTopS) / v))
        : scaleM * Math.log(Math.cosh((g * fromTopS) / v));
    return Math.max(0, heightM - below);
  };
}
