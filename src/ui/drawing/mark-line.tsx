interface Props {
  readonly mark: number;
  readonly y: number;
  readonly from: number;
  readonly to: number;
}

/** The mark of a step across a chart, dashed, with its number at the end. */
export function MarkLine({ mark, y, from, to }: Props) {
  return (
    <>
      <line x1={from} x2={to} y1={y} y2={y} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="7 5" />
      <text x={to + 8} y={y + 4} fontSize="12" fill="var(--ink)">
        mark {mark}
      </text>
    </>
  );
}
