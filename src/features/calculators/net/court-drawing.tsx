import { XTicks } from '@/ui/drawing/x-ticks';
import { scaleLinear } from 'd3';
import { netHeightAt, type Court } from '@/core/ballistics/net/courts';
import type { ContactPoint, Ray } from '@/core/ballistics/net/over';
import { useUnits } from '@/ui/units';

const [width, height] = [860, 330];

interface Drawn {
  readonly court: Court;
  readonly contact: ContactPoint;
  readonly straight: readonly Ray[];
  readonly flown: readonly Ray[];
}

/** The court from above, to scale, this side on the left: what can be hit of the far side. */
export function CourtDrawing({ court, contact, straight, flown }: Drawn) {
  const half = court.lengthM / 2;
  const near = Math.max(half, contact.fromNetM) + court.lengthM * 0.04;
  const far = half + court.lengthM * 0.03;
  const perM = Math.min(
    (width - 20) / (near + far),
    (height - 40) / Math.max(court.widthM, 2 * Math.abs(contact.sideM) + 0.5),
  );
  const left = (width - (near + far) * perM) / 2;
  const x = scaleLinear()
    .domain([-near, far])
    .range([left, left + (near + far) * perM]);
  const middle = height / 2 - 6;
  const y = (m: number) => middle + m * perM;
  /** Where a ray is, so far beyond the net. */
  const sideAt = (sideAtBaselineM: number, beyondM: number) => {
    const share = (contact.fromNetM + beyondM) / (contact.fromNetM + half);
    return contact.sideM + share * (sideAtBaselineM - contact.sideM);
  };
  const area = (rays: readonly Ray[]): string => {
    const hit = rays.flatMap((ray) => (ray.stretch ? [{ side: ray.sideAtBaselineM, ...ray.stretch }] : []));
    if (hit.length < 2) return '';
    const point = (side: number, beyond: number) =>
      `${x(beyond).toFixed(1)} ${y(sideAt(side, beyond)).toFixed(1)}`;
    const outer = hit.map((ray) => point(ray.side, ray.toM));
    const inner = [...hit].reverse().map((ray) => point(ray.side, ray.fromM));
    return `M${[...outer, ...inner].join('L')}Z`;
  };
  const wide = court.widthM / 2;
  const { say } = useUnits();
  return (
    <svg
      role="img"
      aria-label={say(
        `The ${court.label} from above, to scale; the net is ${netHeightAt(court, 0).toFixed(2)} m high in the middle. Shaded: what can be hit of the far side.`,
      )}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <defs>
        <pattern
          id="straight-hatch"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--ink)" strokeWidth="2" />
        </pattern>
        <clipPath id="far-side">
          <rect x={x(0)} y={y(-wide)} width={half * perM} height={court.widthM * perM} />
        </clipPath>
      </defs>
      <rect
        x={x(-half)}
        y={y(-wide)}
        width={court.lengthM * perM}
        height={court.widthM * perM}
        fill="var(--chalk)"
        stroke="var(--ink)"
        strokeWidth="2.5"
      />
      <g clipPath="url(#far-side)">
        <path d={area(flown)} fill="var(--now)" fillOpacity="0.4" />
        <path
          d={area(straight)}
          fill="url(#straight-hatch)"
          fillOpacity="0.5"
          stroke="var(--ink)"
          strokeWidth="1"
        />
      </g>
      <line x1={x(0)} x2={x(0)} y1={y(-wide) - 8} y2={y(wide) + 8} stroke="var(--ink)" strokeWidth="4" />
      <XTicks x={x} ticks={8} at={height - 6} words={(tick) => `${Math.abs(tick)} m`} />
      <circle
        cx={x(-contact.fromNetM)}
        cy={y(contact.sideM)}
        r="8"
        fill="var(--safe)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <text
        x={x(-contact.fromNetM)}
        y={y(contact.sideM) - 14}
        textAnchor="middle"
        fontSize="13"
        fontWeight="700"
        fill="var(--ink)"
      >
        {say(`${contact.heightM.toFixed(2)} m`)} high
      </text>
    </svg>
  );
}
