/** A child from the side, in proportion: head, trunk, legs, and the arm out to the ball. */
export function Body({
  x,
  floor,
  heightPx,
  handX,
  handY,
}: {
  x: number;
  floor: number;
  heightPx: number;
  handX: number;
  handY: number;
}) {
  const head = heightPx * 0.075;
  const shoulder = floor - heightPx * 0.8;
  const hip = floor - heightPx * 0.5;
  return (
    <g
      fill="none"
      stroke="var(--ink)"
      strokeWidth={Math.min(5, Math.max(2.5, heightPx * 0.025))}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <circle cx={x} cy={floor - heightPx + head} r={head} fill="var(--sheet)" />
      <path d={`M${x} ${floor - heightPx + 2 * head}V${hip}`} />
      <path d={`M${x - heightPx * 0.1} ${floor}L${x} ${hip}L${x + heightPx * 0.1} ${floor}`} />
      <path
        d={`M${x} ${shoulder}L${(x + handX) / 2 + heightPx * 0.03} ${(shoulder + handY) / 2 + heightPx * 0.04}L${handX} ${handY}`}
      />
    </g>
  );
}
