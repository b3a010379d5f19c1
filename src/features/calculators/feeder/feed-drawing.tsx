import { line, scaleLinear } from 'd3';
import type { Feed, FeederPlace, LandingMap } from '@/core/ballistics/feed/feeder';
import type { PathPoint } from '@/core/ballistics/fly';
import { tableSize } from '@/core/ballistics/surfaces';
import { Body } from '@/ui/drawing/body';
import { Ground } from '@/ui/drawing/level';
import { XTicks } from '@/ui/drawing/x-ticks';
import { useUnits } from '@/ui/units';

const [width, height] = [860, 320];
const margin = { left: 46, right: 20 };
/** The side view ends here, the landing map from above begins below it. */
const [sideFloor, sideTop, mapMiddle, mapHalf] = [190, 8, 262, 44];

interface Drawn {
  readonly place: FeederPlace;
  readonly one: Feed;
  readonly path: readonly PathPoint[];
  readonly map: LandingMap;
  readonly bodyM: number;
}

/** The feed from the side and where balls land from above, both to scale along the same way. */
export function FeedDrawing({ place, one, path, map, bodyM }: Drawn) {
  const far = Math.max(place.playerM + 1.5, ...map.feeds.map((each) => (each.landM ?? 0) + 0.5));
  const perM = (width - margin.left - margin.right) / far;
  const topM = Math.max(one.apexM, bodyM, place.mouthM) * 1.12;
  const tall = Math.min(perM, (sideFloor - sideTop) / topM);
  const x = scaleLinear()
    .domain([0, far])
    .range([margin.left, margin.left + far * perM]);
  const y = (m: number) => sideFloor - m * tall;
  const { say } = useUnits();
  const widest = Math.max(1, ...map.feeds.map((each) => Math.abs(each.landSideM)));
  const acrossScale = Math.min(perM, mapHalf / widest);
  const across = (m: number) => mapMiddle + m * acrossScale;
  const draw = line<PathPoint>(
    (point) => x(point.x),
    (point) => y(point.y),
  )([...path]);
  const landed = map.feeds.flatMap((each) => (each.landM === null ? [] : [{ ...each, landM: each.landM }]));
  return (
    <svg
      role="img"
      aria-label={say(
        `The feed from the side, and from above where a hundred balls land: ${map.meanM.toFixed(1)} m from the machine, give or take ${map.spreadM.toFixed(1)} m along and ${map.spreadSideM.toFixed(1)} m across.`,
      )}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <XTicks
        x={x}
        ticks={8}
        at={sideFloor + 16}
        words={(tick) => `${tick} m`}
        mark={{ from: sideTop, to: sideFloor + 4, thin: true }}
      />
      <Ground from={x(0) - 20} to={x(far)} y={sideFloor} />
      {place.netAtM !== null && (
        <line
          x1={x(place.netAtM)}
          x2={x(place.netAtM)}
          y1={y(place.netM)}
          y2={y(place.tableFromM === null ? 0 : tableSize.heightM)}
          stroke="var(--ink)"
          strokeWidth="3"
        />
      )}
      {place.tableFromM !== null && (
        <rect
          x={x(place.tableFromM)}
          y={y(tableSize.heightM)}
          width={(tableSize.lengthM / 2) * perM}
          height="5"
          fill="var(--safe)"
          stroke="var(--ink)"
        />
      )}
      <rect
        x={x(0) - 24}
        y={y(place.mouthM) - 8}
        width="24"
        height={sideFloor - y(place.mouthM) + 8}
        fill="var(--hatch)"
        stroke="var(--ink)"
      />
      <Body
        x={x(place.playerM) + bodyM * tall * 0.2}
        floor={sideFloor}
        heightPx={bodyM * tall}
        handX={x(place.playerM)}
        handY={y(Math.min(bodyM * 1.2, Math.max(0.2, one.contactM)))}
      />
      <path d={draw ?? ''} fill="none" stroke="var(--now)" strokeWidth="3" />
      {one.landM !== null && (
        <circle
          cx={x(one.landM)}
          cy={y(place.tableFromM === null ? 0 : tableSize.heightM)}
          r="4.5"
          fill="var(--ink)"
        />
      )}
      <text x={margin.left - 40} y={mapMiddle - mapHalf + 2} fontSize="12" fill="var(--soft)">
        from above
      </text>
      <line x1={x(0)} x2={x(far)} y1={mapMiddle} y2={mapMiddle} stroke="var(--line)" strokeDasharray="4 4" />
      {place.netAtM !== null && (
        <line
          x1={x(place.netAtM)}
          x2={x(place.netAtM)}
          y1={mapMiddle - mapHalf}
          y2={mapMiddle + mapHalf}
          stroke="var(--ink)"
          strokeWidth="2"
        />
      )}
      {landed.map((each, index) => (
        <circle
          key={index}
          cx={x(each.landM)}
          cy={across(each.landSideM)}
          r="3.2"
          fill="var(--now)"
          fillOpacity={each.fault === null ? 0.55 : 0.2}
        />
      ))}
      {map.landed > 1 && (
        <ellipse
          cx={x(map.meanM)}
          cy={across(map.meanSideM)}
          rx={Math.max(2, 2 * map.spreadM * perM)}
          ry={Math.max(2, 2 * map.spreadSideM * acrossScale)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
          strokeDasharray="5 4"
        />
      )}
      <circle
        cx={x(place.playerM)}
        cy={mapMiddle}
        r="7"
        fill="var(--safe)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <text x={x(place.playerM)} y={mapMiddle + 22} textAnchor="middle" fontSize="12" fill="var(--ink)">
        player
      </text>
    </svg>
  );
}
