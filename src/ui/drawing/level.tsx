import { Said } from '../units';
interface LevelProps {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  /** What stands under its right end. */
  readonly words?: string;
  readonly width?: number;
  readonly colour?: string;
}

/** A level line across a drawing: a ceiling, a mark, the floor. */
export function Level({ from, to, y, words, width = 4, colour = 'var(--ink)' }: LevelProps) {
  return (
    <g>
      <line x1={from} x2={to} y1={y} y2={y} stroke={colour} strokeWidth={width} />
      {words && (
        <text x={to} y={y + 18} textAnchor="end" fontSize="13" fill="var(--ink)">
          <Said>{words}</Said>
        </text>
      )}
    </g>
  );
}

/** The ground everything stands on. */
export const Ground = (props: Pick<LevelProps, 'from' | 'to' | 'y'>) => <Level {...props} width={3} />;
