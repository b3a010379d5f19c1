import { cx } from './class-names';

/* Ball stages keep their published colours and always carry their letter. */
const stages = {
  red: ['bg-[#c62828] text-white', 'R', 'red ball'],
  orange: ['bg-[#f57c00] text-black', 'O', 'orange ball'],
  green: ['bg-[#2e7d32] text-white', 'G', 'green ball'],
  yellow: ['bg-[#e6dc1e] text-black', 'Y', 'yellow ball'],
  table: ['bg-[#fafafa] text-black', 'T', 'table tennis'],
} as const;

export interface StageBallProps {
  readonly stage: 'red' | 'orange' | 'green' | 'yellow' | null;
  readonly sport: string;
  readonly small?: boolean;
}

/** The ball a player plays with. */
export function StageBall({ stage, sport, small }: StageBallProps) {
  if (!stage && sport === 'tennis') return null;
  const [look, letter, name] = stages[stage ?? 'table'];
  return (
    <span
      role="img"
      aria-label={name}
      title={name}
      className={cx(
        'inline-flex shrink-0 items-center justify-center rounded-full border-2 border-ink font-bold',
        small ? 'size-6 text-xs' : 'size-8 text-sm',
        look,
      )}
    >
      {letter}
    </span>
  );
}
