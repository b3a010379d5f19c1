import type { ReactNode } from 'react';
import type { Point } from '@/core/geometry/points';
import type { Layout } from '@/core/movement/layout';

/** A player as they are drawn: a circle of so many metres. */
const bodyM = 0.22;

export interface Scaled {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
}

/** The head of an arrow on a way; once in every drawing that has ways. */
export const WayEnd = () => (
  <defs>
    <marker id="way-end" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
      <path d="M0 0 8 4 0 8z" fill="var(--safe)" />
    </marker>
  </defs>
);

/** What lies on the floor, to scale: chalk, rings, the way that is run, marks, and who stands where. */
export function OnTheFloor({ layout, x, y, scale }: { readonly layout: Layout } & Scaled) {
  return (
    <>
      <Lines layout={layout} x={x} y={y} scale={scale} />
      <Way layout={layout} x={x} y={y} />
      {layout.marks.map((mark, n) => (
        <MarkDrawing key={n} kind={mark.kind} cx={x(mark.at.x)} cy={y(mark.at.y)} scale={scale} />
      ))}
    </>
  );
}

function Lines({ layout, x, y, scale }: { readonly layout: Layout } & Scaled) {
  const path = (points: readonly Point[], closed: boolean) =>
    `M${points.map((point) => `${x(point.x)} ${y(point.y)}`).join('L')}${closed ? 'Z' : ''}`;
  return (
    <>
      {layout.lines.map(({ points, closed }, n) => (
        <path
          key={n}
          d={path(points, closed)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
          strokeLinecap="round"
        />
      ))}
      {layout.rings.map(({ at, radiusM }, n) => (
        <circle
          key={n}
          cx={x(at.x)}
          cy={y(at.y)}
          r={radiusM * scale}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
      ))}
    </>
  );
}

/** What is run, leg by leg, a little beside the straight line so that there and back can be told apart. */
function Way({ layout: { course }, x, y }: { readonly layout: Layout } & Omit<Scaled, 'scale'>) {
  if (!course) return null;
  const aside = 3;
  return course.legs.map(({ to }, n) => {
    const from = n === 0 ? course.from : course.legs[n - 1]!.to;
    const [dx, dy] = [x(to.x) - x(from.x), y(to.y) - y(from.y)];
    const long = Math.hypot(dx, dy) || 1;
    const [sx, sy] = [(-dy / long) * aside, (dx / long) * aside];
    return (
      <line
        key={n}
        x1={x(from.x) + sx}
        y1={y(from.y) + sy}
        x2={x(to.x) + sx}
        y2={y(to.y) + sy}
        stroke="var(--safe)"
        strokeWidth="1.5"
        markerEnd="url(#way-end)"
      />
    );
  });
}

function MarkDrawing({
  kind,
  cx,
  cy,
  scale,
}: {
  readonly kind: Layout['marks'][number]['kind'];
  readonly cx: number;
  readonly cy: number;
  readonly scale: number;
}): ReactNode {
  const body = Math.max(6, bodyM * scale);
  switch (kind) {
    case 'marker':
      return (
        <path d={`M${cx} ${cy - 7}l7 12h-14z`} fill="var(--now)" stroke="var(--ink)" strokeWidth="1.5" />
      );
    case 'spot':
      return (
        <path
          d={`M${cx - 6} ${cy - 6}l12 12M${cx + 6} ${cy - 6}l-12 12`}
          stroke="var(--ink)"
          strokeWidth="3"
          strokeLinecap="round"
        />
      );
    case 'player':
      return (
        <>
          <circle cx={cx} cy={cy} r={body} fill="none" stroke="var(--soft)" strokeWidth="2" />
          {/* The nose: they look to the front. */}
          <path d={`M${cx} ${cy - body - 5}v5`} stroke="var(--soft)" strokeWidth="3" />
        </>
      );
    case 'helper':
      return (
        <rect
          x={cx - body}
          y={cy - body}
          width={2 * body}
          height={2 * body}
          fill="none"
          stroke="var(--soft)"
          strokeWidth="2"
        />
      );
  }
}
