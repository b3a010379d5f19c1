/** The quietest and the loudest that are drawn, dB. */
const [lowDb, highDb] = [-80, 0] as const;

const share = (db: number): number => 100 * Math.min(1, Math.max(0, (db - lowDb) / (highDb - lowDb)));

/** How loud it is now, with a line at what is always there. */
export function LevelBar({ levelDb, noiseDb }: { readonly levelDb: number; readonly noiseDb: number }) {
  return (
    <span
      role="meter"
      aria-label="Loudness, dB under the loudest there can be"
      aria-valuemin={lowDb}
      aria-valuemax={highDb}
      aria-valuenow={Math.round(Math.min(highDb, Math.max(lowDb, levelDb)))}
      className="relative block h-4 min-w-16 flex-1 overflow-hidden rounded-sm border-2 border-edge bg-sheet"
    >
      <span className="absolute inset-y-0 left-0 bg-now" style={{ width: `${share(levelDb)}%` }} />
      <span className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: `${share(noiseDb)}%` }} />
    </span>
  );
}
